<script setup lang="ts">
import { sayLedgerProblem } from '~/wording/problems'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** Why the last action could not be, on whatever page it was; and the way to help it where there is one. */
const cellar = useCellarStore()
const logged = useLogged()
const tooEarly = computed(() => cellar.refused.some((p) => p.code === 'before-start'))
const route = useRoute()
watch(
  () => route.path,
  () => cellar.forgetRefused()
)
async function moveStart() {
  const written = await cellar.logMovingStarts()
  if (written) logged('Logged, and the start was moved back')
}
const f = useFormat()
</script>

<template>
  <div v-if="cellar.refused.length" class="px-[clamp(12px,3vw,40px)] py-2">
    <UAlert color="error" variant="soft" icon="i-lucide-octagon-alert" close @update:open="cellar.forgetRefused()">
      <template #description>
        <p v-for="words in new Set(cellar.refused.map((p) => f.degrees(sayLedgerProblem(p))))" :key="words" role="alert">{{ words }}</p>
        <p class="small">Nothing was saved.</p>
        <UButton v-if="tooEarly" class="mt-2" @click="moveStart">Move the start back and log this</UButton>
      </template>
    </UAlert>
  </div>
</template>
