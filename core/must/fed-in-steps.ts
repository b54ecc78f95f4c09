import { within } from '../units'

/** g/L of sugar that yeast makes into 1 % vol: OIV, 16.83 (regulation (EC) 1308/2013 annex VIII reckons with it too). */
const SUGAR_PER_ABV = 16.83
/** Most that goes in at once, g of sugar in a litre: common practice, no source. */
const AT_ONCE = 40
/** Fed when the gravity has come down to this: common practice, no source. */
export const FEED_AT_SG = 1.02

export interface FedInSteps {
  /** g of the sweetener in all, and of each part. */
  totalG: number
  parts: number
  eachG: number
  /** L when all is in. */
  newVolumeL: number
}

/**
 * Sugar, honey or concentrate for a strong wine, given to the ferment in parts so that it never lies in too much of it.
 * By mass: potential × volume + sugar ÷ 16.83 = wanted × (volume + what the sweetener takes up).
 * @param volumeL must, L
 * @param potentialAbv that it has without it, 0 to 20 % vol
 * @param wantedAbv to come to, above `potentialAbv`, to 20
 * @param sweetener g of sugar in a gram, and the litres that a gram takes up
 * @throws LimitError
 * @example fedInSteps(20, 11, 14, { sugarShare: 0.8, litresPerG: 0.0007 }) // 1590 g of honey in 2 parts
 */
export function fedInSteps(
  volumeL: number,
  potentialAbv: number,
  wantedAbv: number,
  { sugarShare, litresPerG }: { sugarShare: number, litresPerG: number }
): FedInSteps {
  within('volumeL', volumeL, 0.5, 100_000)
  within('potentialAbv', potentialAbv, 0, 20)
  within('wantedAbv', wantedAbv, potentialAbv, 20)
  within('sugarShare', sugarShare, 0.3, 1)
  const totalG = (volumeL * (wantedAbv - potentialAbv)) / (sugarShare / SUGAR_PER_ABV - wantedAbv * litresPerG)
  const parts = Math.max(1, Math.ceil((totalG * sugarShare) / volumeL / AT_ONCE))
  return { totalG, parts, eachG: totalG / parts, newVolumeL: volumeL + totalG * litresPerG }
}
