<script setup lang="ts">
/** A newer Presk is ready. It is installed on a tap, never by itself while somebody types. */
const emit = defineEmits<{ take: [], later: [] }>()
const taking = ref(false)
function take() {
  taking.value = true
  emit('take')
}
</script>

<template>
  <div class="new" role="status">
    <span
    >A new version of Presk is ready.
      <span class="soft">The page reloads. What you have typed stays.</span></span
    >
    <span class="flex gap-2">
      <UButton :loading="taking" @click="take">Update now</UButton>
      <UButton variant="ghost" color="neutral" @click="emit('later')">Later</UButton>
    </span>
  </div>
</template>

<style scoped>
.new {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 24px;
  padding: 8px clamp(12px, 3vw, 40px);
  background: var(--skin-wash);
  border-bottom: 1.5px solid var(--line);
}
</style>
