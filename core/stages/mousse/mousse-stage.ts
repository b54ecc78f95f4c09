import type { Finding } from '../../findings'
import type { LotView } from '../../ledger'
import { type Stage, hoursSince, later } from '../stage'

export type MousseSays =
  /** Lying in the warm while it ferments in the bottle. */
  | { code: 'bottles-lie', weeksIn: number, weeksLeft: number }
  | { code: 'open-one', weeksIn: number }
  | { code: 'riddle', months: number }
  | { code: 'disgorge', weeksRiddled: number }
  | { code: 'pour-off-lees', months: number }

/** The second ferment: a look at a bottle, and when it is over; common practice, no source. */
const WEEK_H = 168
const FERMENTS_WEEKS = { look: 3, over: 8 } as const
/** On the lees from here on it tastes of more than gas: nine months is the least of several rules for bottle-fermented wine. */
const LEES_MONTHS = 9
const MONTH_H = 30.4 * 24
/** By hand, a turn or two a day. */
const RIDDLED_WEEKS = 3

/** Bottles that ferment or lie on their lees: since when, and what was done to them; undefined when there are none. */
export function mousseOf(lot: LotView): { since: string, left: number, riddled?: string, disgorged?: string } | undefined {
  const still = new Set(['cork', 'screw'])
  const lying = lot.bottled.filter((b) => b.left > 0 && !(b.closure && still.has(b.closure)))
  const since = lying
    .map((b) => b.at)
    .sort()
    .at(-1)
  if (!lot.plan.sparkling || !since) return undefined
  const done = (what: 'riddle' | 'disgorge') => {
    const at = lot.worked.get(what)?.at
    return at !== undefined && at >= since ? at : undefined
  }
  const [riddled, disgorged] = [done('riddle'), done('disgorge')]
  return { since, left: lying.reduce((sum, b) => sum + b.left, 0), ...(riddled && { riddled }), ...(disgorged && { disgorged }) }
}

/** The second ferment in the bottle and what follows it: lying, a look, then riddling and disgorging, or pouring it off its lees. */
export const mousseStage: Stage<MousseSays> = {
  code: 'mousse',
  beside: true,
  appliesTo: (lot) => mousseOf(lot) !== undefined,
  tasks(lot, _cellar, now): Finding<MousseSays>[] {
    const { since, riddled, disgorged } = mousseOf(lot)!
    if (disgorged) return []
    const about = { task: true, lotId: lot.id, evidence: [] } as const
    const work = (what: 'riddle' | 'disgorge') => ({
      logs: [{ type: 'operation', lotId: lot.id, what }],
      action: { to: 'lot', lotId: lot.id, log: 'operation', what }
    }) as const
    const weeksIn = Math.max(0, hoursSince(since, now) / WEEK_H)
    if (riddled) {
      const due = later(riddled, RIDDLED_WEEKS * WEEK_H)
      const weeksRiddled = Math.max(0, hoursSince(riddled, now) / WEEK_H)
      const urgency = now >= due ? 'soon' : 'wait'
      return [{ code: 'disgorge', key: 'disgorge', weeksRiddled, urgency, window: { due }, minutes: 120, ...work('disgorge'), ...about }]
    }
    const looked = lot.tastedAt !== undefined && lot.tastedAt >= later(since, FERMENTS_WEEKS.look * WEEK_H)
    const overAt = later(since, FERMENTS_WEEKS.over * WEEK_H)
    if (now < overAt) {
      const lie: Finding<MousseSays> = {
        code: 'bottles-lie',
        key: 'bottles-lie',
        weeksIn,
        weeksLeft: FERMENTS_WEEKS.over - weeksIn,
        urgency: 'wait',
        window: { due: overAt },
        minutes: 5,
        ...about
      }
      if (looked || weeksIn < FERMENTS_WEEKS.look) return [lie]
    }
    if (!looked)
      return [
        {
          code: 'open-one',
          key: 'open-one',
          weeksIn,
          urgency: 'soon',
          window: { due: later(since, FERMENTS_WEEKS.look * WEEK_H) },
          minutes: 15,
          action: { to: 'lot', lotId: lot.id, log: 'tasting' },
          ...about
        }
      ]
    const months = hoursSince(since, now) / MONTH_H
    const due = later(since, LEES_MONTHS * MONTH_H)
    const urgency = now >= due ? 'soon' : 'wait'
    // The method that leaves the lees in says so in its plan.
    if (lot.plan.lees === 'fine')
      return [{ code: 'pour-off-lees', key: 'pour-off-lees', months, urgency: 'wait', window: { due }, minutes: 5, ...about }]
    return [{ code: 'riddle', key: 'riddle', months, urgency, window: { due }, minutes: 30, ...work('riddle'), ...about }]
  },
  findings: () => []
}
