<script setup lang="ts">
import { freeSo2Form } from '~/benches/free-so2'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'

/** Free SO₂ by titration, by aspiration or by iodine. */
const { lot } = useLotFromAddress()
const f = useFormat()
const bench = useBench(freeSo2Form, lot)
const { answer, values } = bench
const result = computed(() => answer.value.result)
useHead({ title: 'Free SO₂ · Presk' })
</script>

<template>
  <BenchFrame title="Free SO₂ by titration" :lot="lot" @submit="bench.log">
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
    <template #inputs><BenchFields :bench="bench" /></template>
    <template #results>
      <template v-if="result">
        <FindingNote v-if="result.bias.high > 0"
        >Red wine itself uses up iodine, so this probably reads {{ result.bias.low }} to {{ result.bias.high }} mg/L too
          high.</FindingNote
        >
        <FigureNumber
          v-if="answer.molecularMgPerL !== undefined"
          label="Molecular, at this pH"
          :shown="{ text: answer.molecularMgPerL.toFixed(2), unit: 'mg/L' }"
          size="small"
        />
        <WorkingNote
          :steps="[
            {
              what: 'Free SO₂',
              formula: `${values.titrant} mL × ${values.normality} N × 32,032 ÷ ${values.sample} mL`,
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
