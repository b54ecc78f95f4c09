import { sgFromBrix, sucroseDensity, waterDensity } from '../hydrometry'
import { LimitError, within } from '../units'

/** g of sugar in a gram of each: sucrose and dextrose monohydrate by their formulas, honey by common practice (about 80 %). */
export const SUGAR_SHARE = { sucrose: 1, dextrose: 180.156 / 198.171, honey: 0.8 } as const
export type Sweetener = keyof typeof SUGAR_SHARE | 'concentrate'

/** Share of a large addition that goes in first; then mix, measure, finish (craft 3.5, common practice). */
export const FIRST_STAGE = 0.75

export interface Stage {
  number: number
  amount: number
}
export const staged = (amount: number): Stage[] => [
  { number: 1, amount: amount * FIRST_STAGE },
  { number: 2, amount: amount * (1 - FIRST_STAGE) }
]

export interface SugarAddition {
  grams: number
  newVolumeL: number
  newSg: number
  /** 1.5 oz per US gallon and °Brix, the usual rule: shown beside, not used. */
  ruleOfThumbGrams: number
  stages: Stage[]
}

/**
 * Sugar to raise a must to a Brix, by mass: Brix is g per 100 g, so (sugar + p·x) ÷ (must + x) = target, exactly. The
 * volume follows from the density of the sweeter must.
 * @param volumeL must, L, 0.1 to 100 000
 * @param brix now, 0 to 45
 * @param targetBrix wanted, above `brix`, to 45
 * @param sweetener what is added
 * @param concentrateBrix Brix of a grape concentrate, 50 to 75
 * @throws LimitError
 * @example addSugar(20, 20, 22, 'sucrose').grams // 554
 */
export function addSugar(volumeL: number, brix: number, targetBrix: number, sweetener: Sweetener, concentrateBrix = 68): SugarAddition {
  within('volumeL', volumeL, 0.1, 100_000)
  within('brix', brix, 0, 45)
  within('targetBrix', targetBrix, brix, 45)
  const share = sweetener === 'concentrate' ? within('concentrateBrix', concentrateBrix, 50, 75) / 100 : SUGAR_SHARE[sweetener]
  const mustKg = (volumeL * sucroseDensity(brix, 20)) / 1000
  const addKg = (mustKg * (targetBrix - brix)) / (100 * share - targetBrix)
  return {
    grams: addKg * 1000,
    newVolumeL: ((mustKg + addKg) * 1000) / sucroseDensity(targetBrix, 20),
    newSg: sgFromBrix(targetBrix),
    ruleOfThumbGrams: ((1.5 * 28.349523) / 3.785411784) * volumeL * (targetBrix - brix),
    stages: staged(addKg * 1000)
  }
}

export interface WaterAddition {
  litres: number
  newVolumeL: number
  newSg: number
  stages: (Stage & { expectedBrix: number, expectedSg: number })[]
}

/**
 * Water to thin a must, a kit or a concentrate to a Brix, approached from the sweet side: three quarters first, then
 * measure. Water cannot be taken out again. Any line on a pail is only a hint; the gravity decides.
 * @param volumeL what stands in the vessel, L
 * @param brix now, 1 to 75 (concentrates)
 * @param targetBrix wanted, 1 to `brix`
 * @returns litres of water, the new volume, and what to expect after each stage
 * @throws LimitError
 * @example addWater(20, 26, 24).litres // 1.85
 */
export function addWater(volumeL: number, brix: number, targetBrix: number): WaterAddition {
  within('volumeL', volumeL, 0.1, 100_000)
  within('brix', brix, 1, 70)
  if (targetBrix > 50) throw new LimitError('targetBrix', targetBrix, 1, Math.min(50, brix))
  within('targetBrix', targetBrix, 1, brix)
  const mustKg = (volumeL * sucroseDensity(brix, 20)) / 1000
  const waterKg = (mustKg * (brix - targetBrix)) / targetBrix
  let inKg = 0
  const stages = staged(waterKg).map(({ number, amount }) => {
    inKg += amount
    const expectedBrix = (mustKg * brix) / (mustKg + inKg)
    return {
      number,
      amount: (amount / waterDensity(20)) * 1000,
      expectedBrix,
      expectedSg: sucroseDensity(expectedBrix, 20) / waterDensity(20)
    }
  })
  return {
    litres: (waterKg * 1000) / waterDensity(20),
    newVolumeL: ((mustKg + waterKg) * 1000) / sucroseDensity(targetBrix, 20),
    newSg: sgFromBrix(targetBrix),
    stages
  }
}
