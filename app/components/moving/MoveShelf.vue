<script setup lang="ts">
import type { useMove } from '~/composables/useMove'
import { useFormat } from '~/composables/useFormat'
import { wineColour } from '~/composables/wineColour'

/** The vessels that it touches, before and after. */
const props = defineProps<{ move: ReturnType<typeof useMove> }>()
const { shelf, nameOf } = props.move
const f = useFormat()
type Side = (typeof shelf.value)[number]['before']
const says = (v: Side) => {
  if (v.litres < 0.05) return 'empty'
  const air = v.capacityL - v.litres
  return `${f.words(f.volume(v.litres))}${air >= 0.1 ? `, ${f.words(f.volume(air))} of air` : ', full'}`
}
const scale = computed(() => 15 / Math.max(1, Math.cbrt(Math.max(...shelf.value.map((s) => s.after.capacityL)) / 25)))
</script>

<template>
  <ul>
    <li v-for="s in shelf" :key="s.after.id">
      <b>{{ nameOf(s.after.id) }}</b>
      <div class="pair">
        <figure>
          <VesselDrawing
            :kind="s.before.kind"
            :capacity-l="s.before.capacityL"
            :litres="Math.min(s.before.litres, s.before.capacityL)"
            :colour="s.lotBefore ? wineColour(s.lotBefore) : undefined"
            :px-per-dm="scale"
          />
          <figcaption class="soft small">{{ says(s.before) }}</figcaption>
        </figure>
        <UIcon name="i-lucide-arrow-right" aria-label="becomes" />
        <figure>
          <VesselDrawing
            :kind="s.after.kind"
            :capacity-l="s.after.capacityL"
            :litres="Math.min(s.after.litres, s.after.capacityL)"
            :colour="s.lotAfter ? wineColour(s.lotAfter) : undefined"
            :px-per-dm="scale"
          />
          <figcaption class="small">
            {{ says(s.after) }}<template v-if="s.lotAfter && s.lotAfter.id !== s.lotBefore?.id">, {{ s.lotAfter.name }}</template>
          </figcaption>
        </figure>
      </div>
      <p v-if="s.before.litres > 0.05 && s.after.litres < 0.05" class="soft small">
        Wash it while it is wet. Presk reminds you until you have.
      </p>
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: grid;
  gap: 14px;
}
li {
  border-top: 1.5px solid var(--line);
  padding-top: 10px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 24px minmax(0, 1fr);
  gap: 10px;
  align-items: center;
}
figure {
  display: grid;
  justify-items: center;
  text-align: center;
  align-self: end;
  gap: 4px;
}
</style>
