<script setup lang="ts">
/** What the household can measure: what it lacks is not asked for, and Presk goes by usual values and by time. */
const logged = useLogged()
</script>

<template>
  <section class="equipment" aria-label="Equipment">
    <h2>What you can measure</h2>
    <p class="soft">Presk does not ask for what you cannot measure. It uses usual values and waiting times instead.</p>
    <EntryForm type="equipment-said" send="Save" @done="logged('Equipment saved')" />
  </section>
</template>

<style scoped>
.equipment {
  display: grid;
  gap: 12px;
  max-width: 640px;
  border-top: 1.5px solid var(--line);
  padding-top: 18px;
  margin-top: 22px;
}
</style>
