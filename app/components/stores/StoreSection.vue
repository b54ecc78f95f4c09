<script setup lang="ts">
/** A part of the stores page, set off from the one above it. */
defineProps<{ title: string, label: string }>()
</script>

<template>
  <section :aria-label="label">
    <h2>{{ title }}</h2>
    <slot />
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 12px;
  max-width: 640px;
  border-top: 1.5px solid var(--line);
  padding-top: 18px;
  margin-top: 22px;
}
</style>
