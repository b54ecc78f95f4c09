<script setup lang="ts">
import type { MeasureBench } from '~/composables/useMeasureBench'

/** TA from the millilitres of a titration, with the check of its titrant. */
const props = defineProps<{ bench: MeasureBench }>()
const { fields, byTitration, trueNormality } = props.bench
const useTrue = () => {
  if (trueNormality.value !== undefined) fields.normality.text = trueNormality.value.toFixed(4)
}
</script>

<template>
  <fieldset class="titration">
    <legend>Titratable acidity from a titration</legend>
    <QuantityField label="Sample" :field="fields.sampleMl" unit-label="mL" />
    <QuantityField label="Titrant used" :field="fields.titrantMl" unit-label="mL" />
    <QuantityField label="Titrant strength" :field="fields.normality" unit-label="N" />
    <QuantityField label="Smallest step" :field="fields.stepMl" unit-label="mL" hint="of the burette or syringe" />
    <p class="soft small">
      Drive the gas out first. Add base up to pH 8.2, or until the first pink lasts half a minute. Dilute a red with water, because it goes
      grey-green before it turns.
    </p>
    <FoldOut label="Check the titrant’s strength">
      <div class="grid gap-3">
        <QuantityField
          label="Potassium hydrogen phthalate"
          :field="fields.phthalate"
          unit-label="g"
          hint="dried, weighed and dissolved in water"
        />
        <QuantityField label="Titrant used for it" :field="fields.phthalateMl" unit-label="mL" />
        <p v-if="trueNormality !== undefined">
          Its strength is <b class="figure">{{ trueNormality.toFixed(4) }}</b> N. <UButton variant="link" @click="useTrue">Use
            that</UButton>
        </p>
      </div>
    </FoldOut>
    <CautionNote code="caustic" />
    <UButton variant="link" class="px-0 justify-self-start" @click="byTitration = false">I have g/L or %</UButton>
  </fieldset>
</template>

<style scoped>
.titration {
  display: grid;
  gap: 12px;
  border-left: 3px solid var(--line);
  padding-left: 14px;
}
</style>
