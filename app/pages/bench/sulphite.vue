<script setup lang="ts">
import { isFermenting, isMust } from '~~/core/ledger'
import { PKA_CONVENTION } from '~~/core/sulphite'
import { sulphiteForm } from '~/benches/sulphite'
import { METHOD, SULPHITE_AIM, sayMethod, saySulphiteFinding } from '~/wording/sulphite'
import { FIRST_SULPHITE_SOURCE, SALT_SOURCE, firstSulphiteWorking, sulphiteWorking } from '~/wording/workings'
import { materialName } from '~/wording/materials'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'
import { useWeighing } from '~/composables/useWeighing'
import { useSettingsStore } from '~/stores/settings'

/** The dose of a lot: for an aim, by its pH, with what it weighs on this household's scale. */
const { lot } = useLotFromAddress()
const settings = useSettingsStore()
const f = useFormat()
const { weigh } = useWeighing()
const route = useRoute()
const bench = useBench(sulphiteForm, lot, () => (typeof route.query.aim === 'string' ? route.query.aim : undefined))
const { choices, values, answer } = bench
watch(() => choices.salt, (salt) => settings.change({ salt }))
const dose = computed(() => answer.value.dose)
const aim = computed({
  get: () => answer.value.aim,
  set: (to) => void navigateTo({ query: { ...route.query, aim: to } }, { replace: true })
})
/** Each aim with what it would take, so that one is chosen by its amount. */
const AIMS = computed(() =>
  answer.value.aims.map(({ aim: value, dose: d }) => ({
    value,
    label: SULPHITE_AIM[value].label,
    hint: d && (d.grams > 0 ? `${f.words(f.powder(d.grams))} to ${f.words(f.so2(d.aimMgPerL))}` : 'nothing to add')
  }))
)
const saltName = computed(() => materialName(choices.salt))
const spoons = computed(() => dose.value && weigh(choices.salt, dose.value.grams).spoons)
const unit = computed(() => (answer.value.usesStock ? 'mL' : 'g'))
const takePlan = () => {
  const { planned, usesStock } = answer.value
  if (planned !== undefined) bench.field('actual').text = usesStock ? planned.toFixed(1) : f.typedPowder(planned)
}
/** Why it is nothing, or hardly anything, is said beside the amount; that it is too little to weigh, with the stock solution. */
const BESIDE: readonly string[] = ['already-there', 'as-good-as-there']
const why = computed(() => dose.value?.findings.find((x) => BESIDE.includes(x.code)))
const remarks = computed(() => dose.value?.findings.filter((x) => x.code !== 'below-scale' && x !== why.value) ?? [])
const working = computed(() => {
  const { must, first } = answer.value
  if (!must || !first || !dose.value) return sulphiteWorking(values.value, answer.value)
  const asTyped = { ...must, volume: { ...must.volume, value: values.value.volume! } }
  return firstSulphiteWorking(asTyped, first, choices.health, choices.salt, f.words(f.powder(dose.value.grams)))
})
const source = computed(() => {
  if (answer.value.must) return `${FIRST_SULPHITE_SOURCE}. ${SALT_SOURCE}`
  const pka = choices.byWine
    ? `the pKa at this alcohol and temperature, ${dose.value?.pka.toFixed(2)}`
    : 'pKa 1.81, the value in the usual tables (20 °C, water)'
  return `Molecular SO₂ from pH by ${pka}. ${SALT_SOURCE}`
})
const stop = (code: string) => code === 'ph-too-high' || code === 'over-total-limit'
useHead({ title: 'Sulphite · Presk' })
</script>

<template>
  <BenchFrame title="Sulphite" :lot="lot" @submit="bench.log">
    <template #answer>
      <template v-if="dose">
        <FigureNumber v-if="dose.grams === 0" label="Sulphite to add" :shown="{ text: 'Nothing', unit: '' }" size="hero" />
        <FigureNumber
          v-else
          :label="answer.usesStock ? 'Measure out of the stock solution' : `Weigh ${saltName}`"
          :shown="answer.usesStock ? { text: answer.stockMl!.toFixed(1), unit: 'mL' } : f.powder(dose.grams)"
          origin="worked out"
          size="hero"
        />
        <p v-if="answer.ofLot?.inParts" class="max-w-(--measure)">
          This is the first part. How much stays free differs from wine to wine: measure after two days, then add what is missing.
        </p>
        <p v-if="why" class="max-w-(--measure)">{{ saySulphiteFinding(why) }}</p>
        <p v-if="answer.usesStock" class="soft">
          That is {{ f.words(f.powder(dose.grams)) }} of {{ saltName }}, too little for your scale. Make a stock solution: 10 g of the salt
          in cool water, made up to 100 mL, fresh for the day.
        </p>
        <p v-else-if="spoons && spoons.words" class="soft">about {{ spoons.words }}, level, if you cannot weigh</p>
      </template>
      <p v-else class="soft">Enter pH and volume to get the weight.</p>
      <p v-if="bench.worth.value" class="soft">{{ bench.worth.value }}</p>
    </template>
    <template #inputs>
      <BenchFields :bench="bench" />
      <ChoiceTiles v-if="answer.ofLot" v-model="aim" legend="How long it should last" class="wide" :least="150" :items="AIMS" />
      <BenchFields :bench="bench" part="apart" :only="['targetMolecular', 'salt']" />
      <FoldOut v-if="!answer.must" label="Tablets, other methods, another pKa" class="wide">
        <div class="grid gap-4">
          <div v-if="answer.otherPka">
            <UCheckbox v-model="choices.byWine" label="Use this wine’s alcohol and temperature" />
            <p class="soft small">
              pKa {{ answer.otherPka.pka.toFixed(2) }} at {{ answer.otherPka.abv.toFixed(1) }} % vol and
              {{ f.words(f.temperature(answer.otherPka.celsius)) }} instead of {{ PKA_CONVENTION }}: {{ choices.targetMolecular }} mg/L
              molecular then needs {{ answer.otherPka.freeBy.toFixed(0) }} mg/L free instead of
              {{ answer.otherPka.freeUsual.toFixed(0) }}. The usual targets were set with {{ PKA_CONVENTION }}. With the other pKa the
              same target protects less.
            </p>
          </div>
          <BenchFields :bench="bench" part="apart" :only="['tablet']" />
          <p v-if="answer.tablets">
            <b class="figure">{{ answer.tablets.rounded }}</b>
            {{ answer.tablets.rounded === 1 ? 'tablet brings' : 'tablets bring' }}
            {{ answer.tablets.addsMgPerL.toFixed(0) }} mg/L; the exact number is {{ answer.tablets.exact.toFixed(1) }}.
          </p>
          <FigureTable
            v-if="answer.methods.length"
            caption="What other methods would add"
            :columns="[
              { key: 'method', label: 'Method' },
              { key: 'givesUp', label: 'What it gives up' },
              { key: 'aim', label: 'aims at, mg/L', right: true },
            ]"
            :rows="
              answer.methods.map((s) => ({ method: METHOD[s.method], givesUp: sayMethod(s), aim: s.aimMgPerL.toFixed(0) }))
            "
          />
        </div>
      </FoldOut>
    </template>
    <template #results>
      <template v-if="dose">
        <div class="row">
          <FigureNumber label="To add" :shown="f.so2(dose.addMgPerL)" size="small" />
          <template v-if="!answer.must">
            <FigureNumber label="Free SO₂ wanted" :shown="f.so2(dose.targetFreeMgPerL)" size="small" />
            <FigureNumber label="Molecular now" :shown="{ text: dose.molecularNowMgPerL.toFixed(2), unit: 'mg/L' }" size="small" />
          </template>
        </div>
        <FindingNote v-if="answer.ofLot?.cappedByLimit" tone="stop">
          The limit for this wine allows {{ f.words(f.so2(dose.addMgPerL)) }} more. Check the pH and the readings first.
        </FindingNote>
        <FindingNote
          v-for="finding in remarks"
          :key="finding.code"
          :tone="stop(finding.code) ? 'stop' : 'ask'"
        >{{ saySulphiteFinding(finding) }}</FindingNote
        >
        <WorkingNote :steps="working" :source="source" />
      </template>
      <FindingNote v-if="answer.toComeMgPerL > 0" tone="stop"
      ><b>This kit brings its own sulphite,</b> about {{ f.words(f.so2(answer.toComeMgPerL)) }}. Add its packet or this dose, not both.
        <NuxtLink :to="`/crush/${lot!.id}?step=packets`" class="textlink">Open the packets</NuxtLink></FindingNote
      >
      <FindingNote v-if="lot && isFermenting(lot)" tone="stop"
      ><b>This lot is fermenting.</b> Sulphite slows the yeast, and most of it binds at once. Add none until the wine is dry.</FindingNote
      >
      <FindingNote v-else-if="lot && isMust(lot)" tone="ask"
      ><b>This is a must.</b> Its first sulphite depends on how healthy the fruit is, not on a target for a wine.
        <NuxtLink :to="`/crush/${lot.id}`" class="textlink">Crush day</NuxtLink> has all steps before the yeast.</FindingNote
      >
      <FindingNote v-if="answer.bacteriaWork" tone="stop"
      ><b>Malolactic is under way in this lot.</b> Sulphite may stop it for good. Measure malic acid first, and add sulphite when it is
        down to 0.1 g/L.
        <UCheckbox v-model="choices.knowing" class="mt-3" label="I know, and want to add sulphite anyway" /></FindingNote
      >
      <FindingNote v-else-if="answer.malolactic === 'to-come'" tone="ask"
      ><b>Malolactic is planned for this lot.</b> The bacteria tolerate less than 10 mg/L free and 30 to 40 total. If you do not want it,
        change the plan.</FindingNote
      >
      <CautionNote code="sulphite" />
      <div v-if="lot && dose && dose.addMgPerL > 0" class="wentin sheet">
        <QuantityField
          :label="`Amount added, ${unit}`"
          :field="bench.field('actual')"
          :unit-label="unit"
          hint="stir it in well; measure free SO₂ tomorrow"
        />
        <div class="go">
          <UButton variant="link" @click="takePlan">Exactly as planned</UButton>
          <UButton
            type="submit"
            size="xl"
            :loading="bench.saving.value"
            :disabled="answer.bacteriaWork && !choices.knowing"
          >Log it</UButton>
        </div>
      </div>
    </template>
  </BenchFrame>
</template>
