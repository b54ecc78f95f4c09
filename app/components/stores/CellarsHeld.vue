<script setup lang="ts">
import { type OtherCellar, addCellar, otherCellars } from '~/data/cellars'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** Several cellars on one device, each with its own wines: one's own, a father's, a course's. */
const cellar = useCellarStore()
const settings = useSettingsStore()
const others = ref<OtherCellar[]>(otherCellars())
const name = ref('')
const problem = ref('')
async function open(id: 'own' | OtherCellar['id']) {
  await cellar.open(id)
  await navigateTo('/')
}
async function add() {
  const made = addCellar(name.value)
  problem.value = made ? '' : name.value.trim() === '' ? 'Give it a name.' : 'There is a cellar of that name already, or there are twelve.'
  if (!made) return
  others.value = otherCellars()
  name.value = ''
  await open(made.id)
}
</script>

<template>
  <section class="grid gap-3" aria-label="Cellars">
    <h2>Cellars</h2>
    <p class="soft">Keep several on this device, each with its own lots, vessels and files.</p>
    <ul class="rule">
      <li v-for="c in [{ id: 'own' as const, name: settings.values.cellarName || 'My cellar' }, ...others]" :key="c.id">
        <span>{{ c.name }}</span>
        <span v-if="cellar.which === c.id" class="soft">open</span>
        <UButton v-else variant="link" :aria-label="`Open ${c.name}`" @click="open(c.id)">Open</UButton>
      </li>
    </ul>
    <form class="fieldline" novalidate @submit.prevent="add">
      <TextField v-model="name" label="Another cellar" hint="for example my father’s" :error="problem || undefined" />
      <UButton type="submit" size="lg" variant="outline">Add</UButton>
    </form>
  </section>
</template>

<style scoped>
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 44px;
  border-bottom: 1.5px solid var(--line);
}
</style>
