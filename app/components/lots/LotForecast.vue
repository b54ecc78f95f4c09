<script setup lang="ts">
import { hoursBetween } from '~~/core/units'
import { goneShare } from '~~/core/stages'
import type { LotView } from '~~/core/ledger'
import { sayHours, sayIn } from '~/wording/forecast'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { wineColour } from '~/composables/wineColour'
import { useForecastsStore } from '~/stores/forecasts'

/** Where a ferment is going: the next marks on its way, each with its band. */
const props = defineProps<{ lot: LotView }>()
const forecasts = useForecastsStore()
forecasts.hurry()
const now = useNow()
const f = useFormat()
const known = computed(() => forecasts.known.get(props.lot.id))
const marks = computed(() => {
  const k = known.value
  if (!k) return []
  const { oneThirdGone, twoThirdsGone, dry } = k.forecast
  const nowH = hoursBetween(k.startAt, now.value)
  return [
    { label: 'A third gone', band: oneThirdGone },
    { label: 'Two thirds gone', band: twoThirdsGone },
    { label: 'Dry', band: dry }
  ].flatMap(({ label, band }) => (band && band.midHours > nowH - 24 ? [{ label, when: sayIn(band, nowH, k.startAt) }] : []))
})
const gone = computed(() => Math.round(goneShare(props.lot, known.value) * 100))
const sweet = computed(() => {
  const p = known.value?.forecast.stopsSweet ?? 0
  return p < 0.05 ? undefined : Math.round(p * 10) / 10
})
const end = computed(() => known.value?.forecast.endSg)
</script>

<template>
  <section v-if="known" class="going">
    <h2 class="mb-2">Forecast</h2>
    <div class="bar" aria-hidden="true"><span :style="{ width: `${gone}%`, background: wineColour(lot) }" /></div>
    <p class="small soft">{{ gone }} % of the sugar has fermented, by the last gravity.</p>
    <dl>
      <div v-for="m in marks" :key="m.label">
        <dt>{{ m.label }}</dt>
        <dd>
          <b class="figure">{{ m.when.mid }}</b> <span class="soft small">{{ m.when.band }}</span>
        </dd>
      </div>
      <div v-if="end">
        <dt>Final gravity</dt>
        <dd>
          <b class="figure">{{ f.gravity(end.mid).text }}</b>
          <span class="soft small">{{ end.low.toFixed(3) }} to {{ end.high.toFixed(3) }}</span>
        </dd>
      </div>
    </dl>
    <p v-if="sweet !== undefined" class="small soft">
      It will stop with sugar left {{ sweet >= 0.95 ? 'almost surely' : `about ${Math.max(1, Math.round(sweet * 10))} times in 10` }}.
    </p>
    <p class="small soft">Forecast from {{ sayHours(lot.series.sg?.length ?? 0) }}; the bands hold in four cases of five.
      <NuxtLink to="/lots/score" class="textlink">How good were they here?</NuxtLink></p>
  </section>
</template>

<style scoped>
.bar {
  height: 10px;
  border-radius: 5px;
  background: var(--wall);
  overflow: hidden;
}
.bar span {
  display: block;
  height: 100%;
}
dl {
  margin: 8px 0 6px;
}
dl > div {
  display: grid;
  grid-template-columns: 8.5rem minmax(0, 1fr);
  gap: 4px 12px;
  padding: 7px 0;
  border-top: 1.5px solid var(--line);
}
dd b {
  font-size: 1.15rem;
  margin-right: 6px;
}
</style>
