<script setup lang="ts">
import { DAY_MS } from '~~/core/units'
import type { ApexOptions } from 'apexcharts'
import type { LotView } from '~~/core/ledger'
import type { drinkWindowOf } from '~~/core/stages'
import { unchanged } from '~/composables/unchanged'
import { useChartClothes } from '~/composables/useChartClothes'

/** How a wine was rated, by its months in the bottle, against the time in which such a wine is likely good. */
const props = defineProps<{ lot: LotView, window: NonNullable<ReturnType<typeof drinkWindowOf>> }>()
const { base, colours } = useChartClothes()
const MONTH_MS = 30.4 * DAY_MS
const points = computed(() =>
  props.lot.tastings.map((t) => ({
    x: Number(((Date.parse(t.at) - Date.parse(props.window.bottledAt)) / MONTH_MS).toFixed(1)),
    y: t.rating
  }))
)
const series = unchanged(() => [{ name: 'Rating', data: points.value }])
const said = computed(() => points.value.map((p) => `${p.y} of 10 at ${p.x.toFixed(0)} months`).join(', '))
const options = computed<ApexOptions>(() => {
  const { skin, good, soft } = colours.value
  const { fromMonths, untilMonths, monthsIn } = props.window
  const xs = points.value.map((p) => p.x)
  return {
    ...base.value,
    chart: { ...base.value.chart!, height: 120 },
    colors: [skin],
    stroke: { width: 2.5, curve: 'straight' },
    markers: { size: 5, strokeWidth: 0 },
    xaxis: {
      type: 'numeric',
      min: Math.min(0, ...xs),
      max: Math.ceil((Math.max(untilMonths.mid, monthsIn) + 1) / 6) * 6,
      tickAmount: 6,
      labels: { formatter: (v) => Number(v).toFixed(0) },
      axisTicks: { show: false },
      tooltip: { enabled: false }
    },
    yaxis: { min: 0, max: 10, tickAmount: 2 },
    annotations: {
      xaxis: [
        { x: fromMonths, x2: untilMonths.mid, fillColor: good, opacity: 0.14, borderColor: good },
        { x: monthsIn, borderColor: soft, strokeDashArray: 2 }
      ]
    },
    tooltip: { enabled: false }
  }
})
</script>

<template>
  <figure>
    <div role="img" :aria-label="`Rating by months in the bottle: ${said}`">
      <AppChart :height="120" :options="options" :series="series" />
    </div>
    <figcaption class="soft small">Score out of ten, by months in the bottle. Green: likely to be good.</figcaption>
  </figure>
</template>
