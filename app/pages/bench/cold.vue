<script setup lang="ts">
import { COLD_WEEKS, coldFor, coldStability } from '~~/core/finishing'
import { acidContextOf } from '~~/core/stages'

/** Cold stabilising: how cold, how long, and what pH and TA will be after it. */
const { lot } = useLotFromAddress()
const f = useFormat()
const ph = useQuantityField({ kind: 'plain', unit: '', required: true, quantity: () => 'ph' })
const ta = useQuantityField({ kind: 'concentration', unit: 'g/L', required: true, quantity: () => 'ta' })
const abv = usePlainField(0, 18, 'Between 0 and 18 % vol.')
const cold = useDegreesField(-10, 20)
watch(
  () => lot.value?.id,
  () => {
    ph.fill(lot.value?.ph?.value.toFixed(2) ?? '')
    ta.fill(lot.value?.ta?.value.toFixed(1) ?? '')
    abv.fill(lot.value?.abv?.value.toFixed(1) ?? '')
  },
  { immediate: true }
)
const advised = computed(() => (abv.value === undefined ? undefined : withinLimits(() => Math.round(coldFor(abv.value!)))))
const fillCold = filler(cold)
watch(
  advised,
  (c) => {
    if (c !== undefined) fillCold(f.typed(c, 'temperature', f.temperatureUnit.value))
  },
  { immediate: true }
)
const told = computed(() =>
  ph.value === undefined || ta.value === undefined || abv.value === undefined || cold.value === undefined
    ? undefined
    : withinLimits(() => {
        const context = lot.value ? acidContextOf(lot.value) : {}
        return coldStability({ ...context, ph: ph.value!, taGPerL: ta.value!, abv: abv.value! }, cold.value!)
      })
)
const band = (b: { low: number, high: number }, digits: number) => `${b.low.toFixed(digits)} to ${b.high.toFixed(digits)}`
/** A forecast from a composition that nobody measured: whole degrees. */
const about = (celsius: number) => `about ${f.words(f.temperature(Math.round(celsius)))}`
useHead({ title: 'Cold · Presk' })
</script>

<template>
  <BenchFrame title="Cold stabilising" :lot="lot">
    <template #answer>
      <template v-if="told">
        <FigureNumber
          label="Tartar that drops"
          :shown="{ text: told.bitartrateFallsGPerL.toFixed(1), unit: 'g/L' }"
          origin="forecast"
          size="hero"
        />
        <dl class="pairs">
          <div>
            <dt>pH after it</dt>
            <dd>
              <b class="figure">{{ told.after.ph.toFixed(2) }}</b>
              <span class="soft small block">{{ band(told.after.bands.ph, 2) }}</span>
            </dd>
          </div>
          <div>
            <dt>TA after it</dt>
            <dd>
              <b class="figure">{{ told.after.taGPerL.toFixed(1) }}</b> g/L
              <span class="soft small block">{{ band(told.after.bands.taGPerL, 1) }}</span>
            </dd>
          </div>
          <div>
            <dt>Now, crystals are likely below</dt>
            <dd>{{ about(told.stableAtCelsius) }}</dd>
          </div>
          <div>
            <dt>After the cold, they are likely below</dt>
            <dd>{{ about(told.stableAfterCelsius) }}</dd>
          </div>
        </dl>
      </template>
      <p v-else class="soft">Enter pH, TA and alcohol to see what the cold removes.</p>
    </template>
    <template #inputs>
      <QuantityField label="pH" :field="ph" />
      <QuantityField label="TA" :field="ta" unit-label="g/L" />
      <QuantityField label="Alcohol" :field="abv" unit-label="% vol" />
      <QuantityField
        label="Kept at"
        :field="cold"
        :hint="advised === undefined ? undefined : `${f.words(f.temperature(advised))}: a degree above freezing`"
      />
    </template>
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
