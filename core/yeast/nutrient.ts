import { sugarScales } from '../hydrometry'
import { within } from '../units'
import { NUTRIENTS, type Need, type NutrientCard } from './cards'

/** mg N for each g of sugar, by need: common practice, no source (craft 4.7). */
export const YAN_PER_SUGAR: Record<Need, number> = { low: 0.75, medium: 0.9, high: 1.25 }
/** What a must holds when nobody measured it, mg N/L: common practice, no source (musts 80 to 300). */
export const ASSUMED_YAN = 120

/** The order in which they are used: complex first, ammonium for what it cannot bring, organic last. */
const IN_ORDER: readonly NutrientCard[] = [NUTRIENTS[1]!, NUTRIENTS[0]!, NUTRIENTS[2]!]

/**
 * The nutrients with what their limits still leave after what was given.
 * @param givenGPerL g/L of each, by key
 * @example nutrientsLeft({ 'complex-nutrient': 0.5 })[0].limitGPerL // 0.4
 */
export function nutrientsLeft(givenGPerL: Readonly<Record<string, number>>): NutrientCard[] {
  return IN_ORDER.map((card) => ({ ...card, limitGPerL: Math.max(0, card.limitGPerL - (givenGPerL[card.key] ?? 0)) }))
}

export interface NutrientAddition {
  /** About 24 h after pitching, or at a third of the sugar gone. */
  when: '24-h-after-pitching' | 'one-third-of-sugar-gone'
  nutrient: string
  gPerL: number
  grams: number
  nitrogenMgPerL: number
  /** Gravity at which to give it, SG. */
  atSg?: number
}
export interface NutrientPlan {
  needMgPerL: number
  presentMgPerL: number
  missingMgPerL: number
  additions: NutrientAddition[]
  findings: (
    | { code: 'yan-assumed', yanMgPerL: number }
    | { code: 'limit-reached', nutrient: string, limitGPerL: number, shortMgPerL: number }
    | { code: 'enough' }
    | { code: 'dissolve-first' }
  )[]
}

/**
 * Nutrient by nitrogen: need from the sugar and the yeast, less what is there, half about a day after pitching and half at
 * one third of the sugar gone; none after two thirds. When one nutrient would pass its limit the next takes the rest.
 * @param volumeL 0.5 to 100 000 L
 * @param brix 5 to 40
 * @param need of the yeast
 * @param yanMgPerL measured, 0 to 1000 mg/L; assumed when left out
 * @param nutrients in the order to use them
 * @throws LimitError
 * @example nutrientPlan(77, 24.4, 'medium', 140).missingMgPerL // 83.7
 */
export function nutrientPlan(
  volumeL: number,
  brix: number,
  need: Need,
  yanMgPerL?: number,
  nutrients: readonly NutrientCard[] = IN_ORDER
): NutrientPlan {
  within('volumeL', volumeL, 0.5, 100_000)
  within('brix', brix, 5, 40)
  const presentMgPerL = yanMgPerL === undefined ? ASSUMED_YAN : within('yanMgPerL', yanMgPerL, 0, 1000)
  const scales = sugarScales(brix, 'brix')
  const needMgPerL = scales.fermentableGPerL * YAN_PER_SUGAR[need]
  const missingMgPerL = Math.max(0, needMgPerL - presentMgPerL)
  const findings: NutrientPlan['findings'] = []
  const additions: NutrientAddition[] = []
  if (yanMgPerL === undefined) findings.push({ code: 'yan-assumed', yanMgPerL: ASSUMED_YAN })
  if (missingMgPerL === 0) return { needMgPerL, presentMgPerL, missingMgPerL, additions, findings: [...findings, { code: 'enough' }] }
  let leftMgPerL = missingMgPerL
  for (const nutrient of nutrients) {
    if (leftMgPerL < 1e-9) break
    const gPerL = Math.min(nutrient.limitGPerL, leftMgPerL / nutrient.nitrogenMgPerG)
    if (gPerL <= 0) continue
    leftMgPerL -= gPerL * nutrient.nitrogenMgPerG
    const half = {
      nutrient: nutrient.key,
      gPerL: gPerL / 2,
      grams: (gPerL / 2) * volumeL,
      nitrogenMgPerL: (gPerL / 2) * nutrient.nitrogenMgPerG
    }
    additions.push(
      { when: '24-h-after-pitching', ...half },
      { when: 'one-third-of-sugar-gone', ...half, atSg: 1 + ((scales.sg - 1) * 2) / 3 }
    )
    if (leftMgPerL > 1)
      findings.push({ code: 'limit-reached', nutrient: nutrient.key, limitGPerL: nutrient.limitGPerL, shortMgPerL: leftMgPerL })
  }
  findings.push({ code: 'dissolve-first' })
  return {
    needMgPerL,
    presentMgPerL,
    missingMgPerL,
    additions: additions.sort((a, b) => (a.when < b.when ? -1 : a.when > b.when ? 1 : 0)),
    findings
  }
}
