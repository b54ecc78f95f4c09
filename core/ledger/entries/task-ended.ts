import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

export const taskEnded: EntryKind<'task-ended'> = {
  type: 'task-ended',
  touches: (e) => ofLot(e),
  apply(folding, { id, at, lotId, task, outcome, until }) {
    const lot = lotOf(folding, { id, at, lotId })
    if (lot) lot.endedTasks = new Map(lot.endedTasks).set(task, { at, outcome, ...(until && { until }) })
  }
}
