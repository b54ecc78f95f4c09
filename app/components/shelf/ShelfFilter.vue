<script setup lang="ts">
import type { ShelfGroup } from '~/composables/useShelf'

/** For a shelf with many vessels: one group of them, or those of a name. */
defineProps<{ groups: readonly { value: ShelfGroup, label: string, count: number }[] }>()
const group = defineModel<ShelfGroup>('group', { required: true })
const search = defineModel<string>('search', { required: true })
</script>

<template>
  <div class="filter">
    <UInput
      v-model="search"
      icon="i-lucide-search"
      placeholder="Find a lot or a vessel"
      aria-label="Find a lot or a vessel"
      class="search"
    />
    <div class="groups" role="group" aria-label="Show on the shelf">
      <UButton
        v-for="g in groups"
        :key="g.value"
        :variant="group === g.value ? 'soft' : 'ghost'"
        :color="group === g.value ? 'primary' : 'neutral'"
        :aria-pressed="group === g.value"
        class="px-3"
        @click="group = g.value"
      >
        {{ g.label }} <span class="count">{{ g.count }}</span>
      </UButton>
    </div>
  </div>
</template>

<style scoped>
.filter {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
  padding: 10px clamp(12px, 3vw, 40px) 0;
}
.search {
  width: min(280px, 100%);
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
}
.count {
  font-size: 0.85rem;
  color: var(--ink-soft);
  font-variant-numeric: tabular-nums;
}
</style>
