<script setup lang="ts">
import { ASSUMED_YAN } from '~~/core/yeast'
import { yeastForm } from '~/benches/yeast'
import { nutrientWorking } from '~/wording/workings'
import { FIT, sayNutrientFinding, sayPitchFinding, sayPitchStep, sayYeastReason } from '~/wording/yeast'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'
import { useMaterials } from '~/composables/useMaterials'

/** Which yeast, how much, and its nutrient: of a lot, or of any must. */
const { lot } = useLotFromAddress()
const f = useFormat()
const materials = useMaterials()
const bench = useBench(yeastForm, lot)
const { answer, values } = bench
const pitch = computed(() => answer.value.pitch)
const nutrient = computed(() => answer.value.nutrient)
/** That nitrogen was not measured is said with what that leaves open. */
const findings = computed(() => nutrient.value?.findings.filter((x) => x.code !== 'yan-assumed' || !bench.worth.value) ?? [])
const given = computed(() => answer.value.givenMgPerL)
const picked = computed({ get: () => answer.value.kind?.card.key ?? '', set: (key) => bench.set('kind', key) })
const degrees = (c: number) => f.words(f.temperature(c))
useHead({ title: 'Yeast and nutrient · Presk' })
</script>

<template>
  <BenchFrame title="Yeast and nutrient" :lot="lot">
    <template #answer>
      <div v-if="pitch" class="row">
        <FigureNumber label="Yeast" :shown="f.powder(pitch.yeastG)" origin="worked out" size="hero" />
        <FigureNumber label="Rehydration nutrient" :shown="f.powder(pitch.rehydrationNutrientG)" origin="worked out" />
        <FigureNumber label="Water" :shown="{ text: pitch.waterMl.toFixed(0), unit: 'mL' }" origin="worked out" />
      </div>
      <p v-else class="soft">Enter the volume, the sugar and the expected temperatures.</p>
    </template>
    <template #inputs>
      <BenchFields :bench="bench" />
      <ChoiceTiles
        v-if="answer.kinds.length"
        v-model="picked"
        legend="Which kind of yeast?"
        class="wide"
        :least="400"
        :items="
          answer.kinds.map((c) => ({
            value: c.card.key,
            label: c.card.name,
            hint: `${FIT[c.fit]}: ${f.degrees(c.reasons.map(sayYeastReason).join('; '))}`,
          }))
        "
      />
      <YeastShort class="wide" :bench="bench" />
    </template>
    <template #results>
      <template v-if="pitch">
        <FindingNote v-for="x in pitch.findings" :key="x.code">{{ f.degrees(sayPitchFinding(x)) }}</FindingNote>
        <h2>From packet to must</h2>
        <ol class="timed">
          <li v-for="(s, i) in pitch.steps" :key="i">
            <span class="figure">{{ s.atMin }} min</span><span>{{ sayPitchStep(s, degrees(s.celsius)) }}</span>
          </li>
        </ol>
        <p class="soft small">{{ f.degrees('Never above 43 °C') }}, and wait 12 to 24 hours after sulphite.
          Follow the packet if it says otherwise.</p>
      </template>
      <template v-if="nutrient">
        <h2>Nutrient</h2>
        <div class="row">
          <FigureNumber label="Nitrogen needed" :shown="{ text: nutrient.needMgPerL.toFixed(0), unit: 'mg/L' }" size="small" />
          <FigureNumber v-if="given > 0" label="Given so far" :shown="f.nitrogen(given)" origin="estimated" size="small" />
          <FigureNumber label="Missing" :shown="{ text: nutrient.missingMgPerL.toFixed(0), unit: 'mg/L' }" size="small" />
        </div>
        <FigureTable
          v-if="nutrient.additions.length"
          plain
          caption="Nutrient, when and how much"
          :columns="[
            { key: 'when', label: 'When' },
            { key: 'what', label: 'What' },
            { key: 'grams', label: 'How much', right: true, strong: true },
          ]"
          :rows="
            nutrient.additions.map((a) => ({
              when: a.when === '24-h-after-pitching' ? 'A day after pitching' : `At about ${a.atSg!.toFixed(3)}, a third gone`,
              what: materials.name(a.nutrient),
              grams: f.words(f.powder(a.grams)),
            }))
          "
        />
        <WorkingNote
          :steps="nutrientWorking(nutrient, answer.need, values.volume!, materials.title, (grams) => f.words(f.powder(grams)))"
          source="0.75, 0.90 or 1.25 mg of nitrogen for each gram of sugar; contents by label: common practice"
        />
        <p v-if="bench.worth.value" class="soft">{{ bench.worth.value }}</p>
        <p v-if="values.yan === undefined && given > 0" class="soft">
          YAN was not measured. Presk assumes {{ ASSUMED_YAN }} mg N/L, and {{ given.toFixed(0) }} were added.
        </p>
        <FindingNote v-for="x in findings" :key="x.code + ('nutrient' in x ? x.nutrient : '')">{{
          sayNutrientFinding(x)
        }}</FindingNote>
      </template>
      <CautionNote code="carbonDioxide" />
    </template>
  </BenchFrame>
</template>

<style scoped>
.timed {
  display: grid;
}
.timed li {
  display: grid;
  grid-template-columns: 5rem minmax(0, 1fr);
  gap: 12px;
  border-top: 1.5px solid var(--line);
  padding: 8px 0;
}
</style>
