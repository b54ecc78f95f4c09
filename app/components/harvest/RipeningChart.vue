<script setup lang="ts">
import { DAY_MS } from '~~/core/units'
import type { ApexOptions } from 'apexcharts'
import type { Trend } from '~~/core/harvest'
import type { BlockState } from '~~/core/ledger'
import { RIPE } from '~/wording/harvest'
import { useNow } from '~/composables/useNow'

/** One measure of a block: its samples, the line on from them that slows, and the band that holds four of five new samples. */
const props = defineProps<{ trend: Trend, block: BlockState, window: { min: number, max: number } }>()
const now = useNow()
const AHEAD = 10
const UNIT = { brix: 2, ph: 0.2, ta: 2 } as const
const words = computed(() => RIPE[props.trend.quantity])
const at = (day: number) => Date.parse(now.value) + day * DAY_MS
const points = computed(() =>
  props.block.samples.flatMap((s) => (s[props.trend.quantity] === undefined ? [] : [{ x: Date.parse(s.at), y: s[props.trend.quantity]! }]))
)
const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const mode = useColorMode()
const series = computed(() => {
  const ahead = props.trend.ahead.slice(0, AHEAD + 1)
  const first = points.value[0]!.x
  const lineAt = (x: number) => props.trend.line.intercept + (props.trend.line.slope * (x - Date.parse(now.value))) / DAY_MS
  return [
    {
      type: 'rangeArea',
      name: 'four of five new samples',
      data: ahead.map((p) => ({ x: at(p.day), y: [p.value - p.half, p.value + p.half] }))
    },
    { type: 'line', name: 'expected', data: [{ x: first, y: lineAt(first) }, ...ahead.map((p) => ({ x: at(p.day), y: p.value }))] },
    { type: 'scatter', name: 'samples', data: points.value }
  ]
})
const options = computed<ApexOptions>(() => {
  void mode.value
  const [ink, soft, skin, good] = ['--ink', '--ink-soft', '--skin', '--good'].map(colour) as [string, string, string, string]
  return {
    chart: {
      height: 190,
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
      fontFamily: 'inherit',
      foreColor: soft,
      parentHeightOffset: 0
    },
    colors: [skin, skin, ink],
    fill: { opacity: [0.16, 1, 1] },
    stroke: { width: [0, 2.5, 0], dashArray: [0, 5, 0] },
    markers: { size: [0, 0, 6], strokeWidth: 0 },
    legend: { show: false },
    dataLabels: { enabled: false },
    grid: { borderColor: colour('--line'), padding: { left: 4, right: 12, top: -16, bottom: 0 } },
    xaxis: {
      type: 'datetime',
      min: points.value[0]!.x - 1.5 * DAY_MS,
      max: at(AHEAD),
      labels: { datetimeUTC: false, datetimeFormatter: { day: 'd MMM', month: 'd MMM' } },
      axisTicks: { show: false },
      tooltip: { enabled: false }
    },
    yaxis: {
      labels: { formatter: (v) => v.toFixed(words.value.decimals) },
      tickAmount: span.value.ticks,
      min: span.value.min,
      max: span.value.max
    },
    annotations: {
      yaxis: [{ y: props.window.min, y2: props.window.max, fillColor: good, opacity: 0.14, borderColor: good }],
      xaxis: [{ x: Date.parse(now.value), borderColor: ink, strokeDashArray: 2 }]
    },
    tooltip: { enabled: false }
  }
})
/** Samples, line and window, from one whole mark to another. */
const span = computed(() => {
  const week = props.trend.ahead[7]!
  const all = [
    ...points.value.map((p) => p.y),
    ...props.trend.ahead.slice(0, AHEAD + 1).map((p) => p.value),
    week.value - week.half,
    week.value + week.half,
    props.window.min,
    props.window.max
  ]
  const unit = UNIT[props.trend.quantity]
  const [low, high] = [Math.floor(Math.min(...all) / unit), Math.ceil(Math.max(...all) / unit)]
  return { min: low * unit, max: high * unit, ticks: high - low }
})
const said = computed(
  () =>
    `${words.value.name}: ${points.value.length} samples, ${points.value[0]!.y} to ${points.value.at(-1)!.y} ${words.value.unit}; by `
      + `the line ${props.trend.ahead[7]!.value.toFixed(words.value.decimals)} plus or minus `
      + `${props.trend.ahead[7]!.half.toFixed(words.value.decimals)} in a week`
)
</script>

<template>
  <figure>
    <figcaption>
      <b>{{ words.name }}</b> <span class="figure now">{{ trend.ahead[0]!.value.toFixed(words.decimals) }}</span>
      <span class="soft"
      >&thinsp;{{ words.unit }} on the line today, {{ trend.perDay >= 0 ? '+' : '−'
      }}{{ Math.abs(trend.perDay).toFixed(words.decimals + (trend.quantity === 'ph' ? 1 : 1)) }} a day</span
      >
    </figcaption>
    <div role="img" :aria-label="said"><AppChart :height="190" :options="options" :series="series" /></div>
  </figure>
</template>

<style scoped>
figure {
  min-width: 0;
}
.now {
  font-size: 1.6rem;
  margin: 0 2px 0 6px;
}
</style>
