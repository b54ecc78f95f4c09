<script setup lang="ts">
import { drawnHeightDm } from '~~/core/cellar'
import { earlierLike } from '~~/core/compare'
import { isFermenting, isHeld, isMust, isWine } from '~~/core/ledger'
import { bottlesLeft, isKept, isOnSkins } from '~~/core/stages'
import { STANDING, STREAM, STYLE } from '~/wording/terms'
import { useBehind } from '~/composables/useBehind'
import { useEnding } from '~/composables/useEnding'
import { useFloor } from '~/composables/useFloor'
import { useFormat } from '~/composables/useFormat'
import { useSoon } from '~/composables/useSoon'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

const cellar = useCellarStore()
const route = useRoute()
const f = useFormat()
const floor = useFloor()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const behind = useBehind(() => lot.value)
const item = computed(() => lot.value && floor.of(lot.value.id))
const must = computed(() => lot.value !== undefined && isMust(lot.value))
/** Its sulphite is kept up: bacteria neither work in it nor are to. */
const kept = computed(() => lot.value !== undefined && isKept(lot.value))
/** The next move is a question, with its answers, or there are ways round it. */
const answered = computed(() => {
  const next = item.value?.next.finding ?? item.value?.tasks[0]?.finding
  return next?.waysOut?.length || next?.waysRound?.length ? next : undefined
})
const { did } = useEnding()
/** Done just as it says, with one tap; what is not due yet is not logged in passing. */
const oneTap = computed(() => {
  const { finding, words, to } = item.value?.next ?? {}
  if (!finding?.logs?.length || finding.urgency === 'wait' || !words?.did) return undefined
  return { finding, words, ...(to !== undefined && { to }) }
})
const decides = computed(() => (answered.value?.waysOut?.length ?? 0) > 0)
/** What else is to be done, after the next move. */
const others = computed(() => item.value?.tasks.slice(1) ?? [])
const vesselsOf = computed(() => [...(lot.value?.contents ?? [])].map(([id, litres]) => ({ litres, vessel: cellar.state.vessels.get(id) })))
/** The vessel that holds most of it, for the portrait. */
const main = computed(() => {
  const largest = [...vesselsOf.value].sort((a, b) => b.litres - a.litres)[0]
  return (
    largest && {
      ...largest,
      kind: largest.vessel?.kind ?? ('pail' as const),
      capacityL: largest.vessel?.capacityL ?? Math.max(0.1, largest.litres * 1.25)
    }
  )
})
/** What cannot wait, and what is good to know. */
const isAlarm = (urgency: string) => urgency === 'stop' || urgency === 'now'
const alarms = computed(() => item.value?.findings.filter((s) => isAlarm(s.finding.urgency)) ?? [])
const notes = computed(() => item.value?.findings.filter((s) => !isAlarm(s.finding.urgency)) ?? [])
/** The same wine of an earlier year, to lay beside it. */
const earlier = computed(() => lot.value && earlierLike(lot.value, cellar.lots))
/** So many tools are offered at once: those that fit come first. */
const FIT = 4
const benches = computed(() => {
  const l = lot.value
  if (!l) return []
  // Nothing in bottles is measured, dosed or moved any more.
  if (!isHeld(l) && l.bottles > 0)
    return [
      { to: `/lots/${l.id}/labels`, label: 'Labels' },
      { to: '/cellar/bottles', label: 'Bottles' }
    ]
  return [
    ...(l.stream === 'test' || (must.value && l.stream !== 'blend')
      ? [{ to: `/crush/${l.id}`, label: l.stream === 'test' ? 'Its week' : 'Crush day' }]
      : []),
    ...(l.kit?.packets.length && !must.value ? [{ to: `/crush/${l.id}?step=packets`, label: 'Packets' }] : []),
    ...(isFermenting(l) && isOnSkins(l) ? [{ to: `/lots/${l.id}/press`, label: 'Press day' }] : []),
    ...(l.alcoholic === 'stuck' ? [{ to: `/lots/${l.id}/restart`, label: 'Restart' }] : []),
    { to: `/bench/measure?lot=${l.id}`, label: 'Measure' },
    ...(isFermenting(l) ? [{ to: `/bench/heat?lot=${l.id}`, label: 'Cooling and heating' }] : []),
    ...(!must.value && l.stream !== 'test' && l.stream !== 'kit' ? [{ to: `/lots/${l.id}/malolactic`, label: 'Malolactic' }] : []),
    { to: `/bench/sulphite?lot=${l.id}`, label: 'Sulphite' },
    ...(must.value || l.stream === 'test' ? [] : [{ to: `/lots/${l.id}/move`, label: 'Move wine' }]),
    ...(must.value
      ? [
          { to: `/bench/correct?lot=${l.id}`, label: 'Correct' },
          { to: `/bench/yeast?lot=${l.id}`, label: 'Yeast' }
        ]
      : []),
    ...(!must.value && !isFermenting(l) && l.stream !== 'test' ? [{ to: `/lots/${l.id}/ready`, label: 'Ready?' }] : []),
    ...(isWine(l) && l.stream !== 'test' ? [{ to: `/lots/${l.id}/labels`, label: 'Labels' }] : []),
    { to: `/bench?lot=${l.id}`, label: 'All tools' }
  ].filter((b) => b.to !== item.value?.next.to)
})
/** What it is and what comes next are drawn at once; all else follows in tasks of its own, so that none is long. */
const [soon, findingsSoon, entrySoon, ledgerSoon] = [useSoon(1), useSoon(2), useSoon(3), useSoon(4)]
/** A point on a curve leads to its line in the ledger. */
const ledger = useTemplateRef<{ show: (id: string) => Promise<void> }>('ledger')
const showEntry = (id: string) => void ledger.value?.show(id)
/** The address may name an entry: from a search it is gone to at once. */
watch([() => route.query.entry, ledger], ([id, there]) => {
  if (id && there) showEntry(String(id))
}, { immediate: true, flush: 'post' })
/** What sorts a lot's entries out knows every kind of them: it comes when it is asked for. */
async function exportLot() {
  const [{ entriesOfLot }, { downloadCellar }] = await Promise.all([import('~/data/entries-of-lot'), import('~/data/download')])
  if (lot.value) downloadCellar(lot.value.name, entriesOfLot(await cellar.allEntries(), lot.value.id))
}
/** Faults of the last tasting, with what they come from. */
const faults = computed(() => lot.value?.tastings.at(-1)?.faults ?? [])
useHead({ title: () => `${lot.value?.name ?? 'Lot'} · Presk` })
</script>

<template>
  <div v-if="!lot" class="grid gap-3">
    <h1>This cellar has no such lot</h1>
    <p>It may be in your {{ cellar.isDemo ? 'own' : 'demo' }} cellar, or it was not imported here.</p>
    <p><NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  </div>
  <div v-else class="lot">
    <!-- What cannot wait comes before everything. -->
    <div v-if="alarms.length" class="alarms" role="region" aria-label="Cannot wait">
      <FindingLine v-for="s in alarms" :key="s.finding.key" :said="s" @entry="showEntry" />
    </div>
    <section class="portrait">
      <VesselDrawing
        v-if="main"
        :kind="main.kind"
        :capacity-l="main.capacityL"
        :litres="main.litres"
        :colour="wineColour(lot)"
        :assumed="!main.vessel"
        :px-per-dm="240 / Math.max(5, drawnHeightDm(main.kind, main.capacityL))"
      />
      <ul class="soft small">
        <li v-for="(v, i) in vesselsOf" :key="i">
          {{ f.words(f.volume(v.litres)) }} in {{ v.vessel?.name ?? 'no vessel named'
          }}<template v-if="v.vessel"> of {{ f.words(f.volume(v.vessel.capacityL)) }}</template>
        </li>
      </ul>
      <BottleRack
        v-if="lot.bottles > 0"
        :filled="lot.bottles"
        :left="bottlesLeft(lot)"
        :colour="wineColour(lot)"
        :sparkling="lot.plan.sparkling"
      />
    </section>
    <section class="now">
      <p class="soft">
        {{ STYLE[lot.style] }} from {{ STREAM[lot.stream].toLowerCase() }}<template v-if="lot.vintage">, {{ lot.vintage }}</template
        ><template v-if="lot.origin">, {{ lot.origin }}</template>
      </p>
      <h1>
        {{ lot.name }} <UBadge variant="soft" size="lg" class="align-middle">{{ STANDING[lot.standing] }}</UBadge>
      </h1>
      <LotFigures :lot="lot" />
      <LotPlanForm v-if="isHeld(lot)" class="plan" :lot="lot" />
      <LotCurves v-if="soon && (lot.series.sg?.length ?? 0) > 1" :lot="behind ?? lot" class="course mt-4" @entry="showEntry" />
    </section>
    <div class="side">
      <section v-if="item" class="next sheet">
        <h2>{{ item.next.words.title }}</h2>
        <p class="soft"><TermText :text="item.next.words.reason" :most="4" /></p>
        <WaysOut v-if="answered && decides" class="mt-1" :finding="answered" hints />
        <ul v-if="others.length" class="others soft small">
          <li v-for="o in others" :key="o.finding.key">Then: {{ o.words.title }}</li>
        </ul>
        <div class="benches">
          <UButton v-if="!decides && oneTap" size="xl" class="basis-full" @click="did(oneTap)">{{ oneTap.words.did }}</UButton>
          <UButton
            v-if="!decides && item.next.to && item.next.words.action"
            :to="item.next.to"
            size="xl"
            :variant="oneTap ? 'outline' : 'solid'"
            class="basis-full"
          >{{ item.next.words.action }}</UButton>
          <FoldOut v-if="answered && !decides" label="Other options" class="basis-full"><WaysOut :finding="answered" hints /></FoldOut>
          <UButton v-for="b in benches.slice(0, FIT)" :key="b.to" :to="b.to" size="lg" variant="outline">{{ b.label }}</UButton>
          <FoldOut v-if="benches.length > FIT" label="More tools" class="basis-full">
            <div class="benches">
              <UButton v-for="b in benches.slice(FIT)" :key="b.to" :to="b.to" size="lg" variant="outline">{{ b.label }}</UButton>
            </div>
          </FoldOut>
        </div>
      </section>
      <LotEnding v-if="isHeld(lot) && !lot.bacteriaAt && !lot.freeSo2?.value" :lot="lot" />
      <LotForecast v-if="isFermenting(lot)" :lot="behind ?? lot" />
      <LotUpkeep v-if="soon && kept" :lot="behind ?? lot" />
      <section v-if="faults.length" class="grid gap-2" aria-label="Tasting">
        <h2>Faults found when tasting</h2>
        <LazyTastedFaults :lot="lot" :faults="faults" />
      </section>
      <LotCost :lot="behind ?? lot" />
      <LotFollowed v-if="isFermenting(lot)" :key="lot.id" :lot="behind ?? lot" />
      <LotInFerment v-if="isFermenting(lot)" :lot="behind ?? lot" />
    </div>
    <div v-if="findingsSoon && notes.length" class="findings" role="region" aria-label="Good to know">
      <FindingLine v-for="s in notes" :key="s.finding.key" :said="s" @entry="showEntry" />
    </div>
    <p v-if="lot.sources.length > 1" class="findings">
      Made of {{ lot.sources.map((s) => `${Math.round(s.share * 100)} % ${s.variety}${s.vintage ? ` ${s.vintage}` : ''}`).join(', ') }}.
    </p>
    <section class="ledger">
      <LotEntry v-if="entrySoon || route.query.log" :lot="lot" />
      <LotLedger v-if="ledgerSoon" ref="ledger" :lot="lot" />
      <p class="mt-5 flex flex-wrap gap-x-6 gap-y-2 items-center">
        <NuxtLink :to="`/lots/${lot.id}/record`" class="textlink">Record for printing</NuxtLink>
        <NuxtLink v-if="earlier" :to="`/lots/compare?lots=${lot.id},${earlier.id}`" class="textlink">
          Compare with {{ earlier.name }}{{ earlier.vintage ? `, ${earlier.vintage}` : '' }}
        </NuxtLink>
        <UButton variant="link" class="px-0" @click="exportLot">Export this lot</UButton>
      </p>
    </section>
  </div>
</template>

<style scoped>
.lot {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr) 330px;
  gap: 28px 44px;
  align-items: start;
}
.portrait {
  display: grid;
  justify-items: center;
  gap: 12px;
  text-align: center;
  grid-row: span 6;
}
.alarms {
  grid-column: 1 / -1;
  display: grid;
  gap: 8px;
}
.now {
  display: grid;
  gap: 12px;
}
.now h1 {
  overflow-wrap: anywhere;
  font-size: clamp(2rem, 4.6vw, 2.75rem);
}
.findings {
  grid-column: 2 / -1;
  display: grid;
  gap: 8px;
  max-width: var(--measure);
  border-top: 1.5px solid var(--line);
  padding-top: 12px;
}
.side {
  display: grid;
  gap: 24px;
}
.next {
  padding: 20px;
  display: grid;
  gap: 10px;
}
.benches {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 4px;
}
.ledger {
  grid-column: 2 / -1;
  min-width: 0;
}
@media (max-width: 1080px) {
  .lot {
    grid-template-columns: 190px minmax(0, 1fr);
  }
  .portrait {
    grid-row: 1 / 2;
  }
  .side,
  .findings,
  .ledger {
    grid-column: 1 / -1;
  }
}
@media (max-width: 640px) {
  .lot {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  .portrait {
    display: none;
  }
  /* The next move first, then the curve. */
  .now {
    display: contents;
  }
  .side {
    order: 1;
  }
  .findings,
  .plan {
    order: 2;
  }
  .course {
    order: 3;
  }
  .ledger {
    order: 4;
  }
  .findings,
  .ledger {
    grid-column: 1;
  }
}
</style>
