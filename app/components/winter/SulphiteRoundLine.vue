<script setup lang="ts">
import type { RoundLine } from '~/composables/useSulphiteRound'
import { materialTitle } from '~/wording/materials'
import { sayDayOf } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { useQuantityField } from '~/composables/useQuantityField'

/** One wine of the round: what is free, what it is kept at, and what goes in. */
const props = defineProps<{ line: RoundLine, salt: string, number: number }>()
const emit = defineEmits<{ read: [typed: string, value: number], wentIn: [actual: number, byStock: boolean] }>()
const f = useFormat()
const free = useQuantityField({ kind: 'plain', unit: '', required: true, quantity: () => 'freeSo2' })
function read() {
  free.touch()
  if (free.value === undefined) return
  emit('read', free.text, free.value)
  free.clear()
}
const keeps = computed(() => props.line.lot.upkeep?.belowAt && sayDayOf(props.line.lot.upkeep.belowAt.low))
</script>

<template>
  <li>
    <div class="who">
      <span class="ball figure" aria-hidden="true">{{ number }}</span>
      <div>
        <h2><NuxtLink :to="`/lots/${line.lot.id}`">{{ line.lot.name }}</NuxtLink></h2>
        <p class="soft">
          {{ f.words(f.volume(line.lot.volume.value)) }}, {{ line.lot.ph ? `pH ${line.lot.ph.value.toFixed(2)}` : 'usual pH' }}. Free
          {{ line.freeMgPerL.toFixed(0) }} mg/L, {{ line.measured ? 'measured' : 'estimated' }}; level
          {{ line.levelMgPerL.toFixed(0) }}.
        </p>
      </div>
    </div>
    <form class="fieldline" novalidate @submit.prevent="read">
      <QuantityField :label="`Free SO₂ of ${line.lot.name} today`" :field="free" unit-label="mg/L" />
      <UButton type="submit" size="lg" variant="outline">Log it</UButton>
    </form>
    <WentIn
      v-if="line.grams > 0"
      :label="materialTitle(salt)"
      :material="salt"
      :grams="line.grams"
      @log="(actual, byStock) => emit('wentIn', actual, byStock)"
    />
    <p v-else><b>None needed.</b> <span class="soft">{{ keeps ? `It lasts at least until about ${keeps}.` : 'It has enough.' }}</span></p>
    <FindingNote v-if="line.cappedByLimit" tone="stop">
      No more is allowed: total SO₂ is at its limit. Measure the total, and find out why the wine loses so much.
    </FindingNote>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px 32px;
  padding: 18px 0;
  border-top: 1.5px solid var(--line);
}
.who {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr);
  gap: 12px;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
