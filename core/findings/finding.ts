/** How pressing something is: harm now, due now, due soon, waits by itself, worth knowing. */
export const URGENCIES = ['stop', 'now', 'soon', 'wait', 'note'] as const
export type Urgency = (typeof URGENCIES)[number]

/** Where the person goes to act on it: a place of the interface, by a code that the app knows the address of. */
export type Action =
  | {
    to:
        | 'measure'
        | 'sulphite'
        | 'correct'
        | 'crush'
        | 'yeast'
        | 'lot'
        | 'press'
        | 'round'
        | 'restart'
        | 'heat'
        | 'feed'
        | 'malolactic'
        | 'racking'
        | 'move'
        | 'sweeten'
        | 'stability'
        | 'cold'
    lotId: string
    log?: string
    /** How it is moved. */ as?: 'rack' | 'top-up'
  }
  | { to: 'supplies' | 'cellar' }

/**
 * One form for everything worth saying or doing. What it says is `code` with its values (of the stage that found it); the words
 * stand in the app.
 */
export type Finding<Says extends { code: string } = { code: string }> = Says & {
  /** Stable over time and between devices: done, not today, moved and "seen, leave it" hold on to it. */
  key: string
  urgency: Urgency
  /** Something to do, or something to know. */
  task: boolean
  /** Instants, ISO UTC: it may be done from, should be by, and is late after. */
  window?: { from?: string, due: string, late?: string }
  /** What it usually takes. */
  minutes?: number
  lotId?: string
  vesselId?: string
  /** The entries that it rests on, oldest first. */
  evidence: readonly string[]
  action?: Action
}

/** Most pressing first; of equal ones tasks before findings, then by when they are due. */
export function byUrgency(a: Finding, b: Finding): number {
  return (
    URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency) ||
    Number(b.task) - Number(a.task) ||
    (a.window?.due ?? '~').localeCompare(b.window?.due ?? '~')
  )
}
