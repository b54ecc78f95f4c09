<script setup lang="ts">
import type { PacketStep } from '~~/core/ledger'
import { PACKET_STEP } from '~/wording/crush'
import type { useQuantityField } from '~/composables/useQuantityField'

/** What a kit says of itself: its gravity, the mark on its pail, its packets. */
export interface KitTyped {
  packets: { name: string, step: PacketStep, day?: number }[]
}
const props = defineProps<{
  /** The gravity and the mark are asked elsewhere. */
  packetsOnly?: boolean
  target: ReturnType<typeof useQuantityField>
  line: ReturnType<typeof useQuantityField>
}>()
const packets = defineModel<KitTyped['packets']>({ required: true })
const USUAL: KitTyped['packets'] = [
  { name: 'Bentonite', step: 'before-yeast' },
  { name: 'Yeast', step: 'yeast' },
  { name: 'Sulphite and sorbate', step: 'stabilise' },
  { name: 'Finings', step: 'clear' }
]
/** These have a day; the others go by the must and by the yeast. */
const AFTER_YEAST = new Set<PacketStep>(['ferment', 'stabilise', 'clear'])
const STEPS = Object.entries(PACKET_STEP).map(([value, label]) => ({ value: value as PacketStep, label }))
const fields = computed(() => props)
</script>

<template>
  <div class="grid gap-4">
    <div v-if="!packetsOnly" class="fieldgrid">
      <QuantityField label="Dilute it to" :field="fields.target" hint="gravity from the leaflet; leave empty if already diluted" />
      <QuantityField label="Mark on the pail" :field="fields.line" hint="only a guide" />
    </div>
    <fieldset>
      <legend>Packets in order, with the day after the yeast if the leaflet gives one</legend>
      <ol class="packets">
        <li v-for="(p, i) in packets" :key="i">
          <UInput v-model="p.name" maxlength="80" :aria-label="`Packet ${i + 1}`" autocomplete="off" />
          <USelect
            v-model="p.step"
            :items="STEPS"
            :aria-label="`When packet ${i + 1} goes in`"
            :class="{ 'col-span-2': !AFTER_YEAST.has(p.step) }"
          />
          <UInput
            v-if="AFTER_YEAST.has(p.step)"
            v-model.number="p.day"
            type="number"
            inputmode="numeric"
            min="0"
            max="120"
            placeholder="day"
            :aria-label="`Days after the yeast for packet ${i + 1}`"
          />
          <UButton variant="link" :aria-label="`Leave packet ${i + 1} out`" @click="packets.splice(i, 1)">Remove</UButton>
        </li>
      </ol>
      <div class="acts">
        <UButton v-if="!packets.length" variant="outline" size="lg" @click="packets = USUAL.map((p) => ({ ...p }))">The usual four</UButton
        ><UButton variant="outline" size="lg" icon="i-lucide-plus" @click="packets.push({ name: '', step: 'before-yeast' })"
        >A packet</UButton
        >
      </div>
    </fieldset>
  </div>
</template>

<style scoped>
.packets li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 12rem) 8.5rem auto;
  gap: 10px;
  align-items: center;
  padding: 4px 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 8px;
}
@media (max-width: 520px) {
  .packets li {
    grid-template-columns: minmax(0, 1fr) 8rem auto;
  }
  .packets li > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
