<script setup lang="ts">
import { AFTERWARDS, sayPriming } from '~/wording/finishing'

/** Sparkling on purpose: sugar for a pressure, with all that makes gas counted, and a bottle that holds it. */
const { lot } = useLotFromAddress()
const f = useFormat()
const logged = useLogged()
const { fields, bottle, bottles, another, tested, told, actual, ready, knows, mayGoOn, log } = useSparkling(lot)
async function submit() {
  const l = lot.value
  if (!(await log()) || !l) return focusWrong()
  logged(`${l.name}: sugar for the bottle is in`)
  await navigateTo(`/lots/${l.id}?log=bottles`)
}
useHead({ title: 'Sparkling · Presk' })
</script>

<template>
  <BenchFrame title="Sparkling wine" :lot="lot" @submit="submit">
    <template #answer>
      <template v-if="told">
        <FigureNumber
          v-if="told.allowed"
          label="Household sugar in all"
          :shown="f.powder(told.grams)"
          origin="worked out"
          size="hero"
        />
        <p v-if="told.allowed" class="soft">
          {{ told.sugarGPerL.toFixed(1) }} g per litre. Dissolve it in some of the wine and stir it in evenly. Alcohol rises by
          {{ told.abvAdded.toFixed(1) }} % vol.
        </p>
        <FindingNote v-for="x in told.findings" :key="x.code" :tone="sayPriming(x).tone">{{
          f.degrees(sayPriming(x).text)
        }}</FindingNote>
      </template>
      <p v-else class="soft">Enter the wine and the bottle to get the sugar, and whether the bottle holds the pressure.</p>
    </template>
    <template #inputs>
      <SelectField v-model="bottle" class="wide" label="Bottle" :items="bottles" />
      <QuantityField
        v-if="bottle === another"
        class="wide"
        label="Rated for"
        :field="fields.own"
        hint="above the air outside, as the maker says"
      />
      <QuantityField
        label="Pressure wanted"
        :field="fields.target"
        :hint="f.degrees('from 3.5 bar at 20 °C it is sparkling wine (EU)')"
      />
      <QuantityField label="Volume" :field="fields.volume" />
      <QuantityField
        label="Sugar left"
        :field="fields.residual"
        unit-label="g/L"
        :hint="tested ? 'every gram makes gas' : 'from the gravity, to about 5 g/L'"
      />
      <UCheckbox
        v-model="tested"
        class="wide"
        label="The sugar was tested"
        description="If not, Presk allows for 5 g/L more, so that the bottle is safe."
      />
      <QuantityField label="Alcohol" :field="fields.abv" unit-label="% vol" />
      <QuantityField label="Served at" :field="fields.served" />
      <QuantityField label="Highest storage temperature" :field="fields.warmest" />
      <QuantityField label="Highest temperature since the ferment" :field="fields.fermented" hint="shows how much gas is left" />
    </template>
    <template #results>
      <template v-if="told">
        <table class="lines">
          <caption>
            Pressure in the finished bottle
          </caption>
          <tbody>
            <tr v-for="b in told.barAt" :key="b.celsius">
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
              formula: `(${fields.target.value} + 1.01 − 0.8) bar × what a litre takes up`,
              result: `at ${fields.served.text}`,
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
        <template v-if="lot && told.allowed">
          <GateBefore v-if="!ready" v-model="knows" :lot="lot" gate="bottling-sparkling" />
          <div v-if="mayGoOn" class="wentin sheet">
            <h2>Amount added</h2>
            <QuantityField label="Household sugar" :field="actual" unit-label="g" :hint="`planned ${f.words(f.powder(told.grams))}`" />
            <div class="go"><span /><UButton type="submit" size="xl">Log it</UButton></div>
          </div>
        </template>
        <p class="soft small">{{ f.degrees(AFTERWARDS) }}</p>
      </template>
    </template>
  </BenchFrame>
</template>
