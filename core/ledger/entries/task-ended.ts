import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'
import type { Outcome } from './outcomes'
import { packetWentIn } from './packets'

/** What is asked again, unchanged: counted, so that the third time it becomes a decision. */
const PUTS_OFF: ReadonlySet<Outcome> = new Set(['skipped', 'moved', 'could-not'])
const DOES: ReadonlySet<Outcome> = new Set(['done', 'otherwise', 'was-so'])

export const taskEnded: EntryKind<'task-ended'> = {
  type: 'task-ended',
  touches: (e) => ofLot(e),
  apply(folding, { id, at, lotId, task, outcome, until, answer }) {
    const lot = lotOf(folding, { id, at, lotId })
    if (!lot) return
    const before = lot.endedTasks.get(task)
    const putOff = PUTS_OFF.has(outcome) ? (before && PUTS_OFF.has(before.outcome) ? before.times + 1 : 1) : 0
    const ended = { at, outcome, times: putOff, ...(until && { until }), ...(answer && { answer }) }
    lot.endedTasks = new Map(lot.endedTasks).set(task, ended)
    if (DOES.has(outcome)) packetWentIn(folding, lot, task, { id, at })
  }
}
