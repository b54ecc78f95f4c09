<script setup lang="ts">
import { ROOM, type RoomFor, vesselFit } from '~~/core/cellar'
import { yieldOfArrival } from '~~/core/must'
import type { Draft, Fact, Style } from '~~/core/ledger'
import type { Unit } from '~~/core/units'
import { newId } from '~/data/ids'
import { STREAM, STREAM_HINT, STYLE, VESSEL } from '~/wording/terms'
import type { KitTyped } from '~/components/lots/KitFields.vue'

const cellar = useCellarStore()
const settings = useSettingsStore()
const route = useRoute()
const f = useFormat()
const logged = useLogged()
type NewStream = keyof typeof STREAM_HINT

/** What was expected and is here now (`?arrival=`). */
const arrival = computed(() => typeof route.query.arrival === 'string' ? cellar.state.arrivals.get(route.query.arrival) : undefined)
const stream = ref<NewStream>('fresh')
const style = ref<Style>('red')
const name = ref('')
const nameTouched = ref(false)
const vintage = ref('')
const origin = ref('')
const packets = ref<KitTyped['packets']>([])
const vesselChoice = ref('none')
const vesselName = ref('')
const vesselKind = ref<keyof typeof VESSEL>('demijohn')
const saving = ref(false)

const volumeUnits: Unit[] = ['L', 'US gal', 'imp gal']
const mass = useQuantityField({ kind: 'mass', unit: f.massUnit.value, units: ['kg', 'lb'], required: true, limits: { min: 0.5, max: 50_000, words: 'A lot has between half a kilogram and 50 tonnes of fruit.' } })
const volume = useQuantityField({ kind: 'volume', unit: f.volumeUnit.value, units: volumeUnits, required: true, limits: { min: 0.1, max: 100_000, words: 'A lot has between a tenth of a litre and 100,000 litres.' } })
const capacity = useQuantityField({ kind: 'volume', unit: f.volumeUnit.value, units: volumeUnits, required: true, limits: { min: 0.1, max: 100_000, words: 'A vessel holds between a tenth of a litre and 100,000 litres.' } })
const kitTarget = useQuantityField({ kind: 'sugar', unit: 'SG', limits: { min: 1.03, max: 1.15, words: 'A kit is watered to between 1.030 and 1.150.' } })
const kitLine = useQuantityField({ kind: 'volume', unit: f.volumeUnit.value, units: volumeUnits, limits: { min: 0.1, max: 10_000, words: 'Between a tenth of a litre and 10,000 litres.' } })
watch(arrival, (a) => {
  if (!a) return
  if (a.stream !== 'blend') stream.value = a.stream
  style.value = a.style
  name.value = a.name
  if (a.massKg) mass.text = String(a.massKg)
  if (a.volumeL) volume.text = String(a.volumeL)
}, { immediate: true })

const byMass = computed(() => stream.value === 'fresh' || stream.value === 'test')
const arrived = computed(() => byMass.value ? mass.value : volume.value)
/** A kit that is still to be watered becomes what its mark says, roughly; without a mark nothing can be expected yet. */
const grows = computed(() => stream.value === 'kit' && !kitTarget.empty)
const counted = computed(() => grows.value ? kitLine.value : arrived.value)
const expected = computed(() => counted.value === undefined ? undefined : withinLimits(() => yieldOfArrival(stream.value, style.value, counted.value!)))
const litres = computed(() => grows.value ? arrived.value : expected.value?.juice.value)
/** A kit will grow by its water: its vessel must hold all of it. */
const willBe = computed(() => expected.value === undefined ? undefined : Math.max(expected.value.mustL, grows.value ? arrived.value ?? 0 : 0))
/** Reds need the room of their cap, all other musts that of their foam. */
const room = computed<RoomFor>(() => stream.value === 'test' || (style.value === 'red' && (stream.value === 'fresh' || stream.value === 'frozen')) ? 'cap' : 'foam')
const yieldWorking = computed(() => {
  const e = expected.value!
  const per = (litres: number) => (litres / counted.value!).toFixed(2)
  const unit = byMass.value ? 'kg' : 'L'
  const amount = Number(counted.value!.toPrecision(4))
  return [
    ...(byMass.value ? [{ what: 'Juice to dose', formula: `${amount} kg × ${per(e.juice.value)} L, give or take 15 %`, result: f.words(f.volume(e.juice.value)) }] : []),
    { what: 'Wine', formula: `${amount} ${unit} × ${per(e.wine.low)} to ${per(e.wine.high)}`, result: `${f.volume(e.wine.low).text} to ${f.words(f.volume(e.wine.high))}` },
    ...(willBe.value !== undefined ? [{ what: 'Vessel', formula: `${Number(willBe.value.toPrecision(4))} L ÷ ${1 - ROOM[room.value]}, room for the ${room.value}`, result: f.words(f.volume(willBe.value / (1 - ROOM[room.value]))) }] : [])
  ]
})
const fitOf = (capacityL: number) => willBe.value === undefined ? undefined : vesselFit(capacityL, willBe.value, room.value)
const FIT = { 'too-small': 'too small', 'fits': 'fits', 'roomy': 'large for it' } as const
const sayFit = (capacityL: number) => {
  const fit = fitOf(capacityL)
  return fit && (fit.verdict === 'tight' ? `no room for the ${room.value}` : FIT[fit.verdict])
}
const RANK = { 'fits': 0, 'roomy': 1, 'tight': 2, 'too-small': 3 } as const
const emptyVessels = computed(() => [...cellar.state.vessels.values()].filter(v => !v.lotId)
  .sort((a, b) => (RANK[fitOf(a.capacityL)?.verdict ?? 'fits'] - RANK[fitOf(b.capacityL)?.verdict ?? 'fits']) || a.capacityL - b.capacityL))
const chosenVessel = computed(() => emptyVessels.value.find(v => v.id === vesselChoice.value))
const capacityL = computed(() => chosenVessel.value?.capacityL ?? (vesselChoice.value === 'new' ? capacity.value : undefined))
const fit = computed(() => capacityL.value === undefined ? undefined : fitOf(capacityL.value))
const nameMessage = computed(() => nameTouched.value && name.value.trim() === '' ? 'A lot needs a name, so that it can be found again.' : undefined)
const vintageNumber = computed(() => vintage.value.trim() === '' ? undefined : Number(vintage.value))
const vintageMessage = computed(() => vintageNumber.value !== undefined && !(Number.isInteger(vintageNumber.value) && vintageNumber.value >= 1900 && vintageNumber.value <= 2200) ? 'A vintage is a year, like 2026.' : undefined)

async function start() {
  nameTouched.value = true
  const amount = byMass.value ? mass : volume
  const asked = [amount, ...vesselChoice.value === 'new' ? [capacity] : [], ...stream.value === 'kit' ? [kitTarget, kitLine] : []]
  asked.forEach(field => field.touch())
  const wrong = name.value.trim() === '' || asked.some(field => !field.ok) || vintageMessage.value || fit.value?.verdict === 'too-small'
  if (wrong || litres.value === undefined) {
    await nextTick()
    document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
    return
  }
  saving.value = true
  const lotId = newId()
  const written = await cellar.log(drafts(lotId))
  saving.value = false
  if (!written) return
  settings.change({ asked: true })
  logged(`${name.value.trim()} is in the cellar`)
  await navigateTo(`/crush/${lotId}`)
}

function drafts(lotId: string): Draft<Fact>[] {
  const vesselId = vesselChoice.value === 'new' ? newId(Date.now() + 1) : chosenVessel.value?.id
  const vessel: Draft<Fact>[] = vesselChoice.value === 'new' ? [{ type: 'vessel-added', vesselId: vesselId!, name: vesselName.value.trim() || VESSEL[vesselKind.value], kind: vesselKind.value, capacityL: capacity.value! }] : []
  const named = packets.value.filter(p => p.name.trim()).map(p => ({ name: p.name.trim().slice(0, 80), step: p.step }))
  return [...vessel, {
    type: 'lot-started', lotId, name: name.value.trim().slice(0, 80), stream: stream.value, style: style.value, varieties: [],
    volumeL: litres.value!, volumeIs: byMass.value ? 'expected' : 'measured',
    ...(byMass.value && { massKg: mass.value! }), ...(vintageNumber.value && { vintage: vintageNumber.value }),
    ...(origin.value.trim() && { origin: origin.value.trim().slice(0, 120) }), ...(vesselId && { vesselId }), ...(arrival.value && { arrivalId: arrival.value.arrivalId }),
    ...(stream.value === 'kit' && kitTarget.value !== undefined && { kit: { targetSg: kitTarget.value, packets: named, ...(kitLine.value !== undefined && { lineL: kitLine.value }) } })
  }]
}
useHead({ title: 'Start a lot · Presk' })
</script>

<template>
  <form novalidate class="new" @submit.prevent="start">
    <h1>Start a lot</h1>
    <fieldset>
      <legend>What arrived?</legend>
      <div class="choices">
        <label v-for="(hint, key) in STREAM_HINT" :key="key" class="choice"><input v-model="stream" type="radio" name="stream" :value="key"><span><b>{{ STREAM[key] }}</b><small>{{ hint }}</small></span></label>
      </div>
    </fieldset>
    <fieldset>
      <legend>What shall it become?</legend>
      <div class="choices three">
        <label v-for="(label, key) in STYLE" :key="key" class="choice"><input v-model="style" type="radio" name="style" :value="key"><span><b>{{ label }}</b></span></label>
      </div>
    </fieldset>
    <div class="pair">
      <div class="text" :class="{ wrong: nameMessage }">
        <label for="lot-name">Name</label>
        <input id="lot-name" v-model="name" type="text" maxlength="80" autocomplete="off" placeholder="the variety, or what you call it" :aria-invalid="nameMessage ? 'true' : undefined" :aria-describedby="nameMessage ? 'lot-name-message' : undefined" @blur="nameTouched = true">
        <p v-if="nameMessage" id="lot-name-message" class="message" role="alert">{{ nameMessage }}</p>
      </div>
      <QuantityField v-if="byMass" label="Fruit" :field="mass" :hint="stream === 'test' ? 'five kilograms are usual' : 'as weighed, stems and all'" />
      <QuantityField v-else label="Volume" :field="volume" :hint="stream === 'kit' ? 'what is in the pail now, before any water' : 'all pails together'" />
    </div>
    <p v-if="expected" class="expect">
      <template v-if="byMass">Expect about <b class="figure">{{ f.words(f.volume(expected.juice.value)) }}</b> of juice for dosing ({{ f.volume(expected.juice.low).text }} to {{ f.words(f.volume(expected.juice.high)) }}), and </template><template v-else>Expect </template>{{ f.volume(expected.wine.low).text }} to {{ f.words(f.volume(expected.wine.high)) }} of wine in the end{{ grows ? ', by its mark' : '' }}.
      <template v-if="room === 'cap' && byMass">The must with its skins fills about {{ f.words(f.volume(expected.mustL)) }}.</template>
      <template v-if="willBe !== undefined"> With room for the {{ room }} that asks for a vessel of {{ f.words(f.volume(willBe / (1 - ROOM[room]))) }}.</template>
    </p>
    <WorkingNote v-if="expected" :steps="yieldWorking" source="0.60 to 0.70 L of wine from a kilogram on skins, 0.55 to 0.65 pressed; 0.65 to 0.75 L from a litre of frozen must: common practice. A cap wants a fifth of the vessel, foam a tenth" />
    <KitFields v-if="stream === 'kit'" v-model="packets" :target="kitTarget" :line="kitLine" />
    <fieldset>
      <legend>Where is it?</legend>
      <div class="choices">
        <label class="choice"><input v-model="vesselChoice" type="radio" name="vessel" value="none"><span><b>Say later</b></span></label>
        <label v-for="v in emptyVessels" :key="v.id" class="choice"><input v-model="vesselChoice" type="radio" name="vessel" :value="v.id"><span><b>{{ v.name }}</b><small>{{ VESSEL[v.kind] }}, {{ f.words(f.volume(v.capacityL)) }}, {{ sayFit(v.capacityL) ?? 'empty' }}</small></span></label>
        <label class="choice"><input v-model="vesselChoice" type="radio" name="vessel" value="new"><span><b>A new vessel</b></span></label>
      </div>
      <div v-if="vesselChoice === 'new'" class="pair inner">
        <div class="text"><label for="vessel-name">What you call it</label><input id="vessel-name" v-model="vesselName" type="text" maxlength="80" autocomplete="off"></div>
        <div class="text"><label for="vessel-kind">Kind</label><select id="vessel-kind" v-model="vesselKind"><option v-for="(label, key) in VESSEL" :key="key" :value="key">{{ label }}</option></select></div>
        <QuantityField label="Holds" :field="capacity" hint="brim-full" />
      </div>
      <FindingNote v-if="fit?.verdict === 'too-small'" tone="stop" class="mt-3">{{ f.words(f.volume(willBe!)) }} do not go into {{ f.words(f.volume(capacityL!)) }}. Choose a larger vessel, or say later.</FindingNote>
      <FindingNote v-else-if="fit?.verdict === 'tight'" class="mt-3">It would be {{ Math.round(fit.fullShare * 100) }} % full: {{ room === 'cap' ? 'the cap will rise over the rim' : 'the foam will come out' }}. {{ f.words(f.volume(fit.neededL)) }} would do; or split it over two.</FindingNote>
    </fieldset>
    <details>
      <summary>Vintage and origin</summary>
      <div class="pair inner">
        <div class="text" :class="{ wrong: vintageMessage }"><label for="vintage">Vintage</label><input id="vintage" v-model="vintage" inputmode="numeric" maxlength="4" autocomplete="off" :aria-invalid="vintageMessage ? 'true' : undefined"><p v-if="vintageMessage" class="message" role="alert">{{ vintageMessage }}</p></div>
        <div class="text"><label for="origin">Origin</label><input id="origin" v-model="origin" type="text" maxlength="120" autocomplete="off"></div>
      </div>
    </details>
    <CautionNote v-if="byMass" code="lifting" />
    <div class="go"><UButton type="submit" size="xl" :loading="saving">Start the lot</UButton><NuxtLink to="/lots" class="textlink">Not now</NuxtLink></div>
  </form>
</template>

<style scoped>
.new { max-width: 860px; display: grid; gap: 24px; }
legend { font-weight: 600; margin-bottom: 8px; }
.choices { display: grid; grid-template-columns: repeat(auto-fill, minmax(160px, 1fr)); gap: 10px; }
.choices.three { grid-template-columns: repeat(3, minmax(0, 1fr)); }
.pair { display: grid; grid-template-columns: repeat(auto-fit, minmax(230px, 1fr)); gap: 18px; }
.inner { margin-top: 14px; }
.expect { font-size: 1.05rem; background: var(--skin-wash); border-radius: var(--radius-control); padding: 12px 16px; margin-top: -8px; }
details summary { cursor: pointer; color: var(--skin); font-weight: 600; min-height: 44px; display: flex; align-items: center; }
.go { display: flex; align-items: center; gap: 24px; }
@media (max-width: 560px) { .choices { grid-template-columns: 1fr 1fr; } }
</style>
