<script setup lang="ts">
const supplies = useSupplies()
const tabs = computed(() => [{ to: '/stores', name: 'Files and instruments' }, { to: '/stores/supplies', name: 'Supplies', count: supplies.short.value.length }])
</script>

<template>
  <PlaceTabs label="Stores" :tabs="tabs" />
</template>
