import type { Finding } from '../../findings'
import { isHeld } from '../../ledger'
import { FININGS, FIRST, SECOND, finingUnder, lastOf } from '../fined'
import { type Stage, hoursSince, later } from '../stage'

export type FiningSays =
  /** The first of two parts is in; the second takes it down. */
  | { code: 'second-part', hoursIn: number, fromHours: number }
  /** What a fining took down lies under the wine. */
  | { code: 'rack-off-fining', material: string, daysIn: number }

/** The pair: silica first, then what it takes down, an hour to a day apart (craft 3.11). */
const BETWEEN_H = { from: 1, late: 24 } as const
/** A pair that nobody finished within this is not waited for any longer, h. */
const FORGOTTEN_H = 7 * 24
/** Settled, and racked off before it gives back what it took; days. Common practice, no source. */
const SETTLED_D = { due: 10, late: 28 } as const

/** After a fining: the second part in its time, and off what has settled. */
export const finingStage: Stage<FiningSays> = {
  code: 'fining',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && lot.stream !== 'test' && lastOf(lot, FININGS) !== undefined,
  tasks(lot, _cellar, now): Finding<FiningSays>[] {
    const about = { task: true, lotId: lot.id, evidence: [] } as const
    const [first, second] = [lastOf(lot, [FIRST]), lastOf(lot, SECOND)]
    if (first && !(second && second.at >= first.at)) {
      const hoursIn = hoursSince(first.at, now)
      if (hoursIn > FORGOTTEN_H) return []
      const from = later(first.at, BETWEEN_H.from)
      return [
        {
          code: 'second-part',
          key: 'second-part',
          hoursIn: Math.max(0, hoursIn),
          fromHours: Math.max(0, BETWEEN_H.from - hoursIn),
          urgency: now >= from ? 'now' : 'wait',
          window: { from, due: from, late: later(first.at, BETWEEN_H.late) },
          minutes: 10,
          action: { to: 'lot', lotId: lot.id, log: 'addition', what: 'chitosan' },
          ...about
        }
      ]
    }
    const agent = finingUnder(lot)
    if (!agent) return []
    const daysIn = hoursSince(agent.at, now) / 24
    const due = later(agent.at, SETTLED_D.due * 24)
    return [
      {
        code: 'rack-off-fining',
        key: 'rack-off-fining',
        material: agent.material,
        daysIn,
        urgency: now >= due ? 'soon' : 'wait',
        window: { due, late: later(agent.at, SETTLED_D.late * 24) },
        minutes: 45,
        action: { to: 'move', lotId: lot.id, as: 'rack' },
        ...about
      }
    ]
  },
  findings: () => []
}
