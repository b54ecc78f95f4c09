<script setup lang="ts">
import { useWeighing, type Weighed } from '~/composables/useWeighing'
import { useFormat } from '~/composables/useFormat'
import { useQuantityField } from '~/composables/useQuantityField'

/** What to measure out, and the one tap that says it went in; another amount can be typed. Plan and actual stay two things. */
const props = defineProps<{
  label: string
  material: string
  grams: number
  /** Stays off while something speaks against it. */
  disabled?: boolean
  saving?: boolean
}>()
const emit = defineEmits<{ log: [actual: number, byStock: boolean] }>()
const { weigh } = useWeighing()
const f = useFormat()
const weighed = computed<Weighed>(() => weigh(props.material, props.grams))
const byStock = computed(() => weighed.value.stockMl !== undefined)
const amount = computed(() => (byStock.value ? { text: weighed.value.stockMl!.toFixed(1), unit: 'mL' } : weighed.value.shown))
const planned = computed(() => (byStock.value ? weighed.value.stockMl! : props.grams))
const other = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.001, max: 100_000, words: 'Enter how much went in.' } })
const open = ref(false)
/** What the button says went in is what is logged, digit for digit. */
const asShown = () => Number(amount.value.text) * (amount.value.unit === 'kg' ? 1000 : 1) || planned.value
function logOther() {
  other.touch()
  if (other.value !== undefined) emit('log', other.value, byStock.value)
}
</script>

<template>
  <div class="went">
    <FigureNumber :label="byStock ? 'Measure out' : label" :shown="amount" origin="worked out" size="hero" />
    <p v-if="byStock" class="soft">
      of a stock solution: 10 g made up to 100 mL. That contains {{ f.words(weighed.shown) }}, too little for your scale.
    </p>
    <p v-else-if="weighed.spoons" class="soft">
      about {{ weighed.spoons.words }}, level{{ weighed.spoons.own ? ', of your spoons' : '' }}, if you cannot weigh
    </p>
    <div class="ways">
      <UButton size="xl" :disabled="disabled" :loading="saving" @click="emit('log', asShown(), byStock)"
      >{{ f.words(amount) }} went in</UButton
      >
      <UButton v-if="!open" variant="link" :disabled="disabled" @click="open = true">Another amount</UButton>
    </div>
    <form v-if="open" novalidate class="fieldline" @submit.prevent="logOther">
      <QuantityField label="Amount added" :field="other" :unit-label="byStock ? 'mL' : 'g'" />
      <UButton type="submit" size="xl" variant="outline" :disabled="disabled">Log it</UButton>
    </form>
  </div>
</template>

<style scoped>
.went {
  display: grid;
  gap: 10px;
}
</style>
