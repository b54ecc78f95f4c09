import type { ReadingQuantity } from '../entry'
import type { Figure, LotState } from '../state'
import { freeSo2At } from '../free-so2'
import { residualOf } from './residual'

/** A figure that says how much of something is dissolved in a litre: water thins it, a blend mixes it by volume. */
export interface Solute {
  name: string
  get: (lot: LotState) => Figure | undefined
  set: (lot: LotState, figure: Figure | undefined) => void
  /** What a lot holds of which nothing is noted: none of it (nutrient that nobody gave), or nobody knows. */
  unnoted: 'none' | 'unknown'
  /** What is left of it in a lot at a later instant, where time alone takes of it. */
  standing?: (lot: LotState, at: string) => Figure | undefined
  /** What can be said of it where nothing is noted, once the other side of a blend is known. */
  guess?: (lot: LotState) => Figure | undefined
}

function ofLot(name: 'freeSo2' | 'totalSo2' | 'nitrogenGiven', unnoted: Solute['unnoted']): Solute {
  return {
    name,
    unnoted,
    get: (lot) => lot[name],
    set(lot, figure) {
      if (figure) lot[name] = figure
      else Reflect.deleteProperty(lot, name)
    }
  }
}

function ofReading(name: Extract<ReadingQuantity, 'malic' | 'yan' | 'sugar'>): Solute {
  return {
    name,
    unnoted: 'unknown',
    get: (lot) => lot.others[name],
    set(lot, figure) {
      const { [name]: _old, ...rest } = lot.others
      lot.others = figure ? { ...rest, [name]: figure } : rest
    }
  }
}

/** What is known of a solute of a lot, as it stands at an instant. */
export const soluteAt = (solute: Solute, lot: LotState, at: string): Figure | undefined =>
  solute.standing ? solute.standing(lot, at) : solute.get(lot)

/**
 * Everything dissolved that is carried as a figure of its own. Sugar and alcohol have their mass balance, the acids their
 * composition, each with a law of its own beside this one; nothing else may thin or mix on its own account.
 */
export const SOLUTES: readonly Solute[] = [
  // It has fallen since it was read: what is mixed is what is left.
  { ...ofLot('freeSo2', 'unknown'), standing: (lot, at) => lot.freeSo2 && freeSo2At(lot.freeSo2, at) },
  ofLot('totalSo2', 'unknown'),
  ofLot('nitrogenGiven', 'none'),
  ofReading('malic'),
  ofReading('yan'),
  // A dry wine is known to have little: a sweet one that comes into it is not forgotten.
  { ...ofReading('sugar'), guess: residualOf }
]
