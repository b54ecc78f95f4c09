<script setup lang="ts">
import { nutrientWorking } from '~/wording/workings'
import { targetBand } from '~~/core/fermentation'
import { potentialAlcohol } from '~~/core/hydrometry'
import type { Style } from '~~/core/ledger'
import { ASSUMED_YAN, type Need, chooseYeast, nutrientPlan, nutrientsLeft, pitchPlan, starterPlan } from '~~/core/yeast'
import { fromCelsius } from '~~/core/units'
import { STYLE } from '~/wording/terms'
import { FIT, sayNutrientFinding, sayPitchFinding, sayPitchStep, sayYeastReason } from '~/wording/yeast'

const { lot } = useLotFromAddress()
const settings = useSettingsStore()
const f = useFormat()
const inDegrees = (celsius: number) => String(Math.round(fromCelsius(celsius, settings.values.temperature)))
const temperature = (celsius: number) =>
  useQuantityField({
    kind: 'temperature',
    unit: settings.values.temperature,
    units: ['°C', '°F'],
    text: inDegrees(celsius),
    required: true,
    limits: { min: 5, max: 40, words: 'Enter between 5 and 40 °C.' }
  })
const sugar = useSugarField(settings.values.sugar, { required: true })
const volume = useVolumeField()
const coolest = temperature(targetBand('red').min)
const warmest = temperature(targetBand('red').max)
const yan = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max: 1000, words: 'Enter between 0 and 1000 mg N/L.' } })
const packet = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.5, max: 500, words: 'Between 0.5 and 500 g of yeast.' } })
const style = ref<Style>('red')
const malolacticWanted = ref(true)
const chosen = ref<string>()
watch(
  () => lot.value?.id,
  () => {
    const l = lot.value
    if (!l) return
    style.value = l.style
    malolacticWanted.value = !['none', 'blocked'].includes(l.plan.malolactic)
    volume.fill(f.typedVolume(l.volume.value))
    const sg = l.originalSg ?? l.sg
    sugar.fill(sg ? f.sugar(sg.value).text : '')
    yan.fill(l.others.yan?.value.toFixed(0) ?? '')
    const band = targetBand(l.style)
    coolest.fill(inDegrees(band.min))
    warmest.fill(inDegrees(band.max))
  },
  { immediate: true }
)
const brix = computed(() => brixIn(sugar))
const choices = computed(() =>
  brix.value === undefined || coolest.value === undefined || warmest.value === undefined
    ? undefined
    : withinLimits(() =>
        chooseYeast({
          style: style.value,
          potentialAbv: potentialAlcohol(brix.value!).abv,
          temperatureC: { min: coolest.value!, max: warmest.value! },
          malolacticWanted: malolacticWanted.value,
          ...(yan.value !== undefined && { yanMgPerL: yan.value })
        })
      )
)
const card = computed(() => choices.value?.find((c) => c.card.key === chosen.value) ?? choices.value?.[0])
const pitch = computed(() =>
  volume.value === undefined || coolest.value === undefined ? undefined : withinLimits(() => pitchPlan(volume.value!, coolest.value!))
)
const need = computed<Need>(() => card.value?.card.nitrogenNeed ?? 'medium')
const given = computed(() => lot.value?.nitrogenGiven?.value ?? 0)
/** What is there already: measured or assumed, and what was given since. */
const nutrient = computed(() =>
  volume.value === undefined || brix.value === undefined
    ? undefined
    : withinLimits(() =>
        nutrientPlan(
          volume.value!,
          brix.value!,
          need.value,
          yan.value === undefined && given.value === 0 ? undefined : (yan.value ?? ASSUMED_YAN) + given.value,
          nutrientsLeft(Object.fromEntries([...(lot.value?.added ?? [])].map(([key, { actual }]) => [key, actual / volume.value!])))
        )
      )
)
const starter = computed(() =>
  packet.value !== undefined && volume.value !== undefined && pitch.value && packet.value < pitch.value.yeastG * 0.8
    ? withinLimits(() => starterPlan(packet.value!, [volume.value!]))
    : undefined
)
const materials = useMaterials()
const picked = computed({
  get: () => card.value?.card.key ?? '',
  set: (key: string) => {
    chosen.value = key
  }
})
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
      <QuantityField label="Sugar" :field="sugar" />
      <QuantityField label="Volume" :field="volume" />
      <QuantityField label="Coolest" :field="coolest" hint="when you pitch" />
      <QuantityField label="Warmest" :field="warmest" hint="at the peak of the ferment" />
      <QuantityField label="YAN" :field="yan" unit-label="mg N/L" hint="leave empty if not measured" />
      <SelectField v-model="style" label="Style" :words="STYLE" />
      <UCheckbox v-model="malolacticWanted" label="Malolactic planned" class="wide" />
      <ChoiceTiles
        v-if="choices && card"
        v-model="picked"
        legend="Which kind of yeast?"
        class="wide"
        :least="400"
        :items="
          choices.map((c) => ({
            value: c.card.key,
            label: c.card.name,
            hint: `${FIT[c.fit]}: ${f.degrees(c.reasons.map(sayYeastReason).join('; '))}`,
          }))
        "
      />
      <QuantityField label="Yeast you have, if short" :field="packet" unit-label="g" />
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
      <template v-if="starter">
        <h2>Make a starter first</h2>
        <ol class="timed">
          <li v-for="s in starter.steps" :key="s.atHours">
            <span class="figure">{{ s.atHours }} h</span
            ><span
            >{{ s.atHours === 0 ? 'Yeast into' : 'Feed with' }} {{ f.words(f.volume(s.addJuiceL)) }} of boiled and cooled juice:
              {{ f.words(f.volume(s.volumeL)) }} in all</span
            >
          </li>
        </ol>
        <p class="soft small">Ready after {{ starter.totalHours }} hours. Air it often.</p>
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
          :steps="nutrientWorking(nutrient, need, volume.value!, materials.title, (grams) => f.words(f.powder(grams)))"
          source="0.75, 0.90 or 1.25 mg of nitrogen for each gram of sugar; contents by label: common practice"
        />
        <p v-if="yan.value === undefined && given > 0" class="soft">
          YAN was not measured. Presk assumes {{ ASSUMED_YAN }} mg N/L, and {{ given.toFixed(0) }} were added.
        </p>
        <FindingNote v-for="x in nutrient.findings" :key="x.code + ('nutrient' in x ? x.nutrient : '')">{{
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
