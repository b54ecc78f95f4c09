import { fact } from '~~/core/drafts'
import { type BlendGlass, type GlassSteps, blendGlasses, blindOrder, stepsFor } from '~~/core/finishing'
import type { BlendPart } from '~~/core/must'
import { useKept } from '~/composables/useKept'
import { usePlainField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'

/** A wine on the bench: of a lot, or from outside. */
export type BenchWine = BlendPart & { name: string, lotId: string }
export interface LetteredGlass extends BlendGlass {
  id: string
  letter: string
}

/** Wines in a row of glasses in blind order, their scores kept through a reload, and the trial in the ledger. */
export function useBlendGlasses(parts: () => readonly BenchWine[]) {
  const cellar = useCellarStore()
  const key = computed(() => `presk.blend-glasses.${parts().map((p) => p.lotId || p.name).join('.')}`)
  interface Kept {
    steps: GlassSteps
    scores: Record<string, string>
  }
  /** A phone that falls asleep between two glasses forgets no score. */
  const kept = computed(() => useKept<Kept>(key.value))
  const offered = computed(() => stepsFor(parts().length))
  const usual = () => (offered.value.includes('quarters') && parts().length === 2 ? 'quarters' : offered.value[0]!)
  const steps = ref<GlassSteps>(usual())
  const scores = ref<Record<string, string>>({})
  const uncovered = ref(false)
  const glassMl = usePlainField(20, 1000, 'Between 20 and 1000 mL.', { text: '100' })
  watch(
    key,
    () => {
      const was = kept.value.read()
      steps.value = was && offered.value.includes(was.steps) ? was.steps : usual()
      scores.value = was?.scores ?? {}
      uncovered.value = false
    },
    { immediate: true }
  )
  watch([steps, scores], () => kept.value.write({ steps: steps.value, scores: scores.value }), { deep: true })
  const glasses = computed(() => {
    const ml = glassMl.value
    const made = ml === undefined ? [] : (withinLimits(() => blendGlasses(parts(), steps.value, ml)) ?? [])
    return blindOrder(made.length, key.value + steps.value).map((i, at) => ({
      ...made[i]!,
      id: `${steps.value}${i}`,
      letter: String.fromCharCode(65 + at)
    }))
  })
  const scoreOf = (g: { id: string }) => Number(scores.value[g.id])
  const best = computed(() => glasses.value.filter((g) => scores.value[g.id]).sort((a, b) => scoreOf(b) - scoreOf(a))[0])
  /** "60 % Grenache, 40 % Bobal": what is in it, and nothing of what is not. */
  const sayShares = (shares: readonly number[]): string =>
    shares.flatMap((share, i) => (share > 0 ? [`${Math.round(share * 100)} % ${parts()[i]!.name}`] : [])).join(', ')
  async function log(): Promise<boolean> {
    const told = glasses.value
      .filter((g) => scores.value[g.id])
      .sort((a, b) => scoreOf(b) - scoreOf(a))
      .map((g) => `${sayShares(g.shares)}: ${scores.value[g.id]}`)
      .join('; ')
    const text = `Blend trial, blind, each glass and its score of 10. ${told}.`.slice(0, 2000)
    const lots = [...new Set(parts().map((p) => p.lotId).filter((id) => cellar.lotOf(id)))]
    return (await cellar.log(lots.map((lotId) => fact('observation', { lotId, what: 'taste', text })))) !== undefined
  }
  return { offered, steps, scores, uncovered, glassMl, glasses, best, sayShares, log }
}
