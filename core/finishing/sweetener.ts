import { within } from '../units'

/** What a sweetener brings: g of sugar as sucrose, litres and g of acid as tartaric in a gram of it. */
export interface Sweetener {
  sugarShare: number
  litresPerG: number
  acidShare?: number
}
export interface Sweetened {
  grams: number
  afterL: number
  /** What its own acid adds and its volume takes away, g/L, in a wine of the TA that was given. */
  taChangeGPerL: number
}

/**
 * How much of a sweetener makes a wine sweeter by so much, in the volume that it has then.
 * @param gPerL sweetness wanted on top, 0 to 200 g/L
 * @param taGPerL of the wine
 * @throws LimitError; also where the sweetener is not sweet enough for it
 * @example sweetenWith({ sugarShare: 1, litresPerG: 0.00062 }, 20, 10, 6).grams // 203
 */
export function sweetenWith(sweetener: Sweetener, gPerL: number, volumeL: number, taGPerL: number): Sweetened {
  const { sugarShare, litresPerG, acidShare = 0 } = sweetener
  within('volumeL', volumeL, 0.001, 100_000)
  within('taGPerL', taGPerL, 0, 30)
  within('gPerL', gPerL, 0, Math.min(200, (0.9 * sugarShare) / litresPerG))
  const grams = (gPerL * volumeL) / (sugarShare - gPerL * litresPerG)
  const afterL = volumeL + grams * litresPerG
  return { grams, afterL, taChangeGPerL: (taGPerL * volumeL + grams * acidShare) / afterL - taGPerL }
}
