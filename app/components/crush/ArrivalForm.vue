<script setup lang="ts">
import type { Style } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { STREAM, STREAM_HINT, STYLE } from '~/wording/terms'

/** Notes fruit, pails or a kit that are still to come, so that supplies can be checked before they are here. */
const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
const open = ref(false)
const name = ref('')
const stream = ref<keyof typeof STREAM_HINT>('fresh')
const style = ref<Style>('red')
const on = ref(new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10))
const problem = ref<string>()
const mass = useQuantityField({ kind: 'mass', unit: f.massUnit.value, units: ['kg', 'lb'], required: true, limits: { min: 0.5, max: 50_000, words: 'Between half a kilogram and 50 tonnes.' } })
const volume = useQuantityField({ kind: 'volume', unit: f.volumeUnit.value, units: ['L', 'US gal', 'imp gal'], required: true, limits: { min: 0.1, max: 100_000, words: 'Between a tenth of a litre and 100,000 litres.' } })
const byMass = computed(() => stream.value === 'fresh' || stream.value === 'test')
async function add() {
  const amount = byMass.value ? mass : volume
  amount.touch()
  problem.value = name.value.trim() === '' ? 'Say what is coming.' : !/^\d{4}-\d{2}-\d{2}$/.test(on.value) ? 'Say when it is expected.' : undefined
  if (problem.value || amount.value === undefined) return
  const done = await cellar.log([{ type: 'arrival-expected', arrivalId: newId(), name: name.value.trim().slice(0, 80), stream: stream.value, style: style.value, on: on.value, ...(byMass.value ? { massKg: amount.value } : { volumeL: amount.value }) }])
  if (!done) return
  logged(`${name.value.trim()} is expected`)
  name.value = ''
  amount.clear()
  open.value = false
}
</script>

<template>
  <p v-if="!open"><UButton variant="outline" size="lg" icon="i-lucide-calendar-plus" @click="open = true">Something else is coming</UButton></p>
  <form v-else novalidate class="sheet coming" @submit.prevent="add">
    <div class="text" :class="{ wrong: problem }"><label for="coming-name">What is coming</label><input id="coming-name" v-model="name" type="text" maxlength="80" autocomplete="off" :aria-invalid="problem ? 'true' : undefined" aria-describedby="coming-problem"></div>
    <div class="text"><label for="coming-stream">As</label><select id="coming-stream" v-model="stream"><option v-for="(hint, key) in STREAM_HINT" :key="key" :value="key">{{ STREAM[key] }}</option></select></div>
    <div class="text"><label for="coming-style">To become</label><select id="coming-style" v-model="style"><option v-for="(label, key) in STYLE" :key="key" :value="key">{{ label }}</option></select></div>
    <QuantityField v-if="byMass" label="How much" :field="mass" /><QuantityField v-else label="How much" :field="volume" />
    <div class="text"><label for="coming-on">Expected on</label><input id="coming-on" v-model="on" type="date"></div>
    <p v-if="problem" id="coming-problem" class="message wide" role="alert">{{ problem }}</p>
    <div class="wide flex gap-4 items-center"><UButton type="submit" size="xl">Note it</UButton><button type="button" class="textlink" @click="open = false">Not now</button></div>
  </form>
</template>

<style scoped>
.coming { padding: 18px; display: grid; grid-template-columns: repeat(auto-fit, minmax(200px, 1fr)); gap: 14px; }
.wide { grid-column: 1 / -1; }
</style>
