import type { StandingFact } from '../corrections'
import type { EntryOf, Fact } from '../entry'
import { touchedBy } from '../entries/kinds'
import { HEADER } from './header'

/** What a change of some facts means for all others. */
export interface Affected {
  /** The place in the ledger before which nothing changes. */
  from: number
  /** What is gathered before the rest is to be gathered anew. */
  gathered: boolean
}

/**
 * Nothing changes before the earliest fact that is new, moved, changed or struck. What is gathered first (a check, a card, a
 * vessel) changes the facts that rest on it, however long ago they were, and shifts the places of those after it.
 * @param before the facts as they stood, @param after as they stand, in ledger order
 * @param touched ids of the facts that are new or changed
 */
export function affectedFrom(before: readonly StandingFact[], after: readonly StandingFact[], touched: ReadonlySet<string>): Affected {
  let from = before.length
  let gathered = false
  for (const facts of [before, after]) {
    // A plain loop: it looks through the whole ledger for every entry.
    for (let place = 0; place < facts.length; place++) {
      const { fact, original } = facts[place]!
      if (!touched.has(original.id)) continue
      from = Math.min(from, place)
      if (!HEADER.has(fact.type) && fact.type !== 'lot-started') continue
      from = Math.min(from, restingOn(fact, after, from))
      gathered = true
    }
  }
  return { from, gathered }
}

/** The first fact that rests on what is gathered first, of those before a place. */
function restingOn(header: Fact, facts: readonly StandingFact[], before: number): number {
  const found = facts.slice(0, before).findIndex(({ fact }) => {
    switch (header.type) {
      case 'instrument-added':
        return fact.type === 'reading' && fact.instrumentId === header.instrumentId
      case 'instrument-checked':
        return fact.type === 'reading' && fact.instrumentId === header.instrumentId && fact.at >= checkBefore(header, facts)
      case 'vessel-added':
        return touchedBy(fact).vessels.includes(header.vesselId) && !HEADER.has(fact.type)
      // What was said of a lot before it began is told otherwise once its start is known.
      case 'lot-started':
        return touchedBy(fact).lots.includes(header.lotId)
      case 'card-made':
        return touchedBy(fact).materials.includes(header.cardId) && !HEADER.has(fact.type)
      default:
        return false
    }
  })
  return found < 0 ? before : found
}

/** A check speaks for the readings since the one before it. */
function checkBefore(check: EntryOf<'instrument-checked'>, facts: readonly StandingFact[]): string {
  const earlier = facts.findLast(
    ({ fact, struck }) => !struck && fact.type === 'instrument-checked' && fact.instrumentId === check.instrumentId && fact.at < check.at
  )
  return earlier?.fact.at ?? ''
}
