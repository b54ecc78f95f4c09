<script setup lang="ts">
import { daysBetween } from '~~/core/units'
import { type Figure, isHeld, isMust, type LotView } from '~~/core/ledger'
import { type Shown, useFormat } from '~/composables/useFormat'
import { type FigureKey, sayDerivation } from '~/wording/derivations'
import { GLOSSARY, type TermKey } from '~/wording/glossary'
import { useNow } from '~/composables/useNow'
import { useStory } from '~/composables/useStory'
import { useSettingsStore } from '~/stores/settings'

const props = defineProps<{ lot: LotView }>()

const f = useFormat()
const now = useNow()
const settings = useSettingsStore()
const route = useRoute()
const story = useStory()

const rows = computed<{ key: FigureKey, label: string, figure: Figure | undefined, shown: (v: number) => Shown, band?: number }[]>(() => {
  const { lot } = props
  const all = [
    { key: 'volume' as const, label: 'Volume', figure: lot.volume, shown: f.volume },
    { key: 'sg' as const, label: isMust(lot) ? 'Sugar' : 'Gravity', figure: lot.sg, shown: isMust(lot) ? f.sugar : f.gravity },
    { key: 'ph' as const, label: 'pH', figure: lot.ph, shown: f.ph, band: 2 },
    { key: 'ta' as const, label: 'TA', figure: lot.ta, shown: f.acid, band: 1 },
    { key: 'freeSo2' as const, label: 'Free SO₂', figure: lot.freeSo2, shown: f.so2, band: 0 }
  ]
  // A lot that is all in bottles has nothing in a vessel.
  const bottled = lot.bottles > 0 && !isHeld(lot)
  return [
    ...all.filter((row) => !(bottled && row.key === 'volume')),
    ...(lot.abv ? [{ key: 'abv' as const, label: 'Alcohol', figure: lot.abv, shown: f.percentAlcohol, band: 1 }] : []),
    ...(lot.nitrogenGiven
      ? [{ key: 'nitrogenGiven' as const, label: 'Nitrogen given', figure: lot.nitrogenGiven, shown: f.nitrogen, band: 0 }]
      : [])
  ]
})
/** Said when a reading is older than two days: the wine has moved on since. */
const age = (figure?: Figure) => {
  const days = figure ? Math.floor(daysBetween(figure.at, now.value)) : 0
  if (days <= 2 || figure?.origin !== 'measured') return undefined
  return days > 90 ? `${Math.round(days / 30.4)} months ago` : `${days} days ago`
}
const band = (row: { figure: Figure | undefined, band?: number, key: FigureKey }) =>
  !row.figure
    ? undefined
    : row.key === 'volume'
      ? row.figure.origin === 'estimated'
        ? f.words(f.volume(Number(row.figure.uncertainty.toPrecision(2))))
        : undefined
      : row.band === undefined
        ? undefined
        : row.figure.uncertainty.toFixed(row.band)

const open = computed(() => rows.value.find((r) => r.key === route.query.working && r.figure))
const toggle = (key: FigureKey) =>
  navigateTo({ query: { ...route.query, working: route.query.working === key ? undefined : key } }, { replace: true })
/** "Free SO₂" as it is written within a sentence; pH and TA stay as they are. */
const inText = (label: string) => (/^[A-Z][a-z]/.test(label) ? label.charAt(0).toLowerCase() + label.slice(1) : label)
/** What the figure is, for somebody who meets it for the first time. */
const MEANS: Partial<Record<FigureKey, TermKey>> = { ph: 'ph', ta: 'ta', freeSo2: 'free-so2', nitrogenGiven: 'nutrient' }
const meaning = computed(() => {
  const key = open.value?.key
  const term = key === 'sg' ? (open.value?.label === 'Sugar' ? 'brix' : 'gravity') : key && MEANS[key]
  return settings.values.terms && term ? f.degrees(GLOSSARY[term].says) : undefined
})
const behind = computed(() => {
  const ids = open.value?.figure?.from
  return ids ? story.told(new Set(ids)).reverse() : []
})
</script>

<template>
  <div>
    <div class="numbers">
      <UButton
        v-for="row in rows"
        :key="row.key"
        variant="ghost"
        color="neutral"
        class="one justify-start text-left font-normal"
        :disabled="!row.figure"
        :aria-expanded="row.figure ? open?.key === row.key : undefined"
        @click="toggle(row.key)"
      >
        <FigureNumber
          plain
          :label="row.label"
          :shown="row.figure && row.shown(row.figure.value)"
          :origin="row.figure?.origin"
          :uncertainty="band(row)"
          :age="age(row.figure)"
        />
      </UButton>
    </div>
    <section v-if="open" class="how sheet" :aria-label="`How ${open.label} came about`">
      <h2>Where {{ inText(open.label) }} comes from</h2>
      <p v-if="meaning" class="soft">{{ meaning }}</p>
      <p>{{ sayDerivation(open.key, open.figure!, lot, f.words(open.shown(open.figure!.value))) }}</p>
      <ol v-if="behind.length">
        <li v-for="line in behind" :key="line.id">
          <span class="soft small">{{ line.when }}</span
          ><span>{{ line.text }}</span>
        </li>
      </ol>
      <p class="soft small">Tap the figure again to close.</p>
    </section>
  </div>
</template>

<style scoped>
.numbers {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px 16px;
  margin-left: -8px;
}
.one {
  align-items: start;
  padding: 6px 8px;
}
.one:disabled {
  cursor: default;
}
.one:not(:disabled):hover,
.one[aria-expanded='true'] {
  background: var(--sheet);
  box-shadow: inset 0 0 0 1.5px var(--line);
}
.how {
  margin-top: 14px;
  padding: 16px;
  display: grid;
  gap: 10px;
}
.how h2 {
  font-size: 1.15rem;
}
li {
  display: grid;
  grid-template-columns: 8.5rem minmax(0, 1fr);
  gap: 2px 14px;
  border-top: 1.5px solid var(--line);
  padding: 6px 0;
}
@media (max-width: 640px) {
  /* All of them above the fold, so that the next move is seen with them. */
  .numbers {
    gap: 6px 4px;
    margin: 0 -6px;
  }
  .one {
    padding: 4px 6px;
  }
  .numbers :deep(.value) {
    gap: 4px;
  }
  .numbers :deep(.value .figure) {
    font-size: 1.7rem;
  }
  .numbers :deep(.unit),
  .numbers :deep(.label) {
    font-size: 0.88rem;
  }
  .numbers :deep(.origin) {
    font-size: 0.8rem;
    line-height: 1.35;
  }
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
