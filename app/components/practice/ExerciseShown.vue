<script setup lang="ts">
import type { Exercise } from '~~/practice/exercises'
import { SMELT, sayFacts } from '~/wording/exercises'
import { useFormat } from '~/composables/useFormat'

/** What an exercise shows: an instrument, or what is known of a wine. */
const props = defineProps<{ exercise: Exercise }>()
const f = useFormat()
const spun = ref(false)
const shown = computed(() => props.exercise.shown)
</script>

<template>
  <div>
    <template v-if="shown.what === 'hydrometer'">
      <HydrometerDrawing :sg="shown.sg" :seed="exercise.seed" :gassy="shown.gassy" :spun="spun" />
      <UButton v-if="shown.gassy && !spun" class="mt-3" variant="outline" @click="spun = true">Spin it</UButton>
    </template>
    <div v-else-if="shown.what === 'refractometer'" class="flex flex-wrap gap-6">
      <RefractometerDrawing :brix="shown.water" :blur="shown.blur" name="Distilled water" />
      <RefractometerDrawing :brix="shown.must" :blur="shown.blur" name="The must" />
    </div>
    <MeterDesk v-else-if="shown.what === 'meter'" :slope="shown.slope" :zero-mv="shown.zeroMv" :ph="shown.ph" />
    <TitrationDesk v-else-if="shown.what === 'titration'" :acid="shown" />
    <TitrationDesk v-else-if="shown.what === 'iodine'" :iodine="shown" />
    <PaperDrawing v-else-if="shown.what === 'paper'" :malic="shown.malic" :lactic="shown.lactic" />
    <ul v-else-if="shown.what === 'facts'" class="facts">
      <li v-for="line in sayFacts(shown.facts, exercise.code === 'bubbles')" :key="line">{{ line }}</li>
    </ul>
    <table v-else-if="shown.what === 'readings'" class="lines">
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col" class="text-right!">Gravity</th>
          <th scope="col" class="text-right!">{{ f.temperatureUnit.value }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in shown.readings" :key="r.day">
          <th scope="row">{{ r.day }}</th>
          <td class="figure">{{ r.sg.toFixed(4) }}</td>
          <td>{{ f.temperature(r.celsius).text }}</td>
        </tr>
      </tbody>
    </table>
    <div v-else-if="shown.what === 'plans'">
      <p>{{ shown.wineL }} L of wine.</p>
      <ul class="facts">
        <li v-for="p in shown.plans" :key="p.code">Plan {{ p.code.toUpperCase() }}: {{ p.vesselsL.map((v) => `${v} L`).join(' + ') }}</li>
      </ul>
    </div>
    <p v-else class="smell">{{ SMELT[shown.smell] }}</p>
  </div>
</template>

<style scoped>
.facts li { border-top: 1.5px solid var(--line); padding: 8px 0; }
.smell { font-size: 1.3rem; }
.lines { max-width: 22rem; }
</style>
