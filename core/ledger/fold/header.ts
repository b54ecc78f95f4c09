import type { EntryOf, Fact } from '../entry'
import { ownCard } from '../entries/card-made'
import { type CellarState, emptyCellar } from '../state'

/** Kinds that are gathered before the rest: they hold for what happened earlier too. */
export const HEADER: ReadonlySet<Fact['type']> = new Set(['instrument-added', 'instrument-checked', 'vessel-added', 'card-made'])

/**
 * A cellar before anything has happened in it: its vessels, its instruments with all their checks, and people's own cards.
 * @param facts as they stand, struck ones left out, in ledger order
 */
export function headerOf(facts: readonly Fact[]): CellarState {
  const cellar = emptyCellar()
  const checks: EntryOf<'instrument-checked'>[] = []
  for (const fact of facts) {
    if (fact.type === 'instrument-added') {
      const { instrumentId: id, name, kind, calibrationC, step, follows } = fact
      cellar.instruments.set(id, {
        id,
        name,
        kind,
        checks: [],
        ...(calibrationC !== undefined && { calibrationC }),
        ...(step !== undefined && { step }),
        ...(follows !== undefined && { follows })
      })
    }
    else if (fact.type === 'instrument-checked') checks.push(fact)
    else if (fact.type === 'vessel-added') {
      const { vesselId: id, name, kind, capacityL, material, fillsBefore } = fact
      cellar.vessels.set(id, {
        id,
        name,
        kind,
        capacityL,
        litres: 0,
        ...(material !== undefined && { material }),
        ...(fillsBefore !== undefined && { fillsBefore })
      })
    }
    else if (fact.type === 'card-made') cellar.cards.set(fact.cardId, ownCard(fact))
    else if (fact.type === 'lot-started' && !cellar.starts.has(fact.lotId)) cellar.starts.set(fact.lotId, fact.at)
  }
  for (const check of checks) cellar.instruments.get(check.instrumentId)?.checks.push(check)
  return cellar
}
