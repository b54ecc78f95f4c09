<script setup lang="ts">
import { addition, fact } from '~~/core/drafts'
import { UNITS_WANTED, minutesFor, pasteurisationUnits, sorbateDose } from '~~/core/finishing'
import { drynessOf, isFermenting } from '~~/core/ledger'
import { readinessOf } from '~~/core/stages'
import { fromLitres } from '~~/core/units'
import { saySorbate } from '~/wording/finishing'

/** A sweet wine that stays so: a ladder in glasses first, then sorbate with sulphite, or heat. */
const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const now = useNow()
const f = useFormat()
const logged = useLogged()
const HELD = [
  { value: 'sorbate', label: 'Sorbate and sulphite', hint: 'the usual' },
  { value: 'heat', label: 'Pasteurise', hint: 'without sulphite, in the bottle' },
  { value: 'cold', label: 'Cold alone', hint: 'does not hold' }
] as const
const way = ref<(typeof HELD)[number]['value']>('sorbate')
const plain = (min: number, max: number, words: string, text = '') =>
  useQuantityField({ kind: 'plain', unit: '', required: true, text, limits: { min, max, words } })
const volume = useVolumeField()
const ph = useQuantityField({ kind: 'plain', unit: '', required: true, quantity: () => 'ph' })
const abv = plain(0, 18, 'Between 0 and 18 % vol.')
const free = plain(0, 300, 'Free SO₂ lies between 0 and 300 mg/L.')
const through = ref(false)
const ferments = ref(false)
const glassMl = plain(20, 1000, 'Between 20 and 1000 mL.', '100')
const chosen = plain(0, 200, 'Between 0 and 200 g/L.')
const heat = plain(50, 80, 'Between 50 and 80 °C.', '63')
watch(
  () => lot.value?.id,
  () => {
    const l = lot.value
    if (!l) return
    volume.text = String(Number(fromLitres(l.volume.value, f.volumeUnit.value).toPrecision(4)))
    ph.text = l.ph?.value.toFixed(2) ?? ''
    abv.text = l.abv?.value.toFixed(1) ?? ''
    free.text = l.freeSo2?.value.toFixed(0) ?? ''
    through.value = l.malolactic === 'done' || l.bacteriaAt !== undefined
    const stable = readinessOf(l, 'sweetening', now.value).conditions.find((c) => c.code === 'stable-gravity')
    ferments.value = isFermenting(l) || stable?.state !== 'met'
  },
  { immediate: true }
)
/** From dry to sweet, in the glass: a syrup of half sugar, 615 g in a litre of it. */
const SYRUP_G_PER_ML = 0.615
const LADDER = [0, 5, 10, 15, 20, 30, 40]
const glasses = computed(() =>
  glassMl.value === undefined ? [] : LADDER.map((gPerL) => ({ gPerL, ml: (gPerL * glassMl.value!) / 1000 / SYRUP_G_PER_ML }))
)
const sugarG = computed(() => (chosen.value !== undefined && volume.value !== undefined ? chosen.value * volume.value : undefined))
const told = computed(() =>
  volume.value === undefined || ph.value === undefined || abv.value === undefined || free.value === undefined
    ? undefined
    : withinLimits(() =>
        sorbateDose({
          volumeL: volume.value!,
          abv: abv.value!,
          ph: ph.value!,
          freeSo2MgPerL: free.value!,
          malolacticDone: through.value,
          fermenting: ferments.value
        })
      )
)
const minutes = computed(() => (heat.value === undefined ? undefined : withinLimits(() => minutesFor(UNITS_WANTED.low, heat.value!))))
const dry = computed(() => lot.value && drynessOf(lot.value)?.proven)
const { ready, knows, mayGoOn, against } = useReadiness(() => lot.value, () => 'sweetening')
const sugarIn = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.1, max: 1e6, words: 'Say how much went in.' } })
const sorbateIn = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.01, max: 1e5, words: 'Say how much went in.' } })
const heldFor = useQuantityField({ kind: 'plain', unit: '', limits: { min: 1, max: 600, words: 'Between 1 and 600 minutes.' } })
/** What was typed for one wine is not logged to another. */
watch(() => lot.value?.id, () => [sugarIn, sorbateIn, heldFor, chosen].forEach((field) => field.clear()))
async function log() {
  const l = lot.value
  ;[sugarIn, sorbateIn, heldFor].forEach((field) => field.touch())
  if (!l || !mayGoOn.value) return
  if (!sugarIn.ok || !sorbateIn.ok || !heldFor.ok) return focusWrong()
  const drafts = [
    ...(sugarIn.value
      ? [addition({ lotId: l.id, material: 'sugar', planned: sugarG.value, actual: sugarIn.value, purpose: 'to sweeten it' })]
      : []),
    ...(way.value === 'sorbate' && sorbateIn.value && told.value?.allowed
      ? [
          addition({
            lotId: l.id,
            material: 'potassium-sorbate',
            planned: told.value.grams,
            actual: sorbateIn.value,
            purpose: 'to hold it sweet'
          })
        ]
      : []),
    ...(way.value === 'heat' && heldFor.value && heat.value
      ? [
          fact('operation', {
            lotId: l.id,
            what: 'pasteurise',
            note: `${heldFor.value} min at ${heat.value} °C: ${pasteurisationUnits(heat.value, heldFor.value).toFixed(0)} units`,
            plan: undefined
          })
        ]
      : [])
  ]
  if (drafts.length === 0 || !(await cellar.log([...against(), ...drafts]))) return
  logged(`${l.name}: it is in`)
  await navigateTo(`/lots/${l.id}`)
}
useHead({ title: 'Sweeten a wine · Presk' })
</script>

<template>
  <BenchFrame title="Sweeten a wine" :lot="lot" @submit="log">
    <template #answer>
      <template v-if="way === 'sorbate'">
        <template v-if="told">
          <FigureNumber
            v-if="told.allowed"
            label="Potassium sorbate in all"
            :shown="f.powder(told.grams)"
            origin="worked out"
            size="hero"
          />
          <p v-if="told.allowed" class="soft">
            {{ told.sorbicMgPerL.toFixed(0) }} mg/L as sorbic acid; 200 is the limit (OIV). It brings no sweetness.
          </p>
          <FindingNote v-for="x in told.findings" :key="x.code" :tone="saySorbate(x).tone">{{ saySorbate(x).text }}</FindingNote>
        </template>
        <p v-else class="soft">Say the wine’s figures: whether sorbate may go in, and how much.</p>
      </template>
      <template v-else-if="way === 'heat'">
        <FigureNumber
          v-if="minutes !== undefined"
          label="Held in the middle of the bottle"
          :shown="{ text: minutes.toFixed(0), unit: 'min' }"
          origin="worked out"
          size="hero"
        />
        <p class="soft">
          That makes {{ UNITS_WANTED.low }} units; {{ UNITS_WANTED.low }} to {{ UNITS_WANTED.high }} are usual. Drink it within about two
          years. Common practice.
        </p>
        <CautionNote code="heatBottles" />
      </template>
      <FindingNote v-else tone="stop">
        Cold stops a ferment and kills nothing: warm again it goes on, in the bottle. Filter it sterile, add sorbate and sulphite, or
        pasteurise.
      </FindingNote>
    </template>
    <template #inputs>
      <ChoiceTiles v-model="way" class="wide" legend="Held sweet by" :items="[...HELD]" :least="150" />
      <QuantityField label="Volume" :field="volume" />
      <QuantityField label="Alcohol" :field="abv" unit-label="% vol" />
      <template v-if="way === 'sorbate'">
        <QuantityField label="pH" :field="ph" />
        <QuantityField label="Free SO₂" :field="free" unit-label="mg/L" />
        <UCheckbox v-model="through" class="wide" label="Malolactic bacteria have been in it" />
        <UCheckbox v-model="ferments" class="wide" label="It ferments, or no two gravities agree yet" />
      </template>
      <QuantityField v-if="way === 'heat'" label="Temperature" :field="heat" unit-label="°C" />
      <QuantityField label="Glass for the trial" :field="glassMl" unit-label="mL" />
      <QuantityField label="Sweetness chosen" :field="chosen" unit-label="g/L" hint="by taste, from the ladder" />
    </template>
    <template #results>
      <section class="grid gap-2">
        <h2>In the glass first</h2>
        <table class="columns w-full">
          <caption class="text-left soft small">
            Syrup of equal weights of sugar and water, into
            {{
              glassMl.text
            }}
            mL each; taste from dry to sweet.
          </caption>
          <tbody>
            <tr v-for="g in glasses" :key="g.gPerL">
              <th scope="row">{{ g.gPerL }} g/L</th>
              <td>{{ g.gPerL === 0 ? 'as it is' : `${g.ml.toFixed(1)} mL` }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="sugarG">
          <b class="figure">{{ f.words(f.powder(sugarG)) }}</b> of sugar in all for {{ chosen.text }} g/L.
        </p>
        <p v-if="lot && !dry" class="soft small">Sugar that it has already comes on top: this is what is added.</p>
      </section>
      <template v-if="lot">
        <GateBefore v-if="!ready" v-model="knows" :lot="lot" gate="sweetening" />
        <div v-if="mayGoOn && way !== 'cold'" class="wentin sheet">
          <h2>What went in</h2>
          <QuantityField label="Household sugar" :field="sugarIn" unit-label="g" hint="empty: none" />
          <QuantityField
            v-if="way === 'sorbate' && told?.allowed"
            label="Potassium sorbate"
            :field="sorbateIn"
            unit-label="g"
            hint="empty: none"
          />
          <QuantityField v-if="way === 'heat'" label="Held for" :field="heldFor" unit-label="min" hint="empty: not heated yet" />
          <div class="go"><span /><UButton type="submit" size="xl">Log it</UButton></div>
        </div>
      </template>
    </template>
  </BenchFrame>
</template>

<style scoped>
th {
  text-align: left;
  font-weight: 400;
}
td {
  text-align: right;
}
tr > * {
  border-top: 1.5px solid var(--line);
  padding: 5px 0;
}
</style>
