<script setup lang="ts">
import { type BlendSource, blendTarget } from '~~/core/finishing'
import { useFormat } from '~/composables/useFormat'
import { useQuantityField } from '~/composables/useQuantityField'
import { useVolumeField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'

/** How much of each for what is wanted: the volumes of the parts are what there is of them. */
const props = defineProps<{ sources: readonly (BlendSource & { name: string })[] }>()
const emit = defineEmits<{ take: [litres: number[]] }>()
const f = useFormat()
const volume = useVolumeField()
const plain = (quantity: 'ph' | 'abv') => useQuantityField({ kind: 'plain', unit: '', quantity: () => quantity })
const [abv, ph] = [plain('abv'), plain('ph')]
const ta = useQuantityField({ kind: 'concentration', unit: 'g/L', quantity: () => 'ta' })
const WORDS = { abv: 'alcohol', ph: 'pH', taGPerL: 'TA', sg: 'gravity' } as const
const all = computed(() => props.sources.reduce((sum, s) => sum + s.availableL, 0))
const wants = computed(() => ({
  ...(abv.value !== undefined && { abv: abv.value }),
  ...(ph.value !== undefined && { ph: ph.value }),
  ...(ta.value !== undefined && { taGPerL: ta.value })
}))
/** What is wanted has to be known for every part. */
const missing = computed(() => {
  const needs = [
    ...('abv' in wants.value ? ['abv' as const] : []),
    ...('ph' in wants.value || 'taGPerL' in wants.value ? (['ph', 'taGPerL'] as const) : [])
  ]
  return needs.find((q) => props.sources.some((s) => s[q] === undefined))
})
const tooMuch = computed(() => volume.value !== undefined && volume.value > all.value + 1e-6)
const found = computed(() =>
  volume.value === undefined || tooMuch.value || missing.value || Object.keys(wants.value).length === 0
    ? undefined
    : withinLimits(() => blendTarget(props.sources, { volumeL: volume.value!, ...wants.value }))
)
const share = (litres: number) => `${Math.round((100 * litres) / volume.value!)} %`
const figure = (q: keyof typeof WORDS, value: number) =>
  q === 'ph' ? value.toFixed(2) : q === 'sg' ? value.toFixed(3) : q === 'abv' ? `${value.toFixed(1)} % vol` : `${value.toFixed(1)} g/L`
const predicted = computed(() =>
  (Object.keys(WORDS) as (keyof typeof WORDS)[]).flatMap((q) => {
    const value = found.value?.predicted[q]
    return value === undefined ? [] : [`${WORDS[q]} ${figure(q, value)}`]
  })
)
</script>

<template>
  <section class="sheet p-5 grid gap-4" aria-label="Blend for a target">
    <h2>Blend for a target</h2>
    <div class="wanted">
      <QuantityField label="Volume wanted" :field="volume" :hint="`${f.words(f.volume(all))} available`" />
      <QuantityField label="Alcohol wanted" :field="abv" unit-label="% vol" />
      <QuantityField label="pH wanted" :field="ph" />
      <QuantityField label="TA wanted" :field="ta" unit-label="g/L" />
    </div>
    <p v-if="tooMuch" class="message" role="alert">That is more than the {{ f.words(f.volume(all)) }} you have.</p>
    <p v-else-if="missing" class="message" role="alert">
      {{ WORDS[missing] === 'pH' || WORDS[missing] === 'TA' ? 'pH and TA have' : 'Alcohol has' }} to be known for every part.
    </p>
    <div v-else-if="found" class="grid gap-3" aria-live="polite">
      <ul class="found">
        <li v-for="(p, i) in found.parts" :key="p.id">
          <b class="figure">{{ f.words(f.volume(p.litres)) }}</b> {{ sources[i]!.name }}
          <span class="soft small">{{ share(p.litres) }}</span>
        </li>
      </ul>
      <p class="soft">{{ predicted.join(', ') }} (forecast). Taste it in the glass first, then measure the blend and compare.</p>
      <FindingNote v-for="m in found.missed" :key="m.quantity" tone="ask">
        No mixture of these gives {{ WORDS[m.quantity] }} {{ figure(m.quantity, m.wanted) }}; the nearest has
        {{ figure(m.quantity, m.got) }}.
      </FindingNote>
      <UButton
        variant="outline"
        size="lg"
        class="justify-self-start"
        @click="
          emit(
            'take',
            found.parts.map((p) => p.litres),
          )
        "
      >
        Use these volumes
      </UButton>
    </div>
    <p v-else class="soft small">Enter the volume and one target. Presk takes the volumes of the parts as what you have.</p>
  </section>
</template>

<style scoped>
.wanted {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 14px 20px;
}
.found {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
}
.found .figure {
  font-size: 1.6rem;
}
</style>
