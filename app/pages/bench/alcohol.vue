<script setup lang="ts">
import { isMust } from '~~/core/ledger'
import { actualAlcohol, correctRefractometer, potentialAlcohol, residualSugar, sgFromBrix, sugarScales } from '~~/core/hydrometry'

const { lot } = useLotFromAddress()
const f = useFormat()
const byRefractometer = ref(false)
const gravity = () =>
  useSugarField('SG', { required: true })
const brixField = () =>
  useQuantityField({
    kind: 'plain',
    unit: '',
    required: true,
    limits: { min: 0, max: 32, words: 'A refractometer reads between 0 and 32 °Brix.' }
  })
const original = gravity()
const current = gravity()
const first = brixField()
const present = brixField()
const offset = useQuantityField({
  kind: 'plain',
  unit: '',
  text: '0',
  limits: { min: -5, max: 5, words: 'An offset over 5 °Brix means a broken instrument.' }
})
watch(
  () => lot.value?.id,
  () => {
    original.fill(lot.value?.originalSg?.value.toFixed(3) ?? '')
    current.fill(lot.value?.sg && !isMust(lot.value) ? lot.value.sg.value.toFixed(3) : '')
  },
  { immediate: true }
)
const corrected = computed(() =>
  byRefractometer.value && first.value !== undefined && present.value !== undefined
    ? withinLimits(() => correctRefractometer(first.value!, present.value!, offset.value ?? 0))
    : undefined
)
/** Both were read, and no ferment joins them. */
const impossible = computed(() => byRefractometer.value && first.value !== undefined && present.value !== undefined && !corrected.value)
const og = computed(() =>
  byRefractometer.value
    ? first.value === undefined
      ? undefined
      : withinLimits(() => sgFromBrix(first.value! - (offset.value ?? 0)))
    : sgIn(original)
)
const sg = computed(() => (byRefractometer.value ? corrected.value?.sg : sgIn(current)))
const made = computed(() =>
  og.value !== undefined && sg.value !== undefined ? withinLimits(() => actualAlcohol(og.value!, sg.value!)) : undefined
)
const left = computed(() =>
  made.value && sg.value !== undefined ? withinLimits(() => residualSugar(sg.value!, made.value!.balling)) : undefined
)
const rose = computed(() => !byRefractometer.value && og.value !== undefined && sg.value !== undefined && sg.value > og.value)
const potential = computed(() =>
  og.value === undefined ? undefined : withinLimits(() => potentialAlcohol(sugarScales(og.value!, 'sg').brix))
)
const methods = computed(() => {
  const m = made.value
  if (!m) return []
  const row = (method: string, abv: number) => ({ method, abv: abv.toFixed(1) })
  return [
    row('Extract balance (Balling), used here', m.balling),
    row('Extract balance, short form', m.ballingShort),
    row('Fall in SG × 131.25', m.factor131),
    row('Fall in SG × 129', m.factor129),
    row('Fall in Oechsle ÷ 7.5', m.oechsle75)
  ]
})
/** What the balance leaves open, and what the gravity that a refractometer implies does. */
const madeWithin = computed(() => {
  if (!made.value) return ''
  const { low, high } = made.value.band
  return Math.hypot((high - low) / 2, (corrected.value?.uncertaintySg ?? 0) * 131).toFixed(1)
})
/** What came in between, and breaks the line from one gravity to the other. */
const changedBy = computed(() => {
  const l = lot.value
  if (!l) return undefined
  const [thinned, mixed] = [l.added.has('water') || l.added.has('sugar'), l.cameIn.some((c) => c.wine) || l.sources.length > 1]
  if (thinned && mixed) return 'Water or sugar, and another wine,'
  return thinned ? 'Water or sugar' : mixed ? 'Another wine' : undefined
})
const halfWidth = ({ low, high }: { low: number, high: number }) => ((high - low) / 2).toFixed(1)
useHead({ title: 'Alcohol · Presk' })
</script>

<template>
  <BenchFrame title="Alcohol" :lot="lot">
    <template #answer>
      <FigureNumber
        v-if="made"
        label="Alcohol made"
        :shown="f.percentAlcohol(made.balling)"
        origin="estimated"
        :uncertainty="madeWithin"
        size="hero"
      />
      <FigureNumber
        v-else-if="potential"
        label="Potential"
        :shown="f.percentAlcohol(potential.abv)"
        origin="estimated"
        :uncertainty="halfWidth(potential.band)"
        size="hero"
      />
      <p v-else class="soft">Enter two gravities, before and now, to get the alcohol made between them.</p>
    </template>
    <template #inputs>
      <ChoiceTiles
        v-model="byRefractometer"
        legend="Measured with"
        class="wide"
        :items="[
          { value: false, label: 'a hydrometer' },
          { value: true, label: 'a refractometer' },
        ]"
      />
      <template v-if="byRefractometer">
        <QuantityField label="Before the ferment" :field="first" unit-label="°Brix" />
        <QuantityField label="Now" :field="present" unit-label="°Brix" hint="as read" />
        <QuantityField label="Reading in distilled water" :field="offset" unit-label="°Brix" />
      </template>
      <template v-else>
        <QuantityField label="Before the ferment" :field="original" />
        <QuantityField label="Now" :field="current" />
      </template>
    </template>
    <template #results>
      <FindingNote v-if="rose" tone="stop">
        The reading is higher than before the ferment. One of the two is wrong, or sugar went in.
      </FindingNote>
      <FindingNote v-if="impossible" tone="stop">
        A ferment of this must cannot read {{ present.text.trim() }} °Brix, because its alcohol raises the reading. Check both readings,
        and the reading in distilled water.
      </FindingNote>
      <FindingNote v-if="lot && changedBy" tone="stop">
        {{ changedBy }} went into this lot, so two gravities give its alcohol only if both were read
        afterwards.<template v-if="lot.abv"> By its history it has
          <NuxtLink :to="`/lots/${lot.id}`" class="textlink">{{ f.words(f.percentAlcohol(lot.abv.value)) }} ± {{
            lot.abv.uncertainty.toFixed(1)
          }}</NuxtLink>.</template>
      </FindingNote>
      <template v-if="corrected && sg !== undefined">
        <div class="row">
          <FigureNumber label="True gravity" :shown="f.gravity(sg)" origin="estimated" :uncertainty="corrected.uncertaintySg.toFixed(3)" />
          <FigureNumber v-if="corrected.novotnySg" label="by Novotny’s fit" :shown="f.gravity(corrected.novotnySg)" size="small" />
          <FigureNumber v-if="corrected.bonhamSg" label="by Bonham’s fit" :shown="f.gravity(corrected.bonhamSg)" size="small" />
        </div>
        <FindingNote v-if="corrected.uncertaintySg > 0.003">
          A refractometer cannot separate sugar from alcohol better than this. Use a hydrometer near the end.
        </FindingNote>
      </template>
      <FigureTable
        v-if="made"
        caption="Alcohol by method"
        :columns="[
          { key: 'method', label: 'Method' },
          { key: 'abv', label: '% vol', right: true },
        ]"
        :rows="methods"
      />
      <div v-if="left !== undefined || potential" class="row">
        <FigureNumber
          v-if="left !== undefined"
          label="Sugar left"
          :shown="{ text: left.toFixed(0), unit: 'g/L' }"
          origin="estimated"
          uncertainty="5"
          size="small"
        />
        <FigureNumber
          v-if="potential"
          label="Potential of all the sugar"
          :shown="f.percentAlcohol(potential.abv)"
          origin="estimated"
          uncertainty="0.5"
          size="small"
        />
      </div>
      <p v-if="made" class="soft small">
        Valid only if nothing was added between the two readings. Near dryness only a sugar test can tell.
      </p>
    </template>
  </BenchFrame>
</template>
