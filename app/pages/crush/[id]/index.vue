<script setup lang="ts">
import { STANDING, STREAM, STYLE } from '~/wording/terms'
import { crushSteps } from '~~/core/stages'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

/** One lot from its arrival to its yeast: the rail of its steps, and the one whose turn it is, opened. */
const cellar = useCellarStore()
const route = useRoute()
const now = useNow()
const f = useFormat()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const steps = computed(() => (lot.value ? crushSteps(lot.value, now.value) : []))
const turn = computed(
  () =>
    steps.value.find((s) => s.status === 'now') ??
    steps.value.find((s) => (s.status === 'running' || s.status === 'waiting') && !s.optional) ??
    steps.value.at(-1)
)
/** The step in the address while it is still to do or was asked for; else the one whose turn it is. */
const open = computed(() => steps.value.find((s) => s.code === route.query.step) ?? turn.value)
/** After an entry the page goes on to what comes next by itself. */
watch(
  () => [open.value?.code, open.value?.status] as const,
  ([code, status], [codeBefore, before]) => {
    if (route.query.step && code === codeBefore && status === 'done' && before !== 'done') void navigateTo({ query: {} }, { replace: true })
  }
)
useHead({ title: () => `${lot.value?.name ?? 'Lot'}, crush day · Presk` })
</script>

<template>
  <div v-if="!lot" class="grid gap-3">
    <h1>This cellar has no such lot</h1>
    <p><NuxtLink to="/crush" class="textlink">Crush day</NuxtLink></p>
  </div>
  <div v-else class="one">
    <header>
      <p class="soft"><NuxtLink to="/crush" class="textlink">Crush day</NuxtLink></p>
      <div class="head">
        <h1>{{ lot.name }}</h1>
        <p class="soft">
          {{ STYLE[lot.style] }} from {{ STREAM[lot.stream].toLowerCase() }}, {{ STANDING[lot.standing].toLowerCase() }},
          {{ f.words(f.volume(lot.volume.value)) }} {{ lot.volume.origin === 'estimated' ? 'expected' : '' }} ·
          <NuxtLink :to="`/lots/${lot.id}`" class="textlink">the lot’s page</NuxtLink>
        </p>
      </div>
    </header>
    <template v-if="lot.stream === 'test'">
      <p class="intro">
        A bucket of fruit and a week show what this vineyard’s fruit becomes, before you buy the rest. You do not keep this wine.
      </p>
      <StepTest :lot="lot" />
    </template>
    <template v-else>
      <StepRail :lot-id="lot.id" :steps="steps" :colour="wineColour(lot)" :current="open?.code" />
      <div v-if="open" class="sheet open"><CrushStepForm :key="open.code" :lot="lot" :step="open" /></div>
      <p v-if="lot.inoculatedAt" class="done">
        The yeast is in, so crush day is over for this lot. <NuxtLink :to="`/lots/${lot.id}`" class="textlink">Go on to the
          ferment</NuxtLink>
      </p>
    </template>
  </div>
</template>

<style scoped>
.one {
  display: grid;
  gap: 20px;
  max-width: 900px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
}
h1 {
  overflow-wrap: anywhere;
}
.open {
  padding: clamp(16px, 3vw, 28px);
}
.intro {
  max-width: 60ch;
  font-size: 1.08rem;
}
.done {
  font-size: 1.08rem;
}
</style>
