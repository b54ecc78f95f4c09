import type { Entry, EntryOf, Fact } from './entry'

/** A fact as it now reads, with the entries that changed it. */
export interface StandingFact {
  fact: Fact
  /** As it was first written. */
  original: Fact
  /** The corrections that led here, oldest first. */
  corrections: readonly EntryOf<'correction'>[]
  /** True when the last word on it is that it never happened. */
  struck: boolean
}

/** Order of the ledger: by when it happened, then by id, so that the order of arrival never matters. */
export function inOrder(a: { at: string, id: string }, b: { at: string, id: string }): number {
  return a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0
}

/** Order of corrections: by the instant of writing, which on each device only goes forward, then by id. */
const byWriting = (a: EntryOf<'correction'>, b: EntryOf<'correction'>): number =>
  inOrder({ at: a.written, id: a.id }, { at: b.written, id: b.id })

/**
 * A fact with its corrections applied: the latest wins. A correction keeps the id of what it corrects and may move it in time.
 * A correction of a correction is a second correction of the same fact.
 */
export function standing(original: Fact, unsorted: readonly EntryOf<'correction'>[]): StandingFact {
  const corrections = [...unsorted].sort(byWriting)
  const last = corrections.at(-1)
  // What a struck entry said last stands beside the line through it.
  const said = corrections.findLast((c) => c.replacement !== null)?.replacement
  return {
    fact: said ? { ...said, id: original.id } : original,
    original,
    corrections,
    struck: last !== undefined && last.replacement === null
  }
}

/**
 * Every fact as it stands, struck ones included, in ledger order.
 * @param entries in any order, without duplicates
 */
export function standingFacts(entries: readonly Entry[]): StandingFact[] {
  const byTarget = new Map<string, EntryOf<'correction'>[]>()
  const facts: Fact[] = []
  for (const entry of entries) {
    if (entry.type !== 'correction') facts.push(entry)
    else if (byTarget.has(entry.targetId)) byTarget.get(entry.targetId)!.push(entry)
    else byTarget.set(entry.targetId, [entry])
  }
  return facts.map((fact) => standing(fact, byTarget.get(fact.id) ?? [])).sort((a, b) => inOrder(a.fact, b.fact))
}
