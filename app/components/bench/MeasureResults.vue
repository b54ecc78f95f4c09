<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import type { MeasureBench } from '~/composables/useMeasureBench'
import { sayAcidsFinding } from '~/wording/acids'
import { sayJudgement } from '~/wording/judgements'
import { STYLE } from '~/wording/terms'
import { useFormat } from '~/composables/useFormat'

/** What was read, on every scale, and a first judgement. */
const props = defineProps<{ bench: MeasureBench, lot: LotView | undefined }>()
const f = useFormat()
const {
  fields,
  calibrationC,
  degassed,
  style,
  byRefractometer,
  must,
  fermenting,
  first,
  scales,
  corrected,
  titration,
  taGPerL,
  judgements,
  doubts,
  impossible,
  potential,
  TA_AS
} = props.bench
const SIGN = { within: '✓', low: '↓', high: '↑' } as const
const trueAt = computed(() => f.words(f.temperature(calibrationC.value)))
const gassy = computed(
  () => !must.value && !degassed.value && fermenting.value && (taGPerL.value !== undefined || fields.ph.value !== undefined)
)
const working = computed(
  () =>
    titration.value && [
      {
        what: 'TA',
        formula: `${fields.titrantMl.text} mL × ${fields.normality.text} N × 75.04 ÷ ${fields.sampleMl.text} mL`,
        result: f.words(f.acid(titration.value.taGPerL))
      }
    ]
)
</script>

<template>
  <section class="results" aria-live="polite">
    <FindingNote v-if="corrected !== undefined">
      The sample’s temperature changes this reading by {{ corrected > 0 ? '+' : '−' }}{{ Math.abs(corrected).toFixed(3) }}. That is too
      much to correct: let the sample come closer to {{ trueAt }}.
    </FindingNote>
    <FindingNote v-for="d in doubts" :key="d">{{ d }}</FindingNote>
    <FindingNote v-if="impossible" tone="stop">{{ sayAcidsFinding(impossible) }}</FindingNote>
    <FindingNote v-if="gassy">Gas makes TA read too high and pH too low, and lifts a hydrometer. Shake the gas out first.</FindingNote>
    <FindingNote v-if="byRefractometer && fermenting" tone="stop">
      A refractometer reads alcohol as sugar. Use a hydrometer, or correct the reading on the Alcohol page.
    </FindingNote>
    <div v-if="scales" class="scales">
      <FigureNumber :label="f.degrees('Sugar at 20 °C')" :shown="f.brix(scales.brix)" origin="measured" />
      <FigureNumber label="Gravity" :shown="f.gravity(scales.sg)" origin="measured" />
      <FigureNumber label="Oechsle" :shown="{ text: scales.oechsle.toFixed(0), unit: '°Oe' }" size="small" />
      <FigureNumber label="Baumé" :shown="{ text: scales.baume.toFixed(1), unit: '°Bé' }" size="small" />
      <template v-if="potential !== undefined">
        <FigureNumber
          label="Sugar to ferment"
          :shown="{ text: scales.fermentableGPerL.toFixed(0), unit: 'g/L' }"
          origin="estimated"
          uncertainty="5"
          size="small"
        />
        <FigureNumber label="Potential alcohol" :shown="f.percentAlcohol(potential)" origin="estimated" uncertainty="0.5" size="small" />
      </template>
    </div>
    <div v-if="taGPerL !== undefined" class="scales">
      <FigureNumber
        label="TA as tartaric"
        :shown="f.acid(taGPerL)"
        origin="measured"
        :uncertainty="titration ? Math.max(0.1, titration.uncertaintyGPerL).toFixed(1) : undefined"
      />
      <FigureNumber label="in per cent" :shown="{ text: (taGPerL / 10).toFixed(2), unit: '%' }" size="small" />
      <FigureNumber label="as sulphuric" :shown="f.acid(taGPerL * TA_AS.sulphuric)" size="small" />
    </div>
    <WorkingNote v-if="working" :steps="working" source="OIV-MA-AS313-01; half the molar mass of tartaric acid is 75.04 g" />
    <template v-if="judgements.length">
      <div class="for">
        <h2>At a glance</h2>
        <SelectField v-if="!lot" v-model="style" label="Style" quiet :words="STYLE" class="w-40" />
      </div>
      <ul class="judgements">
        <li v-for="j in judgements" :key="j.quantity">
          <span class="sign" :class="j.verdict" aria-hidden="true">{{ SIGN[j.verdict] }}</span>
          <span
          ><b>{{ sayJudgement(j, style).verdict }}.</b> {{ sayJudgement(j, style).meaning }}</span
          >
        </li>
      </ul>
    </template>
    <div v-if="!scales && taGPerL === undefined && !judgements.length" class="teach soft">
      <p>Type each reading as you see it: 24.6 or 24,6; 1.092 or 1092. Leave out what you do not have.</p>
      <p v-if="first.includes('sg')">
        Mix well, strain the sample, spin out the bubbles, and let it come close to the hydrometer’s temperature. Presk corrects the rest.
      </p>
    </div>
  </section>
</template>

<style scoped>
.results {
  display: grid;
  gap: 18px;
  border-left: 1.5px solid var(--line);
  padding-left: 32px;
  min-height: 260px;
  align-content: start;
}
.scales {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 34px;
}
.for {
  display: flex;
  align-items: center;
  gap: 14px;
}
.judgements {
  display: grid;
  gap: 12px;
}
.judgements li {
  display: flex;
  gap: 12px;
}
.sign {
  flex: none;
  width: 28px;
  height: 28px;
  border-radius: 8px;
  display: grid;
  place-items: center;
  font-weight: 700;
  background: var(--caution-wash);
  color: var(--caution);
}
.sign.within {
  background: transparent;
  border: 2px solid var(--good);
  color: var(--good);
}
.teach {
  display: grid;
  gap: 10px;
  max-width: 46ch;
}
@media (max-width: 900px) {
  .results {
    border-left: 0;
    padding-left: 0;
    min-height: 0;
  }
}
</style>
