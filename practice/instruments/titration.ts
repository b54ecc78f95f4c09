import { type Acids, phOf } from '../../simulator'

export interface TitrationSample {
  acids: Acids
  sampleMl: number
  /** Of the sodium hydroxide, mol/L. */
  normality: number
  colour: 'red' | 'white'
}

/** pH of a sample after so many millilitres of sodium hydroxide: each brings its sodium, which weighs as the strong ions do. */
export function phAfter({ acids, sampleMl, normality }: TitrationSample, addedMl: number): number {
  const potassium = acids.potassium + (addedMl * normality) / sampleMl
  const before = phOf({ ...acids, potassium })
  // Beyond the acids it is the base itself that is measured; the balance ends at 5.5 and this goes on from there.
  if (before < 5.4) return before
  return phAbove({ ...acids, potassium })
}
const MASS = { tartaric: 150.087, malic: 134.087, lactic: 90.078, succinic: 118.088, acetic: 60.052 } as const
const FULL = { tartaric: 2, malic: 2, lactic: 1, succinic: 2, acetic: 1 } as const
const LAST_PK = { tartaric: 4.31, malic: 5.08, lactic: 3.9, succinic: 5.57, acetic: 4.79 } as const
/** Above pH 5.4 by the second dissociations alone and the base. */
function phAbove(a: Acids): number {
  let [low, high] = [5.2, 12.5]
  for (let i = 0; i < 40; i++) {
    const mid = (low + high) / 2
    let charge = 10 ** (mid - 14) - 10 ** -mid
    for (const acid of ['tartaric', 'malic', 'lactic', 'succinic', 'acetic'] as const)
      charge += (a[acid] / MASS[acid]) * (FULL[acid] - 1 + 1 / (1 + 10 ** (LAST_PK[acid] - mid)))
    if (a.potassium > charge) low = mid
    else high = mid
  }
  return (low + high) / 2
}

/** TA as tartaric acid, g/L, of what was used: 75.04 g a mole of charge. */
export const taFrom = ({ sampleMl, normality }: TitrationSample, addedMl: number): number => (addedMl * normality * 75.04) / sampleMl

export type TitrationLook = 'start' | 'darker' | 'near' | 'end' | 'over'
/** What the eye sees: phenolphthalein in a white, the red's own colour in a red. */
export function lookAt(sample: TitrationSample, addedMl: number): TitrationLook {
  const ph = phAfter(sample, addedMl)
  if (ph > 8.7) return 'over'
  if (ph > 8.0) return 'end'
  if (sample.colour === 'white') return ph > 7.5 ? 'near' : 'start'
  return ph > 7 ? 'near' : ph > 5.2 ? 'darker' : 'start'
}
