import type { Finding } from '../../findings'
import { type Clarity, isHeld, isWine } from '../../ledger'
import { isOnSkins } from '../skins'
import { type Stage, hoursSince, later } from '../stage'

export type ClearingSays =
  /** Racked every so many weeks until it is clear. */
  | { code: 'rack-again', weeksSince: number, clarity?: Clarity }
  /** Nobody has looked at it since it was racked. */
  | { code: 'look-at-clarity', weeksSince: number }

/** Every 6 to 12 weeks until it is clear, craft 3.10 (common practice), h. */
const RACK_H = { from: 6 * 168, due: 9 * 168, late: 12 * 168 } as const
/** So long before it may be racked it is worth a look with a torch, h. */
const LOOK_H = 5 * 168
/** A wine that nobody entered a racking of for so long is not asked for ever, h. */
const ASKED_FOR_H = 40 * 168
const CLEAR: readonly Clarity[] = ['clear', 'bright']

/** Between its first racking and a clear wine. Stands beside what else it asks for. */
export const clearingStage: Stage<ClearingSays> = {
  code: 'clearing',
  beside: true,
  appliesTo: (lot) =>
    isHeld(lot) &&
    isWine(lot) &&
    lot.stream !== 'kit' &&
    lot.stream !== 'test' &&
    !isOnSkins(lot) &&
    lot.rackedAt !== undefined &&
    lot.plan.lees !== 'fine' &&
    // Bacteria at work want their lees, and no air.
    (lot.malolactic === 'done' || lot.malolactic === 'not-wanted'),
  tasks(lot, _cellar, now): Finding<ClearingSays>[] {
    const racked = lot.rackedAt!
    const hours = hoursSince(racked, now)
    const seen = lot.clarity && lot.clarity.at > racked ? lot.clarity : undefined
    if (hours > ASKED_FOR_H || (seen && CLEAR.includes(seen.is))) return []
    const about = { task: true, lotId: lot.id, evidence: seen ? [seen.entryId] : [] } as const
    if (!seen && hours >= LOOK_H)
      return [
        {
          code: 'look-at-clarity',
          key: 'look-at-clarity',
          weeksSince: hours / 168,
          urgency: 'soon',
          window: { from: later(racked, LOOK_H), due: later(racked, RACK_H.due) },
          minutes: 5,
          action: { to: 'lot', lotId: lot.id, log: 'note' },
          ...about
        }
      ]
    return [
      {
        code: 'rack-again',
        key: `rack-again:${racked.slice(0, 10)}`,
        weeksSince: hours / 168,
        ...(seen && { clarity: seen.is }),
        urgency: hours >= RACK_H.from ? 'soon' : 'wait',
        window: { from: later(racked, RACK_H.from), due: later(racked, RACK_H.due), late: later(racked, RACK_H.late) },
        minutes: 45,
        action: { to: 'racking', lotId: lot.id },
        ...about
      }
    ]
  },
  findings: () => []
}
