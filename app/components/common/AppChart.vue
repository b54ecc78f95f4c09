<script setup lang="ts">
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
</script>

<template>
  <Chart :type="type ?? 'line'" :height="height" :options="options" :series="series" aria-hidden="true" />
</template>
