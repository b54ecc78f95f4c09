<script setup lang="ts">
import type { Material } from '~~/core/must'
import type { CorrectBench } from '~/composables/useCorrectBench'
import { MUST_MATERIAL } from '~/wording/acids'
import { useWeighing } from '~/composables/useWeighing'

/** What really went in, beside what was planned, in its stage. */
const props = defineProps<{ bench: CorrectBench, saving: boolean }>()
const { finishing, amount } = props.bench
const { weigh } = useWeighing()
/** Spoons, or the stock solution where the scale is too coarse. */
const household = (material: Material, grams: number) => {
  const w = weigh(material, grams)
  return w.stockMl !== undefined
    ? `${w.stockMl.toFixed(1)} mL of a stock solution of 10 g in 100 mL`
    : w.spoons
      ? `about ${w.spoons.words}, level`
      : undefined
}
</script>

<template>
  <div class="wentin sheet">
    <h2>{{ finishing ? 'The rest: what went in' : 'First stage: what went in' }}</h2>
    <p class="soft small">
      {{ finishing ? 'You have measured again, so add all of it now.' : 'Add three quarters now, because you cannot take any out.' }}
      Dissolve it in some of the must and add it slowly.
    </p>
    <div class="tries">
      <QuantityField
        v-for="p in bench.planned.value"
        :key="p.material"
        :label="MUST_MATERIAL[p.material]"
        :field="p.field"
        :unit-label="p.unit"
        :hint="
          [`planned ${amount({ total: p.stage, unit: p.unit })}`, p.unit === 'g' ? household(p.material, p.stage) : undefined]
            .filter(Boolean)
            .join(', ')
        "
      />
    </div>
    <div class="go">
      <UButton variant="link" @click="bench.takePlan()">Exactly as planned</UButton
      ><UButton type="submit" size="xl" :loading="saving">Log it</UButton>
    </div>
  </div>
</template>
