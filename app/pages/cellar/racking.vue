<script setup lang="ts">
import { isKept, lotOfWine } from '~~/core/stages'
import { useFormat } from '~/composables/useFormat'
import { useRackingDay } from '~/composables/useRackingDay'

/** Racking day: which wine goes where, solved and played move by move. */
const day = useRackingDay()
const { chosen, plan, oneMore, working, work, lines, done, stale, begun } = day
const f = useFormat()
const saving = ref(false)
async function tick(litres: number) {
  const [line] = lines.value
  if (!line) return
  saving.value = true
  await done(line, litres)
  saving.value = false
}
/** A plan with so much that another could save is said to be no good one. Ours. */
const FAR_OFF = 0.25
const proof = computed(() => {
  const p = plan.value
  if (!p) return ''
  return p.proven
    ? 'There is no better plan for these volumes.'
    : p.gap > FAR_OFF
      ? 'Presk ran out of time, and this plan may be far from the best. Check it before you follow it, or choose fewer wines or vessels.'
      : `A better plan may exist: it could save at most ${Math.max(1, Math.round(p.gap * 100))} % more.`
})
const over = computed(() => plan.value !== undefined && plan.value.moves.length === 0)
const names = (id: string) => chosen.value.find((l) => l.id === lotOfWine(id))?.name ?? ''
useHead({ title: 'Racking day · Presk' })
</script>

<template>
  <div class="beside">
    <section class="grid gap-6 content-start">
      <header>
        <p class="soft"><NuxtLink to="/cellar" class="textlink">Cellar</NuxtLink></p>
        <h1>Racking day</h1>
        <p class="soft">Choose the wines and the vessels. Presk finds the plan that leaves the least wine over, then the least air, then
          the fewest moves.</p>
      </header>
      <p v-if="day.wines.value.length === 0" class="soft">There is no wine to rack yet.</p>
      <template v-else>
        <div v-if="plan && !stale" class="grid gap-3" aria-live="polite">
          <p class="answer">
            <template v-if="over">{{ begun ? 'All is done.' : 'Nothing has to be moved.' }}</template>
            <template v-else>
              <b class="figure">{{ plan.moves.length }}</b> {{ plan.moves.length === 1 ? 'move' : 'moves' }},
              <b class="figure">{{ f.words(f.volume(plan.airL)) }}</b> of air in all
            </template>
          </p>
          <FindingNote v-for="w in plan.without" :key="w.wineId" tone="stop">
            {{ f.words(f.volume(w.litres)) }} of {{ names(w.wineId) }} has no vessel. Keep it in a cold jug, add it to a similar wine, or
            use it in the
            kitchen.
          </FindingNote>
          <p v-if="oneMore">
            Another vessel of <b>{{ f.words(f.volume(oneMore.capacityL)) }}</b>, bought or borrowed, would leave
            {{ oneMore.withoutVesselL > 0.05 ? `${f.words(f.volume(oneMore.withoutVesselL))} over and ` : '' }}{{
              f.words(f.volume(oneMore.airL)) }} of air.
          </p>
          <p class="soft small">
            {{ proof }}
          </p>
          <ol>
            <RackingMove
              v-for="(line, i) in lines"
              :key="`${line.wineId}${line.fromVesselId}${line.toVesselId}`"
              :line="line"
              :number="i + 1"
              :turn="i === 0"
              :saving="saving"
              @done="tick"
              @washed="(id) => void day.washed(id)"
            />
          </ol>
          <section v-if="plan.after.length" class="grid gap-3">
            <h2>The shelf afterwards</h2>
            <RackingAfter :plan="plan" />
          </section>
          <CautionNote code="fullGlass" />
          <p class="soft small">
            Keep the hose under the surface; splash only a wine that smells of rotten egg. Add sulphite after the last move, for the volume
            that is left. If a vessel stays part-empty, use marbles or a smaller vessel; inert gas lasts a few weeks at most.
          </p>
        </div>
        <FindingNote v-if="stale" tone="ask">Something has changed since this plan was made. Work it out again.</FindingNote>
        <RackingChoice v-if="!plan || stale || over" :day="day" />
        <FoldOut v-else label="Choose other wines or vessels"><RackingChoice :day="day" /></FoldOut>
        <div class="ways">
          <UButton size="xl" :loading="working" :disabled="chosen.length === 0" @click="work">
            {{ plan ? 'Work it out again' : begun ? 'Go on with it' : 'Work it out' }}
          </UButton>
          <span v-if="chosen.length === 0" class="soft">Choose the wines first.</span>
        </div>
      </template>
    </section>
    <aside v-if="chosen.length" class="grid gap-3 content-start">
      <h2>After racking</h2>
      <ul class="grid gap-2">
        <li v-for="l in chosen" :key="l.id" class="rule pt-2">
          <NuxtLink v-if="isKept(l)" :to="`/bench/sulphite?lot=${l.id}`" class="textlink">Sulphite {{ l.name }}</NuxtLink>
          <span v-else class="soft">{{ l.name }}: no sulphite now, because malolactic has not finished or this wine is kept without
            sulphite.</span>
        </li>
      </ul>
    </aside>
  </div>
</template>

<style scoped>
.answer {
  font-size: 1.25rem;
}
.answer .figure {
  font-size: 1.9rem;
}
</style>
