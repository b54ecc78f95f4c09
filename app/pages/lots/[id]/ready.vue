<script setup lang="ts">
import { isHeld } from '~~/core/ledger'
import { GATES, type Gate } from '~~/core/stages'
import { sayWhen } from '~/wording/days'
import { GATE } from '~/wording/readiness'
import { useNow } from '~/composables/useNow'
import { useReadiness } from '~/composables/useReadiness'
import { useCellarStore } from '~/stores/cellar'

/** Whether a lot is ready for each step of finishing: one gate at a time, condition by condition. */
const cellar = useCellarStore()
const route = useRoute()
const now = useNow()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const gate = computed<Gate>({
  get: () => (GATES.includes(String(route.query.for) as Gate) ? (String(route.query.for) as Gate) : 'bottling-still'),
  set: (to) => void navigateTo({ query: { ...route.query, for: to } }, { replace: true })
})
const { conditions, ready, isHard, knowingly, goOn } = useReadiness(() => lot.value, () => gate.value)
const items = GATES.map((value) => ({ value, ...GATE[value] }))
/** Where the work is done. */
const NEXT: Record<Gate, { to: (id: string) => string, label: string }> = {
  'fining': { to: (id) => `/bench/trial?lot=${id}`, label: 'A bench trial' },
  'cold': { to: (id) => `/bench/cold?lot=${id}`, label: 'Cold stabilising' },
  'blending': { to: () => '/bench/blend', label: 'Blend' },
  'sweetening': { to: (id) => `/bench/sweet?lot=${id}`, label: 'Sweeten it' },
  'bottling-still': { to: (id) => `/bench/bottles?lot=${id}`, label: 'Bottling day' },
  'bottling-sparkling': { to: (id) => `/bench/sparkling?lot=${id}`, label: 'Work out the pressure' }
}
const counts = computed(() => {
  const all = conditions.value
  return { met: all.filter((c) => c.state === 'met').length, of: all.length }
})
useHead({ title: () => `Ready? ${lot.value?.name ?? ''} · Presk` })
</script>

<template>
  <p v-if="!lot">This cellar has no such lot. <NuxtLink to="/lots" class="textlink">All lots</NuxtLink></p>
  <div v-else class="grid gap-6">
    <div>
      <p class="soft"><NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ lot.name }}</NuxtLink></p>
      <h1>{{ ready ? 'Ready' : 'Not ready' }}: {{ GATE[gate].label.toLowerCase() }}</h1>
      <p class="soft">
        <b class="figure">{{ counts.met }} of {{ counts.of }}</b> conditions are met. Anything not checked counts as open.
      </p>
    </div>
    <p v-if="!isHeld(lot)" class="soft">This lot holds no wine any more.</p>
    <template v-else>
      <ChoiceTiles v-model="gate" legend="Next step" :items="items" :least="150" />
      <ul aria-label="Conditions">
        <ConditionLine v-for="c in conditions" :key="c.code" :condition="c" :hard="isHard(c.code)" :lot-id="lot.id" />
      </ul>
      <p v-if="knowingly" class="soft">
        You went ahead anyway {{ sayWhen(knowingly.at, now) }}. This is noted in the history.
      </p>
      <div class="ways">
        <UButton :to="NEXT[gate].to(lot.id)" size="xl" :variant="ready ? 'solid' : 'outline'">
          {{ NEXT[gate].label }}
        </UButton>
        <UButton v-if="!ready && !knowingly" variant="link" @click="goOn()">
          Go ahead anyway, and note it
        </UButton>
      </div>
    </template>
  </div>
</template>
