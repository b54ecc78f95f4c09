import type { Fact } from '../entry'
import { applyFact, touchedBy } from '../entries/kinds'
import type { CellarState, LotState } from '../state'
import { Folding } from './folding'

/**
 * Folds facts onto a cellar. What is derived never stops what is stored: a fact that throws, or that makes a figure which is no number, is
 * left out with a problem that names it, and what it had half done is undone by folding again from where this began.
 * @param cellar where it begins; it stays as it is
 * @param facts in ledger order, struck ones left out
 */
export function foldFacts(cellar: CellarState, facts: readonly Fact[]): CellarState {
  const failed = new Map<string, string>()
  for (;;) {
    const folding = new Folding(cellar)
    const broke = firstToBreak(folding, facts, failed)
    if (!broke) return folding.cellar
    failed.set(broke.id, broke.because)
  }
}

function firstToBreak(
  folding: Folding,
  facts: readonly Fact[],
  failed: ReadonlyMap<string, string>
): { id: string, because: string } | undefined {
  for (const fact of facts) {
    const because = failed.get(fact.id)
    if (because !== undefined) {
      const lotId = lotsOf(fact)[0]
      folding.problem({ code: 'cannot-derive', entryId: fact.id, because, ...(lotId !== undefined && { lotId }) })
      continue
    }
    try {
      applyFact(folding, fact)
      for (const id of lotsOf(fact)) assertSound(folding.cellar.lots.get(id))
    }
    catch (error) {
      return { id: fact.id, because: error instanceof Error ? error.message : String(error) }
    }
  }
  return undefined
}

/** A fact of which not even this can be told touches no lot that is known. */
function lotsOf(fact: Fact): readonly string[] {
  try {
    return touchedBy(fact).lots
  }
  catch {
    return []
  }
}

const FIGURES = ['volume', 'sg', 'originalSg', 'ph', 'ta', 'abv', 'freeSo2', 'totalSo2', 'temperature', 'nitrogenGiven'] as const
/** More than any cellar at home holds, L: beyond it a figure has run away. */
const MOST_L = 1e7

/** @throws RangeError naming the figure that is no number, or that no wine can have */
function assertSound(lot: LotState | undefined): void {
  if (!lot) return
  for (const name of FIGURES) {
    const figure = lot[name]
    if (figure && !(Number.isFinite(figure.value) && Number.isFinite(figure.uncertainty))) throw new RangeError(`${name} is no number`)
  }
  if (!(lot.volume.value >= 0 && lot.volume.value <= MOST_L)) throw new RangeError(`volume is ${lot.volume.value}`)
  for (const litres of lot.contents.values()) if (!Number.isFinite(litres)) throw new RangeError('contents are no number')
  if (lot.balance && !Object.values(lot.balance).every(Number.isFinite)) throw new RangeError('balance is no number')
  for (const figure of Object.values(lot.others)) if (!Number.isFinite(figure.value)) throw new RangeError('a reading is no number')
  for (const { actual } of lot.added.values()) if (!Number.isFinite(actual)) throw new RangeError('what went in is no number')
  for (const { mgPerL } of lot.sulphited.slice(-1)) if (!Number.isFinite(mgPerL)) throw new RangeError('sulphite is no number')
  for (const { mgPerL } of lot.fed.slice(-1)) if (!Number.isFinite(mgPerL)) throw new RangeError('nutrient is no number')
}
