<script setup lang="ts">
/** The pages of one place, under its name in the navigation: links, drawn by hand because the library's menu weighs 60 kB for this. */
defineProps<{ label: string, tabs: readonly { to: string, name: string, count?: number }[] }>()
const route = useRoute()
</script>

<template>
  <ScrollRow class="tabs">
    <nav :aria-label="label">
      <ul>
        <li v-for="t in tabs" :key="t.to">
          <NuxtLink :to="t.to" :class="{ on: route.path === t.to }">
            {{ t.name }}<UBadge v-if="t.count" :label="String(t.count)" color="neutral" variant="outline" size="sm" class="rounded-full" />
          </NuxtLink>
        </li>
      </ul>
    </nav>
  </ScrollRow>
</template>

<style scoped>
.tabs {
  border-bottom: 1.5px solid var(--line);
  /* Close to what is above it: the page is below. */
  margin: -12px 0 14px;
}
ul {
  display: flex;
  gap: 0 24px;
}
a {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  min-height: 48px;
  white-space: nowrap;
  font-weight: 500;
  color: var(--ink-soft);
  border-bottom: 3px solid transparent;
}
a:hover,
a.on {
  color: var(--ink);
}
a.on {
  border-color: var(--skin);
}
</style>
