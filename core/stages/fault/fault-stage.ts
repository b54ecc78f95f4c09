import type { Finding } from '../../findings'
import { isHeld, isWine } from '../../ledger'
import { type Faulty, faultOf, isHelped } from '../smelt'
import { type Stage, hoursSince, later } from '../stage'

export type FaultSays =
  /** A finished wine smells of a fault; a ferment that does is told by its own stage, with what its yeast can do about it. */
  | { code: 'wine-smells', smell: Faulty, full: boolean }
  /** What it asked for was done: did it help? */
  | { code: 'smell-again', smell: Faulty, daysSince: number }

/** A wine that smells wrong: what it wants depends on what it smells of. Stands beside what else it asks for. */
export const faultStage: Stage<FaultSays> = {
  code: 'fault',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test' && faultOf(lot, lot.asOf) !== undefined,
  tasks(lot, _cellar, now): Finding<FaultSays>[] {
    const smell = faultOf(lot, now)
    if (!smell || !lot.smelt || !isHelped(lot, smell)) return []
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
/** A smell that was helped shows it after so long, h: common practice, no source. */
const AGAIN_H = 48
/** A neck of air is none. */
const FULL = 0.96
