<script setup lang="ts">
import type { LotView } from '~~/core/ledger'

defineProps<{
  title: string
  lot?: LotView | undefined
  /** Shown without a lot picker: the calculation has no lot. */
  alone?: boolean
}>()
defineEmits<{ submit: [] }>()
useSlots()
</script>

<template>
  <form novalidate class="bench" @submit.prevent="$emit('submit')">
    <div class="title">
      <h1>{{ title }}</h1>
      <BenchLotPicker v-if="!alone" :lot="lot" />
    </div>
    <section class="answer" aria-live="polite"><slot name="answer" /></section>
    <section class="inputs"><slot name="inputs" /></section>
    <section class="results"><slot name="results" /></section>
  </form>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.05fr);
  grid-template-rows: auto auto 1fr;
  gap: 20px 56px;
  align-items: start;
}
.title {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 10px 16px;
}
.inputs {
  grid-column: 1;
  grid-row: 2 / 4;
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 18px 20px;
}
.inputs > :deep(.wide),
.inputs > :deep(.full),
.inputs > :deep(fieldset) {
  grid-column: 1 / -1;
}
.answer,
.results {
  grid-column: 2;
  border-left: 1.5px solid var(--line);
  padding-left: 32px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}
.results:empty,
.answer:empty {
  display: none;
}
@media (max-width: 900px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }
  .answer,
  .results,
  .inputs {
    grid-column: 1;
    grid-row: auto;
    border-left: 0;
    padding-left: 0;
  }
}
</style>
