<script setup lang="ts">
import type { Material } from '~~/core/must'
import type { CorrectBench } from '~/composables/useCorrectBench'
import { MUST_MATERIAL } from '~/wording/acids'
import { STYLE } from '~/wording/terms'
import { useFormat } from '~/composables/useFormat'

/** What is known of the must, what it will go through, and what is tried. */
const props = defineProps<{ bench: CorrectBench }>()
const { fields, changes, has, style } = props.bench
const f = useFormat()
const TRY: { material: Material, unit: string }[] = [
  { material: 'tartaric', unit: 'g/L' },
  { material: 'potassium-bicarbonate', unit: 'g/L' },
  { material: 'water', unit: 'mL/L' },
  { material: 'sucrose', unit: 'g/L' }
]
const HAVE: Material[] = ['tartaric', 'malic', 'potassium-bicarbonate', 'water', 'sucrose']
/** The bench is shared with its page on purpose: what is ticked here is judged there. */
const plan = reactive(props.bench.plan)
const later = reactive(props.bench.later)
</script>

<template>
  <QuantityField label="pH" :field="fields.ph" />
  <QuantityField label="TA" :field="fields.ta" hint="as tartaric acid" />
  <QuantityField label="Sugar" :field="fields.sugar" hint="Presk needs it to find additions" />
  <QuantityField label="Alcohol" :field="fields.abv" unit-label="% vol" hint="leave empty for a must" />
  <QuantityField label="Malic acid" :field="fields.malic" unit-label="g/L" hint="leave empty if not measured" />
  <QuantityField label="Volume" :field="fields.volume" />
  <SelectField v-model="style" label="Style" :words="STYLE" />
  <fieldset class="course">
    <legend>Still to come</legend>
    <div class="later">
      <UCheckbox v-model="plan.malolactic" label="malolactic" />
      <UCheckbox v-model="plan.cold" label="a cold winter, or weeks in the cold" />
    </div>
  </fieldset>
  <fieldset class="try">
    <legend>Try, per litre</legend>
    <div class="tries">
      <QuantityField
        v-for="t in TRY"
        :key="t.material"
        :label="MUST_MATERIAL[t.material]"
        :field="changes[t.material]!"
        :unit-label="t.unit"
      />
    </div>
    <div class="later">
      <UCheckbox
        :model-value="later.malolactic > 0"
        label="after malolactic"
        @update:model-value="later.malolactic = $event ? 100 : 0"
      />
      <UCheckbox
        :model-value="later.cold > 0"
        :label="f.degrees('after weeks of cold at −2 °C')"
        @update:model-value="later.cold = $event ? 22 : 0"
      />
    </div>
  </fieldset>
  <div class="wide">
    <UCheckboxGroup
      v-model="has"
      legend="Or let Presk find additions from what you have"
      orientation="horizontal"
      :items="HAVE.map((value) => ({ value, label: MUST_MATERIAL[value].toLowerCase() }))"
    />
    <UButton
      variant="outline"
      size="lg"
      class="mt-2"
      :disabled="!bench.canFind.value"
      :loading="bench.finding.value"
      @click="bench.find()"
    >Find the smallest additions</UButton
    >
  </div>
</template>

<style scoped>
.later {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  margin-top: 8px;
}
.try {
  border-top: 1.5px solid var(--line);
  padding-top: 14px;
}
</style>
