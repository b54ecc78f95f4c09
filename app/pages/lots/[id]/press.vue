<script setup lang="ts">
import { PRESS_METHODS } from '~~/core/fermentation'
import { HARD_PRESS, PRESS_METHOD, sayPress } from '~/wording/press'

/** Press day: whether, what comes of it, what fits where. */
const cellar = useCellarStore()
const route = useRoute()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const f = useFormat()
const logged = useLogged()
const bench = lot.value && usePressDay(lot.value)
const methods = PRESS_METHODS.map((value) => ({ value, ...PRESS_METHOD[value] }))
const TASTE = [
  { value: 'soft' as const, label: 'Soft', hint: 'skins still give' },
  { value: 'ripe' as const, label: 'Ripe', hint: 'seeds brown, skins spent' },
  { value: 'harsh' as const, label: 'Harsh', hint: 'bitter, drying' }
]
const APART = [
  { value: true, label: 'Two lots', hint: 'free run and press wine apart' },
  { value: false, label: 'One lot', hint: 'together' }
]
const apart = computed({ get: () => bench?.keepsApart.value ?? false, set: (is: boolean) => bench && (bench.apart.value = is) })
/** What is only expected has two figures that matter. */
const twoDigits = (litres: number) => Number(litres.toPrecision(2))
const about = (litres: number) => f.volume(twoDigits(litres))
const band = (b: { low: number, mid: number, high: number }) => f.volumes(twoDigits(b.low), twoDigits(b.high))
const rows = computed(() => {
  const day = bench?.day.value
  return day
    ? [
        { what: 'Free run', band: day.freeRunL },
        { what: 'Press wine', band: day.pressL },
        { what: 'Gross lees in it', band: day.leesL }
      ]
    : []
})
async function log() {
  if (!bench || !lot.value) return
  if (!(await bench.log())) return focusWrong()
  logged(`${lot.value.name}: pressed`)
  await navigateTo(`/lots/${lot.value.id}`)
}
useHead({ title: () => `Press day, ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <p v-if="!lot || !bench">This cellar has no such lot. <NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  <form v-else class="beside" novalidate @submit.prevent="log">
    <section class="grid gap-5">
      <div>
        <p class="soft"><NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink></p>
        <h1>{{ bench.day.value?.ready ? 'Time to press' : 'Not ready to press' }}</h1>
        <p v-for="x in bench.day.value?.findings ?? []" :key="x.code" class="soft">{{ sayPress(x) }}</p>
      </div>
      <ChoiceTiles v-model="bench.method.value" legend="Method" :items="methods" :least="170" />
      <ChoiceTiles v-model="bench.tannin.value" legend="Taste of skins and seeds" :items="TASTE" :least="130" />
      <CautionNote code="press" />
      <CautionNote code="carbonDioxide" />
      <p>{{ HARD_PRESS }}</p>
      <h2>What you got</h2>
      <div class="tries">
        <QuantityField label="Free run" :field="bench.free" />
        <SelectField v-model="bench.freeVessel.value" label="Into" :items="bench.freePlaces.value" />
        <QuantityField label="Press wine" :field="bench.pressed" hint="leave empty if there was none" />
        <SelectField v-model="bench.pressVessel.value" label="Into" :items="bench.pressPlaces.value" />
      </div>
      <ChoiceTiles v-model="apart" legend="Keep as" :items="APART" :least="160" />
      <UButton type="submit" size="xl" class="justify-self-start">Log pressing</UButton>
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
      <p v-if="bench.day.value" class="soft small">
        Rack off the gross lees {{ bench.day.value.firstRackingH.from }} to {{ bench.day.value.firstRackingH.to }} hours after pressing.
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
