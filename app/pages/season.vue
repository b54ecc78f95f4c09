<script setup lang="ts">
import { useWindowSize } from '@vueuse/core'
import { SPANS, type SpanKey } from '~/composables/useSeason'
import { sayDayOf } from '~/wording/days'
import { STEP } from '~/wording/way'

/** The year of the cellar: every lot on one line of time, and what may be left alone while one is away. */
const route = useRoute()
const router = useRouter()
const now = useNow()
const span = computed<SpanKey>({
  get: () => (String(route.query.span) in SPANS ? (route.query.span as SpanKey) : 'year'),
  set: (key) => void router.replace({ query: { ...route.query, span: key } })
})
const { rows, placeOf, months } = useSeason(() => span.value)
const items = Object.entries(SPANS).map(([value, { label }]) => ({ value: value as SpanKey, label }))
const window = (s: { earliest: string, latest: string }) =>
  sayDayOf(s.earliest) === sayDayOf(s.latest) ? sayDayOf(s.earliest) : `${sayDayOf(s.earliest)} to ${sayDayOf(s.latest)}`
/** A name that would lie under "today" is left out. */
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
      <div class="spans" role="group" aria-label="How much is shown">
        <UButton
          v-for="i in items"
          :key="i.value"
          :variant="span === i.value ? 'solid' : 'outline'"
          :aria-pressed="span === i.value"
          @click="span = i.value"
        >
          {{ i.label }}
        </UButton>
      </div>
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
      <ul>
        <li v-for="row in rows" :key="row.lot.id">
          <div class="row">
            <NuxtLink :to="`/lots/${row.lot.id}`" class="display name">
              <i class="pip" :style="{ background: wineColour(row.lot) }" aria-hidden="true" /><span>{{ row.lot.name }}</span>
            </NuxtLink>
            <SeasonTrack :row="row" :place-of="placeOf" :months="months" />
            <UButton
              variant="ghost"
              color="neutral"
              class="next"
              :icon="open.has(row.lot.id) ? 'i-lucide-minus' : 'i-lucide-plus'"
              :aria-expanded="open.has(row.lot.id)"
              :aria-label="`All steps of ${row.lot.name}`"
              @click="toggle(row.lot.id)"
            >
              <span v-if="row.next"><b>{{ STEP[row.next.code].label }}</b> <span class="soft">{{ window(row.next) }}</span></span>
              <span v-else class="soft">All done</span>
            </UButton>
          </div>
          <ol v-if="open.has(row.lot.id)" class="steps">
            <li v-for="s in row.steps" :key="s.code">
              <b>{{ s.doneAt ? STEP[s.code].done : STEP[s.code].label }}</b>
              <span class="soft">{{ s.doneAt ? sayDayOf(s.doneAt) : `${window(s)}, likely ${sayDayOf(s.likely)}` }}</span>
            </li>
          </ol>
        </li>
      </ul>
      <p class="soft small key">
        <i class="dot" /> done <i class="bar soon" /> next <i class="bar" /> later <i class="bar bottle" /> bottling
      </p>
      <GoingAway />
    </template>
  </div>
</template>

<style scoped>
.spans {
  display: flex;
  gap: 8px;
}
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
  max-width: 36rem;
  margin: 2px 0 14px;
  padding: 10px 14px;
  border-radius: var(--radius-control);
  background: var(--sheet);
}
.steps li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 16px;
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
