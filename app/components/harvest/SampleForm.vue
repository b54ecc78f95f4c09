<script setup lang="ts">
import type { BlockState } from '~~/core/ledger'

/** A sample of a block: berries, Brix, pH, TA and taste, in one line of fields. */
const props = defineProps<{ block: BlockState }>()
const cellar = useCellarStore()
const logged = useLogged()
const brix = useQuantityField({ kind: 'plain', unit: '', quantity: () => 'brix' })
const ph = useQuantityField({ kind: 'plain', unit: '', quantity: () => 'ph' })
const ta = useQuantityField({ kind: 'concentration', unit: 'g/L', units: ['g/L', '%'], limits: { min: 1, max: 40, words: 'TA of grapes lies between 1 and 40 g/L.' } })
const berries = useQuantityField({ kind: 'plain', unit: '', text: '50', limits: { min: 1, max: 5000, words: 'Between 1 and 5000 berries.' } })
const taste = ref('')
const at = ref<string>()
const problem = ref<string>()
const few = computed(() => berries.value !== undefined && berries.value < 40)
async function log() {
  const fields = [brix, ph, ta, berries]
  fields.forEach(field => field.touch())
  if (fields.some(field => !field.ok)) return
  problem.value = brix.value === undefined && ph.value === undefined && ta.value === undefined ? 'Give at least one of Brix, pH and TA.' : undefined
  if (problem.value) return
  const done = await cellar.log([{
    type: 'block-sampled', blockId: props.block.id, ...(at.value && { at: at.value }), ...(berries.value !== undefined && { berries: Math.round(berries.value) }),
    ...(brix.value !== undefined && { brix: brix.value }), ...(ph.value !== undefined && { ph: ph.value }), ...(ta.value !== undefined && { ta: ta.value }), ...(taste.value.trim() && { taste: taste.value.trim().slice(0, 2000) })
  }])
  if (!done) return
  logged(`Sample of ${props.block.name} logged`)
  for (const field of [brix, ph, ta]) field.clear()
  taste.value = ''
  at.value = undefined
}
</script>

<template>
  <form novalidate class="sheet sample" @submit.prevent="log">
    <h3>A new sample</h3>
    <div class="fields">
      <QuantityField label="Sugar" :field="brix" unit-label="°Brix" />
      <QuantityField label="pH" :field="ph" />
      <QuantityField label="TA" :field="ta" />
      <QuantityField label="Berries" :field="berries" />
    </div>
    <div class="text"><label :for="`taste-${block.id}`">Taste: skins, seeds, juice</label><input :id="`taste-${block.id}`" v-model="taste" type="text" maxlength="2000" autocomplete="off"></div>
    <FindingNote v-if="few">Few berries scatter much: 40 to 50 from all over the block, shade and sun, top and bottom of the bunch.</FindingNote>
    <p v-if="problem" class="message" role="alert">{{ problem }}</p>
    <div class="acts"><UButton type="submit" size="xl">Log the sample</UButton><WhenField v-model="at" /></div>
  </form>
</template>

<style scoped>
.sample { padding: 18px; display: grid; gap: 14px; }
.fields { display: grid; grid-template-columns: repeat(auto-fit, minmax(130px, 1fr)); gap: 14px; }
.acts { display: flex; flex-wrap: wrap; gap: 10px 20px; align-items: center; }
</style>
