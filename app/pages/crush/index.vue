<script setup lang="ts">
import { hoursBetween } from '~~/core/units'
import { sayDay, sayWhen } from '~/wording/days'
import { CLOCK_RUNS, hoursWords, sayStep, STEP } from '~/wording/crush'
import { STREAM, STYLE } from '~/wording/terms'
import { useCrushFloor } from '~/composables/useCrushFloor'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useStrike } from '~/composables/useStrike'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

/** All lots between arrival and yeast: how far each is, what is next for all of them, which supplies run out. */
const cellar = useCellarStore()
const now = useNow()
const f = useFormat()
const crush = useCrushFloor()
const next = computed(() => crush.lots.value.filter((c) => c.next))
const clocks = computed(() =>
  crush.lots.value
    .flatMap((c) => c.clocks.filter((s) => !s.optional && s.opensAt).map((step) => ({ lot: c.lot, step })))
    .sort((a, b) => (a.step.opensAt! < b.step.opensAt! ? -1 : 1))
)
const arrivals = computed(() => [...cellar.state.arrivals.values()].sort((a, b) => (a.on < b.on ? -1 : 1)))
const strike = useStrike()
const hoursTo = (at: string) => hoursBetween(now.value, at)
const headline = computed(() => {
  const first = next.value[0]
  if (first) return sayStep(first.next!).title
  return clocks.value[0] ? 'Nothing to do for now' : 'No must in the cellar'
})
useHead({ title: 'Crush day · Presk' })
</script>

<template>
  <div>
    <TodayTabs />
    <div class="beside">
      <section class="lead">
        <p class="soft">Next for all lots</p>
        <h1>{{ headline }}</h1>
        <p v-if="next[0]" class="which">
          <span class="swatch" :style="{ background: wineColour(next[0].lot) }" aria-hidden="true" /> {{ next[0].lot.name }},
          {{ f.words(f.volume(next[0].lot.volume.value)) }}. <span class="soft">{{ f.degrees(sayStep(next[0].next!).why) }}</span>
        </p>
        <p v-else-if="clocks[0]" class="which">
          {{ clocks[0].lot.name }}: {{ (CLOCK_RUNS[clocks[0].step.code] ?? 'waiting for the yeast').toLowerCase() }}, until
          {{ sayWhen(clocks[0].step.opensAt!, now) }}.
        </p>
        <p v-else class="which soft">
          Start a lot when fruit, pails or a kit arrive. This page then shows what comes next for each of them.
        </p>
        <div class="acts">
          <UButton v-if="next[0]" :to="`/crush/${next[0].lot.id}`" size="xl">Do it</UButton
          ><UButton to="/lots/new" size="xl" variant="outline" icon="i-lucide-plus">Start a lot</UButton>
        </div>
        <LazyShortageNote class="short" />
      </section>
      <aside v-if="clocks.length" class="side">
        <h2>Clocks</h2>
        <ul class="clocks">
          <li v-for="c in clocks" :key="c.lot.id + c.step.code">
            <b class="figure">{{ hoursWords(hoursTo(c.step.opensAt!)) }}</b
            ><span
            >{{ c.step.code === 'pitch' ? 'until yeast can follow' : (CLOCK_RUNS[c.step.code] ?? STEP[c.step.code].name) }}<br /><span
              class="soft small"
            >{{ c.lot.name }}, {{ sayWhen(c.step.opensAt!, now) }}</span
            ></span
            >
          </li>
        </ul>
      </aside>
    </div>
    <ol v-if="crush.lots.value.length" class="lots" aria-label="Lots from arrival to yeast">
      <li v-for="c in crush.lots.value" :key="c.lot.id">
        <div class="name">
          <span class="swatch" :style="{ background: wineColour(c.lot) }" aria-hidden="true" /><span
          ><NuxtLink :to="`/crush/${c.lot.id}`"
          ><b class="display">{{ c.lot.name }}</b></NuxtLink
          ><br /><span class="soft small"
          >{{ STYLE[c.lot.style] }}, {{ STREAM[c.lot.stream].toLowerCase() }}, {{ f.words(f.volume(c.lot.volume.value)) }}</span
          ></span
          >
        </div>
        <StepRail v-if="c.lot.stream !== 'test'" :lot-id="c.lot.id" :steps="c.steps" :colour="wineColour(c.lot)" />
        <p v-else class="soft"><NuxtLink :to="`/crush/${c.lot.id}`" class="textlink">Its week</NuxtLink></p>
      </li>
    </ol>
    <section class="expected">
      <h2>Still to come</h2>
      <ul v-if="arrivals.length">
        <li v-for="a in arrivals" :key="a.arrivalId">
          <span
          ><b>{{ a.name }}</b>
            <span class="soft"
            >{{ STYLE[a.style].toLowerCase() }}, {{ STREAM[a.stream].toLowerCase() }},
              {{ a.massKg ? f.words(f.mass(a.massKg)) : a.volumeL ? f.words(f.volume(a.volumeL)) : '' }}, {{ sayDay(a.on) }}</span
            ></span
          ><span class="come"
          ><UButton
            variant="link"
            :aria-label="`${a.name} is not coming`"
            @click="strike(a.id, `${a.name} is not expected any more`, 'Not coming')"
          >Not coming</UButton
          ><UButton :to="`/lots/new?arrival=${a.arrivalId}`" variant="outline" size="lg" :aria-label="`${a.name} is here`"
          >It is here</UButton
          ></span
          >
        </li>
      </ul>
      <p v-else class="soft">Nothing noted. Add what you expect, and Presk counts it when it checks your supplies.</p>
      <ArrivalForm />
    </section>
  </div>
</template>

<style scoped>
.lead {
  display: grid;
  gap: 10px;
}
h1 {
  font-size: clamp(2.2rem, 5.5vw, 3.4rem);
  line-height: 1.05;
}
.which {
  font-size: 1.1rem;
  max-width: 60ch;
}
.swatch {
  display: inline-block;
  width: 14px;
  height: 14px;
  border-radius: 4px;
  vertical-align: -1px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 6px;
}
.short {
  border-top: 1.5px solid var(--line);
  padding-top: 14px;
  margin-top: 6px;
  max-width: 60ch;
}
.side {
  border-left: 1.5px solid var(--line);
  padding-left: 28px;
  display: grid;
  gap: 14px;
}
.clocks li {
  display: grid;
  grid-template-columns: 5.2rem minmax(0, 1fr);
  gap: 10px;
  align-items: baseline;
  border-top: 1.5px solid var(--line);
  padding: 8px 0;
}
.clocks .figure {
  font-size: 1.45rem;
  color: var(--caution);
  white-space: nowrap;
}
.lots {
  margin-top: 28px;
}
.lots > li {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr);
  gap: 8px 24px;
  align-items: center;
  border-top: 1.5px solid var(--line);
  padding: 12px 0;
}
.name {
  display: flex;
  gap: 12px;
  align-items: center;
  overflow-wrap: anywhere;
}
.name .swatch {
  flex: none;
  width: 10px;
  height: 44px;
  border-radius: 5px;
}
.name b {
  font-size: 1.2rem;
}
.name a:hover {
  text-decoration: underline;
}
.expected {
  margin-top: 34px;
  display: grid;
  gap: 12px;
  max-width: 760px;
}
.come {
  display: flex;
  gap: 8px 16px;
  align-items: center;
  flex-wrap: wrap;
  justify-content: end;
}
.come .textlink {
  min-height: 44px;
}
.expected li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  align-items: center;
  border-top: 1.5px solid var(--line);
  padding: 8px 0;
}
@media (max-width: 900px) {
  .side {
    border-left: 0;
    padding-left: 0;
  }
  .lots > li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
