import type { Finding, WayOut } from '../../findings'
import { type LotView, isHeld, isWine, sugarLeftOf } from '../../ledger'
import { leesSince, wineFrom } from '../off-lees'
import { isOnSkins } from '../skins'
import { type Stage, hoursSince, later } from '../stage'
import type { Condition, ConditionCode } from './conditions'
import { type Gate, readinessOf } from './readiness'

export type BottlingSays =
  /** One thing is still wanted before the wine can be bottled. */
  | { code: 'settle', gate: Gate, condition: Condition, left: number }
  /** Its free SO₂ was last reckoned, not read: it is read before the last dose. */
  | { code: 'free-before-bottle', freeMgPerL: number }
  /** It is to be sweet, and is dry: now it may be sweetened. */
  | { code: 'sweeten', hold: 'sorbate' | 'heat' | 'none', needsHeat?: true }
  /** Everything is as it should be, or will be: fill the bottles. */
  /** `beyondHelp`: what nothing can settle any more; the bench has the person confirm it. */
  | { code: 'bottle', gate: Gate, open: number, monthsIn: number, notBefore?: string, beyondHelp?: Condition }
  /** Less than a bottle is left. */
  | { code: 'remnant', litres: number }
type Says = Finding<BottlingSays>

const MONTH_H = 30.4 * 24
/** From dry to the bottle: months, earliest, usual, and when it has lain long enough. Common practice, no source. */
const MONTHS = {
  kit: { from: 1.5, due: 3, late: 9 },
  white: { from: 4, due: 6, late: 12 },
  rose: { from: 3, due: 5, late: 9 },
  red: { from: 6, due: 10, late: 20 },
  sparkling: { from: 2, due: 5, late: 9 }
} as const
/** What is wanted before bottling is asked for so long before its day, h: a cold test and a fining take weeks. Ours. */
const LEAD_H = 8 * 168
/** It is smelt, and gets its sulphite for the bottle, last and not weeks before. Ours. */
const LAST: ReadonlySet<ConditionCode> = new Set(['sound', 'sulphite-for-bottle'])
/** Nothing settles it, or no more sulphite may go in: it is told elsewhere, and bottled knowingly. */
const pastHelp = (c: Condition): boolean => c.code === 'no-malolactic-with-sorbate' || c.because === 'limit'
/** Less than one bottle: a wine of its own no more, L. */
export const BOTTLE_L = 0.75

/** From when it only has to become clear and ripe: dry, or off its skins. */
const restsSince = (lot: LotView): string =>
  [leesSince(lot) ?? wineFrom(lot), lot.pressedAt].filter((at) => at !== undefined).sort().at(-1) ?? lot.startedAt

/** Months that such a wine rests before the bottle: from when, by when, and when it is late. */
export const monthsOfRest = (lot: LotView): (typeof MONTHS)[keyof typeof MONTHS] =>
  lot.plan.sparkling ? MONTHS.sparkling : lot.stream === 'kit' ? MONTHS.kit : MONTHS[lot.style]

/** When such a wine goes to the bottle, from when it was a wine. */
export function bottlingWindow(lot: LotView): { from: string, due: string, late: string } {
  const since = restsSince(lot)
  const months = monthsOfRest(lot)
  return { from: later(since, months.from * MONTH_H), due: later(since, months.due * MONTH_H), late: later(since, months.late * MONTH_H) }
}

/**
 * The last stretch: what a bottling still wants, asked for in time and each with the bench that settles it, and then the bottling itself.
 * Stands beside everything else, so that every wine has a date.
 */
export const bottlingStage: Stage<BottlingSays> = {
  code: 'bottling',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test' && !isOnSkins(lot),
  tasks(lot, cellar, now): Says[] {
    if (lot.volume.value < BOTTLE_L) return [remnant(lot)]
    const window = bottlingWindow(lot)
    const gate: Gate = lot.plan.sparkling ? 'bottling-sparkling' : 'bottling-still'
    const { open } = readinessOf(lot, gate, now)
    const about = { task: true, lotId: lot.id } as const
    const near = hoursSince(window.from, now) >= -LEAD_H
    const wantsSugar = near && gate === 'bottling-still' && isToBeSweetened(lot)
    const helped = open.filter((c) => !pastHelp(c))
    const beyondHelp = open.find(pastHelp)
    // A malolactic that is to come or under way is followed by its own stage.
    const isFollowed = (c: Condition) => c.code === 'malic-settled' && lot.malolactic !== 'not-wanted'
    const first = helped.filter((c) => !LAST.has(c.code))
    const asked = !near ? [] : first.length > 0 ? first : now >= window.from ? helped : []
    const ready = helped.length === 0 && !wantsSugar
    // Sugar goes into a wine that is ready but for its smell and its last sulphite.
    const before = wantsSugar && first.every((c) => c.code === 'sweetness-held') ? readinessOf(lot, 'sweetening', now).open : undefined
    // Where the limit leaves no room for more sulphite it is sweetened with what it has, and held by heat.
    const sweeten = before?.every(pastHelp) === true
    const needsHeat = before?.some(pastHelp) === true && lot.plan.hold === 'sorbate'
    // A dose to the bottle, or one that locks malic acid, goes by a reading and not by what was reckoned.
    const isDose = (c: Condition) => c.code === 'sulphite-for-bottle' || (c.code === 'malic-settled' && c.settle?.to === 'sulphite')
    const dosing = asked.some(isDose) && !wantsSugar
    // Until it is locked bacteria may begin at any time: what a dose left free is read at once, not with the bottling.
    const locks = asked.some((c) => isDose(c) && c.code === 'malic-settled')
    const readIn = locks ? { from: later(window.from, -LEAD_H), due: window.from } : window
    /** The last dose binds: neither read nor added to until it has. */
    const binds = lot.lastSulphiteAt !== undefined && hoursSince(lot.lastSulphiteAt, now) < BINDS_H
    const unread = dosing && cellar.equipment?.['so2-kit'] !== false && !wasRead(lot, now)
    return [
      ...(unread && !binds ? [readFree(lot, readIn)] : []),
      ...(sweeten ? [sweetening(lot, window, needsHeat)] : []),
      // What stands in the cold needs nothing but its week.
      ...asked.filter((c) => c.because !== 'chilling' && !isFollowed(c) && !((unread || binds) && isDose(c))).map((condition): Says => ({
        code: 'settle',
        gate,
        condition,
        left: open.length,
        key: `settle:${condition.code}`,
        urgency: now >= window.from && condition.notBefore === undefined ? 'soon' : 'wait',
        window: settledIn(condition, window),
        minutes: 15,
        evidence: condition.evidence,
        ...(condition.settle && { action: condition.settle }),
        ...(condition.waysOut?.length && { [condition.settle ? 'waysRound' : 'waysOut']: condition.waysOut }),
        ...about
      })),
      {
        code: 'bottle',
        gate,
        open: helped.length,
        ...(beyondHelp && { beyondHelp }),
        monthsIn: hoursSince(restsSince(lot), now) / MONTH_H,
        ...(now < window.from && { notBefore: window.from }),
        key: 'bottle',
        urgency: ready && now >= window.from ? 'soon' : 'wait',
        window,
        minutes: 120,
        evidence: [],
        action: { to: 'bottle', lotId: lot.id, ...(lot.plan.sparkling && { sparkling: true as const }) },
        ...about
      }
    ]
  },
  findings: () => []
}

/** From when it may be settled: in the last weeks before the bottle, and not before a look at it tells something new. */
function settledIn({ notBefore }: Condition, { from, due }: { from: string, due: string }): { from: string, due: string } {
  const soonest = [later(from, -LEAD_H), notBefore].filter((at) => at !== undefined).sort().at(-1)!
  return { from: soonest, due: [soonest, due].sort()[1]! }
}

/** Free SO₂ was titrated of late, with what went in before it bound: the last dose goes by that. */
function wasRead(lot: LotView, now: string): boolean {
  const last = lot.series.freeSo2?.at(-1)
  const dosed = lot.lastSulphiteAt
  return last !== undefined && hoursSince(last.at, now) <= READ_H && (dosed === undefined || hoursSince(dosed, last.at) >= BINDS_H)
}
/** So long after a dose a reading shows what stays free, h: two days (common practice), less what a morning is early. */
const BINDS_H = 40
/** A titration speaks for a wine at rest for so long, h. Ours. */
const READ_H = 14 * 24

const readFree = (lot: LotView, { from, due }: { from: string, due: string }): Says => ({
  code: 'free-before-bottle',
  freeMgPerL: lot.freeSo2?.value ?? 0,
  key: 'free-before-bottle',
  urgency: 'soon',
  task: true,
  lotId: lot.id,
  minutes: 15,
  window: { from, due },
  evidence: lot.freeSo2?.from ?? [],
  action: { to: 'measure', lotId: lot.id, what: 'freeSo2' },
  waysRound: [{ code: 'no-instrument', drafts: [{ type: 'equipment-said', has: { 'so2-kit': false } }] }]
})

/** Planned sweet; no sugar went in since it was a wine, and it holds next to none. */
function isToBeSweetened(lot: LotView): boolean {
  if (lot.plan.finish !== 'sweet') return false
  const sweetened = lot.changedSugarAt !== undefined && lot.wineSince !== undefined && lot.changedSugarAt >= lot.wineSince
  return !sweetened && (sugarLeftOf(lot)?.low ?? 0) < DRY_UNTIL
}
/** Less sugar than this nobody tastes as sweet, g/L: common practice, no source. */
const DRY_UNTIL = 6

const sweetening = (lot: LotView, { from, due }: { from: string, due: string }, needsHeat: boolean): Says => ({
  code: 'sweeten',
  hold: lot.plan.hold,
  key: 'sweeten',
  urgency: 'soon',
  task: true,
  lotId: lot.id,
  minutes: 45,
  window: { from: later(from, -LEAD_H), due },
  evidence: [],
  // Sorbate wants more sulphite beside it than may go in.
  ...(needsHeat
    ? {
        needsHeat: true as const,
        waysOut: [{ code: 'hold-by-heat', drafts: [{ type: 'lot-planned', lotId: lot.id, hold: 'heat' }] }, keepDry(lot)]
      }
    : { action: { to: 'sweeten', lotId: lot.id }, waysRound: [keepDry(lot)] })
})
const keepDry = (lot: LotView): WayOut => ({ code: 'keep-dry', drafts: [{ type: 'lot-planned', lotId: lot.id, finish: 'dry' }] })

/** What is left in a bottling, a racking or a jug: no lot to be kept, topped up and measured. */
function remnant(lot: LotView): Says {
  const over = (code: 'drink-it' | 'vinegar' | 'pour-away'): WayOut =>
    ({ code, drafts: [{ type: 'lot-amended', lotId: lot.id, ended: true }] })
  return {
    code: 'remnant',
    litres: lot.volume.value,
    key: 'remnant',
    urgency: 'soon',
    task: true,
    lotId: lot.id,
    minutes: 5,
    evidence: lot.volume.from,
    waysOut: [
      over('drink-it'),
      { code: 'top-up-with-it', action: { to: 'move', lotId: lot.id, as: 'top-up' } },
      over('vinegar'),
      over('pour-away')
    ]
  }
}
