<script setup lang="ts">
import { useCellarStore } from '~/stores/cellar'
/** The record of a lot, to print or keep as a PDF. */
const cellar = useCellarStore()
const route = useRoute()
const lot = computed(() => cellar.lotOf(String(route.params.id)))
const print = () => window.print()
useHead({ title: () => `Record of ${lot.value?.name ?? 'a lot'} · Presk` })
</script>

<template>
  <div v-if="lot">
    <PrintHead :back="`/lots/${lot.id}`" :label="lot.name" @print="print" />
    <LotRecord :lot="lot" />
  </div>
  <div v-else><h1>This cellar has no such lot</h1></div>
</template>
