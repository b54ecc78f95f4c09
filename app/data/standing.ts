import { dequal } from 'dequal'
import { type CellarState, type Draft, type Entry, type StandingFact, inOrder } from '~~/core/ledger'

/** So many are put in one by one. */
const FEW = 20

/** Newest first, each in its place. */
export function withFacts(known: readonly StandingFact[], more: readonly StandingFact[]): StandingFact[] {
  const all = [...known]
  if (more.length > FEW) return [...all, ...more].sort((a, b) => inOrder(b.fact, a.fact))
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

type Parts = Partial<Omit<CellarState, 'lots'>>

/** Parts of a cellar, those that say what they said before as the same objects: what was worked out from them still holds. */
export const sameParts = <P extends Parts>(before: CellarState, parts: P): P =>
  Object.fromEntries(
    Object.entries(parts).map(([key, now]) => {
      const was = before[key as keyof Parts]
      return [key, dequal(was, now) ? was : now]
    })
  ) as P
