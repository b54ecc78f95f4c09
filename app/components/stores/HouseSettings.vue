<script setup lang="ts">
import { GRAMS_PER_TEASPOON, type SpoonedPowder } from '~~/core/units'
import { materialName } from '~/wording/terms'

const settings = useSettingsStore()
const cellar = useCellarStore()
const colorMode = useColorMode()
const step = useQuantityField({ kind: 'plain', unit: '', text: String(settings.values.scaleStepG), required: true, limits: { min: 0.001, max: 50, words: 'A scale steps by 0.001 to 50 g.' } })
watch(() => step.value, (value) => {
  if (value !== undefined) settings.change({ scaleStepG: value })
})
const POWDERS = Object.keys(GRAMS_PER_TEASPOON) as SpoonedPowder[]
const powder = ref<SpoonedPowder>(settings.values.salt)
const spoon = useQuantityField({ kind: 'plain', unit: '', limits: { min: 1, max: 12, words: 'A level teaspoon of powder weighs 1 to 12 g.' } })
watch(powder, key => spoon.text = settings.values.spoons[key] === undefined ? '' : String(settings.values.spoons[key]), { immediate: true })
watch(() => [spoon.value, spoon.empty], () => {
  if (!spoon.ok) return
  const { [powder.value]: _, ...others } = settings.values.spoons
  settings.change({ spoons: spoon.value === undefined ? others : { ...others, [powder.value]: spoon.value } })
})
const system = computed({ get: () => settings.values.system, set: system => settings.change({ system }) })
const temperature = computed({ get: () => settings.values.temperature, set: temperature => settings.change({ temperature }) })
const sugar = computed({ get: () => settings.values.sugar, set: sugar => settings.change({ sugar }) })
const name = computed({ get: () => settings.values.cellarName, set: cellarName => settings.change({ cellarName: cellarName.slice(0, 80) }) })
</script>

<template>
  <section class="sheet settings" aria-label="Settings">
    <h2>How Presk shows things</h2>
    <div class="text"><label for="s-system">Measures</label><select id="s-system" v-model="system"><option value="metric">Metric: litres, kilograms</option><option value="US">US: gallons of 3.785 L, pounds</option><option value="imperial">Imperial: gallons of 4.546 L, pounds</option></select></div>
    <div class="text"><label for="s-temperature">Temperature</label><select id="s-temperature" v-model="temperature"><option>°C</option><option>°F</option></select></div>
    <div class="text"><label for="s-sugar">Sugar of a must</label><select id="s-sugar" v-model="sugar"><option>°Brix</option><option>SG</option></select></div>
    <QuantityField label="Your scale steps by" :field="step" unit-label="g" hint="smaller doses are given as a stock solution" />
    <div class="text"><label for="s-powder">Your own spoons, for</label><select id="s-powder" v-model="powder"><option v-for="p in POWDERS" :key="p" :value="p">{{ materialName(p) }}</option></select></div>
    <QuantityField label="A level teaspoon of it weighs" :field="spoon" unit-label="g" :hint="`weigh it once; empty takes the usual ${GRAMS_PER_TEASPOON[powder]} g`" />
    <div class="text"><label for="s-theme">Light</label><select id="s-theme" v-model="colorMode.preference"><option value="system">As the device</option><option value="light">Light</option><option value="dark">Dark, for the cellar</option></select></div>
    <div class="text"><label for="s-name">Name of the cellar</label><input id="s-name" v-model="name" type="text" maxlength="80" autocomplete="off"></div>
    <p class="soft small">Kept on this device, not in the exported file.<template v-if="cellar.isDemo"> They hold for the demo and your own cellar.</template></p>
  </section>
</template>

<style scoped>
.settings { padding: 20px; display: grid; gap: 14px; }
</style>
