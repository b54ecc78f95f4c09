<script setup lang="ts">
import { DAY_MS } from '~~/core/units'
import type { ApexOptions } from 'apexcharts'
import { escaped } from '~/wording/escaped'

/**
 * The one door to the charting library. It takes names for HTML, so they are escaped here; it asks formatters about points that are not
 * there, so those are answered here; and it writes into the data it is given, so it is given copies.
 */
const props = defineProps<{ type?: string, height: number | string, options: ApexOptions, series: readonly object[] }>()
const emit = defineEmits<{ loaded: [] }>()
const Chart = defineAsyncComponent(async () => {
  const chart = await import('vue3-apexcharts')
  setTimeout(() => emit('loaded'))
  return chart
})
type Format = (value: never, ...rest: never[]) => string
const sure = (format: unknown) =>
  typeof format === 'function'
    ? (...of: never[]) => (of[0] === undefined || of[0] === null ? '' : (format as Format)(...(of as [never])))
    : format
/** Every `formatter`, however deep; what is drawn is left as it is. */
function guarded(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(guarded)
  if (typeof value !== 'object' || value === null || Object.getPrototypeOf(value) !== Object.prototype) return value
  return Object.fromEntries(Object.entries(value).map(([key, inside]) => [key, key === 'formatter' ? sure(inside) : guarded(inside)]))
}
const options = computed(() => guarded(props.options) as ApexOptions)
const series = computed(() =>
  props.series.map((s: { name?: string, data?: unknown[] }) => ({
    ...s,
    ...(s.name !== undefined && { name: escaped(s.name) }),
    ...(s.data && { data: s.data.map((point) => (typeof point === 'object' ? { ...point } : point)) })
  }))
)
/** Years that an axis of days may hold: beyond that the library counts for minutes, and a clock was set wrong. */
const MOST_YEARS = 15
const YEAR_MS = 365.25 * DAY_MS
const years = computed(() => {
  const { xaxis } = props.options
  if (xaxis?.type !== 'datetime') return 0
  const drawn = props.series.flatMap((s) => ('data' in s && Array.isArray(s.data) ? s.data.map((p: { x?: number }) => p.x) : []))
  const at = [xaxis.min, xaxis.max, ...drawn].filter((x) => typeof x === 'number' && Number.isFinite(x)) as number[]
  return (Math.max(...at) - Math.min(...at)) / YEAR_MS
})
</script>

<template>
  <p v-if="years > MOST_YEARS" class="soft">
    The dates in this chart are {{ Math.round(years) }} years apart. Check this device’s clock and the dates of your entries.
  </p>
  <Chart v-else :type="type ?? 'line'" :height="height" :options="options" :series="series" aria-hidden="true" />
</template>
