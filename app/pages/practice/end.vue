<script setup lang="ts">
import type { Decided, Verdict } from '~~/practice/season'
import { READ_NEXT, saySeasonScore, sayPracticeFault } from '~/wording/practice'
import { sayDayOf } from '~/wording/days'
import { useStory } from '~/composables/useStory'
import { useCellarStore } from '~/stores/cellar'
import { usePracticeStore } from '~/stores/practice'

/** How a practised season ended: what was true beside what was believed, what each decision did, and what the advice would have made. */
const cellar = useCellarStore()
const practice = usePracticeStore()
type Ended = Awaited<ReturnType<typeof practice.ending>>[number]
const ended = shallowRef<Ended[]>([])
const decided = shallowRef(new Map<string, Decided[]>())
const blind = shallowRef(new Map<string, Verdict | undefined>())
const working = ref(true)
const left = ref(0)
const stopped = ref(false)
onBeforeUnmount(() => (stopped.value = true))
onMounted(async () => {
  if (!cellar.isPractice) return
  ended.value = await practice.ending()
  working.value = false
  left.value = ended.value.reduce((sum, e) => sum + e.decisions, 0)
  for (const e of ended.value) {
    for (let i = 0; i < e.decisions && !stopped.value; i++) {
      const one = await practice.decided(e.lotId, i)
      left.value--
      if (one) decided.value = new Map(decided.value).set(e.lotId, [...(decided.value.get(e.lotId) ?? []), one])
    }
  }
})
/** What mattered: the largest first, both ways. */
const mattered = (lotId: string) =>
  (decided.value.get(lotId) ?? [])
    .filter((d) => Math.abs(d.worth) >= 1)
    .toSorted((a, b) => Math.abs(b.worth) - Math.abs(a.worth))
    .slice(0, 8)
const asking = ref('')
async function askBlind(lotId: string) {
  asking.value = lotId
  blind.value = new Map(blind.value).set(lotId, await practice.blindly(lotId))
  asking.value = ''
}
const lotName = (id: string) => cellar.lotOf(id)?.name ?? 'The wine'
const story = useStory()
const sayDecision = (d: Decided) => story.said(d.fact)
useHead({ title: 'How it ended · Presk' })
</script>

<template>
  <div class="end">
    <h1>How it ended</h1>
    <p v-if="!cellar.isPractice">This is for a practice cellar. <NuxtLink to="/practice" class="textlink">Start one</NuxtLink></p>
    <template v-else>
      <p class="soft">
        What Presk and you believed beside what was true, as of {{ sayDayOf(practice.season!.at) }}. Bottles are judged after their first
        summer. You can go on with the season from here.
      </p>
      <p v-if="working" role="status">Opening the bottles…</p>
      <section v-for="e in ended" :key="e.lotId" class="lot">
        <div class="verdict">
          <h2>{{ lotName(e.lotId) }}</h2>
          <p class="score"><b class="figure">{{ e.verdict.score }}</b> of 100</p>
          <p>{{ saySeasonScore(e.verdict.score) }}</p>
        </div>
        <dl class="pairs">
          <div v-for="f in e.verdict.faults" :key="f.code">
            <dt>
              {{ sayPracticeFault(f) }}
              <NuxtLink v-if="READ_NEXT[f.code]" :to="READ_NEXT[f.code]!.to" class="textlink small">
                {{ READ_NEXT[f.code]!.label }}
              </NuxtLink>
            </dt>
            <dd class="text-(--stop)">−{{ f.points }}</dd>
          </div>
          <div><dt>Bottles</dt><dd>{{ e.verdict.bottles }}</dd></div>
          <div><dt>Lost to lees, foam and racking</dt><dd>{{ Math.round(e.verdict.lossShare * 100) }} %</dd></div>
          <div><dt>Your time, at four minutes an entry</dt><dd>{{ e.verdict.hours.toFixed(1) }} h</dd></div>
        </dl>
        <PracticeCurves :lot-id="e.lotId" :points="e.points" />
        <div>
          <h3>What your decisions did</h3>
          <p class="soft small">The same wine, played again without that one decision.</p>
          <ul>
            <li v-for="d in mattered(e.lotId)" :key="d.entryIds[0]" class="decision">
              <span><span class="soft small">{{ sayDayOf(d.fact.at) }}</span> {{ sayDecision(d) }}</span>
              <b :class="d.worth > 0 ? 'text-(--good)' : 'text-(--stop)'" class="whitespace-nowrap">
                {{ d.worth > 0 ? `worth ${d.worth}` : `cost ${-d.worth}` }} {{ Math.abs(d.worth) === 1 ? 'point' : 'points' }}
              </b>
            </li>
          </ul>
          <p v-if="left > 0" role="status" class="soft">Playing it again: {{ left }} decisions to go…</p>
          <p v-else-if="mattered(e.lotId).length === 0" class="soft">None of them moved the score.</p>
        </div>
        <div class="grid gap-2 justify-items-start">
          <h3>If you had only followed Presk</h3>
          <p v-if="blind.get(e.lotId)">
            It would have scored <b>{{ blind.get(e.lotId)!.score }}</b>, with {{ blind.get(e.lotId)!.bottles }} bottles.
            {{ blind.get(e.lotId)!.faults.map((f) => sayPracticeFault(f)).join('. ') }}
          </p>
          <UButton v-else variant="outline" :loading="asking === e.lotId" @click="askBlind(e.lotId)">Play it that way</UButton>
        </div>
      </section>
      <p class="flex flex-wrap gap-3">
        <UButton size="lg" to="/practice">Another season</UButton>
        <UButton size="lg" variant="outline" color="neutral" @click="practice.leave()">Back to my own cellar</UButton>
      </p>
    </template>
  </div>
</template>

<style scoped>
.end { display: grid; gap: 20px; max-width: 60rem; }
.lot { display: grid; gap: 20px; }
.verdict { display: grid; gap: 4px; }
.score b { font-size: 3rem; }
.decision { display: flex; justify-content: space-between; gap: 16px; border-top: 1.5px solid var(--line); padding: 8px 0; }
</style>
