<script setup lang="ts">
/** The pages of one place, under its name in the navigation. */
defineProps<{ label: string, tabs: readonly { to: string, name: string, count?: number }[] }>()
</script>

<template>
  <nav class="tabs" :aria-label="label">
    <NuxtLink v-for="t in tabs" :key="t.to" :to="t.to" :class="{ on: $route.path === t.to }" :aria-current="$route.path === t.to ? 'page' : undefined">{{ t.name }}<span v-if="t.count" class="count figure"><span class="sr-only">: </span>{{ t.count }}</span></NuxtLink>
  </nav>
</template>

<style scoped>
.tabs { display: flex; gap: 4px 22px; overflow-x: auto; border-bottom: 1.5px solid var(--line); margin-bottom: 20px; scrollbar-width: none; }
a { min-height: 44px; display: inline-flex; align-items: center; gap: 8px; font-weight: 500; white-space: nowrap; border-bottom: 3px solid transparent; margin-bottom: -1.5px; }
a:hover { border-bottom-color: var(--line-strong); }
a:focus-visible { outline-offset: -3px; }
.on { border-bottom-color: var(--skin); color: var(--skin); font-weight: 700; }
.count { min-width: 22px; height: 22px; border-radius: 11px; padding: 0 6px; background: var(--skin-wash); color: var(--skin); font-size: 0.9rem; display: inline-grid; place-items: center; }
</style>
