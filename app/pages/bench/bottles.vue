<script setup lang="ts">
import { fact } from '~~/core/drafts'
import { bottleMix } from '~~/core/finishing'
import { BOTTLING_RESERVE } from '~~/core/stages'
import { fromLitres } from '~~/core/units'

/** Bottling day: which bottles from the net volume, what it needs, and the real numbers back. */
const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
const SIZES = [187, 375, 500, 750, 1000, 1500] as const
const volume = useVolumeField()
const loss = useQuantityField({
  kind: 'volume',
  unit: 'L',
  units: ['L'],
  required: true,
  text: '0.3',
  limits: { min: 0, max: 1000, words: 'Between 0 and 1000 L.' }
})
/** By their millilitres, as texts: what is tapped. */
const tapped = ref<string[]>(['750', '375'])
const used = computed(() => SIZES.filter((ml) => tapped.value.includes(String(ml))))
const sizeItems = SIZES.map((ml) => ({ value: String(ml), label: `${ml} mL` }))
const stock = Object.fromEntries(
  SIZES.map((ml) => [
    ml,
    useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max: 100_000, words: 'A whole number of bottles.' } })
  ])
) as Record<number, ReturnType<typeof useQuantityField>>
const filled = Object.fromEntries(
  SIZES.map((ml) => [
    ml,
    useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max: 100_000, words: 'A whole number of bottles.' } })
  ])
) as Record<number, ReturnType<typeof useQuantityField>>
watch(
  () => lot.value?.id,
  () => {
    if (lot.value) volume.text = String(Number(fromLitres(lot.value.volume.value, f.volumeUnit.value).toPrecision(4)))
  },
  { immediate: true }
)
const sizes = computed(() =>
  used.value.map((ml) => {
    const there = stock[ml]?.value
    return { ml, ...(there !== undefined && { available: Math.floor(there) }) }
  })
)
const mix = computed(() =>
  volume.value === undefined || loss.value === undefined || sizes.value.length === 0
    ? undefined
    : withinLimits(() => bottleMix(volume.value!, sizes.value, loss.value!))
)
const closures = computed(() => mix.value?.bottles.reduce((sum, b) => sum + b.count, 0) ?? 0)
const left = computed(() => mix.value && f.volume(mix.value.leftMl / 1000))
const { ready, knows, mayGoOn, against } = useReadiness(() => lot.value, () => 'bottling-still')
const wrong = ref<string>()
/** What was typed for one wine is not logged to another. */
watch(() => lot.value?.id, () => Object.values(filled).forEach((field) => field.clear()))
async function log() {
  const l = lot.value
  if (!l || !mayGoOn.value) return
  wrong.value = undefined
  const bottles = used.value.flatMap((ml) => {
    const count = filled[ml]?.value
    return count ? [{ sizeMl: ml, count }] : []
  })
  if (bottles.some((b) => !Number.isInteger(b.count))) return void (wrong.value = 'A whole number of bottles of each size.')
  if (bottles.length === 0) return void (wrong.value = 'Say how many bottles were filled.')
  if (!(await cellar.log([...against(), fact('bottling', { lotId: l.id, bottles })]))) return
  logged(`${l.name}: bottled`)
  await navigateTo(`/lots/${l.id}`)
}
useHead({ title: 'Bottling day · Presk' })
</script>

<template>
  <BenchFrame title="Bottling day" :lot="lot" @submit="log">
    <template #answer>
      <template v-if="mix">
        <ul class="mix">
          <li v-for="b in mix.bottles" :key="b.ml">
            <b class="figure">{{ b.count }}</b> <span>of {{ b.ml }} mL</span>
          </li>
          <li v-if="mix.bottles.length === 0" class="soft">Too little for a bottle of these.</li>
        </ul>
        <p class="soft">{{ left ? f.words(left) : '' }} left over: a glass for the cellar hand, or topping.</p>
      </template>
      <p v-else class="soft">Say the volume and the bottles that there are.</p>
    </template>
    <template #inputs>
      <QuantityField label="Wine, net of lees" :field="volume" />
      <QuantityField label="Lost in hoses and filter" :field="loss" />
      <TapMany v-model="tapped" class="wide" legend="Sizes" :items="sizeItems" />
      <QuantityField v-for="ml in used" :key="ml" :label="`${ml} mL in store`" :field="stock[ml]!" hint="empty: as many as it takes" />
    </template>
    <template #results>
      <section class="grid gap-2">
        <h2>In this order</h2>
        <ol class="timed">
          <li>
            <b class="figure">{{ closures }}</b
            ><span>closures, and as many bottles rinsed and sanitised, upside down.</span>
          </li>
          <li>
            <b class="figure">{{ BOTTLING_RESERVE }} mg</b
            ><span>of free SO₂ in a litre over its level, for the air that it takes up: stirred in the day before.</span>
          </li>
          <li><b class="figure">15–40 mm</b><span>under the closure stay free: less, and a warm day pushes the cork.</span></li>
          <li><b class="figure">3 days</b><span>upright, then on their side under cork; corks soaked or steamed briefly first.</span></li>
          <li>
            <b class="figure">6 weeks</b><span>before it is judged: it is shaken by the bottling. Keep the last bottle for a year.</span>
          </li>
        </ol>
        <p class="soft small">Common practice. Label with lot, vintage, day, alcohol and “contains sulphites”.</p>
      </section>
      <template v-if="lot">
        <GateBefore v-if="!ready" v-model="knows" :lot="lot" gate="bottling-still" />
        <div v-if="mayGoOn" class="wentin sheet">
          <h2>Really filled</h2>
          <div class="tries">
            <QuantityField v-for="ml in used" :key="ml" :label="`Bottles of ${ml} mL`" :field="filled[ml]!" />
          </div>
          <p v-if="wrong" class="message" role="alert">{{ wrong }}</p>
          <div class="go"><span /><UButton type="submit" size="xl">Log it</UButton></div>
        </div>
      </template>
      <CautionNote code="fullGlass" />
    </template>
  </BenchFrame>
</template>

<style scoped>
.mix {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
}
.mix .figure {
  font-size: 3.2rem;
  line-height: 1;
}
</style>
