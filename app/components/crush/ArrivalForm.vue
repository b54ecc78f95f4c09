<script setup lang="ts">
import type { Entry } from '~~/core/ledger'
import { useLogged } from '~/composables/useLogged'

/** Notes fruit, pails or a kit that are still to come, so that supplies can be checked before they are here. */
const logged = useLogged()
const open = ref(false)
function noted([entry]: Entry[]) {
  if (entry?.type === 'arrival-expected') logged(`${entry.name} is expected`)
  open.value = false
}
</script>

<template>
  <p v-if="!open">
    <UButton variant="outline" size="lg" icon="i-lucide-calendar-plus" @click="open = true">Expect another delivery</UButton>
  </p>
  <div v-else class="sheet p-4.5">
    <EntryForm type="arrival-expected" send="Save" @done="noted"
    ><UButton variant="link" @click="open = false">Not now</UButton></EntryForm
    >
  </div>
</template>
