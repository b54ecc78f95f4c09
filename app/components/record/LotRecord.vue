<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { sayAct } from '~/wording/acts'
import { sayFullDay, sayLongDay } from '~/wording/days'
import { OBSERVATION, STREAM, STYLE } from '~/wording/terms'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useStory } from '~/composables/useStory'

/** The record of a lot, for paper: what it is, its figures with where they come from, what went in, and its whole history as sentences. */
const props = defineProps<{ lot: LotView, level?: 1 | 2 }>()
const f = useFormat()
const materials = useMaterials()
const story = useStory()
const head = computed(() => `h${props.level ?? 1}`)
const sub = computed(() => `h${(props.level ?? 1) + 1}`)
/** Oldest first, as one reads a book. */
const lines = computed(() => story.linesOf(props.lot.id, Infinity).filter((l) => !l.struck).toReversed())
const figures = computed(() => {
  const { lot } = props
  const all = [
    ['Sugar of the must', lot.originalSg, f.sugar], ['Gravity', lot.sg, f.gravity], ['Alcohol', lot.abv, f.percentAlcohol],
    ['pH', lot.ph, f.ph], ['TA', lot.ta, f.acid], ['Free SO₂', lot.freeSo2, f.so2], ['Nitrogen given', lot.nitrogenGiven, f.nitrogen]
  ] as const
  return all.flatMap(([label, figure, shown]) =>
    figure ? [{ label, said: f.words(shown(figure.value)), origin: figure.origin, at: sayLongDay(figure.at) }] : [])
})
const litres = computed(() => props.lot.volume.value + props.lot.bottledL)
const additions = computed(() =>
  [...props.lot.added].map(([key, a]) => ({
    name: materials.title(key),
    total: a.unit === 'mL' ? `${Number(a.actual.toPrecision(3))} mL` : f.words(a.unit === 'L' ? f.volume(a.actual) : f.powder(a.actual)),
    perL: litres.value > 0.05 ? `${Number((a.actual / litres.value).toPrecision(2))} ${a.unit}/L` : '',
    times: a.times
  })))
const observed = computed(() => lines.value.flatMap(({ standing: { fact }, at }) =>
  fact.type === 'observation' && fact.photo ? [{ at, photo: fact.photo, what: OBSERVATION[fact.what], text: fact.text }] : []))
const met = computed(() => props.lot.acts.map(({ act, at }) => ({ at, ...sayAct(act, { ...f, material: materials.name }) })))
const sources = computed(() => [
  STYLE[props.lot.style], STREAM[props.lot.stream].toLowerCase(), props.lot.vintage, props.lot.origin,
  ...props.lot.varieties.map((v) => v.name)
].filter(Boolean).join(', '))
</script>

<template>
  <article class="record">
    <component :is="head">{{ lot.name }}</component>
    <p class="soft">{{ sources }}. Started on {{ sayFullDay(lot.startedAt) }}.</p>
    <component :is="sub">Figures</component>
    <table>
      <thead><tr><th scope="col">Figure</th><th scope="col">Value</th><th scope="col">From</th></tr></thead>
      <tbody>
        <tr v-for="x in figures" :key="x.label">
          <th scope="row">{{ x.label }}</th>
          <td class="figure">{{ x.said }}</td>
          <td>{{ x.origin }}, {{ x.at }}</td>
        </tr>
        <tr>
          <th scope="row">Held</th>
          <td class="figure">{{ f.words(f.volume(lot.volume.value)) }}</td>
          <td>{{ lot.bottles ? `${lot.bottles} bottles filled` : lot.volume.origin }}</td>
        </tr>
      </tbody>
    </table>
    <template v-if="additions.length">
      <component :is="sub">What went in</component>
      <table>
        <thead>
          <tr><th scope="col">Material</th><th scope="col">In all</th><th scope="col">Per litre</th><th scope="col">Times</th></tr>
        </thead>
        <tbody>
          <tr v-for="a in additions" :key="a.name">
            <th scope="row">{{ a.name }}</th>
            <td>{{ a.total }}</td>
            <td>{{ a.perL }}</td>
            <td>{{ a.times }}</td>
          </tr>
        </tbody>
      </table>
    </template>
    <template v-if="(lot.series.sg?.length ?? 0) > 1">
      <component :is="sub">Ferment</component>
      <FermentsOverlaid :lots="[lot]" />
    </template>
    <template v-if="lot.tastings.length">
      <component :is="sub">Tastings</component>
      <ul><li v-for="t in lot.tastings" :key="t.entryId">{{ sayLongDay(t.at) }}: {{ t.rating }} of 10</li></ul>
    </template>
    <template v-if="met.length">
      <component :is="sub">What went wrong</component>
      <ul><li v-for="(m, i) in met" :key="i">{{ sayLongDay(m.at) }}: {{ m.title }}. {{ m.reason }}</li></ul>
    </template>
    <template v-if="observed.length">
      <component :is="sub">Pictures</component>
      <div class="photos">
        <figure v-for="(p, i) in observed" :key="i">
          <img :src="p.photo" :alt="`${p.what}: ${p.text}`" />
          <figcaption class="small">{{ sayLongDay(p.at) }}: {{ p.text }}</figcaption>
        </figure>
      </div>
    </template>
    <component :is="sub">History</component>
    <ol class="timed">
      <li v-for="l in lines" :key="l.id"><span class="soft small">{{ sayLongDay(l.at) }}</span><span>{{ l.text }}</span></li>
    </ol>
  </article>
</template>

<style scoped>
.record { display: grid; gap: 10px; max-width: 52rem; }
.record > * { min-width: 0; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; font-weight: 400; padding: 5px 16px 5px 0; border-top: 1.5px solid var(--line); }
thead th { color: var(--ink-soft); border-top: 0; }
.timed li { grid-template-columns: 10rem minmax(0, 1fr); }
.photos { display: grid; grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr)); gap: 12px; }
@media (max-width: 640px) { .timed li { grid-template-columns: minmax(0, 1fr); gap: 2px; } }
@media print { .record { break-after: page; max-width: none; } }
</style>
