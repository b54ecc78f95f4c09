import { within } from '../units'

/** Litres expected from one kilogram of fruit: common practice, no source (craft 3.3); must in the fermenter and wine in the end. */
const PER_KG = {
  red: { must: 0.85, wine: { low: 0.6, high: 0.7 } },
  pressed: { must: 0.65, wine: { low: 0.55, high: 0.65 } }
} as const
/** Litres of wine from one litre that arrives: must with its skins, juice, or a kit (craft 3.3, common practice, no source). */
const PER_L = {
  skins: { low: 0.65, high: 0.75 },
  juice: { low: 0.9, high: 0.95 },
  kit: { low: 0.93, high: 0.97 }
} as const

/** Litres of must with its skins for a litre of the juice that doses go by. */
export const MUST_PER_JUICE = PER_KG.red.must / ((PER_KG.red.wine.low + PER_KG.red.wine.high) / 2)

export interface Yield {
  /** What the fermenter must hold, L: for reds juice and skins together. */
  mustL: number
  /** The liquid that sulphite and acid act on, L. */
  juiceL: number
  wineLowL: number
  wineHighL: number
}

/**
 * Must and wine to expect from fruit. Doses go by `juiceL`, never by the weight of the fruit.
 * @param massKg fruit, 0.5 to 50 000 kg
 * @param style reds ferment on skins, the others are pressed first
 * @throws LimitError
 * @example yieldOfFruit(118, 'red') // must 100 L, juice 77 L, wine 71 to 83 L
 */
export function yieldOfFruit(massKg: number, style: 'red' | 'rose' | 'white'): Yield {
  within('massKg', massKg, 0.5, 50_000)
  const per = style === 'red' ? PER_KG.red : PER_KG.pressed
  return {
    mustL: massKg * per.must,
    juiceL: (massKg * (per.wine.low + per.wine.high)) / 2,
    wineLowL: massKg * per.wine.low,
    wineHighL: massKg * per.wine.high
  }
}

/** Wine to expect from must on its skins, juice or a kit that arrives by volume, L. @throws LimitError */
export function yieldOfVolume(volumeL: number, what: keyof typeof PER_L): { wineLowL: number, wineHighL: number } {
  within('volumeL', volumeL, 0.1, 100_000)
  return { wineLowL: volumeL * PER_L[what].low, wineHighL: volumeL * PER_L[what].high }
}
