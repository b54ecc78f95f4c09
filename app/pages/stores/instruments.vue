<script setup lang="ts">
useHead({ title: 'Instruments · Presk' })
</script>

<template>
  <div>
    <StoresTabs />
    <section>
      <h1>Instruments</h1>
      <InstrumentShelf />
      <EquipmentHeld />
    </section>
  </div>
</template>
