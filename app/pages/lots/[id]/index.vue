<script setup lang="ts">
import { judgeLot, limitsNear } from '~~/core/advice'
import { vesselHeightDm } from '~~/core/cellar'
import { downloadCellar } from '~/data/download'
import { entriesOfLot } from '~/data/entries-of-lot'
import { sayLedgerProblem } from '~/wording/problems'
import { sayJudgement } from '~/wording/judgements'
import { STAGE, STREAM, STYLE } from '~/wording/terms'

const cellar = useCellarStore()
const route = useRoute()
const f = useFormat()
const floor = useFloor()
const lot = computed(() => cellar.state.lots.get(String(route.params.id)))
const next = computed(() => lot.value && floor.of(lot.value.id))
const judgements = computed(() => lot.value ? judgeLot(lot.value) : [])
/** What in this lot's ledger contradicts itself. */
const problems = computed(() => cellar.state.problems.filter(p => 'lotId' in p && p.lotId === lot.value?.id))
const limits = computed(() => lot.value ? limitsNear(lot.value) : [])
const vesselsOf = computed(() => [...lot.value?.contents ?? []].map(([id, litres]) => ({ litres, vessel: cellar.state.vessels.get(id) })))
/** The vessel that holds most of it, for the portrait. */
const main = computed(() => {
  const largest = [...vesselsOf.value].sort((a, b) => b.litres - a.litres)[0]
  return largest && { ...largest, kind: largest.vessel?.kind ?? 'pail' as const, capacityL: largest.vessel?.capacityL ?? Math.max(0.1, largest.litres * 1.25) }
})
const exportLot = () => lot.value && downloadCellar(lot.value.name, entriesOfLot(cellar.entries, lot.value.id))
useHead({ title: () => `${lot.value?.name ?? 'Lot'} · Presk` })
</script>

<template>
  <div v-if="!lot" class="grid gap-3">
    <h1>This lot is not in this cellar</h1>
    <p>It may be in the {{ cellar.isDemo ? 'own' : 'demo' }} cellar, or not have been imported here.</p>
    <p><NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  </div>
  <div v-else class="lot">
    <section class="portrait">
      <VesselDrawing
        v-if="main" :kind="main.kind" :capacity-l="main.capacityL" :litres="main.litres" :colour="wineColour(lot)" :assumed="!main.vessel"
        :px-per-dm="240 / Math.max(5, vesselHeightDm(main.kind, main.capacityL))"
      />
      <ul class="soft small">
        <li v-for="(v, i) in vesselsOf" :key="i">{{ f.words(f.volume(v.litres)) }} in {{ v.vessel?.name ?? 'no vessel named' }}<template v-if="v.vessel"> of {{ f.words(f.volume(v.vessel.capacityL)) }}</template></li>
      </ul>
    </section>
    <section class="now">
      <p class="soft">{{ STYLE[lot.style] }} from {{ STREAM[lot.stream].toLowerCase() }}<template v-if="lot.vintage">, {{ lot.vintage }}</template><template v-if="lot.origin">, {{ lot.origin }}</template></p>
      <h1>{{ lot.name }} <span class="stage">{{ STAGE[lot.stage] }}</span></h1>
      <LotFigures :lot="lot" />
    </section>
    <section v-if="next" class="next sheet">
      <h2>{{ next.words.title }}</h2>
      <p class="soft">{{ next.words.reason }}</p>
      <div class="row">
        <UButton v-if="next.words.to" :to="next.words.to" size="xl">{{ next.words.action }}</UButton>
        <UButton v-if="lot.stream === 'test' || (lot.stage === 'must' && lot.stream !== 'blend')" :to="`/crush/${lot.id}`" size="lg" variant="outline">{{ lot.stream === 'test' ? 'Its week' : 'Crush day' }}</UButton>
        <UButton v-if="lot.kit?.packets.length && lot.stage !== 'must'" :to="`/crush/${lot.id}?step=packets`" size="lg" variant="outline">Packets</UButton>
        <UButton :to="`/bench/measure?lot=${lot.id}`" size="lg" variant="outline">Measure</UButton>
        <UButton :to="`/bench/sulphite?lot=${lot.id}`" size="lg" variant="outline">Sulphite</UButton>
        <UButton v-if="lot.stage === 'must'" :to="`/bench/correct?lot=${lot.id}`" size="lg" variant="outline">Correct</UButton>
        <UButton v-if="lot.stage === 'must'" :to="`/bench/yeast?lot=${lot.id}`" size="lg" variant="outline">Yeast</UButton>
        <UButton :to="`/bench?lot=${lot.id}`" size="lg" variant="outline">All of the bench</UButton>
      </div>
    </section>
    <ul v-if="judgements.length" class="judged" aria-label="First judgement">
      <li v-for="j in judgements" :key="j.quantity"><b>{{ sayJudgement(j, lot.style).verdict }}.</b> <span class="soft">{{ sayJudgement(j, lot.style).meaning }}</span></li>
    </ul>
    <div v-if="problems.length || limits.length" class="judged">
      <FindingNote v-for="l in limits" :key="l.what" :tone="l.over ? 'stop' : 'ask'">{{ l.what.charAt(0).toUpperCase() + l.what.slice(1) }} comes to {{ l.value.toFixed(l.unit === 'g/L' ? 2 : 0) }} {{ l.unit }}, {{ l.over ? 'over' : 'near' }} the limit of {{ l.limit }}.</FindingNote>
      <FindingNote v-for="p in problems" :key="p.entryId + p.code">{{ sayLedgerProblem(p) }}</FindingNote>
    </div>
    <p v-if="lot.sources.length > 1" class="judged sources">Made of {{ lot.sources.map(s => `${Math.round(s.share * 100)} % ${s.variety}${s.vintage ? ` ${s.vintage}` : ''}`).join(', ') }}.</p>
    <section class="ledger">
      <LotCurves v-if="(lot.series.sg?.length ?? 0) > 1" :lot="lot" class="mb-8" />
      <LotEntry :lot="lot" />
      <LotLedger :lot-id="lot.id" />
      <p class="mt-5"><button type="button" class="textlink" @click="exportLot">Export this lot</button></p>
    </section>
  </div>
</template>

<style scoped>
.lot { display: grid; grid-template-columns: 250px minmax(0, 1fr) 330px; gap: 28px 44px; align-items: start; }
.portrait { display: grid; justify-items: center; gap: 12px; text-align: center; }
.now { display: grid; gap: 12px; }
.now h1 { overflow-wrap: anywhere; font-size: clamp(2rem, 4.6vw, 2.75rem); }
.stage { font-family: var(--font-sans); font-size: 0.95rem; font-weight: 600; letter-spacing: 0; color: var(--skin); background: var(--skin-wash); padding: 4px 12px; border-radius: 8px; vertical-align: middle; }
.portrait { grid-row: 1 / 6; }
.judged { grid-column: 2 / -1; display: grid; gap: 8px; max-width: var(--measure); border-top: 1.5px solid var(--line); padding-top: 12px; }
.next { padding: 20px; display: grid; gap: 10px; }
.row { display: flex; flex-wrap: wrap; gap: 10px; margin-top: 4px; }
.row > :first-child { flex-basis: 100%; }
.ledger { grid-column: 2 / -1; }
@media (max-width: 1080px) { .lot { grid-template-columns: 190px minmax(0, 1fr); } .portrait { grid-row: 1 / 2; } .next { grid-column: 1 / -1; } .judged, .ledger { grid-column: 1 / -1; } }
@media (max-width: 640px) {
  .lot { grid-template-columns: minmax(0, 1fr); gap: 20px; }
  .portrait { display: none; }
  .judged, .ledger { grid-column: 1; }
}
</style>
