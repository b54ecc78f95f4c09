<script setup lang="ts">
import { sugarAndWaterForm } from '~/benches/sugar-and-water'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'

/** Sugar to a higher reading, water to a lower one. */
const { lot } = useLotFromAddress()
const f = useFormat()
const bench = useBench(sugarAndWaterForm, lot)
const sugar = computed(() => bench.answer.value.sugar)
const water = computed(() => bench.answer.value.water)
const from = computed(() => bench.answer.value.from)
const to = computed(() => bench.answer.value.to)
useHead({ title: 'Sugar and water · Presk' })
</script>

<template>
  <BenchFrame title="Sugar and water" :lot="lot">
    <template #answer>
      <FigureNumber v-if="sugar" label="Sugar in all" :shown="f.powder(sugar.grams)" origin="worked out" size="hero" />
      <FigureNumber v-else-if="water" label="Water in all" :shown="f.volume(water.litres)" origin="worked out" size="hero" />
      <p v-else class="soft">Enter the reading now and the one you want: a higher one needs sugar, a lower one water.</p>
    </template>
    <template #inputs><BenchFields :bench="bench" /></template>
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
