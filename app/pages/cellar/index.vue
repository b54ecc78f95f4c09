<script setup lang="ts">
import { fact } from '~~/core/drafts'
import type { Entry, VesselState } from '~~/core/ledger'
import { sayWhen } from '~/composables/useStory'
import { VESSEL } from '~/wording/terms'

const cellar = useCellarStore()
const f = useFormat()
const toast = useToast()
const logged = useLogged()
const vessels = computed(() => [...cellar.state.vessels.values()].sort((a, b) => b.capacityL - a.capacityL))

const added = ([entry]: Entry[]) => {
  if (entry?.type === 'vessel-added') logged(`${entry.name} stands on the shelf`)
}
const now = useNow()
async function care(vessel: VesselState, what: 'cleaned' | 'sanitised') {
  if (await cellar.log([fact('vessel-cared', { vesselId: vessel.id, what, note: undefined })])) logged(`${vessel.name} ${what}`)
}
/** Strikes the vessel's entry; refused while something in the ledger rests on it. */
async function remove(vessel: VesselState) {
  const standing = cellar.facts.find((f) => f.fact.type === 'vessel-added' && f.fact.vesselId === vessel.id)
  if (!standing) return
  const done = await cellar.strike([standing.fact.id], 'No longer there')
  if (done)
    toast.add({
      title: `${vessel.name} is off the shelf`,
      color: 'neutral',
      actions: [{ label: 'Undo', onClick: () => void cellar.undoCorrection(standing.fact) }]
    })
}
useHead({ title: 'Cellar · Presk' })
</script>

<template>
  <div class="beside">
    <section>
      <div class="ways">
        <h1>Cellar</h1>
        <UButton v-if="vessels.length" to="/cellar/racking" size="lg" variant="outline">Racking day</UButton>
      </div>
      <p v-if="vessels.length === 0" class="soft">No vessel yet. Add the ones you have: they appear on the shelf, to scale.</p>
      <ul>
        <li v-for="v in vessels" :key="v.id">
          <span class="drawing"
          ><VesselDrawing
            :kind="v.kind"
            :capacity-l="v.capacityL"
            :litres="v.litres"
            :colour="v.lotId && cellar.lotOf(v.lotId) ? wineColour(cellar.lotOf(v.lotId)!) : undefined"
            :px-per-dm="9"
          /></span>
          <span
          ><b class="display">{{ v.name }}</b
          ><br /><span class="soft small">{{ VESSEL[v.kind] }}</span></span
          >
          <span class="figure"
          >{{ v.litres > 0 ? `${f.volume(v.litres).text} of ` : '' }}{{ f.words(f.volume(v.capacityL))
          }}<small v-if="v.litres > 0" class="head soft">{{ f.words(f.volume(Math.max(0, v.capacityL - v.litres))) }} of air</small></span
          >
          <span v-if="!v.lotId" class="care">
            <span class="soft small">{{
              v.sanitisedAt
                ? `sanitised ${sayWhen(v.sanitisedAt, now)}`
                : v.cleanedAt
                  ? `cleaned ${sayWhen(v.cleanedAt, now)}, not sanitised`
                  : v.used
                    ? 'not cleaned since it was used'
                    : 'not used yet'
            }}</span>
            <UButton v-if="!v.cleanedAt" variant="link" :aria-label="`${v.name} was cleaned`" @click="care(v, 'cleaned')">Cleaned</UButton>
            <UButton v-else-if="!v.sanitisedAt" variant="link" :aria-label="`${v.name} was sanitised`" @click="care(v, 'sanitised')"
            >Sanitised</UButton
            >
            <UButton variant="link" :aria-label="`Take ${v.name} off the shelf`" @click="remove(v)">Take off the shelf</UButton>
          </span>
          <NuxtLink v-else :to="`/lots/${v.lotId}`" class="textlink">{{ cellar.lotOf(v.lotId)?.name }}</NuxtLink>
        </li>
      </ul>
    </section>
    <div class="grid gap-8 content-start">
      <section class="sheet p-5 grid gap-3.5">
        <h2>Add a vessel</h2>
        <EntryForm type="vessel-added" send="Add it" tall @done="added" />
      </section>
      <AirSection />
    </div>
  </div>
</template>

<style scoped>
ul {
  margin-top: 12px;
}
li {
  display: grid;
  grid-template-columns: 70px minmax(8rem, 1fr) minmax(0, 9rem) minmax(0, 9rem);
  gap: 16px;
  align-items: center;
  border-top: 1.5px solid var(--line);
  padding: 10px 0;
}
.drawing {
  display: grid;
  place-items: center;
}
/* Air over the wine, where wine is. */
.head {
  display: block;
  font-family: var(--font-sans);
  font-weight: 400;
  font-size: 0.82rem;
}
.care {
  display: grid;
  justify-items: start;
}
.care .textlink {
  min-height: 44px;
}
@media (max-width: 520px) {
  li {
    grid-template-columns: 60px minmax(0, 1fr) auto;
  }
  li > :nth-child(4) {
    grid-column: 2;
  }
}
</style>
