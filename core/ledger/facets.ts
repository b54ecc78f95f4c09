import type { LotState } from './state'

/** Where the yeast's work stands. What is stuck only time tells: see `lotAt`. */
export const ALCOHOLIC = ['none', 'active', 'dry', 'stuck', 'stopped'] as const
export type Alcoholic = (typeof ALCOHOLIC)[number]

type Facets = Pick<LotState, 'alcoholic' | 'volume' | 'bottles'>

/** Less than this is nothing any more: a cup in the lees, L. */
export const HELD_L = 0.05

export const isHeld = (lot: Pick<LotState, 'volume'>): boolean => lot.volume.value > HELD_L
/** The vessel that most of it is in; undefined where none was said. */
export const mainVesselOf = ({ contents }: Pick<LotState, 'contents'>): string | undefined =>
  [...contents].reduce<[string, number]>((most, is) => (is[1] > most[1] ? is : most), ['', 0])[0] || undefined
/** A lot is over when nothing is held. */
export const isOver = (lot: Facets): boolean => !isHeld(lot)
export const isMust = (lot: Pick<LotState, 'alcoholic'>): boolean => lot.alcoholic === 'none'
export const isFermenting = (lot: Pick<LotState, 'alcoholic'>): boolean => lot.alcoholic === 'active' || lot.alcoholic === 'stuck'
export const isWine = (lot: Pick<LotState, 'alcoholic'>): boolean => lot.alcoholic === 'dry' || lot.alcoholic === 'stopped'

/** The yeast's work comes to stand otherwise; since when it is a wine is remembered. */
export function becomes(lot: LotState, alcoholic: Alcoholic, at: string): void {
  lot.alcoholic = alcoholic
  if (isWine(lot)) lot.wineSince ??= at
  else delete lot.wineSince
}

/** One word for where a lot stands, for a label; advice asks the facets themselves. */
export type Standing = 'must' | 'fermenting' | 'wine' | 'bottled' | 'empty'
export function standingOf(lot: Facets): Standing {
  if (isOver(lot)) return lot.bottles > 0 ? 'bottled' : 'empty'
  return isMust(lot) ? 'must' : isWine(lot) ? 'wine' : 'fermenting'
}
