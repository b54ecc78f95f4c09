import type { Finding } from '../../findings'
import type { LedgerProblem, LotView } from '../../ledger'
import type { Stage } from '../stage'
import { type LimitNear, limitsNear } from './limits'

export type EverySays =
  | { code: 'ledger', problem: LedgerProblem }
  | { code: 'limit', limit: LimitNear }
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

/** What holds for a lot wherever it stands: its ledger contradicts itself, or what went in has come near a limit. */
export const everyStage: Stage<EverySays> = {
  code: 'every',
  appliesTo: () => true,
  tasks: () => [],
  findings(lot, cellar): Finding<EverySays>[] {
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
      ...limitsNear(lot).map(
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
