<script setup lang="ts">
import type { Measured } from '~~/core/stages'
import type { MeasureBench } from '~/composables/useMeasureBench'
import { useFormat } from '~/composables/useFormat'

/** One thing that is read, with its instrument folded into a line. */
const props = defineProps<{ bench: MeasureBench, what: Measured }>()
const { fields, calibrationC, byTitration, sugarWith, phWith, sugarInstruments, phInstruments, byRefractometer, must } = props.bench
const f = useFormat()
const named = (instruments: readonly { id: string, name: string }[]) => [
  { value: '', label: 'not given' },
  ...instruments.map((i) => ({ value: i.id, label: i.name }))
]
const TRUE_AT = [
  { value: 20 as const, label: '20 °C (68 °F)' },
  { value: 15.56 as const, label: '15.6 °C (60 °F)' }
]
const unfolded = ref(false)
const nameOf = (all: readonly { id: string, name: string }[], id: string) => all.find((i) => i.id === id)?.name
const sugarLine = computed(() => {
  const name = nameOf(sugarInstruments.value, sugarWith.value) ?? 'Hydrometer'
  return byRefractometer.value ? name : `${name}, reads true at ${f.words(f.temperature(calibrationC.value))}`
})
const phLine = computed(() => nameOf(phInstruments.value, phWith.value))
</script>

<template>
  <div class="quantity">
    <template v-if="what === 'sg'">
      <QuantityField :label="must ? 'Sugar' : 'Gravity'" :field="fields.sugar" hint="as you read it, well mixed, no bubbles" />
      <QuantityField v-if="!byRefractometer" label="Sample temperature" :field="fields.sampleC" hint="leave empty if corrected" />
      <template v-if="unfolded">
        <SelectField v-if="sugarInstruments.length" v-model="sugarWith" label="Sugar instrument" :items="named(sugarInstruments)" />
        <SelectField v-if="!byRefractometer" v-model="calibrationC" label="Hydrometer calibrated at" :items="TRUE_AT" />
      </template>
      <p v-else class="with">
        {{ sugarLine }}. <UButton variant="link" class="p-0 min-h-0" @click="unfolded = true">Change the instrument</UButton>
      </p>
    </template>
    <template v-else-if="what === 'ph'">
      <QuantityField label="pH" :field="fields.ph" hint="meter checked in fresh buffer today" />
      <template v-if="phInstruments.length">
        <SelectField v-if="unfolded" v-model="phWith" label="pH instrument" :items="named(phInstruments)" />
        <p v-else class="with">
          {{ phLine ?? 'No instrument given' }}.
          <UButton variant="link" class="p-0 min-h-0" @click="unfolded = true">Change the meter</UButton>
        </p>
      </template>
    </template>
    <template v-else-if="what === 'ta'">
      <div v-if="!byTitration">
        <QuantityField label="Titratable acidity (TA)" :field="fields.ta" hint="as tartaric acid" />
        <UButton variant="link" class="px-0" @click="byTitration = true">I have millilitres from a titration</UButton>
      </div>
      <MeasureTitration v-else :bench="bench" />
    </template>
    <QuantityField v-else-if="what === 'freeSo2'" label="Free SO₂" :field="fields.freeSo2" unit-label="mg/L" />
    <QuantityField
      v-else-if="what === 'malic'"
      label="Malic acid"
      :field="fields.malic"
      unit-label="g/L"
      hint="strip, enzyme test or laboratory"
    />
    <QuantityField
      v-else-if="what === 'sugar'"
      label="Residual sugar"
      :field="fields.sugarLeft"
      unit-label="g/L"
      hint="by a sugar test or a laboratory; no hydrometer can tell"
    />
    <QuantityField v-else label="Temperature in the vessel" :field="fields.mustC" hint="not of the sample" />
  </div>
</template>

<style scoped>
.quantity {
  display: grid;
  gap: 14px;
  align-content: start;
}
.with {
  font-size: 0.92rem;
  color: var(--ink-soft);
}
</style>
