<script setup lang="ts">
import { DAY_MS } from '~~/core/units'
import { fact } from '~~/core/drafts'
import type { LotView } from '~~/core/ledger'
import { bottlesLeft, drinkWindowOf } from '~~/core/stages'
import { sayFarDayOf, sayMonthAndYear } from '~/wording/days'
import { CLOSURE } from '~/wording/terms'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

/** The bottle store: which bottles are where, how it was rated, and from when to when it is likely good. */
const cellar = useCellarStore()
const now = useNow()
const logged = useLogged()
const day = (at: string) => sayFarDayOf(at, now.value)
const MONTH_MS = 30.4 * DAY_MS
const monthOf = (at: string, months: number) =>
  sayMonthAndYear(Date.parse(at) + months * MONTH_MS)
const rows = computed(() =>
  cellar.lots
    .filter((l) => l.bottles > 0)
    .map((lot) => ({ lot, left: bottlesLeft(lot), window: drinkWindowOf(lot, now.value), last: lot.tastings.at(-1) }))
    .sort((a, b) => Number(b.left > 0) - Number(a.left > 0))
)
const all = computed(() => rows.value.reduce((sum, r) => sum + r.left, 0))
async function drank(lot: LotView, sizeMl: number) {
  if (await cellar.log([fact('bottle-taken', { lotId: lot.id, sizeMl, count: 1, what: 'drunk', note: undefined })]))
    logged(`${lot.name}: one drunk`)
}
useHead({ title: 'Bottles · Presk' })
</script>

<template>
  <div class="grid gap-4">
    <header>
      <p class="soft"><NuxtLink to="/cellar" class="textlink">Cellar</NuxtLink></p>
      <h1>Bottles</h1>
      <p class="soft">
        <b class="figure">{{ all }}</b> in store.
      </p>
    </header>
    <p v-if="rows.length === 0" class="soft">No bottles yet. Bottle a lot, and Presk keeps count of what you drink.</p>
    <ul v-else>
      <li v-for="r in rows" :key="r.lot.id">
        <div class="who">
          <span class="swatch" :style="{ background: wineColour(r.lot) }" aria-hidden="true" />
          <div>
            <NuxtLink :to="`/lots/${r.lot.id}`" class="display name">{{ r.lot.name }}</NuxtLink>
            <span v-if="r.lot.vintage" class="soft">{{ ` ${r.lot.vintage}` }}</span>
            <p v-if="r.window" class="soft small">
              Likely good from {{ monthOf(r.window.bottledAt, r.window.fromMonths) }} to
              {{ monthOf(r.window.bottledAt, r.window.untilMonths.mid) }}, give or take a third.
            </p>
            <p class="small">
              <template v-if="r.last">{{ r.last.rating }} of 10, tasted {{ day(r.last.at) }}. </template>
              <NuxtLink :to="`/lots/${r.lot.id}?log=tasting`" class="textlink">Add a tasting</NuxtLink>
              <NuxtLink :to="`/lots/${r.lot.id}/labels`" class="textlink ml-4">Labels</NuxtLink>
            </p>
          </div>
        </div>
        <TastedFaults v-if="r.last?.faults" :lot="r.lot" :faults="r.last.faults" class="faults" />
        <RatingCourse v-if="r.window && r.lot.tastings.length > 1" :lot="r.lot" :window="r.window" class="course" />
        <div class="lying">
          <p v-if="r.left === 0" class="soft">None left of {{ r.lot.bottles }}.</p>
          <div v-for="(b, i) in r.lot.bottled.filter((x) => x.left > 0)" :key="i" class="batch">
            <b class="figure">{{ b.left }}</b>
            <span>
              of {{ b.sizeMl }} mL
              <span class="soft small block">{{
                [`bottled ${day(b.at)}`, b.closure && CLOSURE[b.closure].toLowerCase(), b.place].filter(Boolean).join(', ')
              }}</span>
            </span>
            <UButton
              variant="outline"
              size="lg"
              :aria-label="`One of ${r.lot.name}, ${b.sizeMl} mL, was drunk`"
              @click="drank(r.lot, b.sizeMl)"
            >Drank one</UButton
            >
          </div>
          <p v-if="r.left === 1" class="small">The last bottle: keep it for a year and compare it with the next vintage.</p>
          <NuxtLink v-if="r.left > 0" :to="`/lots/${r.lot.id}?log=store`" class="textlink small">Gave away or lost one</NuxtLink>
        </div>
      </li>
    </ul>
  </div>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px 40px;
  padding: 16px 0;
  border-top: 1.5px solid var(--line);
}
.course {
  grid-column: 1;
}
.faults {
  grid-column: 1;
}
.lying {
  grid-column: 2;
  grid-row: 1 / 4;
}
.who {
  display: grid;
  grid-template-columns: 10px minmax(0, 1fr);
  gap: 14px;
}
.name {
  font-size: 1.3rem;
  font-weight: 600;
  overflow-wrap: anywhere;
}
.batch {
  display: grid;
  grid-template-columns: 4rem minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
}
.batch .figure {
  font-size: 2.2rem;
  line-height: 1.1;
}
.lying {
  display: grid;
  gap: 10px;
  align-content: start;
}
@media (max-width: 720px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
  .lying {
    grid-column: 1;
    grid-row: auto;
  }
}
</style>
