<script setup lang="ts">
import { SCENARIO, sayMishap } from '~/wording/practice'
import type { ScenarioCode } from '~~/practice/season'
import { sayClock, sayLongDay } from '~/wording/days'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'
import { usePracticeStore } from '~/stores/practice'

/** On every page of a practice cellar: which season it is, its clock, and what nobody can overlook. */
const cellar = useCellarStore()
const practice = usePracticeStore()
const name = computed(() => SCENARIO[practice.season?.scenario as ScenarioCode]?.name ?? 'Practice')
const fresh = computed(() => practice.mishaps.filter((m) => !practice.season?.seen.includes(m.at)))
const lotName = (id: string) => cellar.lotOf(id)?.name ?? 'a lot'
const now = useNow()
const MOVES = [
  { label: '1 hour', hours: 1 }, { label: '1 day', hours: 24 }, { label: '1 week', hours: 168 }, { label: 'Next task', hours: undefined }
] as const
onMounted(() => void practice.look())
</script>

<template>
  <section class="bar practice-bar" aria-label="Practice">
    <p class="what">
      <b>Practice: {{ name }}.</b> <span class="whitespace-nowrap">{{ sayLongDay(now) }}, {{ sayClock(now) }}</span>
    </p>
    <div class="moves" role="group" aria-label="Move the clock">
      <UButton
        v-for="m in MOVES"
        :key="m.label"
        variant="outline"
        color="neutral"
        icon="i-lucide-fast-forward"
        :disabled="practice.moving"
        class="max-sm:px-2"
        :ui="{ leadingIcon: 'max-sm:hidden' }"
        @click="practice.move(m.hours)"
      >{{ m.label }}</UButton>
      <UButton to="/practice/read" icon="i-lucide-thermometer">Instruments</UButton>
      <NuxtLink to="/practice/end" class="textlink">Finish</NuxtLink>
      <button type="button" class="textlink" @click="practice.leave()">Leave</button>
    </div>
    <p v-if="practice.waiting" role="status" class="basis-full">
      There is already something to do on <NuxtLink to="/" class="textlink">Today</NuxtLink>. Do it or put it off first.
    </p>
    <p v-for="m in fresh" :key="m.at" class="mishap" role="alert">
      {{ sayMishap(m, lotName(m.lotId)) }}
      <UButton size="xs" variant="outline" color="error" @click="practice.sawMishap(m.at)">Dismiss</UButton>
    </p>
  </section>
</template>

<style scoped>
.bar {
  background: var(--caution-wash);
  padding: 6px clamp(12px, 3vw, 40px);
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
}
.moves { display: flex; flex-wrap: wrap; gap: 6px; align-items: center; }
.moves .textlink { min-height: 44px; padding: 0 6px; display: inline-grid; place-items: center; }
.mishap { flex-basis: 100%; color: var(--stop); font-weight: 600; }
@media (max-width: 760px) { .bar { position: sticky; top: 0; z-index: 10; } }
</style>
