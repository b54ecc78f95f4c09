<script setup lang="ts">
import { sayClock, sayDayOf, sayPoint } from '~/wording/days'
import { clockMs } from '~/data/clock'
import type { ApexOptions } from 'apexcharts'
import type { LotView } from '~~/core/ledger'
import { fromCelsius, DAY_MS, HOUR_MS } from '~~/core/units'
import { axisAround, useChartClothes } from '~/composables/useChartClothes'
import { counted } from '~/wording/count'
import { escaped } from '~/wording/escaped'
import { useCurves } from '~/composables/useCurves'
import { useFormat } from '~/composables/useFormat'
import { useSettingsStore } from '~/stores/settings'

/** Gravity with its forecast above, temperature with its band below; what was done is marked along the foot. */
const props = defineProps<{ lot: LotView }>()
const emit = defineEmits<{ entry: [id: string] }>()

/** The first chart is drawn: the second comes in a task of its own. */
const firstStands = ref(false)
const settings = useSettingsStore()
const f = useFormat()
const scale = ref<'SG' | '°Brix'>('SG')
const curves = useCurves(() => props.lot, () => scale.value)
const { base, colours, mode } = useChartClothes()
const lotId = computed(() => props.lot.id)
const degrees = (celsius: number) => fromCelsius(celsius, settings.values.temperature)
const decimals = computed(() => (scale.value === 'SG' ? 3 : 1))

const gravityAxis = computed(() => {
  const { gravity, ahead } = curves
  const values = [...gravity.value.map((p) => p.y), ...ahead.value.flatMap((p) => [p.low, p.high])]
  return axisAround(values, scale.value === 'SG' ? [0.005, 0.01, 0.02, 0.05] : [1, 2, 5, 10]) as { min?: number, max?: number }
})
const WORDS = { band: 'expected, four cases of five', mid: 'expected', measured: 'measured', done: 'done' }
const gravitySeries = computed(() => {
  const { ahead, gravity, marks } = curves
  const foot = (gravityAxis.value.min ?? 0) + ((gravityAxis.value.max ?? 1) - (gravityAxis.value.min ?? 0)) * 0.035
  return [
    { type: 'rangeArea', name: WORDS.band, data: ahead.value.map((p) => ({ x: p.x, y: [p.low, p.high] })) },
    { type: 'line', name: WORDS.mid, data: ahead.value.map((p) => ({ x: p.x, y: p.mid })) },
    { type: 'line', name: WORDS.measured, data: gravity.value.map((p) => ({ x: p.x, y: p.y })) },
    { type: 'scatter', name: WORDS.done, data: marks.value.map((m) => ({ x: m.x, y: foot })) }
  ]
})
const timeAxis = computed(() => ({
  type: 'datetime' as const,
  ...curves.days.value,
  labels: { datetimeUTC: false, format: 'd MMM', hideOverlappingLabels: true },
  axisTicks: { show: false },
  tooltip: { enabled: false }
}))
/** A point leads to its entry in the ledger. */
const open = (seriesIndex: number, index: number) => {
  const id = seriesIndex === 2 ? curves.gravity.value[index]?.entryId : seriesIndex === 3 ? curves.marks.value[index]?.entryId : undefined
  if (id) emit('entry', id)
}
interface At { seriesIndex: number, dataPointIndex: number }
const tip = (seriesIndex: number, index: number): string => {
  const { gravity, marks, ahead } = curves
  const at = sayPoint
  if (seriesIndex === 3) return `<b>${at(marks.value[index]!.x)}</b><br>${escaped(marks.value[index]!.text)}`
  const p = gravity.value[index]
  if (seriesIndex === 2 && p) return `<b>${at(p.x)}</b><br>${p.y.toFixed(decimals.value)} measured${p.doubtful ? ', doubtful' : ''}`
  const e = ahead.value[index]
  const n = (y: number) => y.toFixed(decimals.value)
  return e ? `<b>${at(e.x)}</b><br>${n(e.mid)} expected<br>${n(e.low)} to ${n(e.high)}` : ''
}
const gravityOptions = computed<ApexOptions>(() => {
  const c = colours.value
  return {
    ...base.value,
    chart: {
      ...base.value.chart,
      id: `gravity-${lotId.value}`,
      events: { markerClick: (_e: unknown, _c: unknown, o?: At) => o && open(o.seriesIndex, o.dataPointIndex) }
    },
    colors: [c.skin, c.skin, c.skin, c.caution],
    fill: { opacity: [mode.value === 'dark' ? 0.28 : 0.16, 1, 1, 1] },
    stroke: { width: [0, 2, 3, 0], dashArray: [0, 6, 0, 0], curve: 'straight' },
    markers: {
      size: [0, 0, 6, 6],
      strokeWidth: 0,
      shape: ['circle', 'circle', 'circle', 'triangle'] as never,
      discrete: curves.gravity.value.flatMap((p, i) =>
        p.doubtful ? [{ seriesIndex: 2, dataPointIndex: i, fillColor: 'transparent', strokeColor: c.caution, size: 7 }] : []
      )
    },
    xaxis: timeAxis.value,
    yaxis: { ...gravityAxis.value, labels: { minWidth: 44, formatter: (v: number) => v.toFixed(decimals.value) } },
    annotations: { xaxis: [{ x: clockMs(), borderColor: c.ink, strokeDashArray: 2 }] },
    tooltip: {
      shared: false,
      intersect: true,
      custom: ({ seriesIndex, dataPointIndex }: At) =>
        `<div style="padding:8px 12px;max-width:260px;white-space:normal">${tip(seriesIndex, dataPointIndex)}</div>`
    }
  } as ApexOptions
})
const warm = computed(() => curves.temperature.value.map((p) => ({ x: p.x, y: degrees(p.y) })))
const warmSeries = computed(() => [{ name: 'Temperature', data: warm.value }])
const warmOptions = computed<ApexOptions>(() => {
  const c = colours.value
  const { min, max } = curves.band.value
  const values = [...warm.value.map((p) => p.y), degrees(min), degrees(max)]
  return {
    ...base.value,
    chart: { ...base.value.chart, id: `warmth-${lotId.value}` },
    colors: [c.ink],
    stroke: { width: 2, curve: 'straight' },
    markers: { size: 4, strokeWidth: 0 },
    xaxis: timeAxis.value,
    yaxis: { ...axisAround(values, [2, 5, 10, 20], 4), labels: { minWidth: 44, formatter: (v: number) => v.toFixed(0) } },
    annotations: {
      yaxis: [{ y: degrees(min), y2: degrees(max), fillColor: c.good, opacity: 0.16, borderColor: 'transparent' }],
      xaxis: [{ x: clockMs(), borderColor: c.ink, strokeDashArray: 2 }]
    },
    tooltip: {
      x: { format: 'd MMM, HH:mm' },
      y: { formatter: (v: number) => `${v.toFixed(1)} ${settings.values.temperature}`, title: { formatter: () => '' } }
    }
  }
})
/** The same in words, for those who do not see the curve. */
const words = computed(() => {
  const all = curves.gravity.value
  if (all.length === 0) return 'No gravity yet.'
  const days = Math.max(1, Math.round((all.at(-1)!.x - all[0]!.x) / DAY_MS))
  return `${all[0]!.y.toFixed(decimals.value)} to ${all.at(-1)!.y.toFixed(decimals.value)} in ${counted(days, 'day')}, `
    + `${counted(all.length, 'reading')}.`
})
/** The same in rows: what was measured, and what is expected at the next looks. */
const rows = computed(() => {
  const at = (x: number) => `${sayDayOf(x)}, ${sayClock(x)}`
  const near = (x: number) => curves.temperature.value.find((p) => Math.abs(p.x - x) < HOUR_MS)
  const now = clockMs()
  return [
    ...curves.gravity.value.map((p) => ({
      when: at(p.x),
      gravity: p.y.toFixed(decimals.value),
      temperature: near(p.x) ? f.words(f.temperature(near(p.x)!.y)) : '',
      origin: p.doubtful ? 'measured, doubtful' : 'measured'
    })),
    ...curves.ahead.value
      .filter((p) => p.x > now)
      .slice(0, 8)
      .map((p) => ({
        when: at(p.x),
        gravity: `${p.mid.toFixed(decimals.value)} (${p.low.toFixed(decimals.value)} to ${p.high.toFixed(decimals.value)})`,
        temperature: '',
        origin: 'forecast'
      }))
  ]
})
</script>

<template>
  <figure class="curves">
    <figcaption>
      <h2>Curves</h2>
      <span class="soft small">{{ words }}</span>
      <UButton variant="link" class="px-0 ml-auto" @click="scale = scale === 'SG' ? '°Brix' : 'SG'">
        {{ scale === 'SG' ? 'Show °Brix' : 'Show gravity' }}
      </UButton>
    </figcaption>
    <ul class="key small soft" aria-hidden="true">
      <li><i class="dot" /> measured</li>
      <li v-if="curves.ahead.value.length"><i class="dash" /> expected, with its band</li>
      <li v-if="curves.marks.value.length"><i class="tri" /> added or done</li>
    </ul>
    <div role="img" :aria-label="`${scale === 'SG' ? 'Gravity' : '°Brix'}: ${words}`">
      <AppChart
        :key="`g${mode.value}${scale}`"
        :height="260"
        :options="gravityOptions"
        :series="gravitySeries"
        @loaded="firstStands = true"
      />
    </div>
    <template v-if="warm.length">
      <p class="small soft mt-1">Temperature, {{ settings.values.temperature }}, with the recommended band</p>
      <div role="img" :aria-label="`Temperature, ${warm.length} readings`" class="roomy">
        <AppChart v-if="firstStands" :key="`w${mode.value}`" :height="140" :options="warmOptions" :series="warmSeries" />
      </div>
    </template>
    <FoldOut label="Show as a table">
      <table class="columns">
        <thead>
          <tr><th>When</th><th>{{ scale === 'SG' ? 'Gravity' : '°Brix' }}</th><th>Temperature</th><th>From</th></tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in rows" :key="i">
            <td>{{ r.when }}</td>
            <td>{{ r.gravity }}</td>
            <td>{{ r.temperature }}</td>
            <td>{{ r.origin }}</td>
          </tr>
        </tbody>
      </table>
    </FoldOut>
  </figure>
</template>

<style scoped>
/* As high as its chart will be, which comes later. */
.roomy {
  min-height: 155px;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
}
.curves {
  min-height: 300px;
  min-width: 0;
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 4px 0 2px;
}
.key li {
  display: flex;
  align-items: center;
  gap: 7px;
}
.dot {
  width: 11px;
  height: 11px;
  border-radius: 50%;
  background: var(--skin);
}
.dash {
  width: 22px;
  height: 12px;
  background: color-mix(in srgb, var(--skin) 18%, transparent);
  border-top: 2.5px dashed var(--skin);
}
.tri {
  border: 6px solid transparent;
  border-bottom: 10px solid var(--caution);
  border-top: 0;
}
table {
  width: 100%;
  font-size: 0.92rem;
}
th,
td {
  text-align: left;
  padding: 5px 10px 5px 0;
  border-top: 1.5px solid var(--line);
}
</style>
