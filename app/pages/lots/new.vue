<script setup lang="ts">
import { yieldOfFruit } from '~~/core/must'
import type { Draft, Fact, Style } from '~~/core/ledger'
import type { Unit } from '~~/core/units'
import { newId } from '~/data/ids'
import { STREAM, STREAM_HINT, STYLE, VESSEL } from '~/wording/terms'

const cellar = useCellarStore()
const settings = useSettingsStore()
const f = useFormat()
const logged = useLogged()
type NewStream = keyof typeof STREAM_HINT

const stream = ref<NewStream>('fresh')
const style = ref<Style>('red')
const name = ref('')
const nameTouched = ref(false)
const vintage = ref('')
const origin = ref('')
const vesselChoice = ref('none')
const vesselName = ref('')
const vesselKind = ref<keyof typeof VESSEL>('demijohn')
const saving = ref(false)

const volumeUnits: Unit[] = ['L', 'US gal', 'imp gal']
const mass = useQuantityField({ kind: 'mass', unit: f.massUnit.value, units: ['kg', 'lb'], required: true, limits: { min: 0.5, max: 50_000, words: 'A lot has between half a kilogram and 50 tonnes of fruit.' } })
const volume = useQuantityField({ kind: 'volume', unit: f.volumeUnit.value, units: volumeUnits, required: true, limits: { min: 0.1, max: 100_000, words: 'A lot has between a tenth of a litre and 100,000 litres.' } })
const capacity = useQuantityField({ kind: 'volume', unit: f.volumeUnit.value, units: volumeUnits, required: true, limits: { min: 0.1, max: 100_000, words: 'A vessel holds between a tenth of a litre and 100,000 litres.' } })

const byMass = computed(() => stream.value === 'fresh')
const expected = computed(() => byMass.value && mass.value !== undefined ? yieldOfFruit(mass.value, style.value) : undefined)
const litres = computed(() => byMass.value ? expected.value?.juiceL : volume.value)
const emptyVessels = computed(() => [...cellar.state.vessels.values()].filter(v => !v.lotId).sort((a, b) => a.capacityL - b.capacityL))
const chosenVessel = computed(() => emptyVessels.value.find(v => v.id === vesselChoice.value))
const room = computed(() => chosenVessel.value?.capacityL ?? (vesselChoice.value === 'new' ? capacity.value : undefined))
/** Reds need the room of their skins, all musts that of their foam. */
const needed = computed(() => expected.value && style.value === 'red' ? expected.value.mustL : litres.value)
const tooSmall = computed(() => room.value !== undefined && needed.value !== undefined && needed.value > room.value)
const nameMessage = computed(() => nameTouched.value && name.value.trim() === '' ? 'A lot needs a name, so that it can be found again.' : undefined)
const vintageNumber = computed(() => vintage.value.trim() === '' ? undefined : Number(vintage.value))
const vintageMessage = computed(() => vintageNumber.value !== undefined && !(Number.isInteger(vintageNumber.value) && vintageNumber.value >= 1900 && vintageNumber.value <= 2200) ? 'A vintage is a year, like 2026.' : undefined)

async function start() {
  nameTouched.value = true
  const amount = byMass.value ? mass : volume
  amount.touch()
  if (vesselChoice.value === 'new') capacity.touch()
  const wrong = name.value.trim() === '' || !amount.ok || vintageMessage.value || tooSmall.value || (vesselChoice.value === 'new' && !capacity.ok)
  if (wrong || litres.value === undefined) {
    await nextTick()
    document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
    return
  }
  saving.value = true
  const lotId = newId()
  const drafts: Draft<Fact>[] = []
  const vesselId = vesselChoice.value === 'new' ? newId(Date.now() + 1) : chosenVessel.value?.id
  if (vesselChoice.value === 'new') {
    drafts.push({ type: 'vessel-added', vesselId: vesselId!, name: vesselName.value.trim() || VESSEL[vesselKind.value], kind: vesselKind.value, capacityL: capacity.value! })
  }
  drafts.push({
    type: 'lot-started', lotId, name: name.value.trim().slice(0, 80), stream: stream.value, style: style.value, varieties: [],
    volumeL: litres.value, volumeIs: byMass.value ? 'expected' : 'measured',
    ...(byMass.value && { massKg: mass.value! }), ...(vintageNumber.value && { vintage: vintageNumber.value }),
    ...(origin.value.trim() && { origin: origin.value.trim().slice(0, 120) }), ...(vesselId && { vesselId })
  })
  const written = await cellar.log(drafts)
  saving.value = false
  if (!written) return
  settings.change({ asked: true })
  logged(`${name.value.trim()} is in the cellar`)
  await navigateTo(`/bench/measure?lot=${lotId}`)
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
      <QuantityField v-if="byMass" label="Fruit" :field="mass" hint="as weighed, stems and all" />
      <QuantityField v-else label="Volume" :field="volume" :hint="stream === 'kit' ? 'after watering' : 'all pails together'" />
    </div>
    <p v-if="expected" class="expect">
      Expect about <b class="figure">{{ f.words(f.volume(expected.juiceL)) }}</b> of juice for dosing, {{ f.volume(expected.wineLowL).text }} to {{ f.words(f.volume(expected.wineHighL)) }} of wine.
      <template v-if="style === 'red'">The must with its skins fills about {{ f.words(f.volume(expected.mustL)) }}; leave a fifth more for the cap.</template>
    </p>
    <fieldset>
      <legend>Where is it?</legend>
      <div class="choices">
        <label class="choice"><input v-model="vesselChoice" type="radio" name="vessel" value="none"><span><b>Say later</b></span></label>
        <label v-for="v in emptyVessels" :key="v.id" class="choice"><input v-model="vesselChoice" type="radio" name="vessel" :value="v.id"><span><b>{{ v.name }}</b><small>{{ VESSEL[v.kind] }}, {{ f.words(f.volume(v.capacityL)) }}, empty</small></span></label>
        <label class="choice"><input v-model="vesselChoice" type="radio" name="vessel" value="new"><span><b>A new vessel</b></span></label>
      </div>
      <div v-if="vesselChoice === 'new'" class="pair inner">
        <div class="text"><label for="vessel-name">What you call it</label><input id="vessel-name" v-model="vesselName" type="text" maxlength="80" autocomplete="off"></div>
        <div class="text"><label for="vessel-kind">Kind</label><select id="vessel-kind" v-model="vesselKind"><option v-for="(label, key) in VESSEL" :key="key" :value="key">{{ label }}</option></select></div>
        <QuantityField label="Holds" :field="capacity" hint="brim-full" />
      </div>
      <FindingNote v-if="tooSmall" tone="stop" class="mt-3">{{ f.words(f.volume(needed!)) }} do not go into {{ f.words(f.volume(room!)) }}. Choose a larger vessel, or say later.</FindingNote>
    </fieldset>
    <details>
      <summary>Vintage and origin</summary>
      <div class="pair inner">
        <div class="text" :class="{ wrong: vintageMessage }"><label for="vintage">Vintage</label><input id="vintage" v-model="vintage" inputmode="numeric" maxlength="4" autocomplete="off" :aria-invalid="vintageMessage ? 'true' : undefined"><p v-if="vintageMessage" class="message" role="alert">{{ vintageMessage }}</p></div>
        <div class="text"><label for="origin">Origin</label><input id="origin" v-model="origin" type="text" maxlength="120" autocomplete="off"></div>
      </div>
    </details>
    <div class="go"><UButton type="submit" size="xl" :loading="saving">Start the lot</UButton><NuxtLink to="/lots" class="textlink">Not now</NuxtLink></div>
  </form>
</template>

<style scoped>
.new { max-width: 860px; display: grid; gap: 24px; }
legend { font-weight: 600; margin-bottom: 8px; }
.choices { display: grid; grid-template-columns: repeat(auto-fill, minmax(190px, 1fr)); gap: 10px; }
.choices.three { grid-template-columns: repeat(3, minmax(0, 1fr)); }
.pair { display: grid; grid-template-columns: repeat(auto-fit, minmax(230px, 1fr)); gap: 18px; }
.inner { margin-top: 14px; }
.expect { font-size: 1.05rem; background: var(--skin-wash); border-radius: var(--radius-control); padding: 12px 16px; margin-top: -8px; }
details summary { cursor: pointer; color: var(--skin); font-weight: 600; min-height: 44px; display: flex; align-items: center; }
.go { display: flex; align-items: center; gap: 24px; }
@media (max-width: 560px) { .choices { grid-template-columns: 1fr 1fr; } }
</style>
