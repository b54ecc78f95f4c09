<script setup lang="ts">
import { type KeptStop, useRound } from '~/composables/useRound'
import { useFloor } from '~/composables/useFloor'

/** The daily round: vessel after vessel, one thumb. */
const tour = useRound()
const floor = useFloor()
const place = computed(() => tour.lots.value.findIndex((l) => l.id === tour.at.value?.id))
const marks = computed(() =>
  tour.lots.value.map((lot) => ({
    lot,
    state: tour.round.value.done.includes(lot.id) ? 'done' : tour.round.value.passed.includes(lot.id) ? 'passed' : 'open'
  }))
)
const summary = computed(() => {
  const { done, passed } = tour.round.value
  return `${done.length} of ${tour.lots.value.length} logged${passed.length ? `, ${passed.length} passed` : ''}.`
})
const STATE = { done: 'logged', passed: 'passed', open: 'not yet' }
const keep = (lotId: string, typed: KeptStop) => {
  tour.round.value.typed[lotId] = typed
}
/** What the round has brought to light. */
const pressing = computed(() =>
  tour.lots.value.flatMap((lot) =>
    (floor.of(lot.id)?.findings ?? []).filter((s) => ['stop', 'now', 'soon'].includes(s.finding.urgency)).map((said) => ({ lot, said }))
  )
)
const chips = ref<HTMLElement>()
/** The vessel that is on stays in sight among the others. */
watch(
  () => tour.at.value?.id,
  () => void nextTick(() => chips.value?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' })),
  { immediate: true, flush: 'post' }
)
useHead({ title: 'Round · Presk' })
</script>

<template>
  <div>
    <TodayTabs />
    <div v-if="!tour.lots.value.length" class="grid gap-3">
      <h1>Nothing is fermenting</h1>
      <p class="soft">A must with yeast in it appears here every day until it is dry.</p>
    </div>
    <template v-else>
      <ol ref="chips" class="stops" aria-label="Vessels of the round">
        <li v-for="m in marks" :key="m.lot.id">
          <button
            type="button"
            :class="[m.state, { here: m.lot.id === tour.at.value?.id && !tour.over.value }]"
            :aria-current="m.lot.id === tour.at.value?.id && !tour.over.value ? 'step' : undefined"
            @click="tour.go(m.lot.id)"
          >
            <UIcon v-if="m.state === 'done'" name="i-lucide-check" aria-hidden="true" />{{ m.lot.name }}
            <span class="sr-only">, {{ STATE[m.state as keyof typeof STATE] }}</span>
          </button>
        </li>
      </ol>
      <div v-if="tour.over.value" class="grid gap-4 max-w-(--measure)">
        <h1>The round is done</h1>
        <p class="soft">
          {{ summary }}
        </p>
        <FindingLine v-for="p in pressing" :key="p.lot.id + p.said.finding.key" :said="p.said" :lot="p.lot.name" />
        <div class="ways">
          <UButton to="/" size="xl">Back to Today</UButton>
          <UButton size="xl" variant="outline" @click="tour.again()">Start again</UButton>
        </div>
      </div>
      <div v-else-if="tour.at.value" class="beside">
        <RoundStop
          :key="tour.at.value.id + tour.round.value.begunAt"
          :lot="tour.at.value"
          :kept="tour.round.value.typed[tour.at.value.id]"
          :first="place === 0"
          :last="marks.filter((m) => m.state === 'open').length <= 1"
          @keep="keep(tour.at.value!.id, $event)"
          @logged="tour.finished(tour.at.value!.id)"
          @pass="tour.pass()"
          @back="tour.step(-1)"
        />
        <aside class="max-[900px]:hidden grid gap-5">
          <LotForecast :lot="tour.at.value" />
          <FindingLine v-for="x in floor.of(tour.at.value.id)?.findings.slice(0, 3)" :key="x.finding.key" :said="x" />
        </aside>
      </div>
      <p class="mt-6 ways">
        <NuxtLink to="/round/sheet" class="textlink">Print a sheet</NuxtLink>
        <NuxtLink to="/round/filled" class="textlink">Enter a filled sheet</NuxtLink>
        <NuxtLink to="/lots/curves" class="textlink">Compare ferments</NuxtLink>
      </p>
    </template>
  </div>
</template>

<style scoped>
.stops {
  display: flex;
  overflow-x: auto;
  gap: 8px;
  margin-bottom: 18px;
}
.stops button {
  /* What is only read aloud in it stays in it, and makes the page no wider. */
  position: relative;
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  padding: 6px 14px;
  border-radius: 22px;
  border: 1.5px solid var(--line-strong);
  font-weight: 600;
  font-size: 0.95rem;
  white-space: nowrap;
}
.stops .done {
  color: var(--good);
  border-color: var(--good);
}
.stops .passed {
  color: var(--ink-soft);
  border-style: dashed;
}
.stops .here {
  background: var(--skin);
  border-color: var(--skin);
  color: var(--on-skin);
}
</style>
