<script setup lang="ts">
import type { RackingPlan } from '~~/core/racking'
import { lotOfWine } from '~~/core/stages'

/** The shelf as it stands after the plan. */
const props = defineProps<{ plan: RackingPlan }>()
const cellar = useCellarStore()
const f = useFormat()
const stands = computed(() => {
  const by = new Map<string, { wineId: string, litres: number }>()
  for (const s of props.plan.after) by.set(s.vesselId, { wineId: s.wineId, litres: (by.get(s.vesselId)?.litres ?? 0) + s.litres })
  return [...by].flatMap(([vesselId, { wineId, litres }]) => {
    const [vessel, lot] = [cellar.state.vessels.get(vesselId), cellar.lotOf(lotOfWine(wineId))]
    return vessel && lot ? [{ vessel, lot, litres, air: Math.max(0, vessel.capacityL - litres) }] : []
  })
})
</script>

<template>
  <ul>
    <li v-for="s in stands" :key="s.vessel.id">
      <VesselDrawing
        :kind="s.vessel.kind"
        :capacity-l="s.vessel.capacityL"
        :litres="Math.min(s.litres, s.vessel.capacityL)"
        :colour="wineColour(s.lot)"
        :px-per-dm="16"
      />
      <b>{{ s.lot.name }}</b>
      <span class="soft small">{{ s.vessel.name }}</span>
      <span class="soft small">
        {{ f.words(f.volume(s.litres)) }}{{ s.air >= 0.1 ? `, ${f.words(f.volume(s.air))} of air` : ', full' }}
      </span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 18px 26px;
}
li {
  display: grid;
  justify-items: center;
  text-align: center;
}
</style>
