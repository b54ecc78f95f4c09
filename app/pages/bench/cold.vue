<script setup lang="ts">
import { COLD_WEEKS } from '~~/core/finishing'
import { coldForm } from '~/benches/cold'
import { useBench } from '~/composables/useBench'
import { useFormat } from '~/composables/useFormat'
import { useLotFromAddress } from '~/composables/useLotFromAddress'

/** Cold stabilising: how cold, how long, and what pH and TA will be after it. */
const { lot } = useLotFromAddress()
const f = useFormat()
const bench = useBench(coldForm, lot)
const cold = computed(() => bench.answer.value.after)
const band = (b: { low: number, high: number }, digits: number) => `${b.low.toFixed(digits)} to ${b.high.toFixed(digits)}`
/** A forecast from a composition that nobody measured: whole degrees. */
const about = (celsius: number) => `about ${f.words(f.temperature(Math.round(celsius)))}`
useHead({ title: 'Cold · Presk' })
</script>

<template>
  <BenchFrame title="Cold stabilising" :lot="lot">
    <template #answer>
      <template v-if="cold">
        <FigureNumber
          label="Tartar that drops"
          :shown="{ text: cold.bitartrateFallsGPerL.toFixed(1), unit: 'g/L' }"
          origin="forecast"
          size="hero"
        />
        <dl class="pairs">
          <div>
            <dt>pH after it</dt>
            <dd>
              <b class="figure">{{ cold.after.ph.toFixed(2) }}</b>
              <span class="soft small block">{{ band(cold.after.bands.ph, 2) }}</span>
            </dd>
          </div>
          <div>
            <dt>TA after it</dt>
            <dd>
              <b class="figure">{{ cold.after.taGPerL.toFixed(1) }}</b> g/L
              <span class="soft small block">{{ band(cold.after.bands.taGPerL, 1) }}</span>
            </dd>
          </div>
          <div>
            <dt>Now, crystals are likely below</dt>
            <dd>{{ about(cold.stableAtCelsius) }}</dd>
          </div>
          <div>
            <dt>After the cold, they are likely below</dt>
            <dd>{{ about(cold.stableAfterCelsius) }}</dd>
          </div>
        </dl>
      </template>
      <p v-else class="soft">Enter pH, TA and alcohol to see what the cold removes.</p>
      <p v-if="bench.worth.value" class="soft">{{ bench.worth.value }}</p>
    </template>
    <template #inputs><BenchFields :bench="bench" /></template>
    <template #results>
      <p class="soft">
        {{ COLD_WEEKS }} weeks of it. Colloids hold back much of the tartar, so this is what usually drops, not all that could. Four of
        five such wines fall in the band. Measure pH and TA afterwards and compare.
      </p>
      <ColdCompared v-if="lot" :lot="lot" />
      <p class="flex flex-wrap gap-x-6">
        <NuxtLink :to="lot ? `/bench/stability?test=cold&lot=${lot.id}` : '/bench/stability?test=cold'" class="textlink"
        >Run a cold test</NuxtLink
        >
        <NuxtLink v-if="lot" :to="`/lots/${lot.id}?log=operation`" class="textlink">Log that it is in the cold</NuxtLink>
      </p>
      <p class="soft small">
        Source: bitartrate solubility after Berg and Keefer, 1958, from memory; the acid model. −abv ÷ 2 + 1 °C: common practice.
      </p>
    </template>
  </BenchFrame>
</template>
