import type { Entry } from './entry'
import { foldCellar } from './fold'
import type { LedgerProblem } from './state'

/** Problems that stop an entry from being written; a contradiction or a full reading is only remarked on. */
const IMPOSSIBLE = new Set<LedgerProblem['code']>(['unknown-lot', 'unknown-vessel', 'vessel-taken', 'overfull', 'more-out-than-in'])

/**
 * Why entries cannot be written: problems that the ledger has with them and had not without them.
 * @param ledger what is written already
 * @param entries what would be added, together
 * @returns the reasons, empty when all is well
 */
export function refusalOf(ledger: readonly Entry[], entries: readonly Entry[]): LedgerProblem[] {
  const known = new Set(foldCellar(ledger).problems.map(key))
  return foldCellar([...ledger, ...entries]).problems.filter(p => IMPOSSIBLE.has(p.code) && !known.has(key(p)))
}

const key = (problem: LedgerProblem): string => `${problem.code}:${problem.entryId}`
