import { type LotState, freeSo2At } from '../ledger'
import { MOLECULAR_TARGET, freeSo2For } from '../sulphite'
import { type CorrectPhase, type CrushStep, type CrushStepCode, crushSteps } from './crush-steps'

/** What a lot needs next, most pressing first. `code` is worded in the app. */
export type NextMove =
  | { code: 'measure-must', urgency: 'now', missing: ('sugar' | 'ph' | 'ta')[] }
  | { code: 'sulphite-must', urgency: 'now' }
  | { code: 'sulphite-low', urgency: 'soon', freeMgPerL: number, targetFreeMgPerL: number }
  | { code: 'correct-must', urgency: 'now', phase: CorrectPhase }
  | { code: 'crush-step', urgency: 'now', step: CrushStepCode }
  | { code: 'clock', urgency: 'wait', step: CrushStepCode, hoursLeft: number }
  | { code: 'wait-for-yeast', urgency: 'wait', hoursLeft: number }
  | { code: 'pitch', urgency: 'now', hoursSince: number }
  | { code: 'read-ferment', urgency: 'now' | 'soon', daysSince: number }
  | { code: 'confirm-dry', urgency: 'soon' }
  | { code: 'check-sulphite', urgency: 'soon', weeksSince: number }
  | { code: 'rest', urgency: 'none' }

/** The task that a move is when it is put off: each step of crush day is one of its own. */
export const taskOf = (move: NextMove): string => move.code === 'crush-step' || move.code === 'clock' ? `${move.code}:${move.step}` : move.code

const HOUR = 3_600_000
/** A task that was skipped stays away so long, h. */
const SKIP_H = 20
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
  const ended = lot.endedTasks.get(taskOf(move))
  // What was skipped today comes back tomorrow.
  return ended !== undefined && Date.parse(now) - Date.parse(ended) < SKIP_H * HOUR ? { code: 'rest', urgency: 'none' } : move
}

function wantedMove(lot: LotState, now: string): NextMove {
  const hours = (since: string) => (Date.parse(now) - Date.parse(since)) / HOUR
  if (lot.stage === 'bottled') return { code: 'rest', urgency: 'none' }
  if (lot.stage === 'must') return nextForMust(lot, now)
  if (lot.stage === 'fermenting') {
    const daysSince = lot.sg ? hours(lot.sg.at) / 24 : hours(lot.startedAt) / 24
    return { code: 'read-ferment', urgency: daysSince >= 1 ? 'now' : 'soon', daysSince }
  }
  return nextForWine(lot, hours, now)
}

/** The step of crush day whose turn it is; when all that can be done is done, the clock that ends first. */
function nextForMust(lot: LotState, now: string): NextMove {
  const hoursTo = (at: string) => (Date.parse(at) - Date.parse(now)) / HOUR
  const steps = crushSteps(lot, now)
  const step = steps.find(s => s.status === 'now')
  if (step) return moveOf(step, lot, now)
  const clock = steps.filter(s => !s.optional && (s.status === 'running' || s.status === 'waiting') && s.opensAt).sort((a, b) => a.opensAt! < b.opensAt! ? -1 : 1)[0]
  if (!clock) return { code: 'rest', urgency: 'none' }
  return clock.code === 'pitch' ? { code: 'wait-for-yeast', urgency: 'wait', hoursLeft: hoursTo(clock.opensAt!) } : { code: 'clock', urgency: 'wait', step: clock.code, hoursLeft: hoursTo(clock.opensAt!) }
}

function moveOf(step: CrushStep, lot: LotState, now: string): NextMove {
  switch (step.code) {
    case 'measure': return { code: 'measure-must', urgency: 'now', missing: step.missing ?? [] }
    case 'first-sulphite': return { code: 'sulphite-must', urgency: 'now' }
    case 'correct': return { code: 'correct-must', urgency: 'now', phase: step.phase ?? 'plan' }
    case 'pitch': return { code: 'pitch', urgency: 'now', hoursSince: lot.lastSulphiteAt ? (Date.parse(now) - Date.parse(lot.lastSulphiteAt)) / HOUR : 0 }
    default: return { code: 'crush-step', urgency: 'now', step: step.code }
  }
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
