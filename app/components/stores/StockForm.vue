<script setup lang="ts">
import { newId } from '~/data/ids'
import { MATERIAL } from '~/wording/terms'

/** A package comes into the store. */
const cellar = useCellarStore()
const logged = useLogged()
const material = ref('tartaric')
const amount = useQuantityField({ kind: 'plain', unit: '', required: true, limits: { min: 0.1, max: 1e6, words: 'Say how much is in it.' } })
const unit = ref<'g' | 'kg' | 'mL'>('g')
const opened = ref('')
const expires = ref('')
const KEPT = Object.entries(MATERIAL).filter(([key]) => !['water', 'sulphite-stock', 'oak'].includes(key))
const isDay = (text: string) => /^\d{4}-\d{2}-\d{2}$/.test(text)
async function add() {
  amount.touch()
  if (amount.value === undefined) return
  const done = await cellar.log([{
    type: 'supply-stocked', supplyId: newId(), material: material.value, unit: unit.value === 'mL' ? 'mL' : 'g', amount: amount.value * (unit.value === 'kg' ? 1000 : 1),
    ...(isDay(opened.value) && { opened: opened.value }), ...(isDay(expires.value) && { expires: expires.value })
  }])
  if (!done) return
  logged(`${MATERIAL[material.value]} is in store`)
  amount.clear()
  opened.value = ''
  expires.value = ''
}
</script>

<template>
  <form novalidate class="stock" @submit.prevent="add">
    <h2>Put into the store</h2>
    <div class="text"><label for="stock-material">What</label><select id="stock-material" v-model="material"><option v-for="[key, name] in KEPT" :key="key" :value="key">{{ name }}</option></select></div>
    <div class="pair"><QuantityField label="How much" :field="amount" /><div class="text"><label for="stock-unit">Unit</label><select id="stock-unit" v-model="unit"><option>g</option><option>kg</option><option>mL</option></select></div></div>
    <div class="text"><label for="stock-opened">Opened on</label><input id="stock-opened" v-model="opened" type="date"></div>
    <div class="text"><label for="stock-expires">Good until</label><input id="stock-expires" v-model="expires" type="date"></div>
    <UButton type="submit" size="xl" block>Put it in</UButton>
  </form>
</template>

<style scoped>
.stock { display: grid; gap: 12px; border-top: 1.5px solid var(--line); padding-top: 16px; }
.pair { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 12px; }
.pair input { min-width: 0; }
</style>
