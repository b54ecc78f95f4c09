<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import type { RackingPlan } from '~~/core/racking'
import { lotOfWine, toppingWines } from '~~/core/stages'
import { sayLikeness } from '~/wording/moving'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

/** The shelf after the plan. */
const props = defineProps<{ plan: RackingPlan }>()
const cellar = useCellarStore()
const f = useFormat()
const now = useNow()
/** Less air than this wants no other wine. */
const WORTH_L = 0.3
/** The likest wine to fill it up with, that is not racked itself. */
function likest(lot: LotView) {
  const chosen = new Set(props.plan.after.map((s) => lotOfWine(s.wineId)))
  const wine = toppingWines(lot, cellar.lots, cellar.state.vessels, now.value).find((t) => !t.barred && !chosen.has(t.lotId))
  return wine && { name: cellar.lotOf(wine.lotId)?.name ?? '', like: sayLikeness(wine.likeness) }
}
const filled = computed(() => {
  const by = new Map<string, { wineId: string, litres: number }>()
  for (const s of props.plan.after) by.set(s.vesselId, { wineId: s.wineId, litres: (by.get(s.vesselId)?.litres ?? 0) + s.litres })
  return [...by].flatMap(([vesselId, { wineId, litres }]) => {
    const [vessel, lot] = [cellar.state.vessels.get(vesselId), cellar.lotOf(lotOfWine(wineId))]
    const air = vessel ? Math.max(0, vessel.capacityL - litres) : 0
    return vessel && lot ? [{ vessel, lot, litres, air, with: air >= WORTH_L ? likest(lot) : undefined }] : []
  })
})
</script>

<template>
  <ul>
    <li v-for="s in filled" :key="s.vessel.id">
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
      <span v-if="s.with" class="small top">top up with {{ s.with.name }}, {{ s.with.like }}</span>
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
/* Under its vessel, not beside it. */
.top {
  max-width: 9rem;
}
li {
  display: grid;
  justify-items: center;
  text-align: center;
}
</style>
