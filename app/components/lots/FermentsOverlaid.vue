<script setup lang="ts">
import { DAY_MS, daysBetween } from '~~/core/units'
import type { ApexOptions } from 'apexcharts'
import type { LotView } from '~~/core/ledger'
import { fermentStart } from '~~/core/stages'
import { axisAround, useChartClothes } from '~/composables/useChartClothes'

/** Ferments laid over each other by their day; those without two readings are left out. */
const props = defineProps<{ lots: readonly LotView[] }>()
const { base, colours, mode } = useChartClothes()
const shown = computed(() =>
  props.lots.flatMap((lot) => {
    const start = fermentStart(lot)
    const points = (lot.series.sg ?? [])
      .filter((p) => start && Date.parse(p.at) > Date.parse(start) - 3 * DAY_MS)
      .map((p) => ({ x: daysBetween(start!, p.at), y: p.value }))
    return start && points.length > 1 ? [{ lot, points }] : []
  })
)
const DASH = [0, 7, 2, 12, 4, 9]
const series = computed(() => shown.value.map((s) => ({ name: s.lot.name, data: s.points })))
const xs = computed(() => shown.value.flatMap((s) => s.points.map((p) => p.x)))
/** More points than these lie so close that each only thickens the line, and each is a mark to be drawn. */
const MOST_MARKED = 240
const before = computed(() => Math.max(0, Math.ceil(-Math.min(0, ...xs.value))))
/** Whole days to either side; many of them by twos, so that each mark is a day. */
const after = computed(() => {
  const last = Math.max(1, Math.ceil(Math.max(...xs.value)))
  const [all, step] = [last + before.value, Math.ceil((last + before.value) / 12)]
  return last + ((step - (all % step)) % step)
})
const options = computed<ApexOptions>(() => {
  const c = colours.value
  const hues = [c.skin, c.ink, c.caution, c.good, c.strong, c.soft]
  return {
    ...base.value,
    colors: shown.value.map((_, i) => hues[i % hues.length]!),
    stroke: { width: 3, curve: 'straight', dashArray: shown.value.map((_, i) => DASH[i % DASH.length]!) },
    markers: { size: xs.value.length > MOST_MARKED ? 0 : 4, strokeWidth: 0 },
    legend: { show: true, position: 'top', horizontalAlign: 'left', fontSize: '15px', labels: { colors: c.ink } },
    xaxis: {
      type: 'numeric',
      min: 0 - before.value,
      max: after.value,
      tickAmount: (after.value + before.value) / Math.ceil((after.value + before.value) / 12),
      title: { text: 'Days since the yeast' },
      labels: { formatter: (v: string) => Number(v).toFixed(0) },
      tooltip: { enabled: false }
    },
    yaxis: {
      ...axisAround(shown.value.flatMap((s) => s.points.map((p) => p.y)), [0.01, 0.02, 0.05], 8),
      labels: { formatter: (v: number) => v.toFixed(3) }
    },
    tooltip: { shared: false, x: { formatter: (v: number) => `day ${v.toFixed(1)}` }, y: { formatter: (v: number) => v.toFixed(3) } }
  }
})
/** For those who do not see the curves: where each was, day by day. */
const days = computed(() => {
  const last = Math.ceil(Math.max(0, ...shown.value.flatMap((s) => s.points.map((p) => p.x))))
  return Array.from({ length: Math.min(40, last + 1) }, (_, day) => ({
    day,
    at: shown.value.map((s) => s.points.findLast((p) => Math.floor(p.x) === day)?.y.toFixed(3) ?? '')
  })).filter((d) => d.at.some(Boolean))
})
</script>

<template>
  <div v-if="shown.length" class="grid gap-4 [&>*]:min-w-0">
    <div role="img" :aria-label="`Gravity by day after the yeast: ${shown.map((s) => s.lot.name).join(', ')}`">
      <AppChart :key="mode.value + shown.map((s) => s.lot.id).join()" :height="420" :options="options" :series="series" />
    </div>
    <FoldOut label="Show as a table">
      <table class="columns">
        <thead>
          <tr><th>Day</th><th v-for="s in shown" :key="s.lot.id">{{ s.lot.name }}</th></tr>
        </thead>
        <tbody>
          <tr v-for="d in days" :key="d.day"><td>{{ d.day }}</td><td v-for="(v, i) in d.at" :key="i">{{ v }}</td></tr>
        </tbody>
      </table>
    </FoldOut>
  </div>
</template>

<style scoped>
th,
td {
  text-align: left;
  padding: 4px 22px 4px 0;
}
</style>
