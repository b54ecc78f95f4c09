<script setup lang="ts">
import type { MeasureBench } from '~/composables/useMeasureBench'

/** What was read of one sample; everything may be left out. */
const props = defineProps<{ bench: MeasureBench }>()
const { fields, calibrationC, byTitration, at, degassed, sugarWith, phWith, sugarInstruments, phInstruments, byRefractometer, must } =
  props.bench
const named = (instruments: readonly { id: string, name: string }[]) => [
  { value: '', label: 'not given' },
  ...instruments.map((i) => ({ value: i.id, label: i.name }))
]
const TRUE_AT = [
  { value: 20 as const, label: '20 °C (68 °F)' },
  { value: 15.56 as const, label: '15.6 °C (60 °F)' }
]
</script>

<template>
  <section class="inputs">
    <div class="column">
      <QuantityField label="Sugar" :field="fields.sugar" hint="as you read it, well mixed, no bubbles" />
      <QuantityField v-if="!byRefractometer" label="Sample temperature" :field="fields.sampleC" hint="leave empty if corrected" />
      <SelectField v-if="sugarInstruments.length" v-model="sugarWith" label="Sugar instrument" :items="named(sugarInstruments)" />
      <SelectField v-if="!byRefractometer" v-model="calibrationC" label="Hydrometer calibrated at" :items="TRUE_AT" />
      <QuantityField label="Temperature in the vessel" :field="fields.mustC" hint="not of the sample" />
    </div>
    <div class="column">
      <QuantityField label="pH" :field="fields.ph" hint="meter checked in fresh buffer today" />
      <SelectField v-if="phInstruments.length" v-model="phWith" label="pH instrument" :items="named(phInstruments)" />
      <div v-if="!byTitration">
        <QuantityField label="Titratable acidity (TA)" :field="fields.ta" hint="as tartaric acid" />
        <UButton variant="link" class="px-0" @click="byTitration = true">I have millilitres from a titration</UButton>
      </div>
      <MeasureTitration v-else :bench="bench" />
      <QuantityField v-if="!must" label="Free SO₂" :field="fields.freeSo2" unit-label="mg/L" />
      <QuantityField v-if="!must" label="Malic acid" :field="fields.malic" unit-label="g/L" hint="strip, enzyme test or laboratory" />
      <UCheckbox v-if="!must" v-model="degassed" label="Sample degassed" />
      <WhenField v-model="at" />
    </div>
  </section>
</template>

<style scoped>
.inputs {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 20px 24px;
}
.column {
  display: grid;
  gap: 18px;
  align-content: start;
}
@media (max-width: 480px) {
  .inputs {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
