import { within } from '../units'

/** When reds are pressed, by method (craft 3.8). */
export const PRESS_METHODS = ['early', 'at-dryness', 'extended'] as const
export type PressMethod = (typeof PRESS_METHODS)[number]

/** Gravity and days on skins at which each method presses; common practice, no source (5 to 0 °Brix; dry; three to four weeks). */
const WHEN = {
  'early': { fromSg: 1.02, toSg: 1.0, days: { from: 4, to: 12 } },
  'at-dryness': { fromSg: 0.998, toSg: 0.985, days: { from: 6, to: 18 } },
  'extended': { fromSg: 0.998, toSg: 0.985, days: { from: 21, to: 28 } }
} as const
/** No method leaves skins in longer, days: common practice, no source (three to four weeks of extended maceration). */
const LONGEST_DAYS = { 'early': 21, 'at-dryness': 28, 'extended': 42 } as const
/** Part of the wine that runs by itself, of what the must gives altogether: common practice, no source. */
const FREE_RUN = { low: 0.7, mid: 0.77, high: 0.85 } as const
/** Wine from a litre of must with its skins, and the part that settles as gross lees in the first days. */
const WINE = { low: 0.65, mid: 0.7, high: 0.75 } as const
const LEES = { low: 0.03, mid: 0.05, high: 0.08 } as const
/** Under so much there is no sense in keeping the press fraction apart, L. */
const WORTH_APART_L = 4
/** Off the gross lees after, h (craft 3.8). */
const FIRST_RACKING_H = { from: 24, to: 72 } as const

export interface PressAsked {
  /** Liquid and skins together where it is known as such; else the wine expected. */
  mustL?: number
  wineL?: number
  method: PressMethod
  sg: number
  daysOnSkins: number
  /** Its gravity has been the same for two days or more: it falls no further on the skins. */
  stopped?: boolean
  /** Bitter or green by taste of skins and seeds: what is to be gained is over. */
  tannin?: 'soft' | 'ripe' | 'harsh'
}
export type PressFinding =
  | { code: 'press-now', because: 'gravity' | 'days' | 'taste' | 'stopped' | 'too-long' }
  | { code: 'wait-for-gravity', toSg: number }
  | { code: 'wait-for-days', days: number }
  /** Sugar left goes on in the closed vessel: airlock and room for foam. */
  | { code: 'still-fermenting', sg: number }
  | { code: 'skins-long', days: number }
  | { code: 'apart' }
  | { code: 'together' }
export interface Litres80 { low: number, mid: number, high: number }
export interface PressDay {
  ready: boolean
  wineL: Litres80
  freeRunL: Litres80
  pressL: Litres80
  /** Of both, to settle in the first days. */
  leesL: Litres80
  /** h after pressing, to the first racking. */
  firstRackingH: { from: number, to: number }
  findings: PressFinding[]
}

/**
 * Whether to press, and what comes of it.
 * @param given must on skins or wine expected, 1 to 100 000 L; SG 0.97 to 1.2; 0 to 120 days
 * @throws LimitError
 * @example pressDay({ mustL: 100, method: 'at-dryness', sg: 0.995, daysOnSkins: 9 }).freeRunL.mid // 53.9
 */
export function pressDay(given: PressAsked): PressDay {
  const { method, sg, daysOnSkins } = given
  within('sg', sg, 0.97, 1.2)
  within('daysOnSkins', daysOnSkins, 0, 120)
  const spread = (of: Litres80, litres: number): Litres80 => ({ low: of.low * litres, mid: of.mid * litres, high: of.high * litres })
  const wineL =
    given.wineL !== undefined
      ? spread({ low: 0.93, mid: 1, high: 1.07 }, within('wineL', given.wineL, 1, 100_000))
      : spread(WINE, within('mustL', given.mustL ?? NaN, 1, 100_000))
  const freeRunL = spread(FREE_RUN, wineL.mid)
  const pressL = { low: wineL.mid - freeRunL.high, mid: wineL.mid - freeRunL.mid, high: wineL.mid - freeRunL.low }
  const { fromSg, days } = WHEN[method]
  const findings: PressFinding[] = []
  const byTaste = given.tannin === 'harsh'
  const bySg = sg <= fromSg
  const byDays = daysOnSkins >= days.from
  const asked = byTaste || (method === 'early' ? bySg : bySg && byDays)
  // A gravity that is never reached is waited for no longer than any method leaves skins in the must.
  const stopped = given.stopped === true && method !== 'extended'
  const tooLong = daysOnSkins > LONGEST_DAYS[method]
  const ready = asked || stopped || tooLong
  const because = byTaste ? 'taste' : asked ? (method === 'extended' ? 'days' : 'gravity') : stopped ? 'stopped' : 'too-long'
  if (ready) findings.push({ code: 'press-now', because })
  else if (!bySg) findings.push({ code: 'wait-for-gravity', toSg: fromSg })
  else findings.push({ code: 'wait-for-days', days: days.from - daysOnSkins })
  if (sg > 1) findings.push({ code: 'still-fermenting', sg })
  if (daysOnSkins > days.to) findings.push({ code: 'skins-long', days: daysOnSkins })
  findings.push({ code: pressL.mid >= WORTH_APART_L ? 'apart' : 'together' })
  return { ready, wineL, freeRunL, pressL, leesL: spread(LEES, wineL.mid), firstRackingH: { ...FIRST_RACKING_H }, findings }
}
