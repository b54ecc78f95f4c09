<script setup lang="ts">
import { BRIM_BY_EYE } from '~~/core/cellar'
import { fromLitres } from '~~/core/units'
import type { MoveLine } from '~/composables/useRackingDay'
import { focusWrong } from '~/composables/focusWrong'
import { useFormat } from '~/composables/useFormat'
import { useVolumeField } from '~/composables/usualFields'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

/** One move of the plan: out of which vessel into which, and, when it is its turn, what really went over. */
const props = defineProps<{ line: MoveLine, number: number, turn: boolean, saving?: boolean }>()
const emit = defineEmits<{ done: [litres: number], washed: [vesselId: string] }>()
const cellar = useCellarStore()
const f = useFormat()
const holds = cellar.state.vessels.get(props.line.toVesselId)?.capacityL ?? 100_000
const really = useVolumeField({
  required: true,
  limits: { min: 0.05, max: holds * BRIM_BY_EYE, words: `${props.line.to} holds ${f.words(f.volume(holds))}: this is too much.` }
})
watch(
  () => props.line.litres,
  (litres) => {
    really.fill(String(Number(fromLitres(litres, f.volumeUnit.value).toFixed(1))))
  },
  { immediate: true }
)
const from = computed(() => (props.line.fromVesselId === null ? undefined : cellar.state.vessels.get(props.line.fromVesselId)))
const to = computed(() => cellar.state.vessels.get(props.line.toVesselId))
const colour = computed(() => wineColour(props.line.lot))
function log() {
  really.touch()
  if (really.value === undefined) void focusWrong()
  else emit('done', really.value)
}
</script>

<template>
  <li>
    <span class="ball figure" :class="{ hollow: !turn }" aria-hidden="true">{{ number }}</span>
    <span class="pour" aria-hidden="true">
      <VesselDrawing v-if="from" :kind="from.kind" :capacity-l="from.capacityL" :litres="from.litres" :colour="colour" :px-per-dm="11" />
      <UIcon name="i-lucide-arrow-right" />
      <VesselDrawing
        v-if="to"
        :kind="to.kind"
        :capacity-l="to.capacityL"
        :litres="Math.min(to.capacityL, line.litres)"
        :colour="colour"
        :px-per-dm="11"
      />
    </span>
    <div class="what">
      <p>
        <b>{{ line.lot.name }}</b>: <span class="figure litres">{{ f.words(f.volume(line.litres)) }}</span> from {{ line.from }} to
        {{ line.to }}
      </p>
      <p v-if="line.wash && !to?.sanitisedAt" class="soft small">
        Wash {{ line.to }} first.
        <UButton v-if="turn" variant="link" :aria-label="`${line.to} is washed`" @click="emit('washed', line.toVesselId)">
          I have washed it
        </UButton>
      </p>
      <p v-if="line.waits" class="soft small">It waits there until its vessel is free.</p>
      <p v-if="line.empties" class="soft small">Stop when the lees come; what is left in {{ line.from }} is lees.</p>
      <form v-if="turn" class="fieldline" novalidate @submit.prevent="log">
        <QuantityField label="Amount moved" :field="really" />
        <UButton type="submit" size="xl" :loading="saving">Done</UButton>
      </form>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 34px 170px minmax(0, 1fr);
  gap: 8px 18px;
  align-items: center;
  padding: 12px 0;
  border-top: 1.5px solid var(--line);
}
.pour {
  display: flex;
  align-items: end;
  justify-content: center;
  gap: 8px;
}
.litres {
  font-size: 1.2rem;
}
.what {
  display: grid;
  gap: 4px;
}
@media (max-width: 640px) {
  li {
    grid-template-columns: 34px minmax(0, 1fr);
  }
  .what {
    grid-column: 1 / -1;
  }
}
</style>
