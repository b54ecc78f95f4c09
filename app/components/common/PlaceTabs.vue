<script setup lang="ts">
/** The pages of one place, under its name in the navigation. */
const props = defineProps<{ label: string, tabs: readonly { to: string, name: string, count?: number }[] }>()
const route = useRoute()
const items = computed(() =>
  props.tabs.map((t) => ({
    label: t.name,
    to: t.to,
    active: route.path === t.to,
    exact: true,
    ...(t.count && { badge: { label: String(t.count) } })
  }))
)
</script>

<template>
  <ScrollRow class="tabs">
    <UNavigationMenu
      :items="items"
      :aria-label="label"
      highlight
      :ui="{ list: 'gap-x-6', item: 'py-0', link: 'min-h-12 px-0 before:hidden after:inset-x-0 after:bottom-0 after:h-[3px]' }"
    />
  </ScrollRow>
</template>

<style scoped>
.tabs {
  border-bottom: 1.5px solid var(--line);
  margin-bottom: 20px;
}
</style>
