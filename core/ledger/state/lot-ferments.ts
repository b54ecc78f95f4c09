import type { Spot } from '../../malolactic'
import type { Alcoholic } from '../facets'
import type { Figure } from './figure'

/** Its alcoholic ferment: yeast, nutrient, sugar, and how it ends. */
export interface LotFerment {
  alcoholic: Alcoholic
  inoculatedAt?: string
  /** When a ferment that had begun was given yeast again. */
  repitchedAt?: string
  /** The yeast as it was called, and its card where it has one. */
  yeast?: { name: string, cardKey?: string }
  /** Nitrogen of all nutrient given, mg N/L of the present volume; rehydration nutrient feeds the yeast in its water and does not count. */
  nitrogenGiven?: Figure
  /** Nutrient given, when and how much nitrogen, mg N/L. */
  fed: readonly { at: string, mgPerL: number, entryId: string }[]
  /** Sugar that the ferment is fed with in parts, and what of it had gone in before that was said, g. */
  sugarSteps?: { material: string, totalG: number, parts: number, givenBefore: number }
  /** When sugar or water last went in. */
  changedSugarAt?: string
  /** A glass of it with fresh yeast, kept warm for a week: whether its gravity stayed. */
  warmGlass?: { at: string, stable: boolean, entryId: string }
  /** When the person said that it is dry for this wine. */
  saidDryAt?: string
  /** When bubbles were last written down. */
  bubbled?: { at: string, entryId: string }
  /** Since when it is a wine: its ferment was over. */
  wineSince?: string
  /** Sugar came in with another wine, or nobody knows whether it did: gravities read before tell nothing of its end. */
  unsettledAt?: string
  /** When it came off its skins. */
  pressedAt?: string
  /** Wine that came off its skins, L. */
  pressedL?: number
}

/** Its malolactic fermentation. */
export interface LotMalolactic {
  bacteriaAt?: string
  /** When another culture, or the same again, last went in after the first. */
  bacteriaAgainAt?: string
  /** When somebody last said whether malolactic is wanted. */
  malolacticSaidAt?: string
  /** The culture as it was called, and its card where it has one. */
  bacteria?: { name: string, cardKey?: string }
  /** Its last paper chromatogram. */
  paper?: { at: string, malic: Spot, lactic: Spot, entryId: string }
}
