import type { WayOut } from '../findings'
import type { LotView } from '../ledger'
import type { StageFinding } from '.'

/** Asked for the third time, it is a decision. */
const PUT_OFF_TWICE = 2
/** Days. */
const LATER = 14

/**
 * What was put off twice is not asked a third time unchanged: it becomes a decision, whose answers are to do it, what can be done in its
 * place, that it was done otherwise, to be asked much later, and, where no harm follows, to leave it out. What comes in a rhythm of its own
 * stays as it is: the next time is another one.
 */
export function asDecision(task: StageFinding, lot: Pick<LotView, 'id' | 'endedTasks'>): StageFinding {
  const putOff = lot.endedTasks.get(task.key)?.times ?? 0
  if (putOff < PUT_OFF_TWICE || task.waysOut?.length || task.againH !== undefined) return task
  const harms = task.urgency === 'stop' || task.urgency === 'now'
  const waysOut: WayOut[] = [
    ...(task.action ? [{ code: 'do-it', action: task.action } as const] : []),
    ...(task.waysRound ?? []),
    { code: 'done-otherwise', drafts: [{ type: 'task-ended', lotId: lot.id, task: task.key, outcome: 'otherwise' }] },
    ...(harms ? [] : [{ code: 'much-later', days: LATER }, { code: 'leave-it-out' }] as const)
  ]
  return { ...task, waysOut }
}
