<script setup lang="ts">
import type { LotPlan } from '~~/core/ledger'
import { WENT_IN } from '~/benches/spec'
import { trialForm } from '~/benches/trial'
import { TRIED, TRIED_OWN, type Tried } from '~/wording/finishing'
import { OAK_READY, OAK_READY_HOW } from '~/wording/plan'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'
import { useCellarStore } from '~/stores/cellar'

/** A bench trial: rates into glasses by a stock solution, tasted blind, and the choice scaled to the lot. */
const { lot } = useLotFromAddress()
const f = useFormat()
const route = useRoute()
const cellar = useCellarStore()
const bench = useBench(trialForm, lot, () => {
  const asked = String(route.query.of ?? '')
  return asked in TRIED || cellar.state.cards.has(asked) ? asked : undefined
})
const { answer, choices, problem } = bench
const { ready, knows, mayGoOn } = bench.gate!
const card = computed(() => answer.value.card)
const about = computed(() => (choices.agent in TRIED ? TRIED[choices.agent as Tried] : TRIED_OWN))
const letter = (i: number) => String.fromCharCode(65 + i)
const rate = (n: number) => `${n} ${card.value.unit}/L`
const glasses = computed(() =>
  answer.value.glasses.map((g, i) => ({ value: String(g.rate), label: choices.blind ? `Glass ${letter(i)}` : rate(g.rate) }))
)
const chosen = computed({ get: () => choices.chosen, set: (is) => bench.set('chosen', is) })
/** What goes into each: millilitres of the stock, or grams of wood. */
const into = (g: { rate: number, stockMl: number, grams: number }) =>
  g.rate === 0 ? 'as it is' : answer.value.inJars ? `${g.grams.toFixed(2)} g` : `${g.stockMl.toFixed(g.stockMl < 1 ? 2 : 1)} mL`
const oakReady = ref<LotPlan['oakReady']>('straight')
watch(
  () => lot.value?.plan.oakReady,
  (is) => (oakReady.value = is ?? 'straight'),
  { immediate: true }
)
const READY = Object.entries(OAK_READY).map(([value, label]) => ({
  value: value as LotPlan['oakReady'],
  label: label.replace(/^./, (c) => c.toUpperCase())
}))
async function setReady(is: LotPlan['oakReady']) {
  oakReady.value = is
  if (lot.value && lot.value.plan.oakReady !== is) await cellar.log([{ type: 'lot-planned', lotId: lot.value.id, oakReady: is }])
}
/** What was typed before its gate was known to be shut goes in only knowingly. */
const submit = () => bench.log(mayGoOn.value ? WENT_IN : 'tried')
useHead({ title: 'Bench trial · Presk' })
</script>

<template>
  <BenchFrame title="Bench trial" :lot="lot" @submit="submit">
    <template #answer>
      <table v-if="answer.glasses.length" class="lines">
        <caption v-if="answer.inJars">
          Weighed into {{ bench.field('glassMl').text }} mL of wine each, in closed jars
        </caption>
        <caption v-else>
          Into {{ bench.field('glassMl').text }} mL of wine each, of a stock of {{ bench.field('stock').text }} {{ card.unit }} in a litre
        </caption>
        <tbody>
          <tr v-for="(g, i) in answer.glasses" :key="`${i}${g.rate}`">
            <th scope="row">
              <span class="ball figure" aria-hidden="true">{{ letter(i) }}</span> <span class="sr-only">Glass {{ letter(i) }}</span>
            </th>
            <td class="whitespace-nowrap">
              <b class="figure">{{ into(g) }}</b>
            </td>
            <td v-if="!choices.blind" class="soft whitespace-nowrap">{{ rate(g.rate) }}</td>
            <td v-if="!choices.blind && g.figures" class="soft">
              pH {{ g.figures.ph.toFixed(2) }}, TA {{ g.figures.taGPerL.toFixed(1) }} g/L<span
                v-if="g.figures.molecular !== undefined"
                class="block small"
              >{{ g.figures.molecular.toFixed(1) }} mg/L molecular SO₂</span
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="soft">
        {{ answer.inJars ? 'Enter how much wine is in each jar.' : 'Enter how much wine is in each glass, and the stock solution.' }}
      </p>
    </template>
    <template #inputs>
      <BenchFields :bench="bench" />
      <p class="wide soft">{{ about }}</p>
      <template v-if="answer.inJars">
        <SelectField class="wide" label="Prepared as" :items="READY" :model-value="oakReady" @update:model-value="setReady" />
        <p class="wide soft">{{ f.degrees(OAK_READY_HOW[oakReady]) }}</p>
      </template>
      <FindingNote v-if="card.allergen" tone="ask" class="wide">
        Allergen: {{ card.allergen }}. Name it on the label, and tell everyone who drinks the wine.
      </FindingNote>
      <p v-if="answer.isAcid && lot && !answer.glasses[0]?.figures" class="wide soft small">
        Enter its pH and TA to see what each glass comes to.
      </p>
    </template>
    <template #results>
      <BenchFields :bench="bench" part="tasted" />
      <SelectField v-model="chosen" label="Choice: the smallest dose that works" :items="glasses" placeholder="choose a glass" />
      <p v-if="lot && answer.grams !== undefined">
        <b class="figure">{{ card.unit === 'mL' ? `${answer.grams.toFixed(0)} mL` : f.words(f.powder(answer.grams)) }}</b> for
        {{ f.words(f.volume(lot.volume.value)) }}<template v-if="choices.blind">: you added {{ rate(answer.taken!) }}</template
        >.
      </p>
      <template v-if="lot">
        <GateBefore v-if="!ready" v-model="knows" :lot="lot" gate="fining" />
        <div class="wentin sheet">
          <h2>{{ mayGoOn ? 'Into the lot' : 'The trial alone' }}</h2>
          <BenchFields v-if="mayGoOn" :bench="bench" part="went-in" />
          <p v-if="problem" role="alert" class="text-(--alarm)">{{ problem }}</p>
          <div class="go"><span /><UButton type="submit" size="xl">Log it</UButton></div>
        </div>
      </template>
      <p v-if="answer.isAcid" class="soft small">
        pH and TA come from the acid model and this wine’s readings. Measure again after the addition. Usual doses: common practice.
      </p>
      <CautionNote :code="answer.isAcid ? 'limits' : 'allergens'" />
    </template>
  </BenchFrame>
</template>
