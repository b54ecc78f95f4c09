import { type LotState, freeSo2At } from '../ledger'
import { MOLECULAR_TARGET, freeSo2For } from '../sulphite'

/** What a lot needs next, most pressing first. `code` is worded in the app. */
export type NextMove =
  | { code: 'measure-must', urgency: 'now', missing: ('sugar' | 'ph' | 'ta')[] }
  | { code: 'sulphite-must', urgency: 'now' }
  | { code: 'sulphite-low', urgency: 'soon', freeMgPerL: number, targetFreeMgPerL: number }
  | { code: 'wait-for-yeast', urgency: 'wait', hoursLeft: number }
  | { code: 'pitch', urgency: 'now', hoursSince: number }
  | { code: 'read-ferment', urgency: 'now' | 'soon', daysSince: number }
  | { code: 'confirm-dry', urgency: 'soon' }
  | { code: 'check-sulphite', urgency: 'soon', weeksSince: number }
  | { code: 'rest', urgency: 'none' }

const HOUR = 3_600_000
/** A task that was skipped stays away so long, h. */
const SKIP_H = 20
/** Hours between sulphite and yeast: 12 to 24, craft 3.5 (common practice, no source). */
export const WAIT_AFTER_SULPHITE_H = { min: 12, max: 24 } as const
/** Weeks after which free SO₂ wants a look, craft 3.10 (common practice, no source). */
const SULPHITE_LOOK_WEEKS = 5
/** mg/L below target that is worth an addition; a titration cannot tell less. */
const SULPHITE_SLACK = 5

/**
 * The one thing that a lot wants next.
 * @param lot its state
 * @param now the present instant, ISO UTC
 * @returns the move and how pressing it is
 */
export function nextMove(lot: LotState, now: string): NextMove {
  const move = wantedMove(lot, now)
  const ended = lot.endedTasks.get(move.code)
  // What was skipped today comes back tomorrow.
  return ended !== undefined && Date.parse(now) - Date.parse(ended) < SKIP_H * HOUR ? { code: 'rest', urgency: 'none' } : move
}

function wantedMove(lot: LotState, now: string): NextMove {
  const hours = (since: string) => (Date.parse(now) - Date.parse(since)) / HOUR
  if (lot.stage === 'bottled') return { code: 'rest', urgency: 'none' }
  if (lot.stage === 'must') return nextForMust(lot, hours)
  if (lot.stage === 'fermenting') {
    const daysSince = lot.sg ? hours(lot.sg.at) / 24 : hours(lot.startedAt) / 24
    return { code: 'read-ferment', urgency: daysSince >= 1 ? 'now' : 'soon', daysSince }
  }
  return nextForWine(lot, hours, now)
}

function nextForMust(lot: LotState, hours: (since: string) => number): NextMove {
  const missing: ('sugar' | 'ph' | 'ta')[] = []
  if (!lot.sg) missing.push('sugar')
  if (!lot.ph) missing.push('ph')
  if (!lot.ta && lot.stream !== 'kit') missing.push('ta')
  if (missing.length > 0) return { code: 'measure-must', urgency: 'now', missing }
  if (lot.lastSulphiteAt === undefined) {
    return lot.stream === 'kit' ? { code: 'pitch', urgency: 'now', hoursSince: 0 } : { code: 'sulphite-must', urgency: 'now' }
  }
  const hoursSince = hours(lot.lastSulphiteAt)
  return hoursSince < WAIT_AFTER_SULPHITE_H.min
    ? { code: 'wait-for-yeast', urgency: 'wait', hoursLeft: WAIT_AFTER_SULPHITE_H.min - hoursSince }
    : { code: 'pitch', urgency: 'now', hoursSince }
}

function nextForWine(lot: LotState, hours: (since: string) => number, now: string): NextMove {
  if (!lot.ph) return { code: 'measure-must', urgency: 'now', missing: ['ph'] }
  if (!lot.freeSo2) return { code: 'confirm-dry', urgency: 'soon' }
  const targetFreeMgPerL = freeSo2For(MOLECULAR_TARGET[lot.style], Math.min(4.5, Math.max(2.5, lot.ph.value)))
  const free = freeSo2At(lot.freeSo2, now).value
  if (free < targetFreeMgPerL - SULPHITE_SLACK) return { code: 'sulphite-low', urgency: 'soon', freeMgPerL: free, targetFreeMgPerL }
  const weeksSince = hours(lot.freeSo2.at) / 24 / 7
  return weeksSince > SULPHITE_LOOK_WEEKS ? { code: 'check-sulphite', urgency: 'soon', weeksSince } : { code: 'rest', urgency: 'none' }
}
