import { type LotView, drynessOf, isFermenting, isMust } from '../ledger'

/** What the bench can take of one sample. */
export const MEASURED = ['sg', 'freeSo2', 'malic', 'sugar', 'ph', 'ta', 'temperature'] as const
export type Measured = (typeof MEASURED)[number]

/**
 * What a lot is measured by where it is now, most wanted first; anything else may be read as well. A must by its sugar and acids, a ferment
 * by its gravity and warmth, a wine by its malic acid until that is settled and by its free SO₂ from then on (craft 3.5 to 3.10).
 * @param lot a must without one
 */
export function measuredBy(lot?: LotView): Measured[] {
  if (!lot || isMust(lot)) return lot?.stream === 'kit' ? ['sg', 'ph', 'temperature'] : ['sg', 'ph', 'ta', 'temperature']
  if (isFermenting(lot)) return ['sg', 'temperature']
  const open = lot.malolactic !== 'done' && lot.malolactic !== 'not-wanted'
  return [
    ...(drynessOf(lot)?.proven || lot.alcoholic === 'stopped' ? [] : (['sg'] as const)),
    ...(open ? (['malic'] as const) : (['freeSo2'] as const)),
    ...(lot.alcoholic === 'stopped' || lot.plan.finish === 'sweet' ? (['sugar'] as const) : []),
    'ph',
    'temperature'
  ]
}
