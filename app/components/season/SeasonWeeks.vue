<script setup lang="ts">
import { DAY_MS, HOUR_MS } from '~~/core/units'
import { type RunsOut, runsOutOf } from '~~/core/supplies'
import { type WeekJob, weeksOf } from '~~/core/way'
import type { SeasonRow } from '~/composables/useSeason'
import { sayMinutes } from '~/wording/count'
import { dayHere, sayDay, sayDayOf } from '~/wording/days'
import { listed } from '~/wording/listed'
import { STEP } from '~/wording/way'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useSupplies } from '~/composables/useSupplies'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** The coming weeks: how many hours each takes, and where a day, a vessel or a supply is wanted twice. */
const props = defineProps<{ rows: readonly SeasonRow[] }>()
const cellar = useCellarStore()
const now = useNow()
const f = useFormat()
const SHOWN = 10
const monday = computed(() => {
  const today = new Date(now.value)
  return new Date(today.getFullYear(), today.getMonth(), today.getDate() - ((today.getDay() + 6) % 7)).toISOString()
})
const weeks = computed(() => weeksOf({ ways: props.rows, vessels: cellar.state.vessels.values(), from: monday.value, weeks: SHOWN }))
const most = computed(() => Math.max(1, ...weeks.value.map((w) => w.minutes)))
/** What each lot wants, in a few words. */
function byLot(jobs: readonly WeekJob[]): Record<string, string[]> {
  const all: Record<string, string[]> = {}
  for (const { lotId, code } of jobs) (all[lotId] ??= []).push(STEP[code].label.replace(/^./, (c) => c.toLowerCase()))
  return all
}
/** By its noon: over a change of the clocks seven times 24 hours end an hour before or after midnight. */
const sayWeek = (from: string) => sayDayOf(Date.parse(from) + 12 * HOUR_MS)
const settings = useSettingsStore()
const supplies = useSupplies()
const materials = useMaterials()
const runsOut = computed(() => {
  if (!supplies.kept.value) return []
  const ways = new Map(props.rows.map(({ lot, steps }) => [lot.id, steps]))
  const arrivals = new Map([...cellar.state.arrivals.values()].map((a) => [a.arrivalId, a.on]))
  return runsOutOf(supplies.rows.value, ways, arrivals, now.value)
})
const WEEK = 7 * DAY_MS
const within = (from: string, at: string) => Date.parse(at) >= Date.parse(from) && Date.parse(at) < Date.parse(from) + WEEK
/** What runs out in a week, and for whom it is first missing. */
const sayShort = (r: RunsOut) => `${materials.name(r.material)} for ${r.name}, ${supplies.amount(r, r.short)} short`
const sayRunsOut = (from: string): string => listed(runsOut.value.filter((r) => within(from, r.at)).map(sayShort))
/** Work that falls on a day that should stay free. */
const onFreeDays = (jobs: readonly WeekJob[]) => (cellar.isPractice ? [] : settings.values.freeDays).flatMap((free) => {
  const own = jobs.filter((j) => dayHere(j.likely) === free.day)
  return own.length === 0 ? [] : [{ ...free, lots: listed([...new Set(own.map((j) => nameOf(j.lotId)))]) }]
})
const nameOf = (id: string) => cellar.lotOf(id)?.name ?? 'a lot'
</script>

<template>
  <section class="weeks" aria-labelledby="weeks">
    <h2 id="weeks">Hours ahead</h2>
    <ol>
      <li v-for="w in weeks" :key="w.from" :class="{ idle: w.jobs.length === 0 }">
        <span class="week">{{ sayWeek(w.from) }}</span>
        <span class="load" aria-hidden="true"><i :style="{ width: `${(w.minutes / most) * 100}%` }" /></span>
        <span class="time figure">{{ w.jobs.length ? sayMinutes(w.minutes) : '–' }}</span>
        <span class="jobs">
          <span v-for="(own, lotId) in byLot(w.jobs)" :key="lotId" class="of">
            <NuxtLink :to="`/lots/${lotId}`" class="textlink">{{ nameOf(String(lotId)) }}</NuxtLink>: {{ own.join(', ') }}
          </span>
          <span v-if="w.jobs.length === 0" class="soft">Nothing planned</span>
          <span v-if="w.crowded.length" class="warn">
            Heavy work on the same day: {{ listed([...new Set(w.crowded.map((j) => nameOf(j.lotId)))]) }}. Move one of them.
          </span>
          <span v-for="h in w.homeless" :key="h.lotId" class="warn">
            {{ f.words(f.volume(h.litres)) }} of {{ nameOf(h.lotId) }} would have no vessel to go into.
          </span>
          <span v-for="d in onFreeDays(w.jobs)" :key="d.day" class="warn">
            {{ sayDay(d.day) }} is your day off{{ d.name ? ` (${d.name})` : '' }}, and {{ d.lots }} would need you. Move the step.
          </span>
          <span v-if="sayRunsOut(w.from)" class="warn">
            Too little in store: {{ sayRunsOut(w.from) }}. <NuxtLink to="/stores/supplies" class="textlink">Shopping list</NuxtLink>
          </span>
        </span>
      </li>
    </ol>
    <p class="soft small">Weeks start on Monday. Daily looks during a ferment come on top.</p>
    <FreeDays v-if="!cellar.isPractice" />
  </section>
</template>

<style scoped>
.weeks { margin-top: 34px; }
ol { margin: 8px 0; }
li {
  display: grid;
  grid-template-columns: 6.5rem minmax(4rem, 9rem) 5.5rem 1fr;
  gap: 2px 14px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.load { height: 12px; border-radius: 6px; background: var(--sheet); overflow: hidden; }
.load i { display: block; height: 100%; background: var(--skin); }
.time { white-space: nowrap; }
.jobs { overflow-wrap: anywhere; }
.of { margin-right: 18px; }
.warn { display: block; color: var(--caution); font-weight: 600; }
.idle { color: var(--ink-soft); }
@media (max-width: 760px) {
  li { grid-template-columns: 6.5rem 1fr 5.5rem; }
  .jobs { grid-column: 1 / -1; }
}
</style>
