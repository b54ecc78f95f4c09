<script setup lang="ts">
import type { BlockState, EntryOf } from '~~/core/ledger'
import { ABOUT, LEANS } from '~/wording/harvest'

/** What argues for or against waiting and no instrument reads: rain, wasps, hands. */
const props = defineProps<{ block: BlockState }>()
const cellar = useCellarStore()
const logged = useLogged()
const about = ref<EntryOf<'block-noted'>['about']>('weather')
const leans = ref<EntryOf<'block-noted'>['leans']>('pick')
const text = ref('')
const problem = ref<string>()
async function log() {
  problem.value = text.value.trim() ? undefined : 'Write what you saw or heard.'
  if (problem.value) return
  if (!await cellar.log([{ type: 'block-noted', blockId: props.block.id, about: about.value, leans: leans.value, text: text.value.trim().slice(0, 2000) }])) return
  logged('Noted')
  text.value = ''
}
</script>

<template>
  <form novalidate class="note" @submit.prevent="log">
    <div class="text"><label :for="`about-${block.id}`">About</label><select :id="`about-${block.id}`" v-model="about"><option v-for="(label, key) in ABOUT" :key="key" :value="key">{{ label }}</option></select></div>
    <div class="text"><label :for="`leans-${block.id}`">It argues</label><select :id="`leans-${block.id}`" v-model="leans"><option v-for="(label, key) in LEANS" :key="key" :value="key">{{ label }}</option></select></div>
    <div class="text words" :class="{ wrong: problem }"><label :for="`note-${block.id}`">In a few words</label><input :id="`note-${block.id}`" v-model="text" type="text" maxlength="2000" autocomplete="off" :aria-invalid="problem ? 'true' : undefined"><p v-if="problem" class="message" role="alert">{{ problem }}</p></div>
    <UButton type="submit" size="xl" variant="outline">Note it</UButton>
  </form>
</template>

<style scoped>
.note { display: grid; grid-template-columns: repeat(2, minmax(0, 11rem)) minmax(0, 1fr) auto; gap: 12px; align-items: start; }
.note > :last-child { margin-top: 26px; }
@media (max-width: 700px) { .note { grid-template-columns: repeat(2, minmax(0, 1fr)); } .words { grid-column: 1 / -1; } .note > :last-child { margin-top: 0; } }
</style>
