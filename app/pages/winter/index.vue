<script setup lang="ts">
import { daysBetween } from '~~/core/units'
import { CLARITY_SHORT } from '~/wording/looks'
import { MALOLACTIC_SHORT, sayRisk } from '~/wording/winter'
import { sayFarDayOf } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useWinter } from '~/composables/useWinter'
import { wineColour } from '~/composables/wineColour'

/** All wines in store over the winter: one line each, the one most at risk first. */
const { lines } = useWinter()
const now = useNow()
const f = useFormat()
const day = (at: string) => sayFarDayOf(at, now.value)
const ago = (at: string | undefined) => {
  if (!at) return undefined
  const days = Math.floor(daysBetween(at, now.value))
  return days < 1 ? 'today' : days < 14 ? `${days} d ago` : `${Math.round(days / 7)} weeks ago`
}
const whenDue = (due: string | undefined) => (due === undefined ? '' : due <= now.value ? 'due now' : `by ${day(due)}`)
/** Free SO₂ against the level it is kept at, as a share of twice that level. */
const share = (free: number, target: number) => Math.min(100, (100 * free) / (2 * target))
useHead({ title: 'Winter · Presk' })
</script>

<template>
  <div>
    <TodayTabs />
    <PageHead title="The winter" lead="All wines in store, the one most at risk first.">
      <UButton v-if="lines.length" to="/winter/sulphite" size="lg" variant="outline">The month’s sulphite round</UButton>
    </PageHead>
    <p v-if="lines.length === 0" class="soft">No wine in store yet. A lot appears here once its ferment is over.</p>
    <ul v-else class="rows">
      <li v-for="{ lot, sulphite, risks, airL, next } in lines" :key="lot.id">
        <NuxtLink :to="`/lots/${lot.id}`" class="name">
          <span class="swatch" :style="{ background: wineColour(lot) }" aria-hidden="true" />
          <span><b class="display">{{ lot.name }}</b><span class="soft small block">{{ f.words(f.volume(lot.volume.value)) }}{{
            airL >= 0.1 ? `, ${f.words(f.volume(airL))} of air` : ', full'
          }}</span></span>
        </NuxtLink>
        <div class="so2">
          <span class="label">Free SO₂</span>
          <template v-if="sulphite">
            <span class="figure big" :class="{ low: sulphite.freeMgPerL < sulphite.targetMgPerL - 2 }">{{
              sulphite.freeMgPerL.toFixed(0)
            }}</span>
            <span class="soft small">
              of {{ sulphite.targetMgPerL.toFixed(0) }} mg/L, {{ sulphite.measured ? 'measured' : 'estimated' }}
            </span>
            <span class="meter" aria-hidden="true">
              <span :style="{ width: `${share(sulphite.freeMgPerL, sulphite.targetMgPerL)}%` }" /><i />
            </span>
            <span v-if="sulphite.belowAt && sulphite.belowAt.mid > now" class="soft small block">
              low between {{ day(sulphite.belowAt.low) }} and {{ day(sulphite.belowAt.high) }}
            </span>
          </template>
          <span v-else class="soft">{{ lot.plan.sulphite === 'none' ? 'kept without' : 'not before its malolactic' }}</span>
        </div>
        <dl>
          <div><dt>Malolactic</dt><dd>{{ MALOLACTIC_SHORT[lot.malolactic] }}</dd></div>
          <div><dt>Clarity</dt><dd>{{ lot.clarity ? CLARITY_SHORT[lot.clarity.is] : 'not looked at' }}</dd></div>
          <div><dt>Racked</dt><dd>{{ ago(lot.rackedAt) ?? 'not yet' }}</dd></div>
        </dl>
        <div class="ask">
          <p v-for="r in risks" :key="r.code" class="risk"><UIcon name="i-lucide-circle-alert" /> {{ sayRisk(r, f) }}</p>
          <p v-if="next">
            <NuxtLink v-if="next.to" :to="next.to" class="textlink">{{ next.title }}</NuxtLink><b v-else>{{ next.title }}</b>
            <span class="soft small">{{ ` ${whenDue(next.due)}` }}</span>
          </p>
        </div>
      </li>
    </ul>
  </div>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(9rem, 1fr) minmax(11rem, 1.1fr) minmax(11rem, 1fr) minmax(12rem, 1.4fr);
  gap: 8px 28px;
  align-items: start;
  padding: 16px 0;
  border-top: 1.5px solid var(--line);
}
.name {
  display: grid;
  grid-template-columns: 10px minmax(0, 1fr);
  gap: 14px;
  min-height: 48px;
}
.name b {
  font-size: 1.3rem;
  overflow-wrap: anywhere;
}
.name:hover b {
  text-decoration: underline;
}
.label {
  display: none;
}
.big {
  font-size: 1.7rem;
  line-height: 1;
}
.low {
  color: var(--stop);
}
.meter {
  position: relative;
  display: block;
  height: 8px;
  margin: 6px 0 4px;
  border-radius: 4px;
  background: var(--wall);
}
.meter span {
  display: block;
  height: 100%;
  border-radius: 4px;
  background: var(--good);
}
.low ~ .meter span {
  background: var(--stop);
}
/* The level it is kept at. */
.meter i {
  position: absolute;
  left: 50%;
  top: -3px;
  bottom: -3px;
  width: 2px;
  background: var(--ink);
}
dl div {
  display: grid;
  grid-template-columns: 5.5rem minmax(0, 1fr);
  gap: 8px;
}
dt {
  color: var(--ink-soft);
}
.ask {
  display: grid;
  gap: 4px;
}
.risk {
  display: flex;
  gap: 8px;
  align-items: center;
  color: var(--stop);
  font-weight: 600;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .ask {
    grid-column: 1 / -1;
  }
  .name,
  .so2 {
    grid-column: auto;
  }
  dl {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    gap: 2px 20px;
  }
  dl div {
    display: flex;
    gap: 6px;
  }
}
</style>
