import type { Entry, Fact } from '../../core/ledger'
import { type Truth, truthOf } from './seen'
import { type Verdict, verdictOf } from './verdict'
import { World } from './world'

/** A decision, and what the wine would have become without it: the same seed lived again. */
export interface Decided {
  entryIds: string[]
  fact: Fact
  with: { truth: Truth, verdict: Verdict }
  without: { truth: Truth, verdict: Verdict }
  /** Points that it brought; below zero: it cost them. */
  worth: number
}

/** Entries that do something to a wine. */
const DOES = new Set<Fact['type']>(['addition', 'inoculation', 'transfer', 'bottling'])
const WORKS = new Set(['warm', 'cool', 'degas', 'chill', 'pasteurise', 'filter'])
const does = (f: Fact): boolean => DOES.has(f.type) || (f.type === 'operation' && WORKS.has(f.what))
const lotOf = (f: Fact): string | undefined => (f.type === 'transfer' ? f.from.lotId : 'lotId' in f ? f.lotId : undefined)

/** Decisions of a lot, oldest first; what was done at one instant is one. */
export function decisionsOf(facts: readonly Fact[], lotId: string): Fact[][] {
  const groups = new Map<string, Fact[]>()
  for (const f of facts) {
    if (!does(f) || lotOf(f) !== lotId) continue
    const key = `${f.at} ${f.type}`
    groups.set(key, [...(groups.get(key) ?? []), f])
  }
  return [...groups.values()]
}

/** One decision, by living the season without it. */
export function without(world: World, entries: readonly Entry[], lotId: string, group: readonly Fact[]): Decided | undefined {
  const ids = group.map((f) => f.id)
  const other = new World(world.scenario, world.seed, world.start, new Set(ids)).to(entries, world.now)
  const of = (w: World) => {
    const kept = w.kept.get(lotId)
    const verdict = verdictOf(w, lotId, entries)
    return kept && verdict && { truth: truthOf(kept, w.roomOf(lotId)), verdict }
  }
  const [here, there] = [of(world), of(other)]
  if (!here || !there) return undefined
  return { entryIds: ids, fact: group[0]!, with: here, without: there, worth: here.verdict.score - there.verdict.score }
}
