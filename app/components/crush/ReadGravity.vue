<script setup lang="ts">
import { reading } from '~~/core/drafts'
import { type LotView, gravityOf } from '~~/core/ledger'
import { isSyrup } from '~~/core/stages'
import { focusWrong } from '~/composables/focusWrong'
import { useFormat } from '~/composables/useFormat'
import { useQuantityField } from '~/composables/useQuantityField'
import { useStepLog } from '~/composables/useStepLog'
import { sugarQuantity, useSugarField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'

/** A gravity read in the middle of a step, logged where it is asked for: with the household's hydrometer. */
const props = defineProps<{ lot: LotView, label: string, hint: string }>()
const cellar = useCellarStore()
const f = useFormat()
const { saving, write } = useStepLog(() => props.lot)
const gravity = useSugarField('SG', { required: true, concentrate: () => isSyrup(props.lot) })
const sample = useQuantityField({ kind: 'temperature', unit: f.temperatureUnit.value, units: ['°C', '°F'], quantity: () => 'temperature' })
const hydrometer = computed(() => [...cellar.state.instruments.values()].find(({ kind }) => kind === 'hydrometer'))
const trueAtC = computed(() => hydrometer.value?.calibrationC ?? 20)
const read = computed(() => {
  const { parsed, value } = gravity
  if (value === undefined || !parsed.ok || !sample.ok) return undefined
  const at = sample.value === undefined ? {} : { sampleC: sample.value, calibrationC: trueAtC.value }
  return { quantity: sugarQuantity(parsed.unit), value, ...at }
})
/** As a sample of another temperature would read at the hydrometer's own. */
const corrected = computed(() => {
  const is = read.value
  return is && sample.value !== undefined ? withinLimits(() => gravityOf(is)) : undefined
})
async function log() {
  gravity.touch()
  sample.touch()
  if (!read.value) return focusWrong()
  const { id: instrumentId } = hydrometer.value ?? {}
  const draft = reading({ lotId: props.lot.id, typed: gravity.text, ...read.value, ...(instrumentId && { instrumentId }) })
  if (!(await write([draft], `Gravity logged for ${props.lot.name}`))) return
  gravity.clear()
  sample.clear()
}
</script>

<template>
  <form novalidate class="fieldline" @submit.prevent="log">
    <QuantityField
      :label="label"
      :field="gravity"
      :hint="corrected === undefined ? hint : `at ${f.words(f.temperature(trueAtC))}: ${corrected.toFixed(3)}`"
    />
    <QuantityField label="Sample temperature" :field="sample" hint="leave empty if corrected" />
    <UButton type="submit" size="xl" :loading="saving">Log gravity</UButton>
  </form>
</template>
