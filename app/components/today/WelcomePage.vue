<script setup lang="ts">
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

const settings = useSettingsStore()
const cellar = useCellarStore()
/** What the browser's language suggests; the person says whether it is right. */
const american = /^en-US$|^es-US$/i.test(navigator.language) && !settings.values.asked
const system = ref(american ? 'US' as const : settings.values.system)
const temperature = ref(american ? '°F' as const : settings.values.temperature)
const sugar = ref(american ? 'SG' as const : settings.values.sugar)
const name = ref(settings.values.cellarName)

watch(system, (now) => {
  temperature.value = now === 'US' ? '°F' : '°C'
})
const answers = () => ({
  asked: true,
  system: system.value,
  temperature: temperature.value,
  sugar: sugar.value,
  cellarName: name.value.trim().slice(0, 80)
})

async function begin() {
  settings.change(answers())
  await navigateTo('/lots/new')
}
async function lookRound() {
  settings.change({ system: system.value, temperature: temperature.value, sugar: sugar.value })
  await cellar.open('demo')
}
const SYSTEMS = [
  { value: 'metric', label: 'Metric', hint: 'litres, kilograms' },
  { value: 'US', label: 'US', hint: 'gallons, quarts, pounds' },
  { value: 'imperial', label: 'Imperial', hint: 'imperial gallons, pints, pounds' }
] as const
</script>

<template>
  <div class="welcome">
    <section>
      <h1>The logbook and calculator for your cellar</h1>
      <p>
        Presk keeps the history of every lot and works out each dose: how much sulphite at this pH, what a titration means, what comes
        next. Your data stays in this browser and in the files you export.
      </p>
      <div class="hero" aria-hidden="true">
        <VesselDrawing kind="bin" :capacity-l="120" :litres="84" colour="var(--must-red)" :px-per-dm="30" />
        <VesselDrawing kind="demijohn" :capacity-l="34" :litres="33" colour="var(--wine-red)" :px-per-dm="30" />
        <VesselDrawing kind="tank" :capacity-l="50" :litres="36" colour="var(--must-white)" :px-per-dm="30" />
        <VesselDrawing kind="demijohn" :capacity-l="5" :litres="4.7" colour="var(--wine-rose)" :px-per-dm="30" />
      </div>
      <p><UButton variant="outline" size="lg" @click="lookRound">Explore the demo cellar</UButton></p>
    </section>
    <form class="sheet" @submit.prevent="begin">
      <h2>Before you start</h2>
      <ChoiceTiles v-model="system" legend="Units" :items="SYSTEMS" />
      <ChoiceTiles
        v-model="temperature"
        legend="Temperature"
        :items="[
          { value: '°C', label: '°C' },
          { value: '°F', label: '°F' },
        ]"
      />
      <ChoiceTiles
        v-model="sugar"
        legend="Sugar scale"
        :items="[
          { value: '°Brix', label: '°Brix' },
          { value: 'SG', label: 'SG' },
        ]"
      />
      <TextField v-model="name" label="Name of the cellar" hint="optional" />
      <UButton type="submit" size="xl" block>Start my first lot</UButton>
      <p class="small soft">You can change all of this later in Settings.</p>
    </form>
  </div>
</template>

<style scoped>
.welcome {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(320px, 1fr);
  gap: 48px;
  align-items: start;
}
section {
  display: grid;
  gap: 18px;
  padding-top: 12px;
}
h1 {
  font-size: clamp(2rem, 5vw, 3rem);
}
section p {
  max-width: 52ch;
  font-size: 1.1rem;
}
.hero {
  display: flex;
  gap: 26px;
  align-items: flex-end;
  border-bottom: 7px solid var(--beam);
  padding: 12px 18px 0;
  margin-bottom: 8px;
  flex-wrap: wrap;
}
form {
  padding: 24px;
  display: grid;
  gap: 18px;
}
legend {
  font-weight: 600;
  margin-bottom: 6px;
}
.choices {
  display: grid;
  gap: 8px;
}
.choices.two {
  grid-template-columns: 1fr 1fr;
}
.name input {
  display: block;
  width: 100%;
  height: 48px;
  margin-top: 4px;
  padding: 0 12px;
  border: 1.5px solid var(--line-strong);
  border-radius: var(--radius-control);
  background: var(--ground);
}
@media (max-width: 860px) {
  .welcome {
    grid-template-columns: 1fr;
    gap: 24px;
  }
  .hero {
    gap: 14px;
    zoom: 0.8;
  }
}
</style>
