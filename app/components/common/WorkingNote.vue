<script setup lang="ts">
export interface WorkingStep {
  what: string
  formula: string
  result: string
}

defineProps<{ steps: WorkingStep[], source: string }>()
</script>

<template>
  <FoldOut label="Show the working">
    <ol class="working">
      <li v-for="step in steps" :key="step.what">
        <span class="soft">{{ step.what }}</span>
        <span class="formula">{{ step.formula }}</span>
        <span class="figure">{{ step.result }}</span>
      </li>
    </ol>
    <p class="small soft">Source: {{ source }}</p>
  </FoldOut>
</template>

<style scoped>
.working {
  display: grid;
  gap: 10px;
  margin: 4px 0 12px;
}
li {
  display: grid;
  grid-template-columns: minmax(7rem, 1fr) 2fr auto;
  gap: 4px 16px;
  align-items: baseline;
  border-top: 1.5px solid var(--line);
  padding-top: 8px;
}
.formula {
  font-variant-numeric: tabular-nums;
  overflow-wrap: anywhere;
}
@media (max-width: 560px) {
  li {
    grid-template-columns: 1fr auto;
  }
  .formula {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
