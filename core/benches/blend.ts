import type { BlendSource } from '../finishing'
import { type Blend, type BlendPart, blendOf } from '../must'
import { withinLimits } from '../units'

/** A wine on the blending bench: what is known of it, and how much of it goes in. */
export interface BlendWine extends Partial<BlendPart> {
  name: string
  /** Of a lot, or nothing where it is from outside. */
  lotId: string
  /** All that the lot holds, L. */
  heldL?: number | undefined
}
export interface BlendAnswer {
  /** What they come to; missing while one of them has no volume. */
  blend?: Blend | undefined
  /** The wines as what there is of each, to find a wanted blend; none until each has a volume. */
  sources: (BlendSource & { name: string })[]
  /** To be tried in glasses: of a lot, all that there is. */
  inGlasses?: (BlendPart & { name: string, lotId: string })[] | undefined
}

/** Wines put together: what they come to, and what can be made of them. */
export function blendAnswer(wines: readonly BlendWine[]): BlendAnswer {
  const all = wines.map(({ volumeL, heldL, ...wine }) => ({ ...wine, volumeL: volumeL ?? Number.NaN, heldL: heldL ?? volumeL ?? 0 }))
  const known = all.every((w) => !Number.isNaN(w.volumeL))
  // What nothing is taken of has no say; one wine alone is no blend.
  const taken = all.filter((w) => w.volumeL > 0)
  return {
    blend: known && taken.length > 1 ? withinLimits(() => blendOf(taken)) : undefined,
    sources: all.every((w) => w.volumeL > 0) ? all.map((w, i) => ({ ...w, id: String(i), availableL: w.volumeL })) : [],
    inGlasses: all.every((w) => w.heldL > 0) ? all.map((w) => ({ ...w, volumeL: w.heldL })) : undefined
  }
}
