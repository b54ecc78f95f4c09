<script setup lang="ts">
import { freeSo2FromTitration, molecularSo2 } from '~~/core/sulphite'
import type { Style } from '~~/core/ledger'
import { STYLE } from '~/wording/terms'

const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const logged = useLogged()
const f = useFormat()
const method = ref<'iodine' | 'aspiration'>('aspiration')
const style = ref<Style>(lot.value?.style ?? 'red')
const sample = useQuantityField({
  kind: 'plain',
  unit: '',
  text: '20',
  required: true,
  limits: { min: 5, max: 100, words: 'A sample has between 5 and 100 mL.' }
})
const titrant = useQuantityField({
  kind: 'plain',
  unit: '',
  required: true,
  limits: { min: 0, max: 50, words: 'Titrant used: between 0 and 50 mL.' }
})
const normality = useQuantityField({
  kind: 'plain',
  unit: '',
  text: '0.01',
  required: true,
  limits: { min: 0.001, max: 0.1, words: 'Between 0.001 and 0.1 N.' }
})
watch(method, (m) => {
  normality.text = m === 'iodine' ? '0.02' : '0.01'
})
watch(
  () => lot.value?.id,
  () => {
    if (lot.value) style.value = lot.value.style
  }
)
const result = computed(() =>
  sample.value !== undefined && titrant.value !== undefined && normality.value !== undefined
    ? freeSo2FromTitration(method.value, sample.value, titrant.value, normality.value, style.value)
    : undefined
)
async function log() {
  titrant.touch()
  if (!lot.value || !result.value) return
  const value = Number(result.value.freeMgPerL.toFixed(1))
  if (
    !(await cellar.log([
      { type: 'reading', lotId: lot.value.id, quantity: 'freeSo2', typed: `${titrant.text.trim()} mL, ${method.value}`, value }
    ]))
  )
    return
  logged(`Free SO₂ logged for ${lot.value.name}`)
  await navigateTo(`/lots/${lot.value.id}`)
}
const METHODS = [
  { value: 'aspiration', label: 'Aspiration', hint: 'peroxide, then base' },
  { value: 'iodine', label: 'Iodine', hint: 'starch end point' }
] as const
useHead({ title: 'Free SO₂ · Presk' })
</script>

<template>
  <BenchFrame title="Free SO₂ by titration" :lot="lot" @submit="log">
    <template #answer>
      <FigureNumber
        v-if="result"
        label="Free SO₂"
        :shown="f.so2(result.freeMgPerL)"
        origin="measured"
        :uncertainty="Math.max(2, result.uncertaintyMgPerL).toFixed(0)"
        size="hero"
      />
      <p v-else class="soft">Enter the titrant used to get the free SO₂.</p>
    </template>
    <template #inputs>
      <ChoiceTiles v-model="method" legend="Method" class="wide" :items="METHODS" />
      <QuantityField label="Sample" :field="sample" unit-label="mL" />
      <QuantityField label="Titrant used" :field="titrant" unit-label="mL" />
      <QuantityField label="Titrant strength" :field="normality" unit-label="N" />
      <SelectField v-model="style" label="Wine" :words="STYLE" />
    </template>
    <template #results>
      <template v-if="result">
        <FindingNote v-if="result.bias.high > 0"
        >Red wine itself uses up iodine, so this probably reads {{ result.bias.low }} to {{ result.bias.high }} mg/L too
          high.</FindingNote
        >
        <FigureNumber
          v-if="lot?.ph"
          label="Molecular, at this pH"
          :shown="{ text: molecularSo2(Math.min(500, result.freeMgPerL), lot.ph.value).toFixed(2), unit: 'mg/L' }"
          size="small"
        />
        <WorkingNote
          :steps="[
            {
              what: 'Free SO₂',
              formula: `${titrant.text} mL × ${normality.text} N × 32,032 ÷ ${sample.text} mL`,
              result: f.words(f.so2(result.freeMgPerL)),
            },
          ]"
          source="OIV-MA-AS323-04; half the molar mass of SO₂ is 32.03 g"
        />
      </template>
      <CautionNote code="caustic" />
      <UButton v-if="lot && result" type="submit" size="xl">Log for {{ lot.name }}</UButton>
    </template>
  </BenchFrame>
</template>
