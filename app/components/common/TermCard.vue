<script setup lang="ts">
import { GLOSSARY } from '~/wording/glossary'
import { useFormat } from '~/composables/useFormat'
import { useTerm } from '~/composables/useTerm'

/** What a word of the trade means, beside the word. It comes when one is first asked for. */
const { asked, close } = useTerm()
const f = useFormat()
const open = computed({ get: () => asked.value !== undefined, set: (is) => is || close() })
const term = computed(() => asked.value && GLOSSARY[asked.value.term])
const content = computed(() => ({
  'side': 'bottom' as const,
  'align': 'start' as const,
  'sideOffset': 6,
  'collisionPadding': 12,
  'aria-label': term.value?.name
}))
</script>

<template>
  <UPopover v-model:open="open" :reference="asked?.at" :content="content">
    <template #content>
      <div v-if="term" class="card">
        <p><b>{{ term.name }}</b></p>
        <p>{{ f.degrees(term.says) }}</p>
        <p><NuxtLink :to="`/words#${asked?.term}`" class="textlink" @click="close">Glossary</NuxtLink></p>
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
.card {
  display: grid;
  gap: 6px;
  max-width: min(22rem, calc(100vw - 24px));
  padding: 14px 16px;
  line-height: 1.45;
}
</style>
