import type { Finding, WayOut } from '../../findings'
import { type LotView, isHeld, isWine } from '../../ledger'
import { leesSince, wineFrom } from '../off-lees'
import { isOnSkins } from '../skins'
import { type Stage, hoursSince, later } from '../stage'
import type { Condition, ConditionCode } from './conditions'
import { type Gate, readinessOf } from './readiness'

export type BottlingSays =
  /** One thing is still wanted before the wine can be bottled. */
  | { code: 'settle', gate: Gate, condition: Condition, left: number }
  /** Everything is as it should be, or will be: fill the bottles. */
  | { code: 'bottle', gate: Gate, open: number, monthsIn: number }
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
/** Sulphite for the bottle goes in last, and not weeks before. Ours. */
const LAST: ReadonlySet<ConditionCode> = new Set(['sulphite-for-bottle'])
/** Nothing settles it: it is told elsewhere. */
const PAST_HELP: ReadonlySet<ConditionCode> = new Set(['no-malolactic-with-sorbate'])
/** Less than one bottle: a wine of its own no more, L. */
const BOTTLE_L = 0.75

/** From when it only has to become clear and ripe: dry, or off its skins. */
const restsSince = (lot: LotView): string | undefined =>
  [leesSince(lot) ?? wineFrom(lot), lot.pressedAt].filter((at) => at !== undefined).sort().at(-1)

/** When such a wine goes to the bottle, from when it was a wine. */
export function bottlingWindow(lot: LotView): { from: string, due: string, late: string } | undefined {
  const since = restsSince(lot)
  if (since === undefined) return undefined
  const months = lot.plan.sparkling ? MONTHS.sparkling : lot.stream === 'kit' ? MONTHS.kit : MONTHS[lot.style]
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
  tasks(lot, _cellar, now): Says[] {
    if (lot.volume.value < BOTTLE_L) return [remnant(lot)]
    const window = bottlingWindow(lot)
    if (!window) return []
    const gate: Gate = lot.plan.sparkling ? 'bottling-sparkling' : 'bottling-still'
    const { open } = readinessOf(lot, gate, now)
    const about = { task: true, lotId: lot.id } as const
    const near = hoursSince(window.from, now) >= -LEAD_H
    const first = open.filter((c) => !LAST.has(c.code) && !PAST_HELP.has(c.code))
    const asked = !near ? [] : first.length > 0 ? first : now >= window.from ? open.filter((c) => LAST.has(c.code)) : []
    const ready = open.every((c) => PAST_HELP.has(c.code))
    return [
      ...asked.map((condition): Says => ({
        code: 'settle',
        gate,
        condition,
        left: open.length,
        key: `settle:${condition.code}`,
        urgency: now >= window.from ? 'soon' : 'wait',
        window: { from: later(window.from, -LEAD_H), due: window.due },
        minutes: 15,
        evidence: condition.evidence,
        ...(condition.settle && { action: condition.settle }),
        ...(condition.waysOut?.length && { [condition.settle ? 'waysRound' : 'waysOut']: condition.waysOut }),
        ...about
      })),
      {
        code: 'bottle',
        gate,
        open: open.length,
        monthsIn: hoursSince(restsSince(lot)!, now) / MONTH_H,
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

/** What is left in a bottling, a racking or a jug: no lot to be kept, topped up and measured. */
function remnant(lot: LotView): Says {
  const over = (code: 'drink-it' | 'vinegar' | 'pour-away'): WayOut => ({ code, drafts: [{ type: 'lot-amended', lotId: lot.id, ended: true }] })
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
