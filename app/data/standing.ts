import { type Draft, type Entry, type StandingFact, inOrder } from '~~/core/ledger'

/** Newest first, each in its place. */
export function withFacts(known: readonly StandingFact[], more: readonly StandingFact[]): StandingFact[] {
  const all = [...known]
  for (const fact of more) {
    const place = all.findIndex((f) => inOrder(f.fact, fact.fact) < 0)
    if (place < 0) all.push(fact)
    else all.splice(place, 0, fact)
  }
  return all
}

/**
 * Corrections that move the start of each lot back to what was dated before it.
 * @param asked what is to be written
 * @param starts instants of the lots' starts, ISO UTC, by lot
 */
export function movedStarts(
  asked: readonly Draft<Entry>[], starts: ReadonlyMap<string, string>, facts: readonly StandingFact[]
): Draft[] {
  const earliest = new Map<string, string>()
  for (const draft of asked) {
    const [lotId, at] = ['lotId' in draft ? draft.lotId : undefined, draft.at]
    const startedAt = lotId && starts.get(lotId)
    if (lotId && at && startedAt && at < (earliest.get(lotId) ?? startedAt)) earliest.set(lotId, at)
  }
  return [...earliest].flatMap(([lotId, at]): Draft[] => {
    const start = facts.find((f) => f.fact.type === 'lot-started' && f.fact.lotId === lotId)?.fact
    if (!start) return []
    const replacement = { ...start, at: new Date(Date.parse(at) - 60_000).toISOString() }
    return [{ type: 'correction', targetId: start.id, reason: 'It began earlier', replacement }]
  })
}
