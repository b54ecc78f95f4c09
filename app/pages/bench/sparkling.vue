<script setup lang="ts">
import { sparklingForm } from '~/benches/sparkling'
import { AFTERWARDS, sayPriming } from '~/wording/finishing'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'

/** Sparkling on purpose: sugar for a pressure, with all that makes gas counted, and a bottle that holds it. */
const { lot } = useLotFromAddress()
const f = useFormat()
const bench = useBench(sparklingForm, lot)
const { values } = bench
const { ready, knows, mayGoOn } = bench.gate!
const sugar = computed(() => bench.answer.value.sugar)
useHead({ title: 'Sparkling · Presk' })
</script>

<template>
  <BenchFrame title="Sparkling wine" :lot="lot" @submit="bench.log">
    <template #answer>
      <template v-if="sugar">
        <FigureNumber
          v-if="sugar.allowed"
          label="Household sugar in all"
          :shown="f.powder(sugar.grams)"
          origin="worked out"
          size="hero"
        />
        <p v-if="sugar.allowed" class="soft">
          {{ sugar.sugarGPerL.toFixed(1) }} g per litre. Dissolve it in some of the wine and stir it in evenly. Alcohol rises by
          {{ sugar.abvAdded.toFixed(1) }} % vol.
        </p>
        <FindingNote v-for="x in sugar.findings" :key="x.code" :tone="sayPriming(x).tone">{{
          f.degrees(sayPriming(x).text)
        }}</FindingNote>
      </template>
      <p v-else class="soft">Enter the wine and the bottle to get the sugar, and whether the bottle holds the pressure.</p>
      <p v-if="bench.worth.value" class="soft">{{ bench.worth.value }}</p>
    </template>
    <template #inputs><BenchFields :bench="bench" /></template>
    <template #results>
      <template v-if="sugar">
        <table class="lines">
          <caption>
            Pressure in the finished bottle
          </caption>
          <tbody>
            <tr v-for="b in sugar.barAt" :key="b.celsius">
              <th scope="row">at {{ f.words(f.temperature(b.celsius)) }}</th>
              <td>
                <b class="figure">{{ f.pressure(b.bar).text }}</b> {{ f.pressure(b.bar).unit }}
              </td>
            </tr>
          </tbody>
        </table>
        <WorkingNote
          :steps="[
            {
              what: 'Gas wanted',
              formula: `(${values.target} + 1.01 − 0.8) bar × what a litre takes up`,
              result: `at ${f.words(f.temperature(values.served!))}`,
            },
            {
              what: 'Gas from the sugar',
              formula: '0.514 g for a gram of household sugar, 0.489 for one that is left',
              result: 'stoichiometry',
            },
          ]"
          source="solubility after Agabaliantz’s table, from memory; room under the closure 2.5 %; the nitrogen closed in counts 0.8 bar"
        />
        <CautionNote code="pressure" />
        <template v-if="lot && sugar.allowed">
          <GateBefore v-if="!ready" v-model="knows" :lot="lot" gate="bottling-sparkling" />
          <div v-if="mayGoOn" class="wentin sheet">
            <h2>Amount added</h2>
            <BenchFields :bench="bench" part="went-in" />
            <p v-if="bench.problem.value" role="alert" class="text-(--alarm)">{{ bench.problem.value }}</p>
            <div class="go">
              <UButton variant="link" @click="bench.take({ actual: sugar.grams })">Exactly as planned</UButton>
              <UButton type="submit" size="xl">Log it</UButton>
            </div>
          </div>
        </template>
        <p class="soft small">{{ f.degrees(AFTERWARDS) }}</p>
      </template>
    </template>
  </BenchFrame>
</template>
