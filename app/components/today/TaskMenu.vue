<script setup lang="ts">
import type { Said } from '~/composables/useFloor'
import { useEnding } from '~/composables/useEnding'

/** The ways round a task. It comes when its dots are first pressed, and opens at once. */
defineProps<{ said: Said, label: string }>()
const { menu } = useEnding()
const open = ref(true)
</script>

<template>
  <UDropdownMenu v-model:open="open" :items="menu(said)">
    <UButton variant="ghost" color="neutral" icon="i-lucide-ellipsis" class="px-2.5" :aria-label="label" />
  </UDropdownMenu>
</template>
