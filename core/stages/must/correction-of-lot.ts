import type { Course } from '../../acids'
import { brixFromSg, potentialAlcohol } from '../../hydrometry'
import { type LotState, abvOf, isMust, malolacticOf, planOf, reckonedBrix } from '../../ledger'
import { type Material, type TargetRequest, type TargetResult, findTargets } from '../../must'

/** What a home cellar has at hand when nobody says otherwise. */
const AT_HAND: Partial<Record<Material, true>> = { tartaric: true, 'potassium-bicarbonate': true, water: true, sucrose: true }

/** What a lot will still go through, by its plan; malolactic that is over comes no more. */
export function courseOfLot(lot: LotState): Course {
  const abv = lot.balance ? abvOf(lot.balance) : 0
  const possible = lot.sg && lot.sg.value > 1.01 ? potentialAlcohol(reckonedBrix(lot.sg.value)).abv : 0
  const malolactic = malolacticOf(lot)
  return {
    malolactic: malolactic === 'to-come' || malolactic === 'under-way',
    cold: planOf(lot).cold,
    finalAbv: Math.min(17, abv + possible),
    style: lot.style
  }
}

/** The lot's readings as the finder takes them; undefined until sugar, pH and TA are known and lie where the model holds. */
export function finderReadings(lot: LotState): TargetRequest['must'] | undefined {
  const { sg, ph, ta } = lot
  if (!sg || !ph || !ta || ta.value < 2 || ta.value > 20 || ph.value < 2.5 || ph.value > 4.5 || sg.value < 1.02 || sg.value > 1.17)
    return undefined
  const malic = lot.others.malic
  return { brix: brixFromSg(sg.value), ph: ph.value, taGPerL: ta.value, ...(malic && { malicGPerL: Math.min(15, malic.value) }) }
}

/** By what the answer rests on, so that a lot that was copied, or seen at another instant, is not asked about again. */
const found = new Map<string, TargetResult | undefined>()
/** What of the finder's materials went into a lot, for a litre of it. */
const givenOf = (lot: LotState): NonNullable<TargetRequest['given']> =>
  Object.fromEntries(
    [...lot.added].flatMap(([key, { actual }]) => {
      const material = key === 'sugar' ? 'sucrose' : key
      return lot.volume.value > 0 && material in AT_HAND ? [[material, actual / lot.volume.value]] : []
    })
  )

/** So many answers are kept: a season's musts, some times over. */
const KEPT = 400

function keyOf(lot: LotState): string {
  const { malolactic, cold } = courseOfLot(lot)
  const figures = [lot.sg, lot.ph, lot.ta, lot.others.malic].map((f) => f?.value ?? '')
  return [lot.id, lot.alcoholic, lot.stream, lot.style, ...figures, lot.volume.value, malolactic, cold,
    ...Object.values(givenOf(lot))].join('|')
}

/** Takes in an answer that was worked out elsewhere (in a worker), so that the page need not. */
export function rememberCorrection(lot: LotState, result: TargetResult | undefined): void {
  if (found.size >= KEPT) found.delete(found.keys().next().value!)
  found.set(keyOf(lot), result)
}

/**
 * What the finder would do with a must, and whether at all. The next move, the crush floor and the supplies ask the same
 * question of the same state, so the answer is kept with it.
 */
export function correctionOf(lot: LotState): TargetResult | undefined {
  const key = keyOf(lot)
  if (found.has(key)) return found.get(key)
  const must = isMust(lot) && lot.stream !== 'kit' ? finderReadings(lot) : undefined
  const { malolactic, cold } = courseOfLot(lot)
  const result =
    must &&
    findTargets({
      must,
      style: lot.style,
      malolactic,
      cold,
      available: AT_HAND,
      given: givenOf(lot),
      volumeL: Math.max(0.1, lot.volume.value),
      withBands: false
    })
  rememberCorrection(lot, result)
  return result
}
