import { brixFromSg, potentialAlcohol } from '~~/core/hydrometry'
import { isFermenting, isMust, type LotView } from '~~/core/ledger'
import { fedInSteps } from '~~/core/must'
import { nextSugarStep, wholeOriginalSg, yeastOfLot } from '~~/core/stages'
import { useMaterials } from '~/composables/useMaterials'
import { useNow } from '~/composables/useNow'
import { useQuantityField } from '~/composables/useQuantityField'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'
import { useForecastsStore } from '~/stores/forecasts'

/** What is fed to a lot in parts: how much it takes for the alcohol that is wanted, and the part whose turn it is. */
export function useFedInSteps(lot: () => LotView | undefined) {
  const cellar = useCellarStore()
  const forecasts = useForecastsStore()
  const now = useNow()
  const materials = useMaterials()
  const material = ref('honey')
  const wanted = useQuantityField({ kind: 'plain', unit: '', limits: { min: 5, max: 20, words: 'Between 5 and 20 % vol.' } })
  /** Of all sugar that is or was in it, what has been fed already too. */
  const potential = computed(() => {
    const l = lot()
    const sg = l && wholeOriginalSg(l)
    return sg === undefined ? undefined : withinLimits(() => potentialAlcohol(Math.max(0, brixFromSg(sg))).abv)
  })
  const tolerance = computed(() => {
    const l = lot()
    return l && yeastOfLot(l, cellar.state.cards)?.toleranceAbv
  })
  const plan = computed(() => {
    const [l, p, w] = [lot(), potential.value, wanted.value]
    const effect = materials.card(material.value)?.effect
    if (!l || p === undefined || w === undefined || w <= p || effect?.on !== 'sugar') return undefined
    const found = withinLimits(() => fedInSteps(l.volume.value, p, w, effect))
    // Three digits are what a kitchen scale and an estimate of alcohol deserve, and every figure is of these.
    const totalG = found && Number(found.totalG.toPrecision(3))
    return found && totalG && { ...found, totalG, eachG: totalG / found.parts }
  })
  const step = computed(() => {
    const l = lot()
    return l && nextSugarStep(l, forecasts.known.get(l.id), now.value)
  })
  const fits = computed(() => {
    const l = lot()
    return l !== undefined && (isFermenting(l) || isMust(l))
  })
  return { material, wanted, potential, tolerance, plan, step, fits }
}
