import { type Blend, type BlendPart, blendOf } from '../must'
import { within } from '../units'

/** Shares of the second wine in a row of glasses, pure ones at both ends. */
export const GLASS_STEPS = {
  thirds: [0, 1 / 3, 2 / 3, 1],
  quarters: [0, 1 / 4, 1 / 2, 3 / 4, 1],
  tenths: [0, 0.1, 0.2, 0.3, 0.4, 0.5]
} as const satisfies Record<string, readonly number[]>
export type GlassSteps = keyof typeof GLASS_STEPS

export interface BlendGlass {
  /** Of the second wine. */
  share: number
  /** mL of each. */
  ml: readonly [number, number]
  blend: Blend
  /** The most that can be made like it of what there is, L. */
  mostL: number
}

/**
 * A row of glasses of two wines, with what each should measure.
 * @param parts two wines, their volumes what there is of each
 * @param glassMl wine in a glass, 20 to 1000 mL
 * @throws LimitError
 */
export function blendGlasses(parts: readonly [BlendPart, BlendPart], steps: GlassSteps, glassMl: number): BlendGlass[] {
  within('glassMl', glassMl, 20, 1000)
  const [a, b] = parts
  return GLASS_STEPS[steps].map((share) => {
    const ml = [glassMl * (1 - share), glassMl * share] as const
    // A part that is not in it has no say, and no volume of nothing.
    const inIt = parts.map((p, i) => ({ ...p, volumeL: ml[i]! / 2000 })).filter((p) => p.volumeL > 0)
    const blend = blendOf(inIt.length === 1 ? [inIt[0]!, inIt[0]!] : inIt)
    const mostL = Math.min(share < 1 ? a.volumeL / (1 - share) : Infinity, share > 0 ? b.volumeL / share : Infinity)
    return { share, ml, blend, mostL }
  })
}
