import { within } from '../units'
import { SO2_SHARE, type SulphiteSalt } from '../sulphite'
import { yieldOfFruit } from './yield'

export type TestStep = 'crush-and-sulphite' | 'pitch' | 'feed' | 'punch' | 'watch' | 'press' | 'judge'

export interface TestDay {
  /** Days from the crush. */
  day: number
  step: TestStep
  additions: { material: string, grams: number, /** mL of a 100 g/L stock, where a kitchen scale is too coarse. */ stockMl?: number }[]
}

export interface TestFerment {
  juiceL: number
  mustL: number
  bucketL: number
  days: TestDay[]
}

/** g/L: sulphite 30 mg/L, yeast and nutrient at full rate so that the trial does not stop for want. Common practice, no source. */
const RATES = { so2MgPerL: 30, yeast: 0.3, nutrient: 0.3 } as const
const STOCK_G_PER_L = 100
/** Below this a kitchen scale says little, g. */
const COARSE_G = 1

/**
 * The week of a test ferment: a bucket of fruit on its skins, always, to learn what a vineyard's fruit becomes before it is
 * bought (for smoke taint, for example, which shows only once yeast has freed it). Warm, fast and dry within a week.
 * Common practice, no source.
 * @param massKg sample, 1 to 25 kg; 5 is usual
 * @param salt sulphite that is weighed
 * @returns volumes, a bucket with room for the cap, and each day with what goes in
 * @throws LimitError
 * @example testFerment(5, 'potassium-metabisulphite').days[0] // 0.17 g of salt, 1.7 mL of a 100 g/L stock
 */
export function testFerment(massKg: number, salt: SulphiteSalt): TestFerment {
  within('massKg', massKg, 1, 25)
  const { juiceL, mustL } = yieldOfFruit(massKg, 'red')
  const dose = (material: string, grams: number) => ({
    material,
    grams,
    ...(grams < COARSE_G && material === salt && { stockMl: (grams / STOCK_G_PER_L) * 1000 })
  })
  return {
    juiceL,
    mustL,
    bucketL: mustL / 0.7,
    days: [
      { day: 0, step: 'crush-and-sulphite', additions: [dose(salt, (RATES.so2MgPerL * juiceL) / 1000 / SO2_SHARE[salt])] },
      { day: 1, step: 'pitch', additions: [dose('yeast', RATES.yeast * juiceL)] },
      { day: 2, step: 'feed', additions: [dose('complex-nutrient', RATES.nutrient * juiceL)] },
      { day: 3, step: 'punch', additions: [] },
      { day: 4, step: 'watch', additions: [] },
      { day: 6, step: 'press', additions: [] },
      { day: 7, step: 'judge', additions: [] }
    ]
  }
}
