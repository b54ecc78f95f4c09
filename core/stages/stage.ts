import { HOUR_MS } from '../units'
import type { Finding } from '../findings'
import type { FermentForecast, FollowFinding } from '../fermentation'
import type { CellarState, LotView } from '../ledger'

/** What stages know of the whole cellar besides the lot they are asked about. */
export interface CellarView extends Pick<CellarState, 'vessels' | 'instruments' | 'cards' | 'stock' | 'problems'> {
  /** What the household owns, as far as it has said. */
  equipment?: CellarState['equipment']
  /** Of the lots that ferment, as far as they have been worked out. */
  forecasts?: ReadonlyMap<string, LotForecast>
  /** What is wrong with what an instrument sends that is followed, by the lot it floats in. */
  followed?: ReadonlyMap<string, readonly FollowFinding[]>
}

/** Where a lot's ferment is going. */
export interface LotForecast {
  /** Hours count from here, ISO UTC. */
  startAt: string
  /** What it was asked with: another key wants another forecast. */
  key: string
  forecast: FermentForecast
  /** What such a must usually does in this warmth, without its gravities. */
  usual: FermentForecast
}

/**
 * A stretch of the work, from arrival to bottle. A new stage is a folder with one of these and its words in `app/wording/`; it is
 * listed in `stages/index.ts`, and every page shows it. No stage knows another.
 */
export interface Stage<Says extends { code: string }> {
  code: string
  /** Its tasks stand beside those of the stage that the lot is in. */
  beside?: boolean
  appliesTo(lot: LotView): boolean
  /** What is to be done, several at once where several can be; the first is the lot's next move. */
  tasks(lot: LotView, cellar: CellarView, now: string): Finding<Says>[]
  /** What is worth knowing. */
  findings(lot: LotView, cellar: CellarView, now: string): Finding<Says>[]
}

/** The task that a packet of a kit is, by its place in the list. */
export const packetTask = (index: number): string => `packet:${index}`

export const HOUR = HOUR_MS
export const hoursSince = (at: string, now: string): number => (Date.parse(now) - Date.parse(at)) / HOUR
export const later = (at: string, hours: number): string => new Date(Date.parse(at) + hours * HOUR).toISOString()
