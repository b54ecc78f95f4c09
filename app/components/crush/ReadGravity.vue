<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { isSyrup } from '~~/core/stages'
import { correctHydrometer } from '~~/core/hydrometry'

/** A gravity read in the middle of a step, logged where it is asked for. */
const props = defineProps<{ lot: LotView, label: string, hint: string }>()
const f = useFormat()
const { saving, write } = useStepLog(() => props.lot)
const gravity = useSugarField('SG', { required: true, concentrate: () => isSyrup(props.lot) })
const sample = useQuantityField({ kind: 'temperature', unit: f.temperatureUnit.value, units: ['°C', '°F'], quantity: () => 'temperature' })

async function read() {
  gravity.touch()
  if (gravity.value === undefined || !gravity.parsed.ok || !sample.ok) return
  const scale = sugarQuantity(gravity.parsed.unit)
  const sampleC = sample.value
  if (
    await write(
      [
        {
          type: 'reading',
          lotId: props.lot.id,
          quantity: scale,
          typed: gravity.text.trim(),
          value: gravity.value,
          ...(sampleC !== undefined && { sampleC, calibrationC: 20 })
        }
      ],
      `Gravity logged for ${props.lot.name}`
    )
  ) {
    gravity.clear()
    sample.clear()
  }
}
const corrected = computed(() =>
  gravity.value !== undefined && gravity.parsed.ok && sample.value !== undefined
    ? withinLimits(
        () => correctHydrometer(gravity.value!, gravity.parsed.ok ? sugarQuantity(gravity.parsed.unit) : 'brix', sample.value!, 20).sg
      )
    : undefined
)
</script>

<template>
  <form novalidate class="fieldline" @submit.prevent="read">
    <QuantityField
      :label="label"
      :field="gravity"
      :hint="corrected === undefined ? hint : `${f.degrees('at 20 °C')} ${corrected.toFixed(3)}`"
    />
    <QuantityField label="Sample temperature" :field="sample" hint="leave empty if corrected" />
    <UButton type="submit" size="xl" :loading="saving">Log gravity</UButton>
  </form>
</template>
