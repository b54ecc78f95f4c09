import type { Finding } from '../../findings'
import { type Clarity, type LotView, isClear, isHeld, isWine } from '../../ledger'
import { FININGS } from '../fined'
import { wineFrom } from '../off-lees'
import { isOnSkins } from '../skins'
import { type Stage, hoursSince, later } from '../stage'

export type ClearingSays =
  /** Racked every so many weeks until it is clear. */
  | { code: 'rack-again', weeksSince: number, clarity?: Clarity }
  /** Nobody has looked at it since it was racked. */
  | { code: 'look-at-clarity', weeksSince: number }
  /** Racking does not take its haze: something else has to, or it stays. */
  | { code: 'haze-stays', weeksSince: number, clarity: Clarity, rackings: number }
type Says = Finding<ClearingSays>

/** Every 6 to 12 weeks until it is clear, craft 3.10 (common practice), h. */
const RACK_H = { from: 6 * 168, due: 9 * 168, late: 12 * 168 } as const
/** So long before it may be racked it is worth a look with a torch, h. */
const LOOK_H = 5 * 168
/** So many rackings since its ferment take what racking takes; twice is often enough (craft 3.10). */
const RACKINGS = 2
/** Time may take it after all, days. */
const WAIT_DAYS = 42

/** Between its first racking and a clear wine. Stands beside what else it asks for. */
export const clearingStage: Stage<ClearingSays> = {
  code: 'clearing',
  beside: true,
  appliesTo: (lot) =>
    isHeld(lot) &&
    isWine(lot) &&
    lot.stream !== 'test' &&
    !isOnSkins(lot) &&
    lot.rackedAt !== undefined &&
    wineFrom(lot) !== undefined &&
    lot.rackedAt > wineFrom(lot)! &&
    lot.plan.lees !== 'fine' &&
    lot.plan.clarity !== 'accept' &&
    // Bacteria at work want their lees, and no air.
    (lot.malolactic === 'done' || lot.malolactic === 'not-wanted'),
  tasks(lot, _cellar, now): Says[] {
    const racked = lot.rackedAt!
    const hours = hoursSince(racked, now)
    const seen = lot.clarity && lot.clarity.at > racked ? lot.clarity : undefined
    if (seen && isClear(seen.is)) return []
    const about = { task: true, lotId: lot.id, evidence: seen ? [seen.entryId] : [] } as const
    const weeksSince = hours / 168
    // What was fined settles on its own clock.
    if (FININGS.some((material) => (lot.putIn.get(material) ?? '') > racked)) return []
    if (!seen)
      return [
        {
          code: 'look-at-clarity',
          key: 'look-at-clarity',
          weeksSince,
          urgency: hours >= LOOK_H ? 'soon' : 'wait',
          window: { from: later(racked, LOOK_H), due: later(racked, RACK_H.due) },
          minutes: 5,
          againH: LOOK_H,
          action: { to: 'lot', lotId: lot.id, log: 'note', what: 'clarity' },
          ...about
        }
      ]
    const rackings = lot.rackings.filter((at) => at > wineFrom(lot)!).length
    if (rackings >= RACKINGS && hours >= LOOK_H) return [stays(lot, seen.is, weeksSince, rackings, about)]
    return [
      {
        code: 'rack-again',
        key: `rack-again:${rackings}`,
        weeksSince,
        clarity: seen.is,
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

const stays = (
  lot: LotView,
  clarity: Clarity,
  weeksSince: number,
  rackings: number,
  about: { task: true, lotId: string, evidence: readonly string[] }
): Says => ({
  code: 'haze-stays',
  key: `haze-stays:${rackings}`,
  clarity,
  weeksSince,
  rackings,
  urgency: 'soon',
  minutes: 20,
  ...about,
  waysOut: [
    { code: 'fine', action: { to: 'lot', lotId: lot.id, log: 'addition', what: 'bentonite' } },
    { code: 'wait', days: WAIT_DAYS },
    { code: 'filter', action: { to: 'lot', lotId: lot.id, log: 'operation', what: 'filter' } },
    { code: 'accept-haze', drafts: [{ type: 'lot-planned', lotId: lot.id, clarity: 'accept' }] }
  ]
})
