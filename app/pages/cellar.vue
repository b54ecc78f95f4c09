<script setup lang="ts">
import type { VesselState } from '~~/core/ledger'
import { sayWhen } from '~/composables/useStory'
import { newId } from '~/data/ids'
import { VESSEL } from '~/wording/terms'

const cellar = useCellarStore()
const f = useFormat()
const toast = useToast()
const logged = useLogged()
const name = ref('')
const kind = ref<keyof typeof VESSEL>('demijohn')
const capacity = useQuantityField({ kind: 'volume', unit: f.volumeUnit.value, units: ['L', 'US gal', 'imp gal'], required: true, limits: { min: 0.1, max: 100_000, words: 'A vessel holds between a tenth of a litre and 100,000 litres.' } })
const nameMessage = ref<string>()
const vessels = computed(() => [...cellar.state.vessels.values()].sort((a, b) => b.capacityL - a.capacityL))

async function add() {
  capacity.touch()
  nameMessage.value = name.value.trim() === '' ? 'A vessel needs a name: write the same on it.' : undefined
  if (nameMessage.value || capacity.value === undefined) return
  if (!await cellar.log([{ type: 'vessel-added', vesselId: newId(), name: name.value.trim().slice(0, 80), kind: kind.value, capacityL: capacity.value }])) return
  logged(`${name.value.trim()} stands on the shelf`)
  name.value = ''
  capacity.clear()
}
const now = useNow()
async function care(vessel: VesselState, what: 'cleaned' | 'sanitised') {
  if (await cellar.log([{ type: 'vessel-cared', vesselId: vessel.id, what }])) logged(`${vessel.name} ${what}`)
}
/** Strikes the vessel's entry; refused while something in the ledger rests on it. */
async function remove(vessel: VesselState) {
  const standing = cellar.facts.find(f => f.fact.type === 'vessel-added' && f.fact.vesselId === vessel.id)
  if (!standing) return
  const done = await cellar.strike([standing.fact.id], 'No longer there')
  if (done) toast.add({ title: `${vessel.name} is off the shelf`, color: 'neutral', actions: [{ label: 'Undo', onClick: () => void cellar.undoCorrection(standing.fact) }] })
  else if (cellar.refused.length > 0) toast.add({ title: `${vessel.name} stays: the ledger tells of wine in it.`, color: 'error' })
}
useHead({ title: 'Cellar · Presk' })
</script>

<template>
  <div class="cellar">
    <section>
      <h1>Cellar</h1>
      <p v-if="vessels.length === 0" class="soft">No vessel yet. Add the ones you have: they appear on the shelf, to scale.</p>
      <ul>
        <li v-for="v in vessels" :key="v.id">
          <span class="drawing"><VesselDrawing :kind="v.kind" :capacity-l="v.capacityL" :litres="v.litres" :colour="v.lotId && cellar.state.lots.get(v.lotId) ? wineColour(cellar.state.lots.get(v.lotId)!) : undefined" :px-per-dm="9" /></span>
          <span><b class="display">{{ v.name }}</b><br><span class="soft small">{{ VESSEL[v.kind] }}</span></span>
          <span class="figure">{{ v.litres > 0 ? `${f.volume(v.litres).text} of ` : '' }}{{ f.words(f.volume(v.capacityL)) }}<small v-if="v.litres > 0" class="head soft">{{ f.words(f.volume(Math.max(0, v.capacityL - v.litres))) }} of air</small></span>
          <span v-if="!v.lotId" class="care">
            <span class="soft small">{{ v.sanitisedAt ? `sanitised ${sayWhen(v.sanitisedAt, now)}` : v.cleanedAt ? `cleaned ${sayWhen(v.cleanedAt, now)}, not sanitised` : 'not cleaned since it was used' }}</span>
            <button v-if="!v.cleanedAt" type="button" class="textlink small" :aria-label="`${v.name} was cleaned`" @click="care(v, 'cleaned')">Cleaned</button>
            <button v-else-if="!v.sanitisedAt" type="button" class="textlink small" :aria-label="`${v.name} was sanitised`" @click="care(v, 'sanitised')">Sanitised</button>
            <button type="button" class="textlink small" :aria-label="`Take ${v.name} off the shelf`" @click="remove(v)">Take off the shelf</button>
          </span>
          <NuxtLink v-else :to="`/lots/${v.lotId}`" class="textlink">{{ cellar.state.lots.get(v.lotId)?.name }}</NuxtLink>
        </li>
      </ul>
    </section>
    <form novalidate class="sheet" @submit.prevent="add">
      <h2>Add a vessel</h2>
      <div class="text" :class="{ wrong: nameMessage }"><label for="v-name">What you call it</label><input id="v-name" v-model="name" type="text" maxlength="80" autocomplete="off" :aria-invalid="nameMessage ? 'true' : undefined"><p v-if="nameMessage" class="message" role="alert">{{ nameMessage }}</p></div>
      <div class="text"><label for="v-kind">Kind</label><select id="v-kind" v-model="kind"><option v-for="(label, key) in VESSEL" :key="key" :value="key">{{ label }}</option></select></div>
      <QuantityField label="Holds" :field="capacity" hint="brim-full" />
      <UButton type="submit" size="xl" block>Add it</UButton>
    </form>
  </div>
</template>

<style scoped>
.cellar { display: grid; grid-template-columns: minmax(0, 1fr) 320px; gap: 48px; align-items: start; }
ul { margin-top: 12px; }
li { display: grid; grid-template-columns: 70px minmax(8rem, 1fr) minmax(0, 9rem) minmax(0, 9rem); gap: 16px; align-items: center; border-top: 1.5px solid var(--line); padding: 10px 0; }
.drawing { display: grid; place-items: center; }
/* Air over the wine, where wine is. */
.head { display: block; font-family: var(--font-sans); font-weight: 400; font-size: 0.82rem; }
.care { display: grid; justify-items: start; }
.care .textlink { min-height: 44px; }
form { padding: 20px; display: grid; gap: 14px; }
@media (max-width: 860px) { .cellar { grid-template-columns: minmax(0, 1fr); } }
@media (max-width: 520px) { li { grid-template-columns: 60px minmax(0, 1fr) auto; } li > :nth-child(4) { grid-column: 2; } }
</style>
