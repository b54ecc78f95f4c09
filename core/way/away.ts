import type { Finding } from '../findings'

/** What an absence does to a task: done before it, safe to leave, or at risk while nobody is there. */
export type Absence = 'before' | 'at-risk' | 'waits'

type Asked = Pick<Finding, 'urgency' | 'window'>

/** What harms soon is not left: such a task is due now whatever its window says. */
const PRESSING = new Set<Asked['urgency']>(['stop', 'now'])

/**
 * How a task fares over an absence. What would be late before one is back is done before one leaves where its time has come by then, and is
 * at risk where it has not; everything else waits.
 * @param from first day away, @param to day of return; instants, ISO UTC
 */
export function duringAbsence({ urgency, window }: Asked, from: string, to: string): Absence {
  if (PRESSING.has(urgency)) return 'before'
  if (!window) return urgency === 'soon' ? 'before' : 'waits'
  const late = window.late ?? window.due
  if (late >= to) return 'waits'
  return (window.from ?? window.due) <= from ? 'before' : 'at-risk'
}
