import { hoursBetween } from '../units'
import { ETHANOL_DENSITY, extractOf } from '../hydrometry'
import { isMust } from './facets'
import { DRY_SUGAR_G_PER_L } from './gravity-read'
import type { LotState } from './state'

/** Sugar that yeast could still take, g/L, in a band of four in five, and what says so. */
export interface SugarLeft {
  low: number
  mid: number
  high: number
  /** A test; a glass with fresh yeast that fell no further; a test and what went in since; or gravity and alcohol alone. */
  by: 'test' | 'warm-glass' | 'added' | 'gravity'
  at: string
  from: readonly string[]
}

/**
 * Extract of a dry wine that is no sugar, g/L, and how far wines differ, half-width. It gives the gravities at which wines end: 0.995 at
 * 10 % vol, 0.993 at 12, 0.9905 at 14, some 0.002 more in reds and more again in kits (craft 3.7, from memory; handbooks have 16 to 25
 * in whites and 20 to 33 in reds).
 */
const SUGAR_FREE = { white: [22.5, 4], rose: [23, 4], red: [26.5, 5] } as const
/** More in what was concentrated or set by its maker. */
const KIT_MORE = [5, 5] as const
/** One home gravity, half-width in g/L of extract: 0.001 SG. */
const GRAVITY_G_PER_L = 2.6
/** Extract for each % vol of alcohol at one gravity, g/L: what alcohol takes off the gravity, by the OIV's table. */
const PER_PERCENT = 2.9
/** Of a wine of which nobody knows the alcohol, % vol. */
const USUAL_ABV = { value: 12.5, spread: 2 } as const
/** What a glass that fell by no more than a hydrometer shows may still hold, g/L. Ours. */
const WARM_GLASS = { mid: 1, high: 3.5 } as const
/** A sugar test of a wine says nothing below this, g/L. */
const TEST_SPREAD = 1
/** What a gravity has to show beyond a test to speak before it, g/L. Ours. */
const CONTRADICTS = 4
/** A test of what still ferments holds for so long, h: then only what it found at most. */
const TEST_HOLDS_H = 4 * 24
/** What a gravity has to fall after a test to say that yeast has gone on, SG: two home readings differ by less. Ours. */
const FALLEN_SG = 0.0025

type Asked = Pick<LotState,
  'style' | 'stream' | 'abv' | 'sg' | 'series' | 'others' | 'warmGlass' | 'changedSugarAt' | 'unsettledAt' | 'alcoholic'>

/**
 * How much sugar may be left: one answer for dryness, the gate before the bottle, press, packets, bottles, priming, restart and
 * malolactic. A test wins; without one gravity and alcohol tell it to about ±5 g/L.
 * @returns undefined for a must, and where no gravity and no test is known
 */
export function sugarLeftOf(lot: Asked): SugarLeft | undefined {
  const test = lot.others.sugar
  const last = lot.series.sg?.at(-1)
  const since = (at: string) => [lot.changedSugarAt, lot.unsettledAt].every((change) => change === undefined || change <= at)
  const held = (at: string) => !last || (lot.alcoholic === 'active' ? hoursBetween(at, last.at) <= TEST_HOLDS_H : !hasFallenSince(lot, at))
  let most = Infinity
  if (test && !isMust(lot)) {
    const by = test.origin === 'measured' ? 'test' : 'added'
    const half = Math.max(TEST_SPREAD, test.uncertainty)
    const later = last && last.at > test.at ? sugarAtGravity(lot, last.value) : undefined
    const figure = { mid: test.value, high: test.value + half, by, at: test.at, from: test.from } as const
    // A gravity that was read since and cannot belong to so little sugar speaks before the test.
    const contradicted = later !== undefined && later.low > figure.high + CONTRADICTS
    if (held(test.at) && !contradicted) return { low: Math.max(0, test.value - half), ...figure }
    if (!contradicted && since(test.at)) most = figure.high
  }
  const glass = lot.warmGlass
  if (glass?.stable && since(glass.at)) return { low: 0, ...WARM_GLASS, by: 'warm-glass', at: glass.at, from: [glass.entryId] }
  if (isMust(lot) || !lot.sg) return undefined
  const { low, mid, high } = sugarAtGravity(lot, lot.sg.value, lot.sg.uncertainty)
  return { low: Math.min(low, most), mid: Math.min(mid, most), high: Math.min(high, most), by: 'gravity', at: lot.sg.at, from: lot.sg.from }
}

/** The gravity fell on after the test: some of what it found has been fermented since. */
function hasFallenSince({ series }: Pick<LotState, 'series'>, at: string): boolean {
  const [all, last] = [series.sg ?? [], series.sg?.at(-1)]
  const then = all.findLast((p) => p.at <= at && hoursBetween(p.at, at) <= TEST_HOLDS_H) ?? all.find((p) => p.at >= at)
  return then !== undefined && last !== undefined && last.at > at && then.value - last.value > FALLEN_SG
}

/**
 * Sugar at a gravity of this wine, g/L, by Tabarié's extract less what is no sugar in such a wine.
 * @param sg SG 20/20, @param spreadSg half-width of it
 * @returns never below 0
 */
export function sugarAtGravity(
  lot: Pick<LotState, 'style' | 'stream' | 'abv'>,
  sg: number,
  spreadSg = 0.001
): { low: number, mid: number, high: number } {
  const abv = lot.abv ?? { value: USUAL_ABV.value, uncertainty: USUAL_ABV.spread }
  const [sugarFree, spread] = SUGAR_FREE[lot.style]
  const [more, moreSpread] = lot.stream === 'kit' ? KIT_MORE : [0, 0]
  const mid = extractOf(sg, (abv.value / 100) * ETHANOL_DENSITY) - sugarFree - more
  const half = Math.hypot(spread, moreSpread, (GRAVITY_G_PER_L * spreadSg) / 0.001, PER_PERCENT * abv.uncertainty)
  return { low: Math.max(0, mid - half), mid: Math.max(0, mid), high: Math.max(0, mid + half) }
}

export type FitsDry = 'dry' | 'unclear' | 'sweet'

/**
 * Whether a gravity may be the end of a ferment. As dry as such wines get, within what a gravity can tell; or higher than most of them
 * end, so that a test has to say; or sugar is left whatever the extract. Before the bottle a narrower answer is asked for: `sugarLeftOf`.
 */
export function fitsDry(lot: Pick<LotState, 'style' | 'stream' | 'abv'>, sg: number): FitsDry {
  const { low, mid } = sugarAtGravity(lot, sg)
  return mid <= ENDS_AT_G_PER_L ? 'dry' : low <= UNCLEAR_G_PER_L ? 'unclear' : 'sweet'
}
/** Sugar by gravity that a finished ferment may show, g/L: what wines differ in extract, twice over (craft 3.7). Ours. */
const ENDS_AT_G_PER_L = 8
/** Whether it holds sugar for yeast or bacteria: by a test more than a dry wine has, by its gravity more than dry wines show. */
export function holdsSugar(lot: Asked): boolean {
  const left = sugarLeftOf(lot)
  return left !== undefined && left.mid > (left.by === 'gravity' ? ENDS_AT_G_PER_L : DRY_SUGAR_G_PER_L)
}
/** Sugar that no gravity tells from none, g/L: craft 3.7. */
const UNCLEAR_G_PER_L = 5
