<script setup lang="ts">
import { useCellarStore } from '~/stores/cellar'

const cellar = useCellarStore()
</script>

<template>
  <div class="empty">
    <VesselDrawing kind="demijohn" :capacity-l="25" :litres="0" :px-per-dm="42" />
    <div>
      <h1>The shelf is empty</h1>
      <ol>
        <li><b>Start a lot</b> when the fruit, the pails or the kit arrive.</li>
        <li><b>Measure</b> sugar, pH and acidity. Presk converts them and shows whether they are in range.</li>
        <li><b>Add sulphite.</b> Presk says how much to weigh, and you log what went in.</li>
      </ol>
      <div class="row">
        <UButton to="/lots/new" size="xl" icon="i-lucide-plus">Start a lot</UButton>
        <UButton variant="outline" size="xl" @click="cellar.open('demo')">Explore the demo cellar</UButton>
        <UButton variant="outline" size="xl" to="/settings">Import a file</UButton>
      </div>
    </div>
  </div>
</template>

<style scoped>
.empty {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 48px;
  align-items: end;
  max-width: 900px;
  margin: 5vh auto 0;
}
ol {
  list-style: decimal inside;
  display: grid;
  gap: 8px;
  margin: 18px 0 24px;
  font-size: 1.08rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
@media (max-width: 700px) {
  .empty {
    grid-template-columns: 1fr;
    gap: 20px;
  }
}
</style>
