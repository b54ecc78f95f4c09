import type { WayStepCode } from '../way-steps'
import type { Outcome } from '../entries/outcomes'
import type { EntryOf, Stream, Style } from '../entry'
import type { LotPlan } from '../plan'
import type { Source } from './figure'

/** What it is and where it comes from. */
export interface LotIdentity {
  id: string
  name: string
  stream: Stream
  style: Style
  varieties: readonly { name: string, share: number }[]
  vintage?: number
  origin?: string
  startedAt: string
  lastAt: string
  /** The last entry that speaks of it: named where something about the lot cannot be worked out. */
  lastEntryId: string
  massKg?: number
  /** Of frozen must: whether its skins are in it. */
  onSkins?: boolean
  kit?: NonNullable<EntryOf<'lot-started'>['kit']>
  /** Packets of the kit that went in, by the task that each is. */
  packetsIn: ReadonlySet<string>
  /** Whether it came with sulphite in it; not said of fruit, and of what nobody was asked about. */
  sulphitedOnArrival?: 'yes' | 'no' | 'unknown'
  sources: readonly Source[]
  /** What was said of its plan; the rest is the usual, see planOf. */
  planned: Partial<LotPlan>
  /** Steps of its way that the person put on a day of their own, "2027-05-01". */
  movedSteps?: Partial<Record<WayStepCode, string | undefined>>
  /** How each task was last ended, by its code. */
  endedTasks: ReadonlyMap<string, EndedTask>
}

export interface EndedTask {
  at: string
  outcome: Outcome
  until?: string
  /** Which of the ways out was taken. */
  answer?: string
  /** How often in a row it was put off. */
  times: number
}
