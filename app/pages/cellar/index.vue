<script setup lang="ts">
import { fact } from '~~/core/drafts'
import type { Care, Entry, VesselState } from '~~/core/ledger'
import { wantsWashing } from '~~/core/stages'
import { CARE } from '~/wording/terms'
import { useLogged } from '~/composables/useLogged'
import { useMessage } from '~/composables/useMessage'
import { useCellarStore } from '~/stores/cellar'

/** Every vessel of the house: which hold wine, which are empty, need washing or are out of use. */
const cellar = useCellarStore()
const message = useMessage()
const logged = useLogged()
const vessels = computed(() => [...cellar.state.vessels.values()].sort((a, b) => b.capacityL - a.capacityL))
const groups = computed(() => {
  const of = (is: (v: VesselState) => boolean) => vessels.value.filter(is)
  return [
    { title: 'To wash', list: of(wantsWashing) },
    { title: 'With wine in', list: of((v) => v.lotId !== undefined) },
    { title: 'Empty', list: of((v) => !v.lotId && !v.retiredAt && !wantsWashing(v)) }
  ].filter((g) => g.list.length > 0)
})
const retired = computed(() => vessels.value.filter((v) => v.retiredAt))

const added = (entries: Entry[]) => {
  const [entry] = entries
  if (entry?.type === 'vessel-added')
    logged(entries.length > 1 ? `${entries.length} vessels added` : `${entry.name} added`)
}
async function care(vessel: VesselState, what: Care) {
  if (await cellar.log([fact('vessel-cared', { vesselId: vessel.id, what, note: undefined })]))
    logged(`${vessel.name} ${CARE[what].toLowerCase()}`)
}
async function retire(vessel: VesselState, is: boolean) {
  if (await cellar.log([fact('vessel-amended', { vesselId: vessel.id, retired: is, note: undefined })]))
    logged(`${vessel.name} is ${is ? 'out of use' : 'in use again'}`)
}
/** Strikes the vessel's entry and its washings; refused while a wine in the ledger rests on it. */
async function remove(vessel: VesselState) {
  const standing = cellar.facts.find((f) => f.fact.type === 'vessel-added' && f.fact.vesselId === vessel.id)
  if (!standing) return
  const cares = cellar.facts.filter(({ fact: f }) => (f.type === 'vessel-cared' || f.type === 'vessel-amended') && f.vesselId === vessel.id)
  const entries = [...cares, standing].map((f) => f.fact)
  const done = await cellar.strike(entries.map((f) => f.id), 'Out of use')
  if (done)
    message({
      title: `${vessel.name} has been removed from the shelf`,
      color: 'neutral',
      actions: [{ label: 'Undo', onClick: () => void cellar.undoCorrection(...entries.toReversed()) }]
    })
}
useHead({ title: 'Cellar · Presk' })
</script>

<template>
  <div class="beside">
    <section class="grid gap-6 content-start">
      <div class="ways">
        <h1>Cellar</h1>
        <NuxtLink v-if="vessels.length" to="/cellar/cards" class="textlink">Vessel cards</NuxtLink>
        <UButton v-if="vessels.length" to="/cellar/racking" size="lg" variant="outline">Racking day</UButton>
        <UButton v-if="vessels.length" to="/cellar/bottles" size="lg" variant="outline">Bottles</UButton>
      </div>
      <p v-if="vessels.length === 0" class="soft">No vessels yet. Add the ones you have, and they appear on the shelf, drawn to scale.</p>
      <section v-for="g in groups" :key="g.title" :aria-label="g.title">
        <h2>{{ g.title }} <span class="soft small">{{ g.list.length }}</span></h2>
        <ul class="mt-2">
          <VesselLine
            v-for="v in g.list"
            :key="v.id"
            :vessel="v"
            @care="(what) => care(v, what)"
            @retire="(is) => retire(v, is)"
            @remove="remove(v)"
          />
        </ul>
      </section>
      <FoldOut v-if="retired.length" :label="`Out of use, ${retired.length}`">
        <ul>
          <VesselLine v-for="v in retired" :key="v.id" :vessel="v" @retire="(is) => retire(v, is)" />
        </ul>
      </FoldOut>
    </section>
    <div class="grid gap-8 content-start">
      <section class="sheet p-5 grid gap-3.5">
        <h2>Add vessels</h2>
        <EntryForm type="vessel-added" send="Add" tall @done="added" />
      </section>
      <AirSection />
    </div>
  </div>
</template>
