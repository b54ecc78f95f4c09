<script setup lang="ts">
import { priming } from '~~/core/finishing'
import { residualSugar } from '~~/core/hydrometry'
import { addition } from '~~/core/drafts'
import { fromLitres } from '~~/core/units'
import { BOTTLE_KINDS, type BottleKind, sayPriming } from '~/wording/finishing'

/** Sparkling on purpose: sugar for a pressure, with all that makes gas counted, and a bottle that holds it. */
const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
const plain = (min: number, max: number, words: string, text = '') =>
  useQuantityField({ kind: 'plain', unit: '', required: true, text, limits: { min, max, words } })
const degrees = (text: string) =>
  useQuantityField({
    kind: 'temperature',
    unit: f.temperatureUnit.value,
    units: ['°C', '°F'],
    required: true,
    text: f.typed(Number(text), 'temperature', f.temperatureUnit.value),
    limits: { min: -2, max: 40, words: f.degrees('Between −2 and 40 °C.') }
  })
const volume = useVolumeField()
const target = plain(0, 8, 'Between 0 and 8 bar.', '5')
const residual = plain(0, 300, 'Between 0 and 300 g/L.')
const abv = plain(0, 18, 'Between 0 and 18 % vol.')
const served = degrees('10')
const warmest = degrees('25')
const fermented = degrees('18')
const bottle = ref<BottleKind>('still')
const own = plain(0, 20, 'Between 0 and 20 bar.')
const rated = computed(() => (bottle.value === 'own' ? own.value : BOTTLE_KINDS.find((b) => b.value === bottle.value)!.bar))
watch(
  () => lot.value?.id,
  () => {
    const l = lot.value
    if (!l) return
    volume.text = String(Number(fromLitres(l.volume.value, f.volumeUnit.value).toPrecision(4)))
    abv.text = l.abv?.value.toFixed(1) ?? ''
    const sugar =
      l.others.sugar?.value ?? (l.sg && l.abv ? withinLimits(() => residualSugar(l.sg!.value, Math.min(18, l.abv!.value))) : undefined)
    residual.text = sugar === undefined ? '' : sugar.toFixed(sugar < 10 ? 1 : 0)
  },
  { immediate: true }
)
const told = computed(() => {
  if (volume.value === undefined || target.value === undefined || abv.value === undefined || residual.value === undefined)
    return undefined
  if (served.value === undefined || warmest.value === undefined || fermented.value === undefined || rated.value === undefined)
    return undefined
  return withinLimits(() =>
    priming({
      volumeL: volume.value!,
      targetBar: target.value!,
      residualSugarGPerL: residual.value!,
      abv: abv.value!,
      fermentedAtCelsius: fermented.value!,
      servedAtCelsius: served.value!,
      warmestCelsius: warmest.value!,
      bottleRatedBar: rated.value!
    })
  )
})
const { ready, knows, mayGoOn, against } = useReadiness(() => lot.value, () => 'bottling-sparkling')
const actual = useQuantityField({
  kind: 'plain',
  unit: '',
  required: true,
  limits: { min: 0.1, max: 1e6, words: 'Say how much went in.' }
})
/** What was typed for one wine is not logged to another. */
watch(() => lot.value?.id, () => actual.clear())
async function log() {
  actual.touch()
  if (!lot.value || !told.value?.allowed || !mayGoOn.value || actual.value === undefined) return focusWrong()
  const drafts = [
    addition({
      lotId: lot.value.id,
      material: 'sugar',
      planned: told.value.grams,
      actual: actual.value,
      purpose: 'for pressure in the bottle'
    })
  ]
  if (!(await cellar.log([...against(), ...drafts]))) return
  logged(`${lot.value.name}: sugar for the bottle is in`)
  await navigateTo(`/lots/${lot.value.id}?log=bottles`)
}
useHead({ title: 'Sparkling · Presk' })
</script>

<template>
  <BenchFrame title="Sparkling on purpose" :lot="lot" @submit="log">
    <template #answer>
      <template v-if="told">
        <FigureNumber v-if="told.allowed" label="Household sugar in all" :shown="f.powder(told.grams)" origin="worked out" size="hero" />
        <p v-if="told.allowed" class="soft">
          {{ told.sugarGPerL.toFixed(1) }} g for each litre, dissolved in some of the wine and stirred in evenly; alcohol rises by
          {{ told.abvAdded.toFixed(1) }} % vol.
        </p>
        <FindingNote v-for="x in told.findings" :key="x.code" :tone="sayPriming(x).tone">{{ f.degrees(sayPriming(x).text) }}</FindingNote>
      </template>
      <p v-else class="soft">Say the wine and the bottle: the sugar follows, and whether the bottle holds it.</p>
    </template>
    <template #inputs>
      <SelectField v-model="bottle" class="wide" label="Bottle" :items="BOTTLE_KINDS.map((b) => ({ value: b.value, label: b.label }))" />
      <QuantityField
        v-if="bottle === 'own'"
        class="wide"
        label="Rated for"
        :field="own"
        unit-label="bar"
        hint="over the air outside, as its maker says"
      />
      <QuantityField label="Pressure wanted" :field="target" unit-label="bar" hint="from 3.5 at 20 °C it is sparkling wine (EU)" />
      <QuantityField label="Volume" :field="volume" />
      <QuantityField label="Sugar that is left" :field="residual" unit-label="g/L" hint="every gram makes gas" />
      <QuantityField label="Alcohol" :field="abv" unit-label="% vol" />
      <QuantityField label="Served at" :field="served" />
      <QuantityField label="Warmest it will ever stand" :field="warmest" />
      <QuantityField label="Warmest since its ferment" :field="fermented" hint="what gas it still holds goes by that" />
    </template>
    <template #results>
      <template v-if="told">
        <table class="columns w-full">
          <caption class="text-left">
            Pressure in the bottle, when all is through
          </caption>
          <tbody>
            <tr v-for="b in told.barAt" :key="b.celsius">
              <th scope="row">at {{ f.words(f.temperature(b.celsius)) }}</th>
              <td>
                <b class="figure">{{ b.bar.toFixed(1) }}</b> bar
              </td>
            </tr>
          </tbody>
        </table>
        <WorkingNote
          :steps="[
            {
              what: 'Gas that is wanted',
              formula: `(${target.value} + 1.01 − 0.8) bar × what a litre takes up`,
              result: `at ${served.text}`,
            },
            {
              what: 'Gas of the sugar',
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
            <h2>What went in</h2>
            <QuantityField label="Household sugar" :field="actual" unit-label="g" :hint="`planned ${f.words(f.powder(told.grams))}`" />
            <div class="go"><span /><UButton type="submit" size="xl">Log it</UButton></div>
          </div>
        </template>
        <p class="soft small">
          Then: bottle at once, crown or wire, lie them at 12 to 16 °C for six weeks; open one in the third week and taste its pressure.
          Leave it on its lees, or turn it down into the neck over weeks and disgorge it. Common practice.
        </p>
      </template>
    </template>
  </BenchFrame>
</template>

<style scoped>
th {
  text-align: left;
  font-weight: 400;
}
td {
  text-align: right;
}
tr > * {
  border-top: 1.5px solid var(--line);
  padding: 6px 0;
}
td .figure {
  font-size: 1.4rem;
}
</style>
