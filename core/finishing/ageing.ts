import type { ClosureKind as Closure } from '../materials'
import type { WineStyle as Style } from '../acids'
import { within } from '../units'

/** Months in which such a wine is usually at its best: from, and until. Common practice, no source. */
const USUAL: Record<Style, readonly [from: number, until: number]> = { red: [6, 48], rose: [3, 18], white: [3, 24] }
/** What shortens it: no sulphite, a high pH, a closure that lets air in. Common practice, no source. */
const SHORTER = { withoutSulphite: 0.5, highPh: 0.7, crown: 0.8, swing: 0.7 } as const
const HIGH_PH = 3.7
/** It may be off by so much either way. */
const SPREAD = 0.35
/** Of a wine without sulphite nobody promises more, months: craft 3.12. */
const WITHOUT_MOST = 24
/** Shaken by bottling for so long, months. */
const SHOCK = 1.5

export interface DrinkAsked {
  style: Style
  ph: number | undefined
  sulphited: boolean
  closure?: Closure | undefined
}

export interface DrinkWindow {
  /** Months after bottling. */
  fromMonths: number
  untilMonths: { low: number, mid: number, high: number }
}

/**
 * From when and until when a bottled wine is likely good, by its style, pH, sulphite and closure. A guess with a wide band: a bottle opened
 * now and then knows better.
 * @throws LimitError
 * @example drinkWindow({ style: 'white', ph: 3.2, sulphited: true, closure: 'screw' }).untilMonths.mid // 24
 */
export function drinkWindow(wine: DrinkAsked): DrinkWindow {
  if (wine.ph !== undefined) within('ph', wine.ph, 2.5, 4.5)
  const [from, until] = USUAL[wine.style]
  const closure = wine.closure === 'crown' || wine.closure === 'swing' ? SHORTER[wine.closure] : 1
  const share = (wine.sulphited ? 1 : SHORTER.withoutSulphite) * ((wine.ph ?? 0) > HIGH_PH ? SHORTER.highPh : 1) * closure
  const mid = Math.min(until * share, wine.sulphited ? Infinity : WITHOUT_MOST)
  return {
    fromMonths: Math.max(SHOCK, Math.min(from, mid * 0.5)),
    untilMonths: { low: mid * (1 - SPREAD), mid, high: mid * (1 + SPREAD) }
  }
}
