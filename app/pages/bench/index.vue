<script setup lang="ts">
const BENCHES = [
  { to: '/bench/measure', name: 'Measure', what: 'Sugar on every scale, corrected for temperature. TA from a titration. Where a must stands.' },
  { to: '/bench/sulphite', name: 'Sulphite', what: 'How much to weigh for the free SO₂ that this pH asks for.' }
] as const
useHead({ title: 'Bench · Presk' })
</script>

<template>
  <div>
    <h1>Bench</h1>
    <p class="soft">All the arithmetic, with a lot’s own figures or free-standing.</p>
    <ul class="benches">
      <li v-for="b in BENCHES" :key="b.to"><NuxtLink :to="b.to"><h2>{{ b.name }}</h2><p class="soft">{{ b.what }}</p></NuxtLink></li>
    </ul>
  </div>
</template>

<style scoped>
.benches { margin-top: 20px; columns: 2 340px; column-gap: 56px; }
.benches li { break-inside: avoid; border-top: 1.5px solid var(--line); }
.benches a { display: block; padding: 14px 4px; border-radius: 6px; }
.benches a:hover h2 { color: var(--skin); text-decoration: underline; text-underline-offset: 4px; text-decoration-thickness: 2px; }
</style>
