<script setup lang="ts">
import type { Sample } from '~/workers/practice.worker'
import { ACID_SAMPLE, IODINE_SAMPLE } from '~/composables/useInstrumentReading'
import type { Tool } from '~/wording/drawn-instruments'
import { CLARITY, GAS } from '~/wording/looks'
import { sayTastes } from '~/wording/practice'
import { saySmells } from '~/wording/smells'
import { useFormat } from '~/composables/useFormat'

/** An instrument in a sample of the wine, drawn as it would be seen. */
const props = defineProps<{ tool: Tool, sample: Sample, name: string }>()
const used = defineModel<number>('used', { required: true })
const f = useFormat()
const spun = ref(false)
const truth = computed(() => props.sample.truth)
/** Gas holds a hydrometer up, g/L of carbon dioxide. */
const gassy = computed(() => truth.value.gas > 1)
/** What binds or colours takes iodine as well, and slowly: reds read high by about this, mg/L; common practice, no source. */
const iodine = computed(() => ({
  ...IODINE_SAMPLE, freeMgPerL: truth.value.freeSo2, slowMgPerL: props.sample.colour === 'red' ? 6 : 1
}))
const warmth = computed(() => f.temperature(Math.round(truth.value.celsius * 2) / 2))
</script>

<template>
  <template v-if="tool === 'hydrometer'">
    <HydrometerDrawing
      :sg="truth.sg + sample.offsets.sg" :seed="sample.seed" :gassy="gassy" :spun="spun" :colour="sample.colour"
    />
    <UButton v-if="gassy && !spun" class="mt-3" variant="outline" @click="spun = true">Spin it</UButton>
  </template>
  <p v-else-if="tool === 'thermometer'" class="figure big">{{ warmth.text }} <span class="small soft">{{ warmth.unit }}</span></p>
  <RefractometerDrawing
    v-else-if="tool === 'refractometer'" :brix="truth.refracts" :blur="truth.haze > 300 ? 0.8 : 0.3" :name="name"
  />
  <MeterDesk v-else-if="tool === 'meter'" :slope="0.95" :zero-mv="8 - sample.offsets.ph * 59" :ph="truth.ph" />
  <TitrationDesk
    v-else-if="tool === 'titration'" :acid="{ ...ACID_SAMPLE, acids: sample.acids, colour: sample.colour }" @used="used = $event"
  />
  <TitrationDesk v-else-if="tool === 'iodine'" :iodine="iodine" @used="used = $event" />
  <PaperDrawing v-else-if="tool === 'paper'" :malic="truth.malic" :lactic="truth.lactic" />
  <div v-else class="flex flex-wrap gap-8">
    <TorchLook :haze="truth.haze" :colour="sample.colour" />
    <dl class="facts">
      <dt>Smell</dt>
      <dd>{{ saySmells(sample.senses.smells) }}</dd>
      <dt>Against the torch</dt>
      <dd>{{ CLARITY[sample.senses.clarity] }}</dd>
      <dt>Shaken in a jar</dt>
      <dd>{{ GAS[sample.senses.gas] }}</dd>
      <dt>Taste</dt>
      <dd>{{ sayTastes(sample.senses.tastes) }}</dd>
    </dl>
  </div>
</template>

<style scoped>
.big { font-size: 4rem; }
.facts { display: grid; align-content: start; min-width: 14rem; }
.facts dt { border-top: 1.5px solid var(--line); padding-top: 8px; font-size: 0.9rem; color: var(--ink-soft); }
.facts dd { padding-bottom: 8px; }
</style>
