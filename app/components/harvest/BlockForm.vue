<script setup lang="ts">
import type { Style } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { STYLE } from '~/wording/terms'

const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
const name = ref('')
const style = ref<Style>('red')
const expect = useQuantityField({ kind: 'mass', unit: f.massUnit.value, units: ['kg', 'lb'], limits: { min: 0.5, max: 50_000, words: 'Between half a kilogram and 50 tonnes.' } })
const problem = ref<string>()
async function add() {
  expect.touch()
  problem.value = name.value.trim() ? undefined : 'A block needs a name: the vineyard, the rows.'
  if (problem.value || !expect.ok) return
  const blockId = newId()
  if (!await cellar.log([{ type: 'block-added', blockId, name: name.value.trim().slice(0, 80), style: style.value, ...(expect.value !== undefined && { expectKg: expect.value }) }])) return
  logged(`${name.value.trim()} is watched`)
  name.value = ''
  expect.clear()
  await navigateTo(`/harvest?block=${blockId}`)
}
</script>

<template>
  <form novalidate class="block" @submit.prevent="add">
    <h2>Watch a block</h2>
    <div class="text" :class="{ wrong: problem }"><label for="block-name">Vineyard or rows</label><input id="block-name" v-model="name" type="text" maxlength="80" autocomplete="off" :aria-invalid="problem ? 'true' : undefined"><p v-if="problem" class="message" role="alert">{{ problem }}</p></div>
    <div class="text"><label for="block-style">To become</label><select id="block-style" v-model="style"><option v-for="(label, key) in STYLE" :key="key" :value="key">{{ label }}</option></select></div>
    <QuantityField label="Fruit to expect" :field="expect" hint="if you know" />
    <UButton type="submit" size="xl" variant="outline" block>Watch it</UButton>
  </form>
</template>

<style scoped>
.block { display: grid; gap: 12px; }
</style>
