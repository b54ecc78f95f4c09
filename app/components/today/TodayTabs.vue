<script setup lang="ts">
const crush = useCrushFloor()
const cellar = useCellarStore()
const tabs = computed(() => [
  { to: '/', name: 'Now' },
  { to: '/crush', name: 'Crush day', count: crush.lots.value.filter((c) => !c.lot.inoculatedAt).length },
  { to: '/harvest', name: 'Before harvest', count: cellar.state.blocks.size }
])
</script>

<template>
  <PlaceTabs label="Today" :tabs="tabs" />
</template>
