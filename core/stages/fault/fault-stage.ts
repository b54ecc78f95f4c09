import type { Finding } from '../../findings'
import { type LotView, drynessOf, isHeld, isWine } from '../../ledger'
import { type Faulty, faultOf, isHelped } from '../smelt'
import { type Stage, hoursSince, later } from '../stage'

export type FaultSays =
  /** A finished wine smells of a fault; a ferment that does is told by its own stage, with what its yeast can do about it. */
  | { code: 'wine-smells', smell: Faulty, full: boolean }
  /** What it asked for was done: did it help? */
  | { code: 'smell-again', smell: Faulty, daysSince: number }
  /** It is kept without sulphite: a nose is all that tells in time when it spoils. */
  | { code: 'smell-kept', daysSince: number }

/** A wine that smells wrong, by what it smells of; and one that only a nose can look after. Beside whatever else is asked for. */
export const faultStage: Stage<FaultSays> = {
  code: 'fault',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test' && (faultOf(lot, lot.asOf) !== undefined || isKeptWithout(lot)),
  tasks(lot, _cellar, now): Finding<FaultSays>[] {
    const smell = faultOf(lot, now)
    if (!smell) return isKeptWithout(lot) ? [smellKept(lot, now)] : []
    if (!lot.smelt || !isHelped(lot, smell)) return []
    const done = [lot.rackedAt, lot.lastSulphiteAt, lot.toppedAt].filter((at) => at !== undefined && at > lot.smelt!.at).sort().at(-1)!
    const from = later(done, AGAIN_H)
    return [
      {
        code: 'smell-again',
        smell,
        daysSince: hoursSince(done, now) / 24,
        key: `smell-again:${lot.smelt.entryId}`,
        urgency: now >= from ? 'soon' : 'wait',
        window: { from, due: later(from, 72) },
        task: true,
        lotId: lot.id,
        minutes: 5,
        evidence: [lot.smelt.entryId],
        action: { to: 'lot', lotId: lot.id, log: 'note', what: 'smell' }
      }
    ]
  },
  findings(lot, cellar, now): Finding<FaultSays>[] {
    const smell = faultOf(lot, now)
    if (!smell || !lot.smelt || isHelped(lot, smell)) return []
    const full = [...lot.contents].every(([id, litres]) => litres >= (cellar.vessels.get(id)?.capacityL ?? 0) * FULL)
    return [
      {
        code: 'wine-smells',
        smell,
        full,
        key: `wine-smells:${smell}:${lot.smelt.entryId}`,
        urgency: 'now',
        task: false,
        lotId: lot.id,
        evidence: [lot.smelt.entryId],
        action: smell === 'rotten-egg' || !full ? { to: 'move', lotId: lot.id } : { to: 'sulphite', lotId: lot.id, aim: 'level' }
      }
    ]
  }
}
/** Nothing protects it, and it is left to itself: its ferments are over. */
const isKeptWithout = (lot: LotView): boolean =>
  lot.plan.sulphite === 'none' && !lot.plan.sparkling && drynessOf(lot)?.proven === true && ['done', 'not-wanted'].includes(lot.malolactic)

/** Once a month, with the round. */
function smellKept(lot: LotView, now: string): Finding<FaultSays> {
  const last = [lot.smelt?.at, lot.rackedAt, lot.wineSince ?? lot.startedAt].filter((at) => at !== undefined).sort().at(-1)!
  const from = later(last, KEPT_H.from)
  return {
    code: 'smell-kept',
    daysSince: hoursSince(last, now) / 24,
    key: 'smell-kept',
    urgency: now >= from ? 'soon' : 'wait',
    window: { from, due: later(last, KEPT_H.due) },
    againH: KEPT_H.from,
    task: true,
    lotId: lot.id,
    minutes: 3,
    evidence: lot.smelt ? [lot.smelt.entryId] : [],
    action: { to: 'lot', lotId: lot.id, log: 'note', what: 'smell' }
  }
}
/** A wine without sulphite is smelt and tasted about once a month: common practice, no source, h. */
const KEPT_H = { from: 28 * 24, due: 35 * 24 } as const

/** A smell that was helped shows it after so long, h: common practice, no source. */
const AGAIN_H = 48
/** A neck of air is none. */
const FULL = 0.96
