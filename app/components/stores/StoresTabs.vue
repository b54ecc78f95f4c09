<script setup lang="ts">
import { useSupplies } from '~/composables/useSupplies'
import { useCellarStore } from '~/stores/cellar'

const supplies = useSupplies()
const cellar = useCellarStore()
const tabs = computed(() => [
  { to: '/stores/supplies', name: 'Supplies', count: supplies.short.value.length },
  { to: '/stores/instruments', name: 'Instruments' },
  { to: '/stores/cards', name: 'Your own cards', count: cellar.state.cards.size }
])
</script>

<template>
  <PlaceTabs label="Stores" :tabs="tabs" />
</template>
