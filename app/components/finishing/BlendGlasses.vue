<script setup lang="ts">
import type { GlassSteps } from '~~/core/finishing'
import { molecularOf } from '~~/core/ledger'
import { type BenchWine, type LetteredGlass, useBlendGlasses } from '~/composables/useBlendGlasses'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'

/** Wines in a row of glasses: filled by a list, tasted by letters alone, scored, then uncovered with what each should measure. */
const props = defineProps<{ parts: readonly BenchWine[] }>()
const emit = defineEmits<{ take: [litres: number[]] }>()
const logged = useLogged()
const f = useFormat()
const STEPS: Record<GlassSteps, string> = { halves: 'Halves', thirds: 'Thirds', quarters: 'Quarters', tenths: 'Tenths' }
/** Tenths stay near the first wine: half of it at least beside one other, four fifths beside several. */
const stepItems = computed(() =>
  offered.value.map((value) => ({
    value,
    label: value === 'tenths' ? `Tenths, ${props.parts.length === 2 ? 'to a half' : 'near the first'}` : STEPS[value]
  }))
)
const SCORES = [{ value: '', label: '–' }, ...Array.from({ length: 10 }, (_, i) => ({ value: String(10 - i), label: String(10 - i) }))]
const { offered, steps, scores, uncovered, glassMl, glasses, best, sayShares, log } = useBlendGlasses(() => props.parts)
const figures = ({ blend }: LetteredGlass) =>
  [
    blend.abv !== undefined && `${blend.abv.toFixed(1)} % vol`,
    blend.ph !== undefined && `pH ${blend.ph.toFixed(2)}`,
    blend.taGPerL !== undefined && `TA ${blend.taGPerL.toFixed(1)} g/L`,
    blend.freeSo2MgPerL !== undefined &&
      blend.ph !== undefined &&
      `${molecularOf(blend.freeSo2MgPerL, blend.ph).toFixed(1)} mg/L molecular SO₂`
  ]
    .filter(Boolean)
    .join(', ')
const submit = async () => (await log()) && logged('Trial logged')
const take = ({ shares, mostL }: LetteredGlass) => emit('take', shares.map((share) => mostL * share))
</script>

<template>
  <section class="sheet p-5 grid gap-4" aria-label="In the glass">
    <h2>In the glass, by letters</h2>
    <div class="asked">
      <SelectField v-model="steps" label="In steps of" :items="stepItems" />
      <QuantityField label="Wine in each glass" :field="glassMl" unit-label="mL" />
    </div>
    <FoldOut label="For the person who fills them">
      <table class="lines">
        <tbody>
          <tr v-for="g in glasses" :key="g.id">
            <th scope="row">{{ g.letter }}</th>
            <td v-for="(part, i) in parts" :key="i">{{ g.ml[i]! > 0 ? `${g.ml[i]!.toFixed(0)} mL ${part.name}` : '–' }}</td>
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
          <b>{{ sayShares(g.shares) }}</b> <span class="soft block">{{ figures(g) }}</span>
        </p>
      </li>
    </ul>
    <div v-if="!uncovered" class="ways">
      <UButton size="lg" variant="outline" :disabled="!best" @click="uncovered = true">Reveal</UButton>
      <span class="soft small">The taster must not be the one who filled them. Score all, then reveal.</span>
    </div>
    <div v-else-if="best" class="grid gap-3" aria-live="polite">
      <p>
        Best liked: <b>{{ sayShares(best.shares) }}</b
        >. Your wines make up to <b class="figure">{{ f.words(f.volume(best.mostL)) }}</b>.
      </p>
      <div class="ways">
        <UButton v-if="parts.some((p) => p.lotId)" size="lg" @click="submit">Log trial</UButton>
        <UButton size="lg" variant="outline" @click="take(best)">Use these volumes</UButton>
        <NuxtLink v-if="parts[0]?.lotId" :to="`/lots/${parts[0].lotId}/move?as=combine`" class="textlink">Blend them</NuxtLink>
      </div>
      <p class="soft small">Measure the blend afterwards. Presk tells you if a reading does not fit its parts.</p>
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
