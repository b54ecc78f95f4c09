<script setup lang="ts">
import type { Entry } from '~~/core/ledger'

/** A vessel that is not in the cellar yet, added without leaving the page that needs it. */
const emit = defineEmits<{ added: [vesselId: string] }>()
const open = ref(false)
function done([entry]: Entry[]) {
  open.value = false
  if (entry?.type === 'vessel-added') emit('added', entry.vesselId)
}
</script>

<template>
  <UModal v-model:open="open" title="New vessel" description="It is added to your cellar, and the wine can go into it at once.">
    <UButton variant="link" icon="i-lucide-plus" class="justify-self-start px-0">New vessel</UButton>
    <template #body><LazyEntryForm type="vessel-added" send="Add" tall @done="done" /></template>
  </UModal>
</template>
