<script setup lang="ts">
import { useSupplies } from '~/composables/useSupplies'
/** Supplies that are too short for all lots. Loaded after its page, because it brings all of the supplies code with it. */
const supplies = useSupplies()
</script>

<template>
  <FindingNote v-if="supplies.short.value.length" tone="stop"
  >Not enough for all lots: {{ supplies.sayShort(supplies.short.value) }}.
    <NuxtLink to="/stores/supplies" class="textlink">See supplies</NuxtLink></FindingNote
  >
</template>
