import type { Entry } from './entry'
import { appendToCellar, foldCellar } from './fold'
import type { CellarState, LedgerProblem } from './state'

/** Problems that stop an entry from being written; a contradiction or a full reading is only remarked on. */
const IMPOSSIBLE = new Set<LedgerProblem['code']>(['unknown-lot', 'unknown-vessel', 'vessel-taken', 'overfull', 'more-out-than-in'])

/**
 * Why entries cannot be written: problems that the ledger has with them and had not without them.
 * @param ledger what is written already
 * @param entries what would be added, together
 * @param folded the state of the ledger, when it is at hand: saves folding it again
 * @returns the reasons, empty when all is well
 */
export function refusalOf(ledger: readonly Entry[], entries: readonly Entry[], folded?: { cellar: CellarState, lastAt: string }): LedgerProblem[] {
  const before = folded?.cellar ?? foldCellar(ledger)
  const after = (folded && appendToCellar(folded.cellar, folded.lastAt, entries)) ?? foldCellar([...ledger, ...entries])
  const known = new Set(before.problems.map(key))
  return after.problems.filter(p => IMPOSSIBLE.has(p.code) && !known.has(key(p)))
}

const key = (problem: LedgerProblem): string => `${problem.code}:${problem.entryId}`
