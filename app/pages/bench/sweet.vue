<script setup lang="ts">
import { UNITS_WANTED } from '~~/core/finishing'
import { drynessOf } from '~~/core/ledger'
import { sweeteningForm } from '~/benches/sweetening'
import { saySorbate } from '~/wording/finishing'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'
import { useMaterials } from '~/composables/useMaterials'

/** A sweet wine that stays so: a ladder in glasses first, then sorbate with sulphite, or heat. */
const { lot } = useLotFromAddress()
const f = useFormat()
const materials = useMaterials()
const bench = useBench(sweeteningForm, lot)
const { answer, choices, values, problem } = bench
const { ready, knows, mayGoOn } = bench.gate!
const dry = computed(() => lot.value && drynessOf(lot.value)?.proven)
/** What may go in: no field for sorbate where it may not. */
const wentIn = computed(() => ['sugarIn', 'heldFor', ...(answer.value.sorbate?.allowed ? ['sorbateIn'] : [])])
useHead({ title: 'Sweeten a wine · Presk' })
</script>

<template>
  <BenchFrame title="Sweeten a wine" :lot="lot" @submit="bench.log">
    <template #answer>
      <template v-if="choices.way === 'sorbate'">
        <template v-if="answer.sorbate">
          <FigureNumber
            v-if="answer.sorbate.allowed"
            label="Potassium sorbate in all"
            :shown="f.powder(answer.sorbate.grams)"
            origin="worked out"
            size="hero"
          />
          <p v-if="answer.sorbate.allowed" class="soft">
            {{ answer.sorbate.sorbicMgPerL.toFixed(0) }} mg/L as sorbic acid; 200 is the limit (OIV). It adds no sweetness.
          </p>
          <FindingNote v-for="x in answer.sorbate.findings" :key="x.code" :tone="saySorbate(x).tone">{{ saySorbate(x).text }}</FindingNote>
        </template>
        <p v-else class="soft">Enter the wine’s figures to see whether sorbate may go in, and how much.</p>
        <p v-if="bench.worth.value" class="soft">{{ bench.worth.value }}</p>
      </template>
      <template v-else-if="choices.way === 'heat'">
        <FigureNumber
          v-if="answer.minutes !== undefined"
          label="Time in the middle of the bottle"
          :shown="{ text: answer.minutes.toFixed(0), unit: 'min' }"
          origin="worked out"
          size="hero"
        />
        <p class="soft">
          That makes {{ UNITS_WANTED.low }} units; {{ UNITS_WANTED.low }} to {{ UNITS_WANTED.high }} are usual. Drink it within about two
          years. Common practice.
        </p>
        <CautionNote code="heatBottles" />
      </template>
      <FindingNote v-else tone="stop">
        Cold only pauses a ferment. Once warm it goes on, in the bottle. Filter it sterile, add sorbate and sulphite, or
        pasteurise.
      </FindingNote>
    </template>
    <template #inputs><BenchFields :bench="bench" /></template>
    <template #results>
      <section class="grid gap-2">
        <h2>In the glass first</h2>
        <table class="lines">
          <caption class="soft small">
            Syrup of equal weights of sugar and water, into {{ bench.field('glassMl').text }} mL each; taste from dry to sweet.
          </caption>
          <tbody>
            <tr v-for="g in answer.glasses" :key="g.gPerL">
              <th scope="row">{{ g.gPerL }} g/L</th>
              <td>{{ g.gPerL === 0 ? 'as it is' : `${g.syrupMl.toFixed(1)} mL` }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="answer.sweetened?.grams">
          <b class="figure">{{ f.words(f.powder(answer.sweetened.grams)) }}</b> of {{ materials.name(choices.sweetener) }} in all for
          {{ values.chosen }} g/L: {{ f.words(f.volume(answer.sweetened.afterL)) }} then<template
            v-if="lot?.ta && Math.abs(answer.sweetened.taChangeGPerL) >= 0.05"
          >, its TA {{ Math.abs(answer.sweetened.taChangeGPerL).toFixed(1) }} g/L
            {{ answer.sweetened.taChangeGPerL > 0 ? 'higher' : 'lower' }}</template
          >.
        </p>
        <p v-if="lot && !dry" class="soft small">This is the sugar you add, on top of what it already has.</p>
      </section>
      <template v-if="lot">
        <GateBefore v-if="!ready" v-model="knows" :lot="lot" gate="sweetening" />
        <div v-if="mayGoOn && choices.way !== 'cold'" class="wentin sheet">
          <h2>Amount added</h2>
          <BenchFields :bench="bench" part="went-in" :only="wentIn" />
          <p v-if="problem" role="alert" class="text-(--alarm)">{{ problem }}</p>
          <div class="go">
            <UButton v-if="answer.plan" variant="link" @click="bench.take(answer.plan)">Exactly as planned</UButton><span v-else />
            <UButton type="submit" size="xl">Log it</UButton>
          </div>
        </div>
      </template>
    </template>
  </BenchFrame>
</template>
