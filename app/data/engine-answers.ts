import type { Draft, Entry, LedgerProblem, LotState, VesselState } from '~~/core/ledger'
import type { Issue } from './draft-issues'
import type { Review } from './review'
import type { Change, Trouble } from './told'

/** What became of something that was to be written. */
export type Committed =
  /**
   * Of very many, `written` and the lines of the change stay here: the page reads the lines again, `factCount` of them.
   * `restored`: the browser had cleared the cellar meanwhile, and all of it was written again.
   */
  | { outcome: 'written', count: number, written: Entry[], change: Change, factCount?: number, restored?: true }
  /** `drafts`: what was asked, where the page does not hold it. */
  | { outcome: 'refused', problems: LedgerProblem[], drafts?: readonly Draft[] }
  | { outcome: 'invalid', issues: Issue[] }
  | { outcome: 'failed', trouble: Trouble }

/** A file that was read and is not taken in yet. */
export interface Reviewed {
  fileName: string
  name: string
  exportedAt: string
  review: Review
}

/** The cellar as it would be: lots that would differ, and all vessels. */
export interface Preview {
  lots: LotState[]
  vessels: VesselState[]
  refused: LedgerProblem[]
}
