<script setup lang="ts">
defineProps<{ tone?: 'stop' | 'ask' }>()
</script>

<template>
  <UAlert
    :color="tone === 'stop' ? 'error' : 'warning'"
    variant="soft"
    :icon="tone === 'stop' ? 'i-lucide-octagon-alert' : 'i-lucide-circle-alert'"
  >
    <template #description><slot /></template>
  </UAlert>
</template>
