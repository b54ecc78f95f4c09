<script setup lang="ts">
import type { LotView } from '~~/core/ledger'

const props = defineProps<{ lot: LotView }>()

// The charts are large: they come only where a curve is shown.
const Chart = defineAsyncComponent(() => import('vue3-apexcharts'))
const colorMode = useColorMode()
const f = useFormat()
const settings = useSettingsStore()

const css = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const points = (quantity: 'sg' | 'temperature', show: (v: number) => number) =>
  (props.lot.series[quantity] ?? []).map((p) => ({ x: Date.parse(p.at), y: show(p.value) }))
const gravity = computed(() =>
  props.lot.sg?.origin === 'measured' ? [] : props.lot.sg ? [{ x: Date.parse(props.lot.sg.at), y: props.lot.sg.value }] : []
)
const build = () => [
  { name: 'Gravity', type: 'line', data: [...points('sg', (v) => v), ...gravity.value] },
  {
    name: `Temperature, ${settings.values.temperature}`,
    type: 'line',
    data: points('temperature', (v) => Number(f.temperature(v).text.replace('−', '-')))
  }
]
/** Drawing is slow, so it is done when a point has come or changed, and not with every entry of the lot. */
const stamp = computed(() =>
  JSON.stringify([
    settings.values.temperature,
    gravity.value,
    ...(['sg', 'temperature'] as const).map((q) => props.lot.series[q]?.map((p) => p.entryId + p.value))
  ])
)
const series = shallowRef(build())
watch(stamp, () => {
  series.value = build()
})
const DAY = 86_400_000
/** Whole days around all points, so that neither the first nor the last date is cut. */
const days = computed(() => {
  const at = series.value.flatMap((s) => s.data.map((p) => p.x))
  return at.length > 0 ? { min: Math.min(...at) - DAY / 2, max: Math.max(...at) + DAY / 2 } : {}
})
/** From just below the lowest to just above the highest, in whole steps. */
const around = (which: number, step: number) => {
  const values = series.value[which]!.data.map((p) => p.y)
  if (values.length === 0) return {}
  return { min: Math.floor(Math.min(...values) / step) * step, max: Math.ceil((Math.max(...values) + step / 10) / step) * step }
}
const options = computed(() => {
  const dark = colorMode.value === 'dark'
  const [ink, line, skin, soft] = ['--ink-soft', '--line', '--skin', '--line-strong'].map(css)
  return {
    chart: {
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
      fontFamily: 'inherit',
      foreColor: ink,
      background: 'transparent'
    },
    theme: { mode: dark ? 'dark' : 'light' },
    colors: [skin, soft],
    stroke: { width: [3, 2], dashArray: [0, 5], curve: 'straight' },
    markers: { size: [5, 3], strokeWidth: 0 },
    grid: { borderColor: line },
    legend: { show: true, position: 'top', horizontalAlign: 'left' },
    xaxis: { type: 'datetime', labels: { datetimeUTC: false, format: 'd MMM', hideOverlappingLabels: true }, tooltip: { enabled: false }, ...days.value },
    yaxis: [
      { seriesName: 'Gravity', ...around(0, 0.01), labels: { formatter: (v: number) => v.toFixed(3) }, tickAmount: 4 },
      { opposite: true, ...around(1, 5), labels: { formatter: (v: number) => v.toFixed(0) }, tickAmount: 4 }
    ],
    tooltip: { x: { format: 'd MMM, HH:mm' }, theme: dark ? 'dark' : 'light' }
  }
})
/** The same in words, for those who do not see the curve. */
const words = computed(() => {
  const all = props.lot.series.sg ?? []
  return `Gravity from ${all[0]!.value.toFixed(3)} to ${all.at(-1)!.value.toFixed(3)} in ${Math.max(1, Math.round((Date.parse(all.at(-1)!.at) - Date.parse(all[0]!.at)) / 86_400_000))} days, ${all.length} readings.`
})
</script>

<template>
  <figure class="curves">
    <figcaption>
      <h2>Curves</h2>
      <span class="soft small">{{ words }}</span>
    </figcaption>
    <ClientOnly
    ><div aria-hidden="true">
      <component :is="Chart" :key="colorMode.value" type="line" height="240" :options="options" :series="series" /></div
    ></ClientOnly>
  </figure>
</template>

<style scoped>
figcaption {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
}
.curves {
  min-height: 280px;
}
</style>
