<script setup lang="ts">
import { useLogged } from '~/composables/useLogged'
/** What the household can measure: what it lacks is not asked for, and Presk goes by usual values and by time. */
const logged = useLogged()
</script>

<template>
  <StoreSection title="What you can measure" label="Equipment">
    <p class="soft">Presk does not ask for what you cannot measure. It uses usual values and waiting times instead.</p>
    <EntryForm type="equipment-said" send="Save" @done="logged('Equipment saved')" />
  </StoreSection>
</template>
