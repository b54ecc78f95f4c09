<script setup lang="ts">
/** What does not go round for all lots. Loaded after the page it stands on: it brings the whole of the supplies with it. */
const supplies = useSupplies()
</script>

<template>
  <FindingNote v-if="supplies.short.value.length" tone="stop"
  >Not enough for all lots: {{ supplies.sayShort(supplies.short.value) }}.
    <NuxtLink to="/stores/supplies" class="textlink">See supplies</NuxtLink></FindingNote
  >
</template>
