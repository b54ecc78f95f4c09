import type { Finding } from '../../findings'
import type { Act, ActCode, LedgerProblem, LotView } from '../../ledger'
import { type Stage, hoursSince } from '../stage'
import { type LimitNear, limitsNear } from './limits'

export type EverySays =
  | { code: 'ledger', problem: LedgerProblem }
  | { code: 'limit', limit: LimitNear }
  /** Something was done that had better not have been. */
  | { code: 'act', act: Act, at: string }
  /** Nobody said how much there is of it. */
  | { code: 'no-volume' }
  /** Something about the lot cannot be worked out; its last entry is the likeliest cause. */
  | { code: 'part-broken', part: string, because: string }

/** What is said where a part of what is derived from a lot cannot be. */
export const partBroken = (
  lot: Pick<LotView, 'id' | 'lastEntryId'>,
  part: string,
  task: boolean,
  error: unknown
): Finding<EverySays> => ({
  code: 'part-broken',
  part,
  because: error instanceof Error ? error.message.slice(0, 200) : 'unexpected',
  key: `part-broken:${part}:${task ? 'tasks' : 'findings'}`,
  urgency: 'soon',
  task,
  minutes: 5,
  lotId: lot.id,
  evidence: [lot.lastEntryId],
  action: { to: 'lot', lotId: lot.id }
})

/** Said by a stage of its own, with what to do about it. */
const ELSEWHERE = new Set<LedgerProblem['code']>(['ferments-by-itself', 'brix-in-ferment'])

/** An act is spoken of for so long, h: what can still be done about it can be done by then. Ours. */
const SPOKEN_OF_H = 21 * 24
/** What harms now if nothing is done; all else is for the next time, or to be put right in the ledger. */
const PRESSING: ReadonlySet<ActCode> = new Set([
  'sulphite-on-yeast',
  'yeast-on-sulphite',
  'pitched-hot',
  'beyond-tolerance',
  'twice',
  'far-from-plan',
  'acid-too-far',
  'carbonate-too-far',
  'alcohol-beyond-sugar',
  'malic-fell',
  'sorbate-on-bacteria',
  'bacteria-on-sorbate'
])

/** A sample with gas in it is told of the last one alone: read every day, it would be the same sentence a dozen times. */
const isSaidLater = (lot: LotView, act: Act, at: string): boolean =>
  act.code === 'gassy-sample'
  && lot.acts.some((other) => other.act.code === act.code && other.act.quantity === act.quantity && other.at > at)

/** The acts of a lot that are still worth a word, each once. */
const actsOf = (lot: LotView, now: string): Finding<EverySays>[] =>
  lot.acts
    .filter(({ act, at }) => hoursSince(at, now) <= SPOKEN_OF_H && at <= now && !isSaidLater(lot, act, at))
    .map(({ act, entryId, at }) => ({
      code: 'act',
      act,
      at,
      key: `act:${act.code}:${entryId}`,
      urgency: PRESSING.has(act.code) ? 'soon' : 'note',
      task: false,
      lotId: lot.id,
      evidence: [entryId],
      action: { to: 'lot', lotId: lot.id }
    }))

/** What holds for a lot wherever it stands: its ledger contradicts itself, or what went in has come near a limit. */
export const everyStage: Stage<EverySays> = {
  code: 'every',
  appliesTo: () => true,
  tasks: () => [],
  findings(lot, cellar, now): Finding<EverySays>[] {
    const own = cellar.problems.filter((p) => 'lotId' in p && p.lotId === lot.id && !ELSEWHERE.has(p.code))
    return [
      ...own.map(
        (problem): Finding<EverySays> => ({
          code: 'ledger',
          problem,
          key: `ledger:${problem.code}:${problem.entryId}`,
          urgency: problem.code === 'sulphite-in-malolactic' ? 'stop' : 'note',
          task: false,
          lotId: lot.id,
          evidence: [problem.entryId],
          action: { to: 'lot', lotId: lot.id }
        })
      ),
      ...actsOf(lot, now),
      ...(lot.volume.value <= 0 && lot.stream !== 'blend' && lot.bottles === 0 && lot.contents.size === 0 && lot.lastAt === lot.startedAt
      // What was poured out into another had a volume.
      && lot.volume.from.length <= 1
        ? [{
            code: 'no-volume' as const,
            key: 'no-volume',
            urgency: 'soon' as const,
            task: false,
            lotId: lot.id,
            evidence: lot.volume.from,
            action: { to: 'measure' as const, lotId: lot.id }
          }]
        : []),
      ...limitsNear(lot, cellar.cards).map(
        (limit): Finding<EverySays> => ({
          code: 'limit',
          limit,
          key: `limit:${limit.code}:${limit.material}:${limit.over}`,
          urgency: limit.over ? 'stop' : 'note',
          task: false,
          lotId: lot.id,
          evidence: limit.code === 'total-so2' ? (lot.totalSo2?.from ?? []) : [],
          action: { to: 'lot', lotId: lot.id }
        })
      )
    ]
  }
}
