<script setup lang="ts">
import { EXERCISES } from '~~/practice/exercises'
import { SCENARIO_CODES, type ScenarioCode } from '~~/practice/season/scenarios'
import { practised } from '~/data/practice-season'
import { EXERCISE } from '~/wording/exercises'
import { SCENARIO } from '~/wording/practice'
import { sayLongDay } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { useCellarStore } from '~/stores/cellar'
import { usePracticeStore } from '~/stores/practice'

/** Seasons to play on wines that cost nothing, and exercises of five minutes. */
const practice = usePracticeStore()
const cellar = useCellarStore()
const route = useRoute()
const record = practised()
const newSeed = () => 1 + Math.floor(Math.random() * 9999)
const busy = ref(false)
/** A season that somebody shared: its scenario and seed in the address. */
const shared = computed(() => {
  const code = SCENARIO_CODES.find((c) => c === route.query.scenario)
  const seed = Number(route.query.seed)
  return code && Number.isSafeInteger(seed) && seed > 0 && seed < 1e6 ? { code, seed } : undefined
})
const asking = ref<{ code: ScenarioCode, seed: number }>()
const underWay = computed(() => practice.season)
function choose(code: ScenarioCode, seed = newSeed()) {
  if (underWay.value) asking.value = { code, seed }
  else void begin(code, seed)
}
async function begin(code: ScenarioCode, seed: number) {
  busy.value = true
  try {
    await practice.begin(code, seed)
    await navigateTo('/')
  }
  finally {
    busy.value = false
    asking.value = undefined
  }
}
async function resume() {
  await practice.resume()
  await navigateTo('/')
}
const f = useFormat()
const told = (code: ScenarioCode) => f.degrees(SCENARIO[code].told((litres) => f.words(f.volume(litres))))
const sayRecord = (code: string) => {
  const all = Object.hasOwn(record, code) ? record[code]! : []
  return all.length ? `${all.filter((p) => p.right).length} of ${all.length} right` : ''
}
useHead({ title: 'Practice · Presk' })
</script>

<template>
  <div class="practice">
    <div>
      <h1>Practice</h1>
      <p class="soft">
        Make the mistakes on wine that costs nothing. A simulated cellar with a clock that you move, and short exercises with instruments.
        Your own cellar is not touched.
      </p>
    </div>
    <section v-if="underWay" class="sheet going">
      <p>
        <b>{{ SCENARIO[underWay.scenario as ScenarioCode]?.name }}</b> is under way, on {{ sayLongDay(underWay.at) }}.
        <NuxtLink class="textlink" :to="{ query: { scenario: underWay.scenario, seed: underWay.seed } }">Link to share it</NuxtLink>
      </p>
      <UButton v-if="!cellar.isPractice" size="lg" @click="resume">Continue this season</UButton>
      <UButton v-else size="lg" to="/">Go to today</UButton>
    </section>
    <section v-if="shared" class="sheet going">
      <p>
        Somebody shared <b>{{ SCENARIO[shared.code].name }}</b>, number {{ shared.seed }}: the same wine, and other decisions if you like.
      </p>
      <UButton size="lg" :loading="busy" @click="choose(shared.code, shared.seed)">Play it</UButton>
    </section>
    <section v-if="asking" class="sheet going" role="alert">
      <p>Starting <b>{{ SCENARIO[asking.code].name }}</b> ends the season that is under way.</p>
      <div class="flex flex-wrap gap-2">
        <UButton size="lg" color="error" :loading="busy" @click="begin(asking.code, asking.seed)">End it and start</UButton>
        <UButton size="lg" variant="outline" color="neutral" @click="asking = undefined">Keep it</UButton>
      </div>
    </section>
    <section>
      <h2>A season</h2>
      <ul class="cards">
        <li v-for="code in SCENARIO_CODES" :key="code" class="scenario">
          <h3>{{ SCENARIO[code].name }}</h3>
          <p class="soft">{{ told(code) }}</p>
          <div class="flex items-center gap-4 flex-wrap">
            <UButton variant="outline" :disabled="busy" :aria-label="`Start ${SCENARIO[code].name}`" @click="choose(code)">Start</UButton>
            <span class="soft small">About {{ SCENARIO[code].minutes }}</span>
          </div>
        </li>
      </ul>
    </section>
    <section>
      <h2>Exercises</h2>
      <ul class="exercises">
        <li v-for="code in EXERCISES" :key="code">
          <NuxtLink :to="`/practice/${code}`" class="textlink">{{ EXERCISE[code].name }}</NuxtLink>
          <span class="soft small">{{ sayRecord(code) }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.practice { display: grid; gap: 26px; }
.going { padding: 14px 18px; display: flex; flex-wrap: wrap; gap: 12px 24px; align-items: center; justify-content: space-between; }
.cards { columns: 2 360px; column-gap: 48px; margin-top: 8px; }
.scenario { break-inside: avoid; display: grid; gap: 8px; padding: 14px 0 18px; border-top: 1.5px solid var(--line); }
.exercises { columns: 2 360px; column-gap: 48px; margin-top: 8px; }
.exercises li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  min-height: 44px;
  align-items: center;
  border-top: 1.5px solid var(--line);
}
</style>
