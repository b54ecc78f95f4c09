<script setup lang="ts">
import { alcoholForm } from '~/benches/alcohol'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'

/** Alcohol from two gravities, by hydrometer or refractometer, and by which method. */
const { lot } = useLotFromAddress()
const f = useFormat()
const bench = useBench(alcoholForm, lot)
const { values } = bench
const answer = computed(() => bench.answer.value)
const made = computed(() => answer.value.made)
const potential = computed(() => answer.value.potential)
const corrected = computed(() => answer.value.corrected)
const methods = computed(() => {
  const m = made.value
  if (!m) return []
  const row = (method: string, abv: number) => ({ method, abv: abv.toFixed(1) })
  return [
    row('Extract balance (Balling), used here', m.balling),
    row('Extract balance, short form', m.ballingShort),
    row('Fall in SG × 131.25', m.factor131),
    row('Fall in SG × 129', m.factor129),
    row('Fall in Oechsle ÷ 7.5', m.oechsle75)
  ]
})
const CHANGED_BY = { 'sugar-or-water': 'Water or sugar', 'wine': 'Another wine', 'both': 'Water or sugar, and another wine,' } as const
const halfWidth = ({ low, high }: { low: number, high: number }) => ((high - low) / 2).toFixed(1)
useHead({ title: 'Alcohol · Presk' })
</script>

<template>
  <BenchFrame title="Alcohol" :lot="lot">
    <template #answer>
      <FigureNumber
        v-if="made"
        label="Alcohol made"
        :shown="f.percentAlcohol(made.balling)"
        origin="estimated"
        :uncertainty="answer.madeWithin?.toFixed(1)"
        size="hero"
      />
      <FigureNumber
        v-else-if="potential"
        label="Potential"
        :shown="f.percentAlcohol(potential.abv)"
        origin="estimated"
        :uncertainty="halfWidth(potential.band)"
        size="hero"
      />
      <p v-else class="soft">Enter two gravities, before and now, to get the alcohol made between them.</p>
    </template>
    <template #inputs><BenchFields :bench="bench" /></template>
    <template #results>
      <FindingNote v-if="answer.rose" tone="stop">
        The reading is higher than before the ferment. One of the two is wrong, or sugar went in.
      </FindingNote>
      <FindingNote v-if="answer.impossible" tone="stop">
        A ferment of this must cannot read {{ values.present }} °Brix, because its alcohol raises the reading. Check both readings,
        and the reading in distilled water.
      </FindingNote>
      <FindingNote v-if="lot && answer.changedBy" tone="stop">
        {{ CHANGED_BY[answer.changedBy] }} went into this lot, so two gravities give its alcohol only if both were read
        afterwards.<template v-if="lot.abv"> By its history it has
          <NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ f.words(f.percentAlcohol(lot.abv.value)) }} ± {{
            lot.abv.uncertainty.toFixed(1)
          }}</NuxtLink>.</template>
      </FindingNote>
      <template v-if="corrected && answer.sg !== undefined">
        <div class="row">
          <FigureNumber
            label="True gravity"
            :shown="f.gravity(answer.sg)"
            origin="estimated"
            :uncertainty="corrected.uncertaintySg.toFixed(3)"
          />
          <FigureNumber v-if="corrected.novotnySg" label="by Novotny’s fit" :shown="f.gravity(corrected.novotnySg)" size="small" />
          <FigureNumber v-if="corrected.bonhamSg" label="by Bonham’s fit" :shown="f.gravity(corrected.bonhamSg)" size="small" />
        </div>
        <FindingNote v-if="corrected.uncertaintySg > 0.003">
          A refractometer cannot separate sugar from alcohol better than this. Use a hydrometer near the end.
        </FindingNote>
      </template>
      <FigureTable
        v-if="made"
        caption="Alcohol by method"
        :columns="[
          { key: 'method', label: 'Method' },
          { key: 'abv', label: '% vol', right: true },
        ]"
        :rows="methods"
      />
      <div v-if="answer.sugarLeft !== undefined || potential" class="row">
        <FigureNumber
          v-if="answer.sugarLeft !== undefined"
          label="Sugar left"
          :shown="{ text: answer.sugarLeft.toFixed(0), unit: 'g/L' }"
          origin="estimated"
          uncertainty="5"
          size="small"
        />
        <FigureNumber
          v-if="potential"
          label="Potential of all the sugar"
          :shown="f.percentAlcohol(potential.abv)"
          origin="estimated"
          uncertainty="0.5"
          size="small"
        />
      </div>
      <p v-if="made" class="soft small">
        Valid only if nothing was added between the two readings. Near dryness only a sugar test can tell.
      </p>
    </template>
  </BenchFrame>
</template>
