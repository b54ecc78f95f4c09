<script setup lang="ts">
export interface WorkingStep { what: string, formula: string, result: string }

defineProps<{ steps: WorkingStep[], source: string }>()
</script>

<template>
  <details class="working">
    <summary>Show the working</summary>
    <ol>
      <li v-for="step in steps" :key="step.what">
        <span class="soft">{{ step.what }}</span>
        <span class="formula">{{ step.formula }}</span>
        <span class="figure">{{ step.result }}</span>
      </li>
    </ol>
    <p class="small soft">Source: {{ source }}</p>
  </details>
</template>

<style scoped>
summary { cursor: pointer; font-weight: 600; color: var(--skin); min-height: 44px; display: inline-flex; align-items: center; gap: 8px; border-radius: 6px; }
summary::before { content: '+'; font-family: var(--font-display); }
details[open] summary::before { content: '−'; }
ol { display: grid; gap: 10px; margin: 4px 0 12px; }
li { display: grid; grid-template-columns: minmax(7rem, 1fr) 2fr auto; gap: 4px 16px; align-items: baseline; border-top: 1.5px solid var(--line); padding-top: 8px; }
.formula { font-variant-numeric: tabular-nums; overflow-wrap: anywhere; }
@media (max-width: 560px) { li { grid-template-columns: 1fr auto; } .formula { grid-column: 1 / -1; grid-row: 2; } }
</style>
