<script setup lang="ts">
useHead({ title: 'Stores · Presk' })
</script>

<template>
  <div>
    <StoresTabs />
    <div class="beside">
      <section>
        <h1>Stores</h1>
        <DataInOut />
        <InstrumentShelf />
        <EquipmentHeld />
      </section>
      <HouseSettings />
    </div>
  </div>
</template>
