<script setup lang="ts">
import type { Draft, EntryOf, Fact, LotState } from '~~/core/ledger'
import { sayLedgerProblem } from '~/wording/problems'
import { MATERIAL, OBSERVATION, OPERATION } from '~/wording/terms'

const props = defineProps<{ lot: LotState }>()

const cellar = useCellarStore()
const route = useRoute()
const logged = useLogged()
const f = useFormat()
const KINDS = { note: 'Observation', yeast: 'Yeast or bacteria', addition: 'Addition', operation: 'Work done', move: 'Move', bottles: 'Bottle' } as const
type Kind = keyof typeof KINDS

const asked = String(route.query.log ?? '')
const kind = ref<Kind>(asked in KINDS ? asked as Kind : 'note')
const at = ref<string>()
const what = ref<EntryOf<'observation'>['what']>('note')
const text = ref('')
const organism = ref<'yeast' | 'bacteria'>('yeast')
const culture = ref('')
const operation = ref<EntryOf<'operation'>['what']>('punch-down')
const material = ref('tartaric')
const grams = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max: 100_000, words: 'Between 0 and 100,000.' } })
const litresField = () => useQuantityField({ kind: 'volume', unit: f.volumeUnit.value, units: ['L', 'US gal', 'imp gal'], limits: { min: 0, max: 100_000, words: 'Between 0 and 100,000 litres.' } })
const out = litresField()
const lees = litresField()
const count = useQuantityField({ kind: 'plain', unit: '', limits: { min: 1, max: 100_000, words: 'At least one bottle.' } })
const size = ref(750)
const fromVessel = ref('')
const toPlace = ref('')
const photo = ref<string>()
const problem = ref<string>()
async function takePhoto(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  photo.value = await smallPhoto(file)
  problem.value = photo.value ? undefined : 'This file is not a picture that can be read here.'
  input.value = ''
}

const unit = computed(() => material.value === 'water' ? 'L' as const : 'g' as const)
const materials = Object.entries(MATERIAL).filter(([key]) => !key.includes('sulphite') && key !== 'yeast' && key !== 'bacteria')
const sources = computed(() => [...props.lot.contents].map(([id, litres]) => ({ id, name: cellar.state.vessels.get(id)?.name ?? 'no vessel named', litres })))
watch(sources, (now) => {
  if (!now.some(s => s.id === fromVessel.value)) fromVessel.value = now[0]?.id ?? ''
}, { immediate: true })
/** Where wine can go: an empty vessel, another vessel of this lot, or into another lot's. */
const places = computed(() => [...cellar.state.vessels.values()].filter(v => v.id !== fromVessel.value).map(v => ({
  id: v.id, lotId: v.lotId ?? props.lot.id, name: v.name,
  hint: v.lotId === undefined ? `empty, ${f.words(f.volume(v.capacityL))}` : v.lotId === props.lot.id ? 'this lot' : `blend into ${cellar.state.lots.get(v.lotId)?.name}`
})))

function draft(): Draft<Fact> | string {
  const lotId = props.lot.id
  const note = text.value.trim().slice(0, 2000)
  const when = at.value ? { at: at.value } : {}
  switch (kind.value) {
    case 'note': return note || photo.value ? { type: 'observation', lotId, what: what.value, text: note || 'A picture', ...(photo.value && { photo: photo.value }), ...when } : 'Write a word or two.'
    case 'yeast': return culture.value.trim()
      ? { type: 'inoculation', lotId, organism: organism.value, culture: culture.value.trim().slice(0, 80), ...(grams.value && { grams: grams.value }), ...when }
      : 'Say which culture it was, in your own words.'
    case 'operation': return { type: 'operation', lotId, what: operation.value, ...(note && { note }), ...when }
    case 'addition': return grams.value
      ? { type: 'addition', lotId, material: material.value, unit: unit.value, actual: grams.value, ...when }
      : 'Say how much went in.'
    case 'move': {
      const place = places.value.find(p => p.id === toPlace.value)
      if (!place) return 'Say where it goes.'
      if (!out.value) return 'Say how much left the vessel.'
      const left = lees.value ?? 0
      if (left > out.value) return 'More was left behind than was moved.'
      return {
        type: 'transfer', purpose: place.lotId === lotId ? 'rack' : 'blend', outL: out.value, inL: out.value - left, ...when,
        from: { lotId, ...(fromVessel.value && { vesselId: fromVessel.value }) }, to: { lotId: place.lotId, vesselId: place.id }
      }
    }
    case 'bottles': return count.value && Number.isInteger(count.value)
      ? { type: 'bottling', lotId, bottles: [{ sizeMl: size.value, count: count.value }], ...when }
      : 'Say how many bottles, as a whole number.'
  }
}

async function log() {
  const fields = kind.value === 'move' ? [out, lees] : kind.value === 'bottles' ? [count] : [grams]
  fields.forEach(field => field.touch())
  const made = draft()
  problem.value = typeof made === 'string' ? made : undefined
  if (typeof made === 'string' || fields.some(field => !field.ok)) return
  if (!await cellar.log([made])) {
    problem.value = cellar.refused.map(sayLedgerProblem).join(' ') || undefined
    return
  }
  text.value = ''
  culture.value = ''
  photo.value = undefined
  at.value = undefined
  for (const field of [grams, out, lees, count]) field.clear()
  logged('Logged')
}
</script>

<template>
  <form novalidate class="entry" @submit.prevent="log">
    <h2 class="sr-only">Log something</h2>
    <div class="kinds" role="radiogroup" aria-label="What to log">
      <label v-for="(label, key) in KINDS" :key="key" class="kind"><input v-model="kind" type="radio" name="kind" :value="key" class="sr-only">{{ label }}</label>
    </div>
    <div class="fields">
      <template v-if="kind === 'note'">
        <div class="text"><label for="entry-what">What</label><select id="entry-what" v-model="what"><option v-for="(label, key) in OBSERVATION" :key="key" :value="key">{{ label }}</option></select></div>
        <div class="text wide"><label for="entry-text">In a few words</label><input id="entry-text" v-model="text" type="text" maxlength="2000" autocomplete="off"></div>
      </template>
      <template v-else-if="kind === 'yeast'">
        <div class="text"><label for="entry-organism">What</label><select id="entry-organism" v-model="organism"><option value="yeast">Yeast</option><option value="bacteria">Malolactic bacteria</option></select></div>
        <div class="text wide"><label for="entry-culture">Culture</label><input id="entry-culture" v-model="culture" type="text" maxlength="80" autocomplete="off" placeholder="as you call it"></div>
        <QuantityField label="Weight" :field="grams" unit-label="g" />
      </template>
      <template v-else-if="kind === 'addition'">
        <div class="text wide"><label for="entry-material">What went in</label><select id="entry-material" v-model="material"><option v-for="[key, label] in materials" :key="key" :value="key">{{ label }}</option></select></div>
        <QuantityField label="How much" :field="grams" :unit-label="unit" />
      </template>
      <template v-else-if="kind === 'operation'">
        <div class="text"><label for="entry-operation">What was done</label><select id="entry-operation" v-model="operation"><option v-for="(label, key) in OPERATION" :key="key" :value="key">{{ label }}</option></select></div>
        <div class="text wide"><label for="entry-note">Note, if any</label><input id="entry-note" v-model="text" type="text" maxlength="2000" autocomplete="off"></div>
      </template>
      <template v-else-if="kind === 'move'">
        <div class="text"><label for="entry-from">From</label><select id="entry-from" v-model="fromVessel"><option v-for="s in sources" :key="s.id" :value="s.id">{{ s.name }}, {{ f.words(f.volume(s.litres)) }}</option></select></div>
        <div class="text wide"><label for="entry-to">To</label><select id="entry-to" v-model="toPlace"><option value="" disabled>choose a vessel</option><option v-for="p in places" :key="p.id" :value="p.id">{{ p.name }}: {{ p.hint }}</option></select></div>
        <QuantityField label="Left the vessel" :field="out" />
        <QuantityField label="Of that lost to lees" :field="lees" />
      </template>
      <template v-else>
        <QuantityField label="Bottles" :field="count" />
        <div class="text"><label for="entry-size">Of</label><select id="entry-size" v-model.number="size"><option v-for="s in [187, 375, 500, 750, 1000, 1500]" :key="s" :value="s">{{ s }} mL</option></select></div>
      </template>
      <UButton type="submit" size="xl" variant="outline" class="send">Log</UButton>
    </div>
    <div class="extra">
      <WhenField v-model="at" />
      <template v-if="kind === 'note'">
        <label class="picture textlink small"><input type="file" accept="image/*" class="sr-only" @change="takePhoto">{{ photo ? 'Another picture' : 'Add a picture' }}</label>
        <img v-if="photo" :src="photo" alt="The picture to be kept" class="thumb">
      </template>
    </div>
    <p v-if="problem" class="message" role="alert">{{ problem }}</p>
  </form>
</template>

<style scoped>
.entry { margin-bottom: 26px; }
.kinds { display: flex; flex-wrap: wrap; border-bottom: 1.5px solid var(--line); margin-bottom: 12px; }
.kind { position: relative; min-height: 44px; display: inline-flex; align-items: center; padding: 0 14px; cursor: pointer; border-bottom: 4px solid transparent; font-weight: 600; color: var(--ink-soft); }
.kind:has(:checked) { color: var(--skin); border-bottom-color: var(--skin); }
.kind:has(:focus-visible) { outline: 3px solid var(--skin); outline-offset: -3px; border-radius: 8px; }
.extra { display: flex; flex-wrap: wrap; align-items: center; gap: 4px 24px; }
.picture { cursor: pointer; display: inline-flex; align-items: center; min-height: 44px; }
.picture:has(:focus-visible) { outline: 3px solid var(--skin); outline-offset: 2px; }
.thumb { height: 56px; border-radius: 8px; }
.fields { display: flex; flex-wrap: wrap; gap: 12px 16px; align-items: flex-end; }
.fields > * { flex: 1 1 150px; }
.fields > .wide { flex: 3 1 240px; }
.fields > .send { flex: 0 0 auto; min-height: 53px; }
@media (max-width: 560px) { .kind { padding: 0 10px; font-size: 0.95rem; } }
</style>
