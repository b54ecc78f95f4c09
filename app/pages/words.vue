<script setup lang="ts">
import { GLOSSARY, type Term, type TermKey } from '~/wording/glossary'
import { useFormat } from '~/composables/useFormat'

/** Glossary, each in a sentence or two; the one that the address names is shown first. */
const route = useRoute()
const f = useFormat()
const sought = ref('')
const words = computed(() => {
  const wanted = sought.value.trim().toLowerCase()
  return (Object.entries(GLOSSARY) as [TermKey, Term][])
    .map(([key, term]) => ({ key, ...term }))
    .filter(({ name, says }) => !wanted || name.toLowerCase().includes(wanted) || says.toLowerCase().includes(wanted))
    .sort((a, b) => a.name.replace(/^To /, '').localeCompare(b.name.replace(/^To /, ''), 'en-GB'))
})
onMounted(() => document.getElementById(String(route.hash).slice(1))?.scrollIntoView({ block: 'center' }))
useHead({ title: 'Glossary · Presk' })
</script>

<template>
  <div class="words">
    <h1>Glossary</h1>
    <p class="soft">Dotted words in Presk show these explanations when you tap them. You can switch that off in Stores.</p>
    <TextField v-model="sought" label="Find a word" placeholder="lees, pH, crystals" />
    <dl v-if="words.length" class="explained">
      <div v-for="w in words" :id="w.key" :key="w.key">
        <dt>{{ w.name }}</dt>
        <dd>{{ f.degrees(w.says) }}</dd>
      </div>
    </dl>
    <p v-else class="soft" role="status">No such word. Try a shorter one.</p>
  </div>
</template>

<style scoped>
.words {
  display: grid;
  gap: 14px;
  max-width: 56rem;
}
dl > div:target dt {
  color: var(--skin);
}
dt {
  font-weight: 600;
}
dd {
  max-width: var(--measure);
}
</style>
