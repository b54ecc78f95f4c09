import { standingFacts } from '../corrections'
import type { Entry } from '../entry'
import type { CellarState } from '../state'
import { finished } from './finished'
import { foldFacts } from './guarded'
import { headerOf } from './header'

/**
 * The whole cellar as its ledger tells it, or told it at an instant. Pure: the same entries in any order give the same state.
 * A cellar that goes on is a `History`, which folds nothing twice.
 * @param entries all entries, without duplicates
 * @param until only what happened up to this instant (ISO, UTC); everything when left out
 */
export function foldCellar(entries: readonly Entry[], until?: string): CellarState {
  const facts = standingFacts(entries)
    .filter((f) => !f.struck)
    .map((f) => f.fact)
  return finished(foldFacts(headerOf(facts), until === undefined ? facts : facts.filter((fact) => fact.at <= until)))
}
