<script setup lang="ts">
import { dayHere, sayDay } from '~/wording/days'
import { useNow } from '~/composables/useNow'
import { useSettingsStore } from '~/stores/settings'

/** Days on which nobody wants to rack: a birthday, a journey. The weeks say what would fall on them. */
const settings = useSettingsStore()
const now = useNow()
const today = computed(() => dayHere(now.value))
const ahead = computed(() => settings.values.freeDays.filter((d) => d.day >= today.value))
const day = ref('')
const name = ref('')
const problem = ref<string>()
function add() {
  problem.value = !/^\d{4}-\d{2}-\d{2}$/.test(day.value) ? 'Enter a day.'
    : day.value < today.value ? 'That day has passed.'
      : ahead.value.length >= 50 ? 'That is fifty days already. Delete one first.' : undefined
  if (problem.value) return
  const all = [...ahead.value.filter((d) => d.day !== day.value), { day: day.value, name: name.value.trim().slice(0, 60) }]
  settings.change({ freeDays: all.sort((a, b) => (a.day < b.day ? -1 : 1)) })
  day.value = name.value = ''
}
const remove = (of: string) => settings.change({ freeDays: ahead.value.filter((d) => d.day !== of) })
</script>

<template>
  <FoldOut :label="ahead.length ? `Days off: ${ahead.length}` : 'Days off'">
    <ul v-if="ahead.length">
      <li v-for="d in ahead" :key="d.day">
        <span><b>{{ sayDay(d.day) }}</b> {{ d.name }}</span>
        <UButton variant="ghost" color="neutral" :aria-label="`Delete the day off, ${sayDay(d.day)}`" @click="remove(d.day)">
          Delete
        </UButton>
      </li>
    </ul>
    <form class="add" novalidate @submit.prevent="add">
      <UFormField label="Day" :error="problem"><UInput v-model="day" type="date" size="lg" :min="today" /></UFormField>
      <TextField v-model="name" label="What for (optional)" placeholder="a birthday" :maxlength="60" />
      <UButton type="submit" variant="outline" size="lg">Keep it free</UButton>
    </form>
  </FoldOut>
</template>

<style scoped>
li { display: flex; justify-content: space-between; gap: 12px; align-items: center; max-width: 30rem; overflow-wrap: anywhere; }
.add { display: flex; flex-wrap: wrap; gap: 10px 16px; align-items: end; margin-top: 6px; }
</style>
