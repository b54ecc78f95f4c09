import type { Finding } from '../../findings'
import { isHeld, isWine } from '../../ledger'
import { type Faulty, faultOf } from '../smelt'
import type { Stage } from '../stage'

export type FaultSays =
  /** A finished wine smells of a fault; a ferment that does is told by its own stage, with what its yeast can do about it. */
  { code: 'wine-smells', smell: Faulty, full: boolean }

/** A wine that smells wrong: what it wants depends on what it smells of. Stands beside what else it asks for. */
export const faultStage: Stage<FaultSays> = {
  code: 'fault',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test' && faultOf(lot, lot.asOf) !== undefined,
  tasks: () => [],
  findings(lot, cellar, now): Finding<FaultSays>[] {
    const smell = faultOf(lot, now)
    if (!smell || !lot.smelt) return []
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
/** A neck of air is none. */
const FULL = 0.96
