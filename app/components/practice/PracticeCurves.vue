<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import type { TruePoint } from '~/workers/practice.worker'
import { useChartClothes } from '~/composables/useChartClothes'
import { useCellarStore } from '~/stores/cellar'

/** What was true of a wine, what was read of it, and what Presk took it for between the readings. */
const props = defineProps<{ lotId: string, points: readonly TruePoint[] }>()
const cellar = useCellarStore()
const { base, colours } = useChartClothes()
const FIGURES = [
  { key: 'sg', name: 'Gravity', digits: 3 }, { key: 'celsius', name: 'Temperature, °C', digits: 0 }, { key: 'ph', name: 'pH', digits: 1 },
  { key: 'freeSo2', name: 'Free SO₂, mg/L', digits: 0 }
] as const
const QUANTITY = { sg: 'sg', celsius: 'temperature', ph: 'ph', freeSo2: 'freeSo2' } as const
const charts = computed(() => FIGURES.map(({ key, name, digits }) => {
  const read = cellar.lotOf(props.lotId)?.series[QUANTITY[key]] ?? []
  const believed = key === 'celsius' ? undefined
    : props.points.flatMap((p) => (p.believed[key] === undefined ? [] : [{ x: Date.parse(p.at), y: p.believed[key] }]))
  const options: ApexOptions = {
    ...base.value,
    colors: [colours.value.skin, colours.value.ink, colours.value.ink],
    stroke: { width: [2.5, 0, 1.5], dashArray: [0, 0, 5] },
    markers: { size: [0, 4, 0] },
    xaxis: { type: 'datetime', labels: { datetimeUTC: false } },
    yaxis: { tickAmount: 4, labels: { formatter: (v: number) => v.toFixed(digits) } },
    tooltip: { enabled: false }
  }
  const series = [
    { name: 'True', type: 'line', data: props.points.map((p) => ({ x: Date.parse(p.at), y: p[key] })) },
    { name: 'Read', type: 'scatter', data: read.map((p) => ({ x: Date.parse(p.at), y: p.value })) },
    ...(believed ? [{ name: 'Taken for', type: 'line', data: believed }] : [])
  ]
  const off = read.map((p) => p.value - (nearest(p.at)?.[key] ?? p.value))
  const mean = off.length ? off.reduce((sum, n) => sum + n, 0) / off.length : undefined
  const by = mean === undefined || key === 'sg' ? 0 : Number(mean.toFixed(digits + 1))
  const said = [
    'line: true',
    `points: ${read.length === 0 ? 'never read' : `read ${read.length === 1 ? 'once' : `${read.length} times`}`}`
    + (by === 0 ? '' : `, ${Math.abs(by).toFixed(digits + 1)} too ${by < 0 ? 'low' : 'high'} on average`),
    ...(believed?.length ? ['dashed: what Presk took it for'] : [])
  ].join('; ')
  return { key, name, options, series, said }
}))
const nearest = (at: string) => {
  const t = Date.parse(at)
  return props.points.toSorted((a, b) => Math.abs(Date.parse(a.at) - t) - Math.abs(Date.parse(b.at) - t))[0]
}
</script>

<template>
  <div class="curves">
    <figure v-for="c in charts" :key="c.key">
      <figcaption>
        <b>{{ c.name }}</b>
        <span class="soft small">{{ c.said }}</span>
      </figcaption>
      <AppChart type="line" :height="180" :options="c.options" :series="c.series" />
    </figure>
  </div>
</template>

<style scoped>
.curves { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 26rem), 1fr)); gap: 16px 32px; }
figcaption { display: flex; flex-wrap: wrap; gap: 2px 12px; align-items: baseline; }
</style>
