<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { rememberBenchLot } from '~/composables/useLotFromAddress'
import { useCellarStore } from '~/stores/cellar'

/** Which lot the bench is for. It remembers the lot that was worked on last. */
const props = defineProps<{ lot: LotView | undefined }>()
const cellar = useCellarStore()
const route = useRoute()

const items = computed(() => [{ value: '', label: 'no lot' }, ...cellar.lots.map((l) => ({ value: l.id, label: l.name }))])
const chosen = computed({
  get: () => props.lot?.id ?? '',
  set: (id: string) => {
    rememberBenchLot(id)
    void navigateTo({ path: route.path, query: id ? { lot: id } : { lot: 'none' } })
  }
})
</script>

<template>
  <div class="picker"><span>for</span><SelectField v-model="chosen" label="Lot" quiet :items="items" class="w-64 max-w-[70vw]" /></div>
</template>

<style scoped>
.picker {
  display: inline-flex;
  align-items: center;
  gap: 10px;
}
</style>
