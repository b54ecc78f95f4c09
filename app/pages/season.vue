<script setup lang="ts">
import { useWindowSize } from '@vueuse/core'
import type { WayStepCode } from '~~/core/ledger'
import { type SeasonRow, type SpanKey, SPANS, useSeason } from '~/composables/useSeason'
import { STEP, sayWindow } from '~/wording/way'
import { useGradually } from '~/composables/useGradually'
import { useNow } from '~/composables/useNow'
import { useSoon } from '~/composables/useSoon'
import { wineColour } from '~/composables/wineColour'

/** The year of the cellar: every lot on one line of time, and what may be left alone while one is away. */
const route = useRoute()
const router = useRouter()
const now = useNow()
const span = computed<SpanKey>({
  get: () => (String(route.query.span) in SPANS ? (route.query.span as SpanKey) : 'year'),
  set: (key) => void router.replace({ query: { ...route.query, span: key } })
})
const { rows, range, placeOf, months, moveStep } = useSeason(() => span.value)
/** The first screen at once, the other lots bit by bit; what is below them comes after. */
const drawn = useGradually(() => rows.value.length, 10)
const [weeksSoon, restSoon] = [useSoon(2), useSoon(3)]
/** Where a dragged step was refused, by lot. */
const refused = ref<{ lotId: string, says: string }>()
async function drag(row: SeasonRow, code: WayStepCode, day: string) {
  const step = row.steps.find((s) => s.code === code)
  const says = step && (await moveStep(row.lot, step, day))
  refused.value = says === undefined ? undefined : { lotId: row.lot.id, says }
}
const items = Object.entries(SPANS).map(([value, { label }]) => ({ value: value as SpanKey, label }))
/** A name that would be drawn under "today" is left out. */
const { width } = useWindowSize()
const shownMonths = computed(() => {
  const room = width.value < 760 ? 14 : 6
  return months.value.filter((m) => Math.abs(m.at - placeOf(now.value)) > room && m.at < 96)
})
const open = ref(new Set<string>())
const toggle = (id: string) => {
  const next = new Set(open.value)
  if (!next.delete(id)) next.add(id)
  open.value = next
}
useHead({ title: 'Season · Presk' })
</script>

<template>
  <div>
    <TodayTabs />
    <PageHead title="The season" lead="What each lot has done, and when the next steps come. The windows move with what you log.">
      <OneOfRow v-model="span" label="How much is shown" :items="items" />
    </PageHead>
    <p v-if="rows.length === 0" class="soft">No lot yet. Start one, and its way to the bottle appears here.</p>
    <template v-else>
      <div class="row scale" aria-hidden="true">
        <span />
        <div class="line">
          <span v-for="m in shownMonths" :key="m.at" :style="{ left: `${m.at}%` }">{{ m.label }}</span>
          <b :style="{ left: `${placeOf(now)}%` }">today</b>
        </div>
      </div>
      <ul :aria-busy="drawn < rows.length || undefined">
        <li v-for="row in rows.slice(0, drawn)" :key="row.lot.id">
          <div class="row">
            <NuxtLink :to="`/lots/${row.lot.id}`" class="display name">
              <i class="pip" :style="{ background: wineColour(row.lot) }" aria-hidden="true" /><span>{{ row.lot.name }}</span>
            </NuxtLink>
            <SeasonTrack :row="row" :place-of="placeOf" :months="months" :range="range" @move="(code, day) => drag(row, code, day)" />
            <UButton
              variant="ghost"
              color="neutral"
              class="next"
              :icon="open.has(row.lot.id) ? 'i-lucide-minus' : 'i-lucide-plus'"
              :aria-expanded="open.has(row.lot.id)"
              :aria-label="`All steps of ${row.lot.name}`"
              @click="toggle(row.lot.id)"
            >
              <span v-if="row.next"><b>{{ STEP[row.next.code].label }}</b> <span class="soft">{{ sayWindow(row.next, now) }}</span></span>
              <span v-else class="soft">All done</span>
            </UButton>
          </div>
          <p v-if="refused?.lotId === row.lot.id" class="text-(--stop)" role="alert">{{ refused.says }}</p>
          <ol v-if="open.has(row.lot.id)" class="steps">
            <SeasonStep v-for="s in row.steps" :key="s.code" :lot="row.lot" :step="s" :move="(day) => moveStep(row.lot, s, day)" />
          </ol>
        </li>
      </ul>
      <p class="soft small key">
        <i class="dot" /> done <i class="bar soon" /> next <i class="bar" /> later <i class="bar bottle" /> bottling
        <template v-if="rows.some((r) => r.before)"><i class="dot then" /> same wine, earlier year</template>
      </p>
      <SeasonWeeks v-if="weeksSoon" :rows="rows" />
      <template v-if="restSoon">
        <SeasonCalendar :rows="rows" />
        <GoingAway />
      </template>
    </template>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(7rem, 11rem) 1fr minmax(9rem, 15rem);
  gap: 4px 16px;
  align-items: center;
}
.line {
  position: relative;
  height: 24px;
  font-size: 0.9rem;
  color: var(--ink-soft);
}
.line > * {
  position: absolute;
  white-space: nowrap;
}
.line > span {
  padding-left: 3px;
}
.line > b {
  transform: translateX(-50%);
  color: var(--ink);
}
.name {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
  font-weight: 600;
  overflow-wrap: anywhere;
}
.pip {
  flex: none;
  width: 14px;
  height: 14px;
  border-radius: 50%;
}
.next {
  justify-content: flex-start;
  text-align: left;
  min-height: 44px;
}
.steps {
  display: grid;
  gap: 4px;
  max-width: 46rem;
  margin: 2px 0 14px;
  padding: 10px 14px;
  border-radius: var(--radius-control);
  background: var(--sheet);
}
.key {
  margin-top: 10px;
}
.key i {
  display: inline-block;
  vertical-align: middle;
  margin: 0 3px 0 12px;
}
.key .dot {
  width: 12px;
  height: 12px;
  border-radius: 50%;
  background: var(--skin);
  margin-left: 0;
}
.key .then {
  width: 9px;
  height: 9px;
  margin-left: 12px;
  background: none;
  border: 1.5px solid var(--ink-soft);
}
.key .bar {
  width: 26px;
  height: 14px;
  border-radius: 4px;
  background: color-mix(in srgb, var(--skin) 14%, transparent);
}
.key .bar.soon {
  background: color-mix(in srgb, var(--skin) 38%, transparent);
}
.key .bar.bottle {
  background: color-mix(in srgb, var(--good) 22%, transparent);
  border: 1.5px solid var(--good);
}
@media (max-width: 760px) {
  .row {
    grid-template-columns: 1fr 1fr;
    gap: 0 8px;
  }
  .row > .track {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .row > .next {
    justify-content: flex-end;
    text-align: right;
  }
  .scale > span {
    display: none;
  }
  .scale > .line {
    grid-column: 1 / -1;
  }
  li + li {
    margin-top: 8px;
  }
}
</style>
