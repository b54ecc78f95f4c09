<script setup lang="ts">
import type { useMove } from '~/composables/useMove'

/** Into which vessels, and how much into each; a further one where one does not hold it. */
const props = defineProps<{ move: ReturnType<typeof useMove> }>()
const { rows, placesOf, choose, chooseNew, addRow, dropRow, wrong, leftL, wantsVesselL, ferments } = props.move
const errorAt = (field: string) => (wrong.value?.field === field ? wrong.value.reason : undefined)
</script>

<template>
  <div class="grid gap-3">
    <div v-for="(row, i) in rows" :key="i" class="row">
      <SelectField
        :model-value="row.vesselId"
        :label="i === 0 ? 'Into' : `And into, ${i + 1}`"
        :items="placesOf(row)"
        :placeholder="placesOf(row).length > 0 ? 'choose a vessel' : 'no empty vessel'"
        :error="errorAt(`vessel${i}`)"
        @update:model-value="choose(row, $event)"
      />
      <QuantityField :label="i === 0 ? 'Amount moved' : `Amount moved, ${i + 1}`" :field="row.litres" :error="errorAt(`litres${i}`)" />
      <UButton
        v-if="rows.length > 1"
        variant="ghost"
        color="neutral"
        icon="i-lucide-x"
        class="drop"
        :aria-label="`Without vessel ${i + 1}`"
        @click="dropRow(i)"
      />
    </div>
    <div class="flex flex-wrap gap-x-6">
      <NewVessel :litres="wantsVesselL" :room="ferments ? 'foam' : 'none'" @added="chooseNew" />
      <UButton v-if="leftL > 0.1 && rows.some((r) => r.vesselId)" variant="link" icon="i-lucide-split" class="px-0" @click="addRow">
        Fill another vessel
      </UButton>
    </div>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr) auto;
  gap: 12px 16px;
  align-items: start;
}
.drop {
  margin-top: 28px;
}
@media (max-width: 560px) {
  .row {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .row > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
