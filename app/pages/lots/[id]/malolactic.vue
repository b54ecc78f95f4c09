<script setup lang="ts">
import { DAY_MS } from '~~/core/units'
import { TIMINGS } from '~~/core/malolactic'
import { isMust, isWine, type LotPlan } from '~~/core/ledger'
import { sayDayOf, sayWhen } from '~/wording/days'
import { MALOLACTIC } from '~/wording/plan'
import { DECISION, DECISION_REASON, HYDRATION, TIMING } from '~/wording/malolactic'
import { sayScore } from '~/wording/findings/malolactic'
import { useFormat } from '~/composables/useFormat'
import { useMalolactic } from '~/composables/useMalolactic'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/** A lot's malolactic, from wanted or not to its end and the sulphite after it. */
const cellar = useCellarStore()
const route = useRoute()
const now = useNow()
const f = useFormat()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const bench = lot.value && useMalolactic(() => lot.value!)
const TITLE = {
  'to-come': 'Malolactic has not started',
  'under-way': 'Malolactic is under way',
  'nearly': 'Malolactic has nearly finished',
  'done': 'Malolactic has finished',
  'not-wanted': 'No malolactic'
} as const
const wants = computed(() => lot.value && lot.value.plan.malolactic)
const wish = computed<LotPlan['malolactic']>({ get: () => wants.value ?? 'none', set: (to) => void bench?.plan(to) })
const timings = TIMINGS.map((value) => ({ value, ...TIMING[value] }))
const working = computed(() => lot.value !== undefined && ['under-way', 'nearly'].includes(lot.value.malolactic))
/** What has not been sulphited since its end. */
const open = computed(
  () => bench?.endedAt.value !== undefined && !(lot.value!.lastSulphiteAt !== undefined && lot.value!.lastSulphiteAt > bench.endedAt.value)
)
const inDays = computed(() => {
  const c = bench?.course.value
  const left = (days: number) => Math.max(0, days - c!.days)
  return c && { low: left(c.endDays.low), mid: left(c.endDays.mid), high: left(c.endDays.high) }
})
/** No clock time: a forecast of weeks has none. */
const dayIn = (days: number) =>
  (days < 1 ? 'today' : sayDayOf(Date.parse(now.value) + days * DAY_MS))
const likely = computed(() => {
  const d = inDays.value
  if (!d) return ''
  return d.high < 2 ? 'any day now' : d.mid < 1 ? `any day now, by ${dayIn(d.high)} at the latest` : `${dayIn(d.low)} to ${dayIn(d.high)}`
})
useHead({ title: () => `Malolactic, ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <p v-if="!lot || !bench">This cellar has no such lot. <NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  <div v-else class="beside">
    <section class="grid gap-7 content-start">
      <div>
        <p class="soft"><NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink></p>
        <h1>{{ TITLE[lot.malolactic] }}</h1>
        <p v-if="working && lot.bacteriaAt" class="soft">The bacteria went in {{ sayWhen(lot.bacteriaAt, now) }}.</p>
        <p v-if="inDays && working" class="mt-2">
          <span class="figure when">Likely to finish {{ likely }}</span>
          <span class="soft block">Malic acid now about {{ bench.course.value!.malicNow.mid.toFixed(1) }} g/L, forecast.</span>
        </p>
        <p v-if="bench.endedAt.value" class="soft">Found to have finished {{ sayWhen(bench.endedAt.value, now) }}.</p>
      </div>

      <FindingNote v-if="open && lot.plan.sulphite !== 'none'" tone="ask">
        <b>Add sulphite within a few days.</b>
        <template v-if="lot.ph"> Its pH is {{ lot.ph.origin === 'measured' ? '' : 'about ' }}{{ lot.ph.value.toFixed(2) }} now{{
          lot.ph.origin === 'measured' ? '.' : ', by the acid model. Measure it, because the dose depends on it.'
        }}</template>
        <span class="ways mt-2">
          <UButton :to="`/bench/measure?lot=${lot.id}`" size="lg" variant="outline">Measure pH</UButton>
          <UButton :to="`/bench/sulphite?lot=${lot.id}`" size="lg">Work out the dose</UButton>
        </span>
      </FindingNote>

      <section v-if="working" class="grid gap-3">
        <h2>Look and test</h2>
        <MalicLooks :bench="bench" />
      </section>
      <section v-if="working && bench.course.value && lot.bacteriaAt" class="grid gap-2">
        <h2>Forecast</h2>
        <MalicChart :course="bench.course.value" :bacteria-at="lot.bacteriaAt" />
        <p class="soft small">Malic acid, g/L. Four of five such wines fall in the band. Malolactic has finished at 0.1 g/L of malic
          acid.</p>
      </section>

      <section v-if="lot.malolactic === 'to-come' && bench.conditions.value" class="grid gap-3">
        <h2>The bacteria</h2>
        <p v-if="isMust(lot)" class="soft">Add them with the yeast or later, never to a must without yeast.</p>
        <template v-else>
          <SelectField v-if="bench.cultures.value.length > 1" v-model="bench.culture.value" label="Culture" :items="bench.cultures.value" />
          <WentIn
            label="Bacteria"
            material="bacteria"
            :grams="bench.grams.value"
            :saving="bench.saving.value"
            @log="(g) => bench!.pitched(g)"
          />
          <ol class="steps">
            <li v-for="h in HYDRATION" :key="h">{{ f.degrees(h) }}</li>
          </ol>
          <p class="soft small">
            1 g for 100 L is usual (common practice); follow the packet of your culture. You can use a larger packet whole: too many
            bacteria do no harm, too few do. Add your own cultures in Stores.
          </p>
        </template>
      </section>

      <section v-if="bench.conditions.value && lot.malolactic !== 'done' && lot.stream !== 'kit'" class="grid gap-2">
        <h2>
          Conditions for bacteria: {{ sayScore(bench.conditions.value.score) }}{{
            bench.conditions.value.taken.length ? ', as far as measured' : ''
          }}
        </h2>
        <MalolacticConditions :lot="lot" :found="bench.conditions.value" />
      </section>
      <p v-else-if="!lot.ph" class="soft">
        Measure the pH first. <NuxtLink :to="`/bench/measure?lot=${lot.id}`" class="textlink">Measure</NuxtLink>
      </p>

      <section v-if="wants === 'blocked' && isWine(lot)" class="grid gap-2">
        <h2>Blocked on purpose</h2>
        <p>Keep free SO₂ at 0.8 mg/L molecular, rack off the lees, keep it under {{ f.degrees('12 °C') }}, and filter before bottling.</p>
        <p class="soft">Any malic acid left is a risk: a warm bottle may start malolactic unless the wine was filtered to 0.45 µm.</p>
      </section>
    </section>
    <aside class="grid gap-5 content-start">
      <div class="grid gap-2">
        <h2>Do you want malolactic?</h2>
        <p><b>{{ DECISION[bench.decision.value.advice] }}.</b></p>
        <p v-for="r in bench.decision.value.because" :key="r" class="soft">{{ DECISION_REASON[r] }}</p>
        <SelectField v-if="lot.stream !== 'kit'" v-model="wish" label="Malolactic in this lot" :words="MALOLACTIC" />
      </div>
      <dl v-if="lot.malolactic === 'to-come'" class="when-in">
        <div v-for="t in timings" :key="t.value" :class="{ on: t.value === wants }">
          <dt>{{ t.label }}</dt>
          <dd class="soft small">{{ t.hint }}</dd>
        </div>
      </dl>
      <p v-if="working" class="soft small">No sulphite before it has finished: it may stop for good.</p>
    </aside>
  </div>
</template>

<style scoped>
.when {
  font-size: 1.35rem;
}
.steps {
  list-style: decimal;
  padding-left: 1.2rem;
  display: grid;
  gap: 6px;
}
.when-in > div {
  border-top: 1.5px solid var(--line);
  padding: 9px 10px;
}
.when-in .on {
  background: var(--skin-wash);
  border-radius: 6px;
}
.when-in dt {
  font-weight: 600;
}
</style>
