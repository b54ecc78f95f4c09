<script setup lang="ts">
defineProps<{ tone?: 'stop' | 'ask' }>()
</script>

<template>
  <p class="finding" :class="tone ?? 'ask'"><span aria-hidden="true" class="sign">{{ tone === 'stop' ? '✕' : '!' }}</span><span><slot /></span></p>
</template>

<style scoped>
.finding { display: flex; gap: 10px; font-size: 0.98rem; }
.sign { flex: none; width: 24px; height: 24px; border-radius: 6px; display: grid; place-items: center; font-weight: 700; background: var(--caution-wash); color: var(--caution); }
.stop .sign { background: var(--stop-wash); color: var(--stop); }
</style>
