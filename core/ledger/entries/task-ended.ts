import { HOUR_MS } from '../../units'
import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'
import type { EndedTask } from '../state'
import type { Outcome } from './outcomes'
import { packetWentIn } from './packets'

/** What is asked again, unchanged: counted, so that the third time it becomes a decision. */
const PUTS_OFF: ReadonlySet<Outcome> = new Set(['skipped', 'moved', 'could-not'])
const DOES: ReadonlySet<Outcome> = new Set(['done', 'otherwise', 'was-so'])
/** What was put off longer ago than this before it is put off again was settled in between: it counts from one. Ours. */
const RUN_MS = 21 * 24 * HOUR_MS

/** How often in a row it was put off. What could not be done rests longer each time, and stays one run. */
function timesInARow(before: EndedTask | undefined, outcome: Outcome, at: string): number {
  if (!PUTS_OFF.has(outcome)) return 0
  if (!before || !PUTS_OFF.has(before.outcome)) return 1
  const goesOn = before.outcome === 'could-not' || Date.parse(at) - Date.parse(before.until ?? before.at) <= RUN_MS
  return goesOn ? before.times + 1 : 1
}

export const taskEnded: EntryKind<'task-ended'> = {
  type: 'task-ended',
  touches: (e) => ofLot(e),
  apply(folding, { id, at, lotId, task, outcome, until, answer }) {
    const lot = lotOf(folding, { id, at, lotId })
    if (!lot) return
    const before = lot.endedTasks.get(task)
    const ended = { at, outcome, times: timesInARow(before, outcome, at), ...(until && { until }), ...(answer && { answer }) }
    lot.endedTasks = new Map(lot.endedTasks).set(task, ended)
    if (DOES.has(outcome)) packetWentIn(folding, lot, task, { id, at })
  }
}
