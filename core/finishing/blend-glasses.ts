import { type Blend, type BlendPart, blendOf } from '../must'
import { within } from '../units'

/** How finely a glass is parted: into so many parts; with a base, that many of them at least are of the first wine. */
const PARTED = { halves: { of: 2 }, thirds: { of: 3 }, quarters: { of: 4 }, tenths: { of: 10, base: { two: 5, more: 8 } } } as const
export type GlassSteps = keyof typeof PARTED
/** More glasses than this nobody tells apart at one sitting. */
const MOST_GLASSES = 15
const MOST_WINES = 5

export interface BlendGlass {
  /** Of each wine, together 1. */
  shares: readonly number[]
  /** mL of each. */
  ml: readonly number[]
  blend: Blend
  /** The most that can be made like it of what there is, L. */
  mostL: number
}

/** The steps in which so many wines stand in few enough glasses. */
export const stepsFor = (wines: number): GlassSteps[] =>
  (Object.keys(PARTED) as GlassSteps[]).filter((steps) => {
    const glasses = mixtures(wines, steps).length
    return glasses > wines && glasses <= MOST_GLASSES
  })

/** Every way to part a glass among so many wines, the purest of the first one first. */
function mixtures(wines: number, steps: GlassSteps): number[][] {
  const parted = PARTED[steps]
  const least = 'base' in parted ? (wines === 2 ? parted.base.two : parted.base.more) : 0
  const of = (left: number, places: number): number[][] =>
    places === 1
      ? [[left]]
      : Array.from({ length: left + 1 }, (_, i) => left - i).flatMap((n) => of(left - n, places - 1).map((r) => [n, ...r]))
  return of(parted.of, within('wines', wines, 2, MOST_WINES))
    .filter(([first]) => first! >= least)
    .map((parts) => parts.map((n) => n / parted.of))
}

/**
 * Glasses of two to five wines, with what each should measure, without bands.
 * @param parts the wines, their volumes what there is of each
 * @param steps how finely; see `stepsFor`
 * @param glassMl wine in a glass, 20 to 1000 mL
 * @throws LimitError
 * @example blendGlasses([{ volumeL: 10, abv: 12 }, { volumeL: 30, abv: 14 }], 'quarters', 100) // five glasses
 */
export function blendGlasses(parts: readonly BlendPart[], steps: GlassSteps, glassMl: number): BlendGlass[] {
  within('glassMl', glassMl, 20, 1000)
  return mixtures(parts.length, steps).map((shares) => {
    const ml = shares.map((share) => glassMl * share)
    // A part that is not in it has no say, and no volume of nothing.
    const inIt = parts.map((p, i) => ({ ...p, volumeL: ml[i]! / 2000 })).filter((p) => p.volumeL > 0)
    const blend = blendOf(inIt.length === 1 ? [inIt[0]!, inIt[0]!] : inIt, false)
    const mostL = Math.min(...shares.map((share, i) => (share > 0 ? parts[i]!.volumeL / share : Infinity)))
    return { shares, ml, blend, mostL }
  })
}
