<script setup lang="ts">
import { judgeMust } from '~~/core/advice'
import { TA_AS, fitAcids, standardiseTitrant, titrate } from '~~/core/acids'
import { correctHydrometer, potentialAlcohol, sugarScales } from '~~/core/hydrometry'
import type { Draft, Fact, Style } from '~~/core/ledger'
import { sayAcidsFinding } from '~/wording/acids'
import { sayInstrumentDoubt } from '~/wording/instruments'
import { sayJudgement } from '~/wording/judgements'
import { STYLE } from '~/wording/terms'

const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const settings = useSettingsStore()
const f = useFormat()
const logged = useLogged()

const sugar = useQuantityField({ kind: 'sugar', unit: settings.values.sugar, units: ['°Brix', 'SG'], quantity: unit => unit === 'SG' ? 'sg' : 'brix' })
const sampleC = useQuantityField({ kind: 'temperature', unit: settings.values.temperature, units: ['°C', '°F'], quantity: () => 'temperature' })
const calibrationC = ref<20 | 15.56>(20)
const ph = useQuantityField({ kind: 'plain', unit: '', quantity: () => 'ph' })
const ta = useQuantityField({ kind: 'concentration', unit: 'g/L', units: ['g/L', '%'], quantity: () => 'ta' })
const byTitration = ref(false)
const sampleMl = useQuantityField({ kind: 'plain', unit: '', text: '10', limits: { min: 0.5, max: 250, words: 'A sample has between 0.5 and 250 mL.' } })
const titrantMl = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max: 200, words: 'Titrant used: between 0 and 200 mL.' } })
const normality = useQuantityField({ kind: 'plain', unit: '', text: '0.1', limits: { min: 0.005, max: 2, words: 'A titrant has between 0.005 and 2 N.' } })
const phthalate = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.01, max: 10, words: 'Weigh out between 0.01 and 10 g.' } })
const phthalateMl = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.1, max: 200, words: 'Between 0.1 and 200 mL.' } })
const trueNormality = computed(() => phthalate.value !== undefined && phthalateMl.value !== undefined ? standardiseTitrant(phthalate.value, phthalateMl.value) : undefined)
const freeSo2 = useQuantityField({ kind: 'concentration', unit: 'mg/L', quantity: () => undefined, limits: { min: 0, max: 0.3, words: 'Free SO₂ lies between 0 and 300 mg/L.' } })
const style = ref<Style>(lot.value?.style ?? 'red')
const at = ref<string>()
const degassed = ref(false)
const sugarWith = ref('')
const phWith = ref('')
const instrumentsOf = (...kinds: string[]) => [...cellar.state.instruments.values()].filter(i => kinds.includes(i.kind))
const sugarInstruments = computed(() => instrumentsOf('hydrometer', 'refractometer'))
const phInstruments = computed(() => instrumentsOf('ph-meter'))
watch([sugarInstruments, phInstruments], () => {
  sugarWith.value ||= sugarInstruments.value[0]?.id ?? ''
  phWith.value ||= phInstruments.value[0]?.id ?? ''
}, { immediate: true })
/** A refractometer minds alcohol, not the temperature of the sample. */
const byRefractometer = computed(() => cellar.state.instruments.get(sugarWith.value)?.kind === 'refractometer')
const saving = ref(false)
const now = useNow()
watch(lot, (now) => {
  if (now) style.value = now.style
})

const isMust = computed(() => !lot.value || lot.value.stage === 'must')
const scales = computed(() => {
  if (sugar.value === undefined) return undefined
  const scale = sugar.unit === 'SG' ? 'sg' as const : 'brix' as const
  if (!sugar.parsed.ok) return undefined
  const typedScale = sugar.parsed.unit === 'SG' ? 'sg' as const : 'brix' as const
  return sampleC.value === undefined || byRefractometer.value ? sugarScales(sugar.value, typedScale ?? scale) : correctHydrometer(sugar.value, typedScale ?? scale, Math.min(60, Math.max(0, sampleC.value)), calibrationC.value)
})
const titration = computed(() => byTitration.value && sampleMl.value !== undefined && titrantMl.value !== undefined && normality.value !== undefined
  ? titrate(sampleMl.value, titrantMl.value, normality.value) : undefined)
const taGPerL = computed(() => byTitration.value ? titration.value?.taGPerL : ta.value)
const judgements = computed(() => {
  if (!isMust.value) return []
  const found = []
  if (scales.value) found.push(judgeMust('brix', scales.value.brix, style.value))
  if (lot.value?.stream === 'kit') return found
  if (ph.value !== undefined) found.push(judgeMust('ph', ph.value, style.value))
  if (taGPerL.value !== undefined) found.push(judgeMust('ta', taGPerL.value, style.value))
  return found
})

const fields = computed(() => [sugar, sampleC, ph, freeSo2, ...(byTitration.value ? [sampleMl, titrantMl, normality] : [ta])])
/** What the temperature takes from or adds to a hydrometer, once that is more than it can be trusted for. */
const corrected = computed(() => {
  if (byRefractometer.value || sampleC.value === undefined || sugar.value === undefined || !sugar.parsed.ok || !scales.value) return undefined
  const asRead = sugarScales(sugar.value, sugar.parsed.unit === 'SG' ? 'sg' : 'brix').sg
  const by = scales.value.sg - asRead
  return Math.abs(by) > 0.0025 ? by : undefined
})
/** How far the instruments in hand can be trusted: never checked, long ago, or known to be off. */
const doubts = computed(() => [sugar.value === undefined ? '' : sugarWith.value, ph.value === undefined ? '' : phWith.value].flatMap((id) => {
  const instrument = cellar.state.instruments.get(id)
  return instrument ? sayInstrumentDoubt(instrument, now.value) ?? [] : []
}))
/** A pH and a TA that no must or wine has together: one of the two is misread. */
const impossible = computed(() => {
  if (ph.value === undefined || taGPerL.value === undefined || taGPerL.value < 2) return undefined
  return withinLimits(() => fitAcids({ ph: ph.value!, taGPerL: taGPerL.value! }).findings.find(x => x.code.endsWith('implausible')))
})
const nothing = computed(() => sugar.empty && ph.empty && freeSo2.empty && sampleC.empty && (byTitration.value ? titrantMl.empty : ta.empty))
const tried = ref(false)

async function log() {
  tried.value = true
  fields.value.forEach(field => field.touch())
  if (!lot.value || nothing.value || fields.value.some(field => !field.ok)) {
    await nextTick()
    document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
    return
  }
  saving.value = true
  const written = await cellar.log(drafts(lot.value.id))
  saving.value = false
  if (!written) return
  const { id, name } = lot.value
  logged(`${written.length} ${written.length === 1 ? 'reading' : 'readings'} logged for ${name}`)
  await navigateTo(useRouter().currentRoute.value.query.back === 'crush' ? `/crush/${id}` : `/lots/${id}`)
}

function drafts(lotId: string): Draft<Fact>[] {
  const found: Draft<Fact>[] = []
  const when = at.value ? { at: at.value } : {}
  const gas = degassed.value ? { degassed: true } : {}
  if (sugar.value !== undefined && sugar.parsed.ok) {
    found.push({ type: 'reading', lotId, quantity: sugar.parsed.unit === 'SG' ? 'sg' : 'brix', typed: sugar.text.trim(), value: sugar.value, ...when, ...gas, ...(sugarWith.value && { instrumentId: sugarWith.value }), ...(sampleC.value !== undefined && !byRefractometer.value && { sampleC: sampleC.value, calibrationC: calibrationC.value }) })
  }
  if (sampleC.value !== undefined) found.push({ type: 'reading', lotId, quantity: 'temperature', typed: sampleC.text.trim(), value: sampleC.value, ...when })
  if (ph.value !== undefined) found.push({ type: 'reading', lotId, quantity: 'ph', typed: ph.text.trim(), value: ph.value, ...when, ...gas, ...(phWith.value && { instrumentId: phWith.value }) })
  if (byTitration.value && titration.value) {
    found.push({ type: 'reading', lotId, quantity: 'ta', typed: `${titrantMl.text.trim()} mL`, value: titration.value.taGPerL, ...when, ...gas, titration: { sampleMl: sampleMl.value!, titrantMl: titrantMl.value!, normality: normality.value! } })
  }
  else if (ta.value !== undefined && !byTitration.value) found.push({ type: 'reading', lotId, quantity: 'ta', typed: ta.text.trim(), value: ta.value, ...when, ...gas })
  if (freeSo2.value !== undefined) found.push({ type: 'reading', lotId, quantity: 'freeSo2', typed: freeSo2.text.trim(), value: freeSo2.value * 1000, ...when })
  return found
}
useHead({ title: 'Measure · Presk' })
</script>

<template>
  <form novalidate class="bench" @submit.prevent="log">
    <div class="title"><h1>Measure</h1><BenchLotPicker :lot="lot" /></div>
    <section class="inputs">
      <div class="group">
        <QuantityField label="Sugar" :field="sugar" hint="hydrometer as read, well mixed, no bubbles" />
        <QuantityField label="Sample temperature" :field="sampleC" hint="leave empty if corrected" />
        <div v-if="sugarInstruments.length" class="text"><label for="sugar-with">Sugar read with</label><select id="sugar-with" v-model="sugarWith"><option value="">not said</option><option v-for="i in sugarInstruments" :key="i.id" :value="i.id">{{ i.name }}</option></select></div>
        <div v-if="!byRefractometer" class="text"><label for="calibration">Hydrometer reads true at</label><select id="calibration" v-model.number="calibrationC"><option :value="20">20 °C (68 °F)</option><option :value="15.56">15.6 °C (60 °F)</option></select></div>
      </div>
      <div class="group">
        <QuantityField label="pH" :field="ph" hint="meter checked in fresh buffer today" />
        <div v-if="phInstruments.length" class="text"><label for="ph-with">pH read with</label><select id="ph-with" v-model="phWith"><option value="">not said</option><option v-for="i in phInstruments" :key="i.id" :value="i.id">{{ i.name }}</option></select></div>
        <div v-if="!byTitration">
          <QuantityField label="Titratable acidity (TA)" :field="ta" hint="as tartaric acid" />
          <button type="button" class="textlink small switch" @click="byTitration = true">I have millilitres from a titration</button>
        </div>
        <fieldset v-else class="titration">
          <legend>Titratable acidity from a titration</legend>
          <QuantityField label="Sample" :field="sampleMl" unit-label="mL" />
          <QuantityField label="Titrant used" :field="titrantMl" unit-label="mL" />
          <QuantityField label="Titrant strength" :field="normality" unit-label="N" />
          <p class="soft small">Drive the gas out first. Add base until pH 8.2, or until the first pink stays for half a minute; a red goes grey-green before it turns, so thin it with water.</p>
          <details class="strength">
            <summary>Check the titrant’s strength</summary>
            <div class="grid gap-3">
              <QuantityField label="Potassium hydrogen phthalate" :field="phthalate" unit-label="g" hint="dried and weighed, dissolved in water" />
              <QuantityField label="Titrant it took" :field="phthalateMl" unit-label="mL" />
              <p v-if="trueNormality !== undefined">It has <b class="figure">{{ trueNormality.toFixed(4) }}</b> N. <button type="button" class="textlink" @click="normality.text = trueNormality.toFixed(4)">Use that</button></p>
            </div>
          </details>
          <CautionNote code="caustic" />
          <button type="button" class="textlink small switch" @click="byTitration = false">I have g/L or %</button>
        </fieldset>
        <QuantityField v-if="!isMust" label="Free SO₂" :field="freeSo2" unit-label="mg/L" />
        <label v-if="!isMust" class="tick"><input v-model="degassed" type="checkbox"> the sample was degassed</label>
        <WhenField v-model="at" />
      </div>
    </section>
    <section class="results" aria-live="polite">
      <FindingNote v-if="corrected !== undefined">The sample’s temperature moves this reading by {{ corrected > 0 ? '+' : '−' }}{{ Math.abs(corrected).toFixed(3) }}. That much is better waited for than corrected: let it come nearer to {{ calibrationC === 20 ? f.words(f.temperature(20)) : f.words(f.temperature(15.56)) }}.</FindingNote>
      <FindingNote v-for="d in doubts" :key="d">{{ d }}</FindingNote>
      <FindingNote v-if="impossible" tone="stop">{{ sayAcidsFinding(impossible) }}</FindingNote>
      <FindingNote v-if="!isMust && !degassed && (taGPerL !== undefined || ph.value !== undefined) && lot?.stage === 'fermenting'">Gas makes TA read too high and pH too low, and lifts a hydrometer. Shake it out first.</FindingNote>
      <FindingNote v-if="byRefractometer && lot?.stage === 'fermenting'" tone="stop">A refractometer counts alcohol as sugar: use the hydrometer, or the bench’s Alcohol page to correct it.</FindingNote>
      <div v-if="scales" class="scales">
        <FigureNumber label="Sugar at 20 °C" :shown="f.brix(scales.brix)" origin="measured" />
        <FigureNumber label="Gravity" :shown="f.gravity(scales.sg)" origin="measured" />
        <FigureNumber label="Oechsle" :shown="{ text: scales.oechsle.toFixed(0), unit: '°Oe' }" size="small" />
        <FigureNumber label="Baumé" :shown="{ text: scales.baume.toFixed(1), unit: '°Bé' }" size="small" />
        <FigureNumber v-if="isMust && scales.brix > 0" label="Sugar to ferment" :shown="{ text: scales.fermentableGPerL.toFixed(0), unit: 'g/L' }" origin="estimated" uncertainty="5" size="small" />
        <FigureNumber v-if="isMust && scales.brix > 0" label="Could become" :shown="f.percentAlcohol(potentialAlcohol(scales.brix).abv)" origin="estimated" uncertainty="0.5" size="small" />
      </div>
      <div v-if="taGPerL !== undefined" class="scales">
        <FigureNumber label="TA as tartaric" :shown="f.acid(taGPerL)" origin="measured" :uncertainty="titration ? Math.max(0.1, titration.uncertaintyGPerL).toFixed(1) : undefined" />
        <FigureNumber label="in per cent" :shown="{ text: (taGPerL / 10).toFixed(2), unit: '%' }" size="small" />
        <FigureNumber label="as sulphuric" :shown="f.acid(taGPerL * TA_AS.sulphuric)" size="small" />
      </div>
      <WorkingNote v-if="titration" :steps="[{ what: 'TA', formula: `${titrantMl.text} mL × ${normality.text} N × 75.04 ÷ ${sampleMl.text} mL`, result: f.words(f.acid(titration.taGPerL)) }]" source="OIV-MA-AS313-01; half the molar mass of tartaric acid is 75.04 g" />
      <template v-if="judgements.length">
        <div class="for"><h2>First judgement</h2>
          <label v-if="!lot">for a <select v-model="style" aria-label="Style"><option v-for="(label, key) in STYLE" :key="key" :value="key">{{ label.toLowerCase() }}</option></select></label>
        </div>
        <ul class="judgements">
          <li v-for="j in judgements" :key="j.quantity"><span class="sign" :class="j.verdict" aria-hidden="true">{{ j.verdict === 'within' ? '✓' : j.verdict === 'low' ? '↓' : '↑' }}</span><span><b>{{ sayJudgement(j, style).verdict }}.</b> {{ sayJudgement(j, style).meaning }}</span></li>
        </ul>
      </template>
      <div v-if="!scales && taGPerL === undefined && !judgements.length" class="teach soft">
        <p>Type what you read, as you read it: 24.6 or 24,6; 1.092 or 1092. Leave out what you do not have.</p>
        <p>Mix well, strain the sample, spin out the bubbles, and let it come near the hydrometer’s temperature. Presk corrects what is left.</p>
      </div>
    </section>
    <div class="go">
      <UButton v-if="lot" type="submit" size="xl" :loading="saving">Log for {{ lot.name }}</UButton>
      <p v-else class="soft">Choose a lot above to log these.</p>
      <p v-if="tried && nothing && lot" class="message" role="alert">There is nothing to log yet.</p>
    </div>
  </form>
</template>

<style scoped>
.bench { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 20px 56px; align-items: start; }
.title { grid-column: 1 / -1; display: flex; flex-wrap: wrap; align-items: baseline; gap: 4px 16px; }
.inputs { display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 20px 24px; }
.group { display: grid; gap: 18px; align-content: start; }
.switch { min-height: 44px; }
.titration { display: grid; gap: 12px; border-left: 3px solid var(--line); padding-left: 14px; }
.titration legend { font-weight: 600; font-size: 0.95rem; }
.results { display: grid; gap: 18px; border-left: 1.5px solid var(--line); padding-left: 32px; min-height: 260px; align-content: start; }
.scales { display: flex; flex-wrap: wrap; gap: 14px 34px; }
.for { display: flex; align-items: baseline; gap: 14px; }
.for select { color: var(--skin); font-weight: 600; border-bottom: 2px solid var(--skin); min-height: 36px; background: var(--ground); }
.judgements { display: grid; gap: 12px; }
.judgements li { display: flex; gap: 12px; }
.sign { flex: none; width: 28px; height: 28px; border-radius: 8px; display: grid; place-items: center; font-weight: 700; background: var(--caution-wash); color: var(--caution); }
.sign.within { background: transparent; border: 2px solid var(--good); color: var(--good); }
.strength summary { cursor: pointer; color: var(--skin); font-weight: 600; min-height: 44px; display: flex; align-items: center; }
.tick { display: inline-flex; align-items: center; gap: 10px; min-height: 44px; }
.tick input { width: 20px; height: 20px; accent-color: var(--skin); }
.teach { display: grid; gap: 10px; max-width: 46ch; }
.go { grid-column: 1; }
@media (max-width: 900px) { .bench { grid-template-columns: minmax(0, 1fr); } .results { border-left: 0; padding-left: 0; min-height: 0; } .go { position: sticky; bottom: 76px; } }
@media (max-width: 480px) { .inputs { grid-template-columns: minmax(0, 1fr); } }
</style>
