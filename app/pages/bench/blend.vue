<script setup lang="ts">
import { type BlendWine, blendAnswer } from '~~/core/benches'
import { useFormat } from '~/composables/useFormat'
import { useQuantityField } from '~/composables/useQuantityField'
import { fillFigure, useVolumeField } from '~/composables/usualFields'
import { useCellarStore } from '~/stores/cellar'

const cellar = useCellarStore()
const f = useFormat()
const part = () =>
  reactive({
    lotId: '',
    volume: useVolumeField(),
    sg: useQuantityField({ kind: 'sugar', unit: 'SG', quantity: () => 'sg' }),
    abv: useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max: 25, words: 'Between 0 and 25 % vol.' } }),
    ph: useQuantityField({ kind: 'plain', unit: '', quantity: () => 'ph' }),
    ta: useQuantityField({ kind: 'concentration', unit: 'g/L', quantity: () => 'ta' }),
    free: useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max: 300, words: 'Between 0 and 300 mg/L.' } })
  })
const parts = ref([part(), part()])
function fill(index: number) {
  const p = parts.value[index]!
  const lot = cellar.lotOf(p.lotId)
  if (!lot) return
  p.volume.fill(f.typedVolume(lot.volume.value), lot.volume.value)
  fillFigure(p.sg, lot.sg?.value, 3)
  fillFigure(p.abv, lot.abv?.value, 1)
  fillFigure(p.ph, lot.ph?.value, 2)
  fillFigure(p.ta, lot.ta?.value, 1)
  fillFigure(p.free, lot.freeSo2?.value, 0)
}
const wines = computed(() =>
  parts.value.map((p, i): BlendWine => {
    const lot = cellar.lotOf(p.lotId)
    return {
      lotId: p.lotId,
      name: lot?.name ?? `Part ${i + 1}`,
      heldL: lot?.volume.value,
      ...(p.volume.value !== undefined && { volumeL: p.volume.value }),
      ...(p.sg.value !== undefined && { sg: p.sg.value }),
      ...(p.abv.value !== undefined && { abv: p.abv.value }),
      ...(p.ph.value !== undefined && { ph: p.ph.value }),
      ...(p.ta.value !== undefined && { taGPerL: p.ta.value }),
      ...(p.free.value !== undefined && { freeSo2MgPerL: p.free.value })
    }
  })
)
const answer = computed(() => blendAnswer(wines.value))
const blend = computed(() => answer.value.blend)
const take = (litres: number[]) => litres.forEach((l, i) => parts.value[i]!.volume.fill(f.typedVolume(l)))
useHead({ title: 'Blend · Presk' })
</script>

<template>
  <div>
    <h1>Blend</h1>
    <section v-if="blend" class="row outcome" aria-live="polite">
      <FigureNumber label="Volume" :shown="f.volume(blend.volumeL)" origin="worked out" />
      <FigureNumber v-if="blend.sg !== undefined" label="Gravity" :shown="f.gravity(blend.sg)" origin="worked out" />
      <FigureNumber v-if="blend.abv !== undefined" label="Alcohol" :shown="f.percentAlcohol(blend.abv)" origin="worked out" />
      <FigureNumber v-if="blend.ph !== undefined" label="pH" :shown="f.ph(blend.ph)" origin="forecast" />
      <FigureNumber v-if="blend.taGPerL !== undefined" label="TA" :shown="f.acid(blend.taGPerL)" origin="forecast" />
      <FigureNumber v-if="blend.freeSo2MgPerL !== undefined" label="Free SO₂" :shown="f.so2(blend.freeSo2MgPerL)" origin="forecast" />
    </section>
    <p v-else class="soft">Enter two wines and how much of each. Try the blend in a glass first, blind. Then measure it and compare.</p>
    <MeetingNotes class="mt-4" :parts="parts.map((p) => ({ lot: cellar.lotOf(p.lotId), litres: p.volume.value }))" />
    <div class="parts">
      <fieldset v-for="(p, i) in parts" :key="i" class="part">
        <legend class="display">Part {{ i + 1 }}</legend>
        <SelectField
          v-model="p.lotId"
          label="From"
          class="full"
          :items="[{ value: '', label: 'no lot' }, ...cellar.lots.map((l) => ({ value: l.id, label: l.name }))]"
          @update:model-value="fill(i)"
        />
        <QuantityField label="Volume" :field="p.volume" />
        <QuantityField label="Gravity" :field="p.sg" unit-label="SG" />
        <QuantityField label="Alcohol" :field="p.abv" unit-label="% vol" />
        <QuantityField label="pH" :field="p.ph" />
        <QuantityField label="TA" :field="p.ta" unit-label="g/L" />
        <QuantityField label="Free SO₂" :field="p.free" unit-label="mg/L" />
        <UButton v-if="parts.length > 2" variant="link" class="full justify-self-start px-0" @click="parts.splice(i, 1)"
        >Remove this part</UButton
        >
      </fieldset>
    </div>
    <UButton v-if="parts.length < 5" variant="outline" size="lg" icon="i-lucide-plus" class="mt-4" @click="parts.push(part())"
    >Add a part</UButton
    >
    <BlendGlasses v-if="answer.inGlasses" :key="answer.inGlasses.length" class="mt-6" :parts="answer.inGlasses" @take="take" />
    <BlendWanted v-if="answer.sources.length" class="mt-6" :sources="answer.sources" @take="take" />
    <p class="soft small mt-4">pH is no average: Presk calculates it from all the acids. A figure appears when every part has it.</p>
  </div>
</template>

<style scoped>
.outcome {
  margin: 14px 0 4px;
}
.parts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 24px 40px;
  margin-top: 20px;
}
.part {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(124px, 1fr));
  gap: 14px 12px;
  align-content: start;
  border-top: 4px solid var(--line);
  padding-top: 12px;
}
.part legend,
.part > :deep(.full) {
  grid-column: 1 / -1;
}
.part legend {
  font-size: 1.2rem;
  float: left;
  margin: 0;
}
</style>
