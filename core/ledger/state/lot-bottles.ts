import type { Closure } from '../entries/closures'
import type { Fault } from '../entries/faults'

/** Its bottles. */
export interface LotBottles {
  /** Bottles filled from it, and the wine in them, L. */
  bottles: number
  bottledL: number
  /** What of them is left, by bottling and size, oldest first. */
  bottled: readonly Bottled[]
  /** How it was rated, 1 to 10, oldest first. */
  tastings: readonly { at: string, rating: number, entryId: string, faults?: readonly Fault[] }[]
}

export interface Bottled {
  at: string
  sizeMl: number
  left: number
  closure?: Closure
  place?: string
  /** The card of the bottle. */
  material?: string
  /** What went into it, as far as it was known: free SO₂ and the sugar that yeast could take, at most, mg/L and g/L. */
  freeMgPerL?: number
  sugarMid?: number
  sugarHigh?: number
}
