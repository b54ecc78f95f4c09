<script setup lang="ts">
import type { Place } from '~~/core/stages'
import { pressForm } from '~/benches/press'
import { sayPlace } from '~/wording/moving'
import { HARD_PRESS, sayPress } from '~/wording/press'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useCellarStore } from '~/stores/cellar'

/** Press day: whether, what comes of it, what fits where. */
const cellar = useCellarStore()
const route = useRoute()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const f = useFormat()
const bench = useBench(pressForm, lot)
const { answer, problem } = bench
const APART = [
  { value: true, label: 'Two lots', hint: 'free run and press wine apart' },
  { value: false, label: 'One lot', hint: 'together' }
]
const apart = computed({ get: () => answer.value.keepsApart, set: (is) => bench.set('keep', is ? 'apart' : 'together') })
/** A vessel that was added here: for the free run, or the press wine, whichever has none. */
function useNew(vesselId: string) {
  const wants = (['freeVessel', 'pressVessel'] as const).find((key) => !answer.value[key])
  if (wants) bench.set(wants, vesselId)
}
const into = (key: 'freeVessel' | 'pressVessel') => computed({ get: () => answer.value[key], set: (id) => bench.set(key, id) })
const [freeVessel, pressVessel] = [into('freeVessel'), into('pressVessel')]
const NOWHERE = { value: '', label: 'No vessel' }
const placesIn = (places: readonly Place[]) => [
  ...places.map((p) => {
    const { name, capacityL } = cellar.state.vessels.get(p.vesselId)!
    return { value: p.vesselId, label: `${name}: ${sayPlace(p, capacityL, !answer.value.ferments, (litres) => f.words(f.volume(litres)))}` }
  }),
  NOWHERE
]
const freePlaces = computed(() => placesIn(answer.value.freePlaces))
const pressPlaces = computed(() => placesIn(answer.value.pressPlaces))
/** What is only expected has two figures that matter. */
const twoDigits = (litres: number) => Number(litres.toPrecision(2))
const about = (litres: number) => f.volume(twoDigits(litres))
const band = (b: { low: number, mid: number, high: number }) => f.volumes(twoDigits(b.low), twoDigits(b.high))
const rows = computed(() => {
  const { day } = answer.value
  return day
    ? [
        { what: 'Free run', band: day.freeRunL },
        { what: 'Press wine', band: day.pressL },
        { what: 'Gross lees in it', band: day.leesL }
      ]
    : []
})
useHead({ title: () => `Press day, ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <p v-if="!lot">This cellar has no such lot. <NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  <form v-else class="beside" novalidate @submit.prevent="bench.log">
    <section class="grid gap-5">
      <div>
        <p class="soft"><NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink></p>
        <h1>{{ answer.day?.ready ? 'Time to press' : 'Not ready to press' }}</h1>
        <p v-for="x in answer.day?.findings ?? []" :key="x.code" class="soft">{{ sayPress(x) }}</p>
      </div>
      <BenchFields :bench="bench" />
      <CautionNote code="press" />
      <CautionNote code="carbonDioxide" />
      <p>{{ HARD_PRESS }}</p>
      <h2>What you got</h2>
      <div class="grid sm:grid-cols-2 gap-x-5 gap-y-3.5">
        <BenchFields :bench="bench" part="went-in" :only="['free']" />
        <SelectField v-model="freeVessel" label="Into" :items="freePlaces" />
        <BenchFields :bench="bench" part="went-in" :only="['pressed']" />
        <SelectField v-model="pressVessel" label="Into" :items="pressPlaces" />
        <NewVessel class="sm:col-span-2" :litres="answer.wantsVesselL" :room="answer.ferments ? 'foam' : 'none'" whole @added="useNew" />
      </div>
      <ChoiceTiles v-model="apart" legend="Keep as" :items="APART" :least="160" />
      <p v-if="problem" role="alert" class="text-(--alarm)">{{ problem }}</p>
      <UButton type="submit" size="xl" class="justify-self-start" :loading="bench.saving.value">Log pressing</UButton>
    </section>
    <aside>
      <h2 class="mb-2">Expected</h2>
      <dl>
        <div v-for="r in rows" :key="r.what">
          <dt>{{ r.what }}</dt>
          <dd>
            <b class="figure">{{ f.words(about(r.band.mid)) }}</b> <span class="soft small block">{{ band(r.band) }}</span>
          </dd>
        </div>
      </dl>
      <p v-if="answer.day" class="soft small">
        Rack off the gross lees {{ answer.day.firstRackingH.from }} to {{ answer.day.firstRackingH.to }} hours after pressing.
        Common
        practice; measure what you really get.
      </p>
    </aside>
  </form>
</template>

<style scoped>
dl > div {
  display: grid;
  grid-template-columns: 1fr 1.2fr;
  padding: 8px 0;
  border-top: 1.5px solid var(--line);
}
dd b {
  font-size: 1.3rem;
}
</style>
