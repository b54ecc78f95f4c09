<script setup lang="ts">
import { DAY_MS } from '~~/core/units'
import type { ApexOptions } from 'apexcharts'
import type { LotCourse } from '~~/core/stages'
import { useChartClothes } from '~/composables/useChartClothes'

/** Malic acid since the bacteria: what was read, and the course that is expected, with its band. */
const props = defineProps<{ course: LotCourse, bacteriaAt: string }>()
const { base, colours } = useChartClothes()
const at = (days: number) => Date.parse(props.bacteriaAt) + days * DAY_MS
const lasts = computed(() => Math.max(14, props.course.endDays.high + 7, ...props.course.readings.map((r) => r.days)))
const steps = computed(() => Array.from({ length: 25 }, (_, i) => (lasts.value * i) / 24))
const series = computed(() => {
  const course = steps.value.map((d) => ({ d, band: props.course.at(d) }))
  const two = (v: number) => Number(v.toFixed(2))
  return [
    {
      type: 'rangeArea',
      name: 'four of five such wines',
      data: course.map(({ d, band }) => ({ x: at(d), y: [two(band.low), two(band.high)] }))
    },
    { type: 'line', name: 'expected', data: course.map(({ d, band }) => ({ x: at(d), y: two(band.mid) })) },
    { type: 'scatter', name: 'read', data: props.course.readings.map((r) => ({ x: at(r.days), y: r.malicGPerL })) }
  ]
})
const top = computed(() => Math.max(1, Math.ceil(Math.max(props.course.at(0).high, ...props.course.readings.map((r) => r.malicGPerL)))))
const options = computed<ApexOptions>(() => {
  const { ink, skin, good, soft } = colours.value
  return {
    ...base.value,
    chart: { ...base.value.chart!, height: 230 },
    colors: [skin, skin, ink],
    fill: { opacity: [0.16, 1, 1] },
    stroke: { width: [0, 2.5, 0], dashArray: [0, 5, 0], curve: 'smooth' },
    markers: { size: [0, 0, 6], strokeWidth: 0 },
    xaxis: {
      type: 'datetime',
      min: at(0),
      max: at(lasts.value),
      labels: { datetimeUTC: false, datetimeFormatter: { day: 'd MMM', month: 'd MMM' } },
      axisTicks: { show: false },
      tooltip: { enabled: false }
    },
    yaxis: { min: 0, max: top.value, tickAmount: top.value > 2 ? top.value : top.value * 2, labels: { formatter: (v) => v.toFixed(1) } },
    annotations: {
      yaxis: [{ y: 0, y2: 0.1, fillColor: good, opacity: 0.25, borderColor: good }],
      xaxis: [{ x: at(props.course.days), borderColor: soft, strokeDashArray: 2 }]
    },
    tooltip: { enabled: false }
  }
})
const said = computed(
  () =>
    `Malic acid in g/L: ${props.course.readings.length} readings; today about ${props.course.malicNow.mid.toFixed(1)}, expected at 0.1 `
      + `after ${Math.round(props.course.endDays.low)} to ${Math.round(props.course.endDays.high)} days`
)
</script>

<template>
  <div role="img" :aria-label="said">
    <AppChart :height="230" :options="options" :series="series" />
  </div>
</template>
