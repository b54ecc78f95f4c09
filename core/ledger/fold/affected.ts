import type { StandingFact } from '../corrections'
import type { EntryOf, Fact } from '../entry'
import { touchedBy } from '../entries/kinds'
import { HEADER } from './header'

/**
 * The place in the ledger before which nothing changes: that of the earliest fact that is new, moved, changed or struck. What is
 * gathered first (a check, a card, a vessel) changes the facts that rest on it, however long ago they were.
 * @param before the facts as they stood, @param after as they stand, in ledger order
 * @param touched ids of the facts that are new or changed
 */
export function affectedFrom(before: readonly StandingFact[], after: readonly StandingFact[], touched: ReadonlySet<string>): number {
  const first = (facts: readonly StandingFact[]) => {
    const found = facts.findIndex((f) => touched.has(f.original.id) && !HEADER.has(f.fact.type))
    return found < 0 ? facts.length : found
  }
  let from = Math.min(first(before), first(after), before.length)
  for (const facts of [before, after]) {
    for (const { fact, original } of facts) {
      if (touched.has(original.id) && HEADER.has(fact.type)) from = Math.min(from, restingOn(fact, after))
    }
  }
  // A header fact that comes or goes shifts the places of those after it.
  const shifted = (facts: readonly StandingFact[]) => facts.findIndex((f) => touched.has(f.original.id))
  return [shifted(before), shifted(after)].reduce((least, i) => (i < 0 ? least : Math.min(least, i)), from)
}

/** The first fact that rests on what is gathered first. */
function restingOn(header: Fact, facts: readonly StandingFact[]): number {
  const found = facts.findIndex(({ fact }) => {
    switch (header.type) {
      case 'instrument-added':
        return fact.type === 'reading' && fact.instrumentId === header.instrumentId
      case 'instrument-checked':
        return fact.type === 'reading' && fact.instrumentId === header.instrumentId && fact.at >= checkBefore(header, facts)
      case 'vessel-added':
        return touchedBy(fact).vessels.includes(header.vesselId) && !HEADER.has(fact.type)
      case 'card-made':
        return touchedBy(fact).materials.includes(header.cardId) && !HEADER.has(fact.type)
      default:
        return false
    }
  })
  return found < 0 ? facts.length : found
}

/** A check speaks for the readings since the one before it. */
function checkBefore(check: EntryOf<'instrument-checked'>, facts: readonly StandingFact[]): string {
  const earlier = facts.findLast(
    ({ fact, struck }) => !struck && fact.type === 'instrument-checked' && fact.instrumentId === check.instrumentId && fact.at < check.at
  )
  return earlier?.fact.at ?? ''
}
