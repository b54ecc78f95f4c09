import type { Entry, EntryOf, Fact } from './entry'

/** A fact as it now reads, with the entries that changed it. */
export interface StandingFact {
  fact: Fact
  /** The corrections that led here, oldest first. */
  corrections: EntryOf<'correction'>[]
  /** True when the last word on it is that it never happened. */
  struck: boolean
}

/** Order of the ledger: by when it happened, then by id, so that the order of arrival never matters. */
export function inOrder(a: { at: string, id: string }, b: { at: string, id: string }): number {
  return a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0
}

/**
 * Applies corrections: the latest correction of an entry wins, by when it was written and then by id. A correction keeps the
 * id of what it corrects and may move it in time. A correction of a correction is a second correction of the same fact.
 * @param entries in any order, without duplicates
 * @returns every fact as it stands, struck ones included, in ledger order
 */
export function standingFacts(entries: readonly Entry[]): StandingFact[] {
  const byTarget = new Map<string, EntryOf<'correction'>[]>()
  const facts: Fact[] = []
  for (const entry of entries) {
    if (entry.type !== 'correction') facts.push(entry)
    else if (byTarget.has(entry.targetId)) byTarget.get(entry.targetId)!.push(entry)
    else byTarget.set(entry.targetId, [entry])
  }
  return facts.map((fact) => {
    const corrections = (byTarget.get(fact.id) ?? []).sort((a, b) => inOrder({ at: a.written, id: a.id }, { at: b.written, id: b.id }))
    const last = corrections.at(-1)
    const now = last?.replacement ? { ...last.replacement, id: fact.id } : fact
    return { fact: now, corrections, struck: last !== undefined && last.replacement === null }
  }).sort((a, b) => inOrder(a.fact, b.fact))
}
