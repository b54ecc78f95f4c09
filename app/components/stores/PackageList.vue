<script setup lang="ts">
import type { Package } from '~~/core/ledger'
import { sayDay } from '~/wording/sentences'

/** The packages of one material; what is left can be counted and set right. */
const props = defineProps<{ material: string }>()
const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
const stock = computed(() => cellar.state.stock.get(props.material))
const counting = ref<string>()
const left = useQuantityField({ kind: 'plain', unit: '', required: true, limits: { min: 0, max: 1e6, words: 'Say what is left, 0 when it is empty.' } })
const amount = (g: number) => stock.value?.unit === 'mL' ? `${g.toFixed(0)} mL` : f.words(f.powder(g))
function begin(p: Package) {
  counting.value = p.id
  left.clear()
}
async function count(p: Package) {
  left.touch()
  if (left.value === undefined) return
  if (await cellar.log([{ type: 'supply-counted', supplyId: p.id, left: left.value }])) {
    logged('Counted')
    counting.value = undefined
  }
}
</script>

<template>
  <ul v-if="stock" class="packages">
    <li v-for="p in stock.packages" :key="p.id">
      <span><b>{{ amount(p.left) }}</b> left of {{ amount(p.amount) }}<span class="soft small">{{ p.opened ? `, opened ${sayDay(p.opened)}` : ', unopened' }}{{ p.expires ? `, good until ${sayDay(p.expires)}` : '' }}{{ p.note ? `, ${p.note}` : '' }}</span></span>
      <button v-if="counting !== p.id" type="button" class="textlink small" :aria-label="`Count what is left of ${amount(p.amount)}`" @click="begin(p)">Count</button>
      <form v-else novalidate class="line" @submit.prevent="count(p)"><QuantityField label="Left now" :field="left" :unit-label="stock.unit" /><UButton type="submit" size="lg">Set it</UButton></form>
    </li>
  </ul>
</template>

<style scoped>
.packages li { display: flex; flex-wrap: wrap; justify-content: space-between; gap: 8px 16px; align-items: center; border-top: 1.5px solid var(--line); padding: 6px 0; }
.packages .textlink { min-height: 44px; }
.line { display: flex; gap: 12px; align-items: flex-end; }
</style>
