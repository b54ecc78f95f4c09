<script setup lang="ts">
import { brixFromSg } from '~~/core/hydrometry'
import { type Sweetener, addSugar, addWater } from '~~/core/must'

const { lot } = useLotFromAddress()
const settings = useSettingsStore()
const f = useFormat()
const SWEETENERS: Record<Sweetener, string> = {
  sucrose: 'Household sugar (sucrose)',
  dextrose: 'Dextrose monohydrate',
  honey: 'Honey',
  concentrate: 'Grape concentrate, 68 °Brix'
}
const sweetener = ref<Sweetener>('sucrose')
const sugarField = () =>
  useQuantityField({
    kind: 'sugar',
    unit: settings.values.sugar,
    units: ['°Brix', 'SG'],
    required: true,
    limits: { min: 0.98, max: 70, words: 'Between 0 and 70 °Brix.' }
  })
const now = sugarField()
const wanted = sugarField()
const volume = useVolumeField()
watch(
  () => lot.value?.id,
  () => {
    if (!lot.value) return
    volume.fill(f.typedVolume(lot.value.volume.value))
    now.fill(lot.value.sg ? f.sugar(lot.value.sg.value).text : '')
  },
  { immediate: true }
)
const brixOf = (field: typeof now) =>
  field.value === undefined || !field.parsed.ok
    ? undefined
    : field.parsed.unit === 'SG'
      ? field.value >= 0.98 && field.value <= 1.2
        ? brixFromSg(field.value)
        : undefined
      : field.value
const from = computed(() => brixOf(now))
const to = computed(() => brixOf(wanted))
const ready = computed(
  () => from.value !== undefined && to.value !== undefined && volume.value !== undefined && Math.abs(from.value - to.value) > 0.05
)
const sugar = computed(() =>
  ready.value && to.value! > from.value! ? withinLimits(() => addSugar(volume.value!, from.value!, to.value!, sweetener.value)) : undefined
)
const water = computed(() =>
  ready.value && to.value! < from.value! ? withinLimits(() => addWater(volume.value!, from.value!, to.value!)) : undefined
)
useHead({ title: 'Sugar and water · Presk' })
</script>

<template>
  <BenchFrame title="Sugar and water" :lot="lot">
    <template #answer>
      <FigureNumber v-if="sugar" label="Sugar in all" :shown="f.powder(sugar.grams)" origin="worked out" size="hero" />
      <FigureNumber v-else-if="water" label="Water in all" :shown="f.volume(water.litres)" origin="worked out" size="hero" />
      <p v-else class="soft">Enter the reading now and the one you want: a higher one needs sugar, a lower one water.</p>
    </template>
    <template #inputs>
      <QuantityField label="Reading now" :field="now" />
      <QuantityField label="Reading wanted" :field="wanted" />
      <QuantityField label="Volume" :field="volume" />
      <SelectField v-model="sweetener" label="Sugar as" :words="SWEETENERS" />
    </template>
    <template #results>
      <template v-if="sugar">
        <ol class="stages">
          <li>
            First <b class="figure">{{ f.words(f.powder(sugar.stages[0]!.amount)) }}</b
            >, dissolved in some of the must. Stir until none is left on the bottom, then measure.
          </li>
          <li>
            Then up to <b class="figure">{{ f.words(f.powder(sugar.stages[1]!.amount)) }}</b
            >, depending on the hydrometer.
          </li>
        </ol>
        <p class="soft">
          New volume: {{ f.words(f.volume(sugar.newVolumeL)) }}. The rule of thumb (1.5 oz for each US gallon and °Brix) would give
          {{ f.words(f.powder(sugar.ruleOfThumbGrams)) }}.
        </p>
        <WorkingNote
          :steps="[
            {
              what: 'Sugar',
              formula: `mass of must × (${to!.toFixed(1)} − ${from!.toFixed(1)}) ÷ (100 × share − ${to!.toFixed(1)})`,
              result: `${sugar.grams.toFixed(0)} g`,
            },
          ]"
          source="mass balance: Brix is grams in 100 g; densities of ICUMSA SPS-4"
        />
      </template>
      <template v-else-if="water">
        <FindingNote tone="stop">You cannot take water out again. A line on the pail is only a hint; go by the gravity.</FindingNote>
        <ol class="stages">
          <li v-for="s in water.stages" :key="s.number">
            {{ s.number === 1 ? 'First' : 'Then up to' }} <b class="figure">{{ f.words(f.volume(s.amount)) }}</b
            >, stir through, measure: expect {{ s.expectedBrix.toFixed(1) }} °Brix or {{ s.expectedSg.toFixed(3) }}.
          </li>
        </ol>
        <p class="soft">New volume: {{ f.words(f.volume(water.newVolumeL)) }}.</p>
        <WorkingNote
          :steps="[
            {
              what: 'Water',
              formula: `mass of must × (${from!.toFixed(1)} − ${to!.toFixed(1)}) ÷ ${to!.toFixed(1)}`,
              result: `${water.litres.toFixed(2)} L`,
            },
          ]"
          source="mass balance: Brix is grams in 100 g; densities of ICUMSA SPS-4"
        />
      </template>
    </template>
  </BenchFrame>
</template>

<style scoped>
.stages {
  display: grid;
  gap: 10px;
}
.stages li {
  border-top: 1.5px solid var(--line);
  padding-top: 10px;
  font-size: 1.05rem;
}
.stages .figure {
  font-size: 1.3rem;
}
</style>
