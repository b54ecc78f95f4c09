<script setup lang="ts">
import { isFermenting, isMust } from '~~/core/ledger'
import type { useMove } from '~/composables/useMove'
import { materialTitle } from '~/wording/materials'
import { useFormat } from '~/composables/useFormat'

/** Sulphite on what arrives: what is planned, and what really goes in with it. */
const props = defineProps<{ move: ReturnType<typeof useMove> }>()
const { lot, kept, dose, doseG, doseShown, byStock, weighed, sulphite, salt, inAll, expectedL } = props.move
const f = useFormat()
const net = computed(() => f.words(f.volume(inAll.value || expectedL.value)))
const why = computed(() => {
  const l = lot.value
  if (!l) return ''
  if (l.plan.sulphite === 'none') return 'This wine is kept without sulphite.'
  if (isMust(l)) return 'A must gets its sulphite in its own step on crush day.'
  if (isFermenting(l)) return 'None during a ferment: it would slow the yeast.'
  if (!kept.value) return 'None now: malolactic has to finish first.'
  if (!l.ph) return 'Its pH is unknown. Measure it, because the dose depends on it.'
  return 'Its free SO₂ is unknown. Measure it after racking.'
})
</script>

<template>
  <section class="grid gap-2">
    <h2>Sulphite</h2>
    <p v-if="!dose" class="soft">{{ why }}</p>
    <p v-else-if="doseG <= 0" class="soft">
      None needed: free {{ dose.freeMgPerL.toFixed(0) }} mg/L, level {{ dose.levelMgPerL.toFixed(0) }}.
    </p>
    <template v-else>
      <p>
        <b class="figure amount">{{ f.words(doseShown) }}</b>
        {{ byStock ? 'of a stock solution, 10 g in 100 mL' : materialTitle(salt).toLowerCase() }} for {{ net }}:
        <span class="soft">
          free {{ dose.freeMgPerL.toFixed(0) }} to {{ dose.aimMgPerL.toFixed(0) }} mg/L, enough until the next round<template
            v-if="weighed.spoons"
          >; about {{ weighed.spoons.words }}, level</template>.
        </span>
      </p>
      <div class="fieldline">
        <QuantityField
          label="Sulphite added"
          :field="sulphite"
          :unit-label="byStock ? 'mL' : 'g'"
          hint="leave empty if none yet; Presk reminds you"
        />
        <UButton variant="outline" size="lg" @click="sulphite.fill(byStock ? doseShown.text : f.typedPowder(doseG))">
          Exactly as planned
        </UButton>
      </div>
      <CautionNote code="sulphite" />
    </template>
  </section>
</template>

<style scoped>
.amount {
  font-size: 1.6rem;
}
</style>
