<script setup lang="ts">
import { MATERIALS, MATERIAL_KEYS, type MaterialKey } from '~~/core/materials'
import { materialTitle } from '~/wording/materials'
import { useQuantityField } from '~/composables/useQuantityField'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

const settings = useSettingsStore()
const cellar = useCellarStore()
const colorMode = useColorMode()
const step = useQuantityField({
  kind: 'plain',
  unit: '',
  text: String(settings.values.scaleStepG),
  required: true,
  limits: { min: 0.001, max: 50, words: 'Enter between 0.001 and 50 g.' }
})
watch(
  () => step.value,
  (value) => {
    if (value !== undefined) settings.change({ scaleStepG: value })
  }
)
/** Powders that one measures by the spoon. */
const POWDERS = MATERIAL_KEYS.filter((key) => MATERIALS[key].spoonG !== undefined).map((value) => ({ value, label: materialTitle(value) }))
const powder = ref<MaterialKey>(settings.values.salt)
const spoon = useQuantityField({
  kind: 'plain',
  unit: '',
  limits: { min: 1, max: 12, words: 'Enter between 1 and 12 g.' }
})
watch(powder, (key) => (spoon.text = settings.values.spoons[key] === undefined ? '' : String(settings.values.spoons[key])), {
  immediate: true
})
watch(
  () => [spoon.value, spoon.empty],
  () => {
    if (!spoon.ok) return
    const { [powder.value]: _, ...others } = settings.values.spoons
    settings.change({ spoons: spoon.value === undefined ? others : { ...others, [powder.value]: spoon.value } })
  }
)
const system = computed({ get: () => settings.values.system, set: (system) => settings.change({ system }) })
const temperature = computed({ get: () => settings.values.temperature, set: (temperature) => settings.change({ temperature }) })
const sugar = computed({ get: () => settings.values.sugar, set: (sugar) => settings.change({ sugar }) })
const SYSTEMS = {
  metric: 'Metric: litres, kilograms',
  US: 'US: gallons of 3.785 L, pounds',
  imperial: 'Imperial: gallons of 4.546 L, pounds'
}
const THEMES = { system: 'As on this device', light: 'Light', dark: 'Dark, for the cellar' }
const terms = computed({ get: () => settings.values.terms, set: (terms) => settings.change({ terms }) })
const name = computed({
  get: () => settings.values.cellarName,
  set: (cellarName) => settings.change({ cellarName: cellarName.slice(0, 80) })
})
</script>

<template>
  <section class="sheet settings" aria-label="Settings">
    <h2>Display and units</h2>
    <SelectField v-model="system" label="Units" :words="SYSTEMS" />
    <SelectField v-model="temperature" label="Temperature" :words="{ '°C': '°C', '°F': '°F' }" />
    <SelectField v-model="sugar" label="Sugar of a must" :words="{ '°Brix': '°Brix', 'SG': 'SG' }" />
    <QuantityField label="Resolution of your scale" :field="step" unit-label="g" hint="smaller doses are given as a stock solution" />
    <SelectField v-model="powder" label="Your teaspoon, for" :items="POWDERS" />
    <QuantityField
      label="A level teaspoon weighs"
      :field="spoon"
      unit-label="g"
      :hint="`weigh it once; leave empty for the usual ${MATERIALS[powder].spoonG} g`"
    />
    <SelectField v-model="colorMode.preference" label="Theme" :words="THEMES" />
    <TextField v-model="name" label="Name of the cellar" />
    <USwitch v-model="terms" label="Explain wine terms" description="tap a dotted word to see what it means" />
    <p class="soft small">
      These settings stay on this device. Only the cellar’s name goes into the export.
      <template v-if="cellar.isDemo"> They apply to the demo and to your own cellar.</template>
    </p>
    <p class="small flex flex-wrap gap-x-6">
      <NuxtLink to="/calculations" class="textlink">Calculations over HTTP</NuxtLink>
      <a href="/licences.txt" class="textlink">Open-source licences</a>
    </p>
  </section>
</template>

<style scoped>
.settings {
  padding: 20px;
  display: grid;
  gap: 14px;
}
</style>
