<script setup lang="ts">
import { DAY_MS } from '~~/core/units'
import type { ApexOptions } from 'apexcharts'
import { type LotView, keptAt, molecularOf, usedPh } from '~~/core/ledger'
import { TOLD_WITHIN, freeSo2Ahead } from '~~/core/sulphite'
import { sayFarDayOf } from '~/wording/days'
import { unchanged } from '~/composables/unchanged'
import { axisAround, useChartClothes } from '~/composables/useChartClothes'
import { useNow } from '~/composables/useNow'

/** How a wine keeps its sulphite: molecular level over time by its own readings, the level wanted, and when it falls below. */
const props = defineProps<{ lot: LotView }>()
const { base, colours } = useChartClothes()
const now = useNow()
/** Worked out anew for every entry, and mostly the same. */
const upkeep = unchanged(() => props.lot.upkeep)
const ph = computed(() => usedPh(props.lot).value)
const mol = (free: number) => Number(molecularOf(free, ph.value).toFixed(3))
const wanted = computed(() => mol(keptAt(props.lot)))
const series = unchanged(() => {
  const u = upkeep.value
  if (!u) return []
  const at = (days: number) => Date.parse(u.from) + days * DAY_MS
  const first = Math.floor(u.now.days)
  const ahead = Array.from({ length: 10 }, (_, i) => first + i * 10)
  const bands = freeSo2Ahead(u, ahead)
  return [
    { type: 'rangeArea', name: 'four of five', data: bands.map((b, i) => ({ x: at(ahead[i]!), y: [mol(b.low), mol(b.high)] })) },
    { type: 'line', name: 'expected', data: bands.map((b, i) => ({ x: at(ahead[i]!), y: mol(b.mid) })) },
    { type: 'scatter', name: 'read', data: u.readings.map((r) => ({ x: Math.round(at(r.days)), y: mol(r.freeMgPerL) })) }
  ]
})
const options = computed<ApexOptions>(() => {
  const { ink, skin, good, soft } = colours.value
  const all = series.value.flatMap((s) => s.data.flatMap((p) => p.y))
  const xs = series.value.flatMap((s) => s.data.map((p) => p.x))
  const scale = axisAround([0, wanted.value * 1.3, ...all], [0.1, 0.2, 0.5, 1], 5) as { min?: number, max?: number }
  return {
    ...base.value,
    chart: { ...base.value.chart!, height: 190 },
    colors: [skin, skin, ink],
    fill: { opacity: [0.16, 1, 1] },
    stroke: { width: [0, 2.5, 0], dashArray: [0, 5, 0], curve: 'straight' },
    markers: { size: [0, 0, 6], strokeWidth: 0 },
    xaxis: {
      type: 'datetime',
      min: Math.min(...xs) - 2 * DAY_MS,
      max: Math.max(...xs),
      labels: { datetimeUTC: false, datetimeFormatter: { day: 'd MMM', month: 'd MMM' } },
      axisTicks: { show: false },
      tooltip: { enabled: false }
    },
    yaxis: { ...scale, labels: { formatter: (v) => v.toFixed(1) } },
    annotations: {
      yaxis: [{ y: wanted.value, y2: scale.max ?? 2, fillColor: good, opacity: 0.14, borderColor: good }],
      xaxis: [{ x: Date.parse(now.value.slice(0, 13) + ':00:00.000Z'), borderColor: soft, strokeDashArray: 2 }]
    },
    tooltip: { enabled: false }
  }
})
const day = (at: string) => sayFarDayOf(at, now.value)
const said = computed(() => {
  const u = upkeep.value
  if (!u) return ''
  if (u.now.below) return `It is ${keptAt(props.lot) - u.now.free.mid > TOLD_WITHIN ? 'below' : 'about at'} its level now.`
  if (!u.belowAt) return 'It stays above its level for as long as Presk can forecast.'
  return `It will fall below its level between ${day(u.belowAt.low)} and ${day(u.belowAt.high)}.`
})
const percent = (share: number) => `${(share * 100).toFixed(0)} %`
const perMonth = (k: number) => percent(1 - Math.exp(-k * 30))
</script>

<template>
  <section v-if="upkeep" class="upkeep">
    <h2 class="mb-1">Sulphite over time</h2>
    <p>{{ said }}</p>
    <div role="img" :aria-label="`Molecular SO₂ over time, mg/L: ${upkeep.readings.length} readings; ${said}`">
      <AppChart :height="190" :options="options" :series="series" />
    </div>
    <p class="soft small">
      Molecular SO₂, mg/L; green is at or above its level. It loses {{ perMonth(upkeep.decayPerDay.mid) }} in a month
      ({{ perMonth(upkeep.decayPerDay.low) }} to {{ perMonth(upkeep.decayPerDay.high) }}), and {{ percent(upkeep.boundShare.mid) }} of a
      dose binds ({{ percent(upkeep.boundShare.low) }} to {{ percent(upkeep.boundShare.high) }}): learned from
      {{ upkeep.readings.length === 1 ? 'one reading' : `${upkeep.readings.length} readings` }} and usual values.
    </p>
  </section>
</template>
