<script setup lang="ts">
import { isFermenting, isMust } from '~~/core/ledger'
import { sulphiteToCome } from '~~/core/stages'
import { BASE_WINE_MOLECULAR, PKA_CONVENTION, SO2_SHARE, type SulphiteSalt } from '~~/core/sulphite'
import { addition } from '~~/core/drafts'
import { METHOD, SULPHITE_AIM, sayMethod, saySulphiteFinding } from '~/wording/sulphite'
import { HEALTH_CHOICES } from '~/wording/crush'
import { FIRST_SULPHITE_SOURCE, SALT_SOURCE } from '~/wording/workings'
import { materialName, materialTitle } from '~/wording/materials'

const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
const route = useRoute()
const bench = useSulphiteBench(lot, () => route.query.aim)
const { fields, salt, targetMolecular, dose, spoons, stockMl, working } = bench
const aim = computed({
  get: () => bench.aim.value,
  set: (to) => void navigateTo({ query: { ...route.query, aim: to } }, { replace: true })
})
/** Each aim with what it would take, so that one is chosen by its amount. */
const AIMS = computed(() =>
  bench.aims.value.map(({ aim: value, dose: d }) => ({
    value,
    label: SULPHITE_AIM[value].label,
    hint: d && (d.grams > 0 ? `${f.words(f.powder(d.grams))} to ${f.words(f.so2(d.aimMgPerL))}` : 'nothing to add')
  }))
)

const SALTS = (Object.keys(SO2_SHARE) as SulphiteSalt[]).map((value) => ({
  value,
  label: `${materialTitle(value)} (${(SO2_SHARE[value] * 100).toFixed(1)} % SO₂)`
}))
const TARGETS = computed(() => [
  // For a base wine, or where that target was chosen before.
  ...(lot.value?.plan.sparkling || targetMolecular.value === BASE_WINE_MOLECULAR
    ? [{ value: BASE_WINE_MOLECULAR, label: '0.35', hint: 'before a second ferment' }]
    : []),
  { value: 0.5, label: '0.5', hint: 'usual for reds' },
  { value: 0.6, label: '0.6', hint: 'in between' },
  { value: 0.8, label: '0.8', hint: 'usual for whites' }
])
const saltName = computed(() => materialName(salt.value))
/** What a kit's packet is still to bring, mg/L. */
const toCome = computed(() => (lot.value ? sulphiteToCome(lot.value) : 0))
const saving = ref(false)
/** Bacteria at work: it is stopped, and gone on with only knowingly. */
const bacteriaWork = computed(() => bench.malolactic.value === 'under-way' || bench.malolactic.value === 'nearly')
const knowing = ref(false)
watch(
  () => lot.value?.id,
  () => (knowing.value = false)
)
/** Why it is nothing, or hardly anything, is said beside the amount; that it is too little to weigh, with the stock solution. */
const BESIDE: readonly string[] = ['already-there', 'as-good-as-there']
const why = computed(() => dose.value?.findings.find((x) => BESIDE.includes(x.code)))
const remarks = computed(() => dose.value?.findings.filter((x) => x.code !== 'below-scale' && x !== why.value) ?? [])
const purpose = computed(() => {
  if (bench.must.value) return 'first sulphite'
  return bench.ofLot.value ? SULPHITE_AIM[aim.value].purpose : `for ${targetMolecular.value} mg/L molecular`
})
const source = computed(() => {
  if (bench.must.value) return `${FIRST_SULPHITE_SOURCE}. ${SALT_SOURCE}`
  const pka = bench.byWine.value
    ? `the pKa at this alcohol and temperature, ${dose.value?.pka.toFixed(2)}`
    : 'pKa 1.81, the value in the usual tables (20 °C, water)'
  return `Molecular SO₂ from pH by ${pka}. ${SALT_SOURCE}`
})
const stop = (code: string) => code === 'ph-too-high' || code === 'over-total-limit'

async function log() {
  bench.touchAll()
  fields.actual.touch()
  if (!lot.value || !dose.value || fields.actual.value === undefined || (bacteriaWork.value && !knowing.value)) {
    await focusWrong()
    return
  }
  saving.value = true
  const byStock = bench.usesStock.value
  const draft = addition({
    lotId: lot.value.id,
    material: salt.value,
    planned: dose.value.grams,
    actual: fields.actual.value,
    byStock,
    purpose: purpose.value
  })
  const written = await cellar.log([draft])
  saving.value = false
  if (!written) return
  logged(`Logged: ${fields.actual.text.trim()} ${draft.unit} of ${materialName(draft.material)} into ${lot.value.name}`)
  await navigateTo(`/lots/${lot.value.id}`)
}
useHead({ title: 'Sulphite · Presk' })
</script>

<template>
  <BenchFrame title="Sulphite" :lot="lot" @submit="log">
    <template #answer>
      <template v-if="dose">
        <FigureNumber v-if="dose.grams === 0" label="Sulphite to add" :shown="{ text: 'Nothing', unit: '' }" size="hero" />
        <FigureNumber
          v-else
          :label="bench.usesStock.value ? 'Measure out of the stock solution' : `Weigh ${saltName}`"
          :shown="bench.usesStock.value ? { text: stockMl!.toFixed(1), unit: 'mL' } : f.powder(dose.grams)"
          origin="worked out"
          size="hero"
        />
        <p v-if="bench.inParts.value" class="max-w-(--measure)">
          This is the first part. How much stays free differs from wine to wine: measure after two days, then add what is missing.
        </p>
        <p v-if="why" class="max-w-(--measure)">{{ saySulphiteFinding(why) }}</p>
        <p v-if="bench.usesStock.value" class="soft">
          That is {{ f.words(f.powder(dose.grams)) }} of {{ saltName }}, too little for your scale. Make a stock solution: 10 g of the salt
          in cool water, made up to 100 mL, fresh for the day.
        </p>
        <p v-else-if="spoons && spoons.words" class="soft">about {{ spoons.words }}, level, if you cannot weigh</p>
      </template>
      <p v-else class="soft">Enter pH and volume to get the weight.</p>
    </template>
    <template #inputs>
      <QuantityField label="pH" :field="fields.ph" :hint="lot?.ph ? `${lot.ph.origin} for ${lot.name}` : undefined" />
      <QuantityField
        label="Volume"
        :field="fields.volume"
        :hint="lot ? (lot.volume.origin === 'measured' ? 'measured' : 'expected juice, not fruit') : undefined"
      />
      <ChoiceTiles
        v-if="bench.must.value"
        v-model="bench.health.value"
        legend="The fruit is"
        class="wide"
        :least="150"
        :items="HEALTH_CHOICES"
      />
      <template v-else>
        <QuantityField label="Free SO₂ already there" :field="fields.free" unit-label="mg/L" :hint="bench.freeHint.value" />
        <QuantityField label="Share that will bind" :field="fields.bound" unit-label="%" :hint="bench.boundHint.value" />
      </template>
      <ChoiceTiles v-if="bench.ofLot.value" v-model="aim" legend="How long it should last" class="wide" :least="150" :items="AIMS" />
      <ChoiceTiles
        v-if="!bench.must.value"
        v-model="targetMolecular"
        legend="Molecular SO₂ wanted, mg/L"
        class="wide"
        :least="110"
        :items="TARGETS"
      />
      <SelectField v-model="salt" label="Salt" class="wide" :items="SALTS" />
      <FoldOut v-if="!bench.must.value" label="Tablets, other methods, another pKa" class="wide">
        <div class="grid gap-4">
          <div v-if="bench.otherPka.value">
            <UCheckbox v-model="bench.byWine.value" label="Use this wine’s alcohol and temperature" />
            <p class="soft small">
              pKa {{ bench.otherPka.value.pka.toFixed(2) }} at {{ bench.otherPka.value.abv.toFixed(1) }} % vol and
              {{ f.words(f.temperature(bench.otherPka.value.celsius)) }} instead of {{ PKA_CONVENTION }}: {{ targetMolecular }} mg/L
              molecular then needs {{ bench.otherPka.value.freeBy.toFixed(0) }} mg/L free instead of
              {{ bench.otherPka.value.freeUsual.toFixed(0) }}. The usual targets were set with {{ PKA_CONVENTION }}. With the other pKa the
              same target protects less.
            </p>
          </div>
          <QuantityField
            label="Weight of one tablet"
            :field="fields.tablet"
            unit-label="g"
            hint="weigh ten and divide; take the salt from the packet, above"
          />
          <p v-if="bench.tablets.value">
            <b class="figure">{{ bench.tablets.value.rounded }}</b>
            {{ bench.tablets.value.rounded === 1 ? 'tablet brings' : 'tablets bring' }}
            {{ bench.tablets.value.addsMgPerL.toFixed(0) }} mg/L; the exact number is {{ bench.tablets.value.exact.toFixed(1) }}.
          </p>
          <FigureTable
            v-if="bench.methods.value.length"
            caption="What other methods would add"
            :columns="[
              { key: 'method', label: 'Method' },
              { key: 'givesUp', label: 'What it gives up' },
              { key: 'aim', label: 'aims at, mg/L', right: true },
            ]"
            :rows="
              bench.methods.value.map((s) => ({ method: METHOD[s.method], givesUp: sayMethod(s), aim: s.aimMgPerL.toFixed(0) }))
            "
          />
        </div>
      </FoldOut>
    </template>
    <template #results>
      <template v-if="dose">
        <div class="row">
          <FigureNumber label="To add" :shown="f.so2(dose.addMgPerL)" size="small" />
          <template v-if="!bench.must.value">
            <FigureNumber label="Free SO₂ wanted" :shown="f.so2(dose.targetFreeMgPerL)" size="small" />
            <FigureNumber label="Molecular now" :shown="{ text: dose.molecularNowMgPerL.toFixed(2), unit: 'mg/L' }" size="small" />
          </template>
        </div>
        <FindingNote v-if="bench.ofLot.value?.cappedByLimit" tone="stop">
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
      <FindingNote v-if="toCome > 0" tone="stop"
      ><b>This kit brings its own sulphite,</b> about {{ f.words(f.so2(toCome)) }}. Add its packet or this dose, not both.
        <NuxtLink :to="`/crush/${lot!.id}?step=packets`" class="textlink">Open the packets</NuxtLink></FindingNote
      >
      <FindingNote v-if="lot && isFermenting(lot)" tone="stop"
      ><b>This lot is fermenting.</b> Sulphite slows the yeast, and most of it binds at once. Add none until the wine is dry.</FindingNote
      >
      <FindingNote v-else-if="lot && isMust(lot)" tone="ask"
      ><b>This is a must.</b> Its first sulphite depends on how healthy the fruit is, not on a target for a wine.
        <NuxtLink :to="`/crush/${lot.id}`" class="textlink">Crush day</NuxtLink> has all steps before the yeast.</FindingNote
      >
      <FindingNote v-if="bacteriaWork" tone="stop"
      ><b>Malolactic is under way in this lot.</b> Sulphite may stop it for good. Measure malic acid first, and add sulphite when it is
        down to 0.1 g/L.
        <UCheckbox v-model="knowing" class="mt-3" label="I know, and want to add sulphite anyway" /></FindingNote
      >
      <FindingNote v-else-if="bench.malolactic.value === 'to-come'" tone="ask"
      ><b>Malolactic is planned for this lot.</b> The bacteria tolerate less than 10 mg/L free and 30 to 40 total. If you do not want it,
        change the plan.</FindingNote
      >
      <CautionNote code="sulphite" />
      <div v-if="lot && dose && dose.addMgPerL > 0" class="wentin sheet">
        <QuantityField
          :label="`Amount added, ${bench.usesStock.value ? 'mL' : 'g'}`"
          :field="fields.actual"
          :unit-label="bench.usesStock.value ? 'mL' : 'g'"
          hint="stir it in well; measure free SO₂ tomorrow"
        />
        <div class="go">
          <UButton variant="link" @click="bench.takePlan()">Exactly as planned</UButton>
          <UButton type="submit" size="xl" :loading="saving" :disabled="bacteriaWork && !knowing">Log it</UButton>
        </div>
      </div>
    </template>
  </BenchFrame>
</template>
