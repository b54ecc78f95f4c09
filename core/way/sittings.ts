import type { Action, Finding } from '../findings'

/** What is done in one go, with one set of things laid out. */
export const SITTINGS = ['readings', 'sulphite', 'must', 'racking', 'malolactic', 'looks', 'tests', 'bottling', 'other'] as const
export type SittingCode = (typeof SITTINGS)[number]

export interface Sitting<T> {
  code: SittingCode
  tasks: T[]
  lotIds: string[]
  /** What they take together, min. */
  minutes: number
}

/** Things are fetched, rinsed and put away once, and each task after the first is shorter for it: min, and a share. Ours. */
const SET_UP_MIN = 5
const AFTER_THE_FIRST = 0.7
/** Where nothing is said, min. */
const USUAL_MIN = 10

const BY_PLACE: Record<Action['to'], SittingCode> = {
  measure: 'readings',
  round: 'readings',
  sulphite: 'sulphite',
  correct: 'must',
  crush: 'must',
  yeast: 'must',
  feed: 'must',
  heat: 'must',
  restart: 'must',
  press: 'racking',
  racking: 'racking',
  move: 'racking',
  malolactic: 'malolactic',
  lot: 'looks',
  stability: 'tests',
  trial: 'tests',
  cold: 'tests',
  sweeten: 'bottling',
  bottle: 'bottling',
  supplies: 'other',
  cellar: 'other'
}

/** Which sitting a task belongs to: by where it is done. */
export const sittingOf = ({ action }: Pick<Finding, 'action'>): SittingCode => (action ? BY_PLACE[action.to] : 'other')

/** Tasks of any number of lots, gathered into what is done in one go; in the order in which the first of each was asked for. */
export function sittingsOf<T extends Pick<Finding, 'action' | 'minutes' | 'lotId'>>(tasks: readonly T[]): Sitting<T>[] {
  const gathered = new Map<SittingCode, T[]>()
  for (const task of tasks) {
    const code = sittingOf(task)
    gathered.set(code, [...(gathered.get(code) ?? []), task])
  }
  return [...gathered].map(([code, own]) => ({
    code,
    tasks: own,
    lotIds: [...new Set(own.flatMap((t) => t.lotId ?? []))],
    minutes: Math.round(own.reduce((sum, t, i) => sum + (t.minutes ?? USUAL_MIN) * (i === 0 ? 1 : AFTER_THE_FIRST), SET_UP_MIN))
  }))
}
