<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { type WayStep, endangers, wayKindOf } from '~~/core/way'
import { dayHere, sayFarDayOf } from '~/wording/days'
import { sayLotsOf } from '~/wording/habits'
import { STEP, sayTooLate, sayWindow } from '~/wording/way'
import { useNow } from '~/composables/useNow'

/** A step of a lot's way: when it was done, or when it comes, and the day that the person puts it on. */
const props = defineProps<{ lot: LotView, step: WayStep, move: (day: string | null) => Promise<string | undefined> }>()
const open = ref(false)
const day = ref('')
const problem = ref<string>()
const saving = ref(false)
const now = useNow()
const label = computed(() => (props.step.doneAt ? STEP[props.step.code].done : STEP[props.step.code].label))
const window = computed(() => {
  const { likely, moved, doneAt } = props.step
  if (doneAt) return sayFarDayOf(doneAt, now.value)
  const [span, day] = [sayWindow(props.step, now.value), sayFarDayOf(likely, now.value)]
  return moved || span === day ? span : `${span}, likely ${day}`
})
/** Its window leans on what this cellar's lots did. */
const learned = computed(() => {
  const { learntFrom } = props.step
  return learntFrom === undefined ? undefined : `learned from ${sayLotsOf(learntFrom, wayKindOf(props.lot))}`
})
const late = computed(() => {
  const { moved, code } = props.step
  return moved && endangers(props.step, moved.day) === 'too-late' ? sayTooLate(code, moved.latest) : undefined
})
function begin() {
  open.value = !open.value
  problem.value = undefined
  day.value = props.step.moved?.day ?? dayHere(props.step.likely)
}
async function save(to: string | null) {
  saving.value = true
  problem.value = await props.move(to)
  saving.value = false
  if (problem.value === undefined) open.value = false
}
</script>

<template>
  <li class="step">
    <b>{{ label }}</b>
    <span class="soft">
      {{ window }}<template v-if="learned">, <NuxtLink to="/lots/score" class="textlink">{{ learned }}</NuxtLink></template>
    </span>
    <UButton
      v-if="!step.doneAt" variant="link" class="px-0" :aria-expanded="open" :aria-label="`Move: ${label}, ${lot.name}`" @click="begin"
    >{{ open ? 'Close' : 'Move' }}</UButton>
    <p v-if="late" class="late">{{ late }}</p>
    <form v-if="open" novalidate class="to" @submit.prevent="save(day)">
      <UFormField :label="`${label} on`" :error="problem">
        <UInput v-model="day" type="date" size="lg" :min="dayHere(now)" />
      </UFormField>
      <UButton type="submit" size="lg" :loading="saving">Plan it for this day</UButton>
      <UButton v-if="step.moved" variant="outline" color="neutral" size="lg" @click="save(null)">Back to the forecast</UButton>
    </form>
  </li>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: minmax(9rem, 1fr) minmax(12rem, 1.4fr) 3.5rem;
  gap: 0 16px;
  align-items: center;
  min-height: 44px;
  border-top: 1px solid var(--line);
}
.step:first-child { border-top: 0; }
.late, .to { grid-column: 1 / -1; }
.late { color: var(--caution); }
.to { display: flex; flex-wrap: wrap; gap: 10px; align-items: flex-end; padding: 4px 0 12px; }
@media (max-width: 560px) {
  .step { grid-template-columns: 1fr auto; padding: 6px 0; }
  .step > .soft { grid-row: 2; grid-column: 1 / -1; }
}
</style>
