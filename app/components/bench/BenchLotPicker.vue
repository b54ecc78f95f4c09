<script setup lang="ts">
import type { LotState } from '~~/core/ledger'

defineProps<{ lot: LotState | undefined }>()
const cellar = useCellarStore()
const route = useRoute()
const choose = (event: Event) => {
  const id = (event.target as HTMLSelectElement).value
  void navigateTo({ path: route.path, query: id ? { lot: id } : {} })
}
</script>

<template>
  <label class="picker"><span>for</span>
    <select :value="lot?.id ?? ''" aria-label="Lot" @change="choose">
      <option value="">no lot, free-standing</option>
      <option v-for="l in cellar.lots" :key="l.id" :value="l.id">{{ l.name }}</option>
    </select>
  </label>
</template>

<style scoped>
.picker { display: inline-flex; align-items: baseline; gap: 10px; }
select { font-family: var(--font-display); font-size: 1.2rem; font-weight: 600; color: var(--skin); border-bottom: 2px solid var(--skin); background: var(--ground); min-height: 44px; padding-right: 4px; max-width: 70vw; }
</style>
