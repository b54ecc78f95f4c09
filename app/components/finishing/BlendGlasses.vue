<script setup lang="ts">
import { fact } from '~~/core/drafts'
import { type GlassSteps, blendGlasses, blindOrder } from '~~/core/finishing'
import type { BlendPart } from '~~/core/must'
import { molecularSo2 } from '~~/core/sulphite'

/** Two wines in a row of glasses: filled by a list, tasted by letters alone, scored, then uncovered with what each should measure. */
const props = defineProps<{ parts: readonly [BlendPart & Named, BlendPart & Named] }>()
interface Named {
  name: string
  lotId: string
}
const emit = defineEmits<{ take: [litres: number[]] }>()
const cellar = useCellarStore()
const logged = useLogged()
const f = useFormat()
const STEPS: { value: GlassSteps, label: string }[] = [
  { value: 'thirds', label: 'Thirds' },
  { value: 'quarters', label: 'Quarters' },
  { value: 'tenths', label: 'Tenths, to a half' }
]
const SCORES = [{ value: '', label: '–' }, ...Array.from({ length: 10 }, (_, i) => ({ value: String(10 - i), label: String(10 - i) }))]
const key = computed(() => `presk.blend-glasses.${props.parts.map((p) => p.lotId || p.name).join('.')}`)
interface Kept {
  steps: GlassSteps
  scores: Record<string, string>
}
/** A phone that falls asleep between two glasses forgets no score. */
const kept = computed(() => useKept<Kept>(key.value))
const steps = ref<GlassSteps>('quarters')
const scores = ref<Record<string, string>>({})
const uncovered = ref(false)
const glassMl = usePlainField(20, 1000, 'Between 20 and 1000 mL.', { text: '100' })
watch(
  key,
  () => {
    const was = kept.value.read()
    steps.value = was?.steps ?? 'quarters'
    scores.value = was?.scores ?? {}
    uncovered.value = false
  },
  { immediate: true }
)
watch([steps, scores], () => kept.value.write({ steps: steps.value, scores: scores.value }), { deep: true })
const glasses = computed(() => {
  const ml = glassMl.value
  const made = ml === undefined ? [] : (withinLimits(() => blendGlasses(props.parts, steps.value, ml)) ?? [])
  return blindOrder(made.length, key.value + steps.value).map((i, at) => ({
    ...made[i]!,
    id: `${steps.value}${i}`,
    letter: String.fromCharCode(65 + at)
  }))
})
const scoreOf = (g: { id: string }) => Number(scores.value[g.id])
const best = computed(() => glasses.value.filter((g) => scores.value[g.id]).sort((a, b) => scoreOf(b) - scoreOf(a))[0])
const percent = (share: number) => `${Math.round(share * 100)} %`
const figures = ({ blend }: (typeof glasses.value)[number]) =>
  [
    blend.abv !== undefined && `${blend.abv.toFixed(1)} % vol`,
    blend.ph !== undefined && `pH ${blend.ph.toFixed(2)}`,
    blend.taGPerL !== undefined && `TA ${blend.taGPerL.toFixed(1)} g/L`,
    blend.freeSo2MgPerL !== undefined &&
      blend.ph !== undefined &&
      `${molecularSo2(blend.freeSo2MgPerL, Math.min(4.5, Math.max(2.5, blend.ph))).toFixed(2)} mg/L molecular SO₂`
  ]
    .filter(Boolean)
    .join(', ')
async function log() {
  const told = glasses.value
    .filter((g) => scores.value[g.id])
    .sort((a, b) => a.share - b.share)
    .map((g) => `${percent(g.share)}: ${scores.value[g.id]}`)
    .join(', ')
  const [a, b] = props.parts
  const text = `Blend trial, blind. Share of ${b.name} in ${a.name} and its score of 10: ${told}.`
  const lots = [...new Set([a.lotId, b.lotId].filter((id) => cellar.lotOf(id)))]
  if (await cellar.log(lots.map((lotId) => fact('observation', { lotId, what: 'taste', text })))) logged('The trial is in the ledger')
}
const take = ({ share, mostL }: { share: number, mostL: number }) => emit('take', [mostL * (1 - share), mostL * share])
</script>

<template>
  <section class="sheet p-5 grid gap-4" aria-label="In the glass">
    <h2>In the glass, by letters</h2>
    <div class="asked">
      <SelectField v-model="steps" label="In steps of" :items="STEPS" />
      <QuantityField label="Wine in each glass" :field="glassMl" unit-label="mL" />
    </div>
    <FoldOut label="For whoever fills them">
      <table class="lines">
        <tbody>
          <tr v-for="g in glasses" :key="g.id">
            <th scope="row">{{ g.letter }}</th>
            <td>{{ g.ml[0].toFixed(0) }} mL {{ parts[0].name }}</td>
            <td>{{ g.ml[1].toFixed(0) }} mL {{ parts[1].name }}</td>
          </tr>
        </tbody>
      </table>
    </FoldOut>
    <ul class="row">
      <li v-for="g in glasses" :key="g.id">
        <span class="ball figure" aria-hidden="true">{{ g.letter }}</span>
        <SelectField
          :model-value="scores[g.id] ?? ''"
          :label="`Glass ${g.letter}, of ten`"
          :items="SCORES"
          placeholder="–"
          @update:model-value="scores[g.id] = String($event)"
        />
        <p v-if="uncovered" class="small">
          <b>{{ percent(g.share) }} {{ parts[1].name }}</b> <span class="soft block">{{ figures(g) }}</span>
        </p>
      </li>
    </ul>
    <div v-if="!uncovered" class="ways">
      <UButton size="lg" variant="outline" :disabled="!best" @click="uncovered = true">Uncover</UButton>
      <span class="soft small">Whoever tastes has not filled them. Score all, then look.</span>
    </div>
    <div v-else-if="best" class="grid gap-3" aria-live="polite">
      <p>
        Best liked: <b>{{ percent(best.share) }} {{ parts[1].name }}</b
        >. Of what there is that makes up to <b class="figure">{{ f.words(f.volume(best.mostL)) }}</b>.
      </p>
      <div class="ways">
        <UButton size="lg" @click="log">Log the trial</UButton>
        <UButton size="lg" variant="outline" @click="take(best)">Take its volumes</UButton>
        <NuxtLink v-if="parts[0].lotId" :to="`/lots/${parts[0].lotId}/move?as=combine`" class="textlink">Put them together</NuxtLink>
      </div>
      <p class="soft small">After it: measure the blend. A figure that cannot come from its parts is said on its page.</p>
    </div>
  </section>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 240px));
  gap: 14px 20px;
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
  gap: 16px 22px;
}
.row li {
  display: grid;
  gap: 8px;
  align-content: start;
}
</style>
