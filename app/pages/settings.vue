<script setup lang="ts">
useHead({ title: 'Settings · Presk' })
</script>

<template>
  <div class="beside">
    <section>
      <h1>Settings</h1>
      <DataInOut />
    </section>
    <HouseSettings />
  </div>
</template>
