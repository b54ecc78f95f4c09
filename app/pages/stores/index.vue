<script setup lang="ts">
useHead({ title: 'Stores · Presk' })
</script>

<template>
  <div>
    <StoresTabs />
    <div class="stores">
      <section>
        <h1>Stores</h1>
        <DataInOut />
        <InstrumentShelf />
      </section>
      <HouseSettings />
    </div>
  </div>
</template>

<style scoped>
.stores { display: grid; grid-template-columns: minmax(0, 1fr) 360px; gap: 56px; align-items: start; }
@media (max-width: 900px) { .stores { grid-template-columns: minmax(0, 1fr); gap: 28px; } }
</style>
