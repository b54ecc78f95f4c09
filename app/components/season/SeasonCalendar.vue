<script setup lang="ts">
import { WAY_STEPS } from '~~/core/ledger'
import { type CalendarDay, type SentDays, changesOf, toDayCalendar } from '~/data/calendar'
import { downloadText } from '~/data/download'
import type { SeasonRow } from '~/composables/useSeason'
import { dayHere, sayDayAndYear } from '~/wording/days'
import { STEP } from '~/wording/way'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** The steps to come, as a file for the person's own calendar: taken in again later it updates, and doubles nothing. */
const props = defineProps<{ rows: readonly SeasonRow[] }>()
const cellar = useCellarStore()
const logged = useLogged()
const left = ref(new Set<string>())
const choices = computed(() => props.rows.filter((r) => r.next).map((r) => ({ value: r.lot.id, label: r.lot.name })))
const chosen = computed({
  get: () => choices.value.map((c) => c.value).filter((id) => !left.value.has(id)),
  set: (ids: string[]) => (left.value = new Set(choices.value.map((c) => c.value).filter((id) => !ids.includes(id))))
})
const KEY = 'calendarSent'
const sentBefore = async (): Promise<SentDays> => {
  const kept = await cellar.meta.get(KEY).catch(() => undefined)
  return typeof kept === 'object' && kept !== null ? (kept as SentDays) : {}
}
const idOf = (lotId: string, code: string) => `way-${lotId}-${code}@presk`
const days = computed(() => props.rows.filter((r) => chosen.value.includes(r.lot.id)).flatMap(({ lot, steps }) =>
  steps.filter((s) => !s.doneAt).map((s): CalendarDay => ({
    id: idOf(lot.id, s.code),
    day: s.moved?.day ?? dayHere(s.likely),
    title: `${lot.name}: ${STEP[s.code].label}`,
    text: s.moved ? 'You planned this day.' : `Expected between ${sayDayAndYear(s.earliest)} and ${sayDayAndYear(s.latest)}.`
  }))))
async function save() {
  // A lot that was left out is not spoken of; one that is gone is.
  const silent = new Set([...left.value].flatMap((id) => WAY_STEPS.map((code) => idOf(id, code))))
  const before = await sentBefore()
  const sent = changesOf(before, days.value, (id) => !silent.has(id))
  downloadText(await toDayCalendar('Presk', days.value, sent, new Date()), 'presk-season.ics', 'text/calendar')
  await cellar.meta.set(KEY, { ...before, ...sent }).catch(() => undefined)
  logged('Calendar file saved')
}
</script>

<template>
  <section class="calendar" aria-labelledby="calendar">
    <h2 id="calendar">In your own calendar</h2>
    <p class="soft max-w-[62ch]">
      Save the steps to come as a calendar file. Open a newer one later: your calendar moves what has moved and removes what is done.
    </p>
    <UCheckboxGroup v-if="choices.length > 1" v-model="chosen" legend="Lots" orientation="horizontal" :items="choices" class="my-3" />
    <UButton size="lg" variant="outline" icon="i-lucide-calendar" :disabled="days.length === 0" @click="save">
      Save {{ days.length }} {{ days.length === 1 ? 'day' : 'days' }} as a calendar file
    </UButton>
  </section>
</template>

<style scoped>
.calendar { margin-top: 34px; }
</style>
