<script setup lang="ts">
const supplies = useSupplies()
const tabs = computed(() => [{ to: '/stores', name: 'Files and instruments' }, { to: '/stores/supplies', name: 'Supplies', count: supplies.kept.value ? supplies.rows.value.filter(r => r.short > 0).length : 0 }])
</script>

<template>
  <PlaceTabs label="Stores" :tabs="tabs" />
</template>
