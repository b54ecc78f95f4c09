/** How a task can be ended by the person: every answer that people really have. */
export const OUTCOMES = ['done', 'otherwise', 'was-so', 'skipped', 'moved', 'could-not', 'not-wanted', 'seen'] as const
export type Outcome = (typeof OUTCOMES)[number]
