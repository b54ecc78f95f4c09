import { type StandingFact, inOrder, standing, standingFacts } from '../corrections'
import type { Entry, EntryOf, Fact } from '../entry'
import { IMPOSSIBLE, isFact } from '../entries/kind'
import type { CellarState, LedgerProblem } from '../state'
import { affectedFrom } from './affected'
import { finished } from './finished'
import { foldFacts } from './guarded'
import { headerOf } from './header'

/** A state is kept after every so many facts, so that a late entry or a correction begins from the last one before it. */
const EVERY = 300

interface Checkpoint {
  /** So many facts, struck ones included, are in it. */
  count: number
  cellar: CellarState
}

type Correction = EntryOf<'correction'>
type Waiting = ReadonlyMap<string, readonly Correction[]>

/** A ledger with what it tells. Nothing in it is changed in place: the history before an entry stays usable. */
export interface History {
  entries: readonly Entry[]
  /** Corrections that came before what they correct, by its id. */
  waiting: Waiting
  /** As they stand, in ledger order. */
  facts: readonly StandingFact[]
  cellar: CellarState
  /** What is gathered before the rest, as it stands. */
  header: CellarState
  checkpoints: readonly Checkpoint[]
  /** The state after the last fact, from which what only follows is folded on. */
  tip: Checkpoint
}

/** The history of a ledger, folded from its beginning. Entries may come in any order, without duplicates. */
export function historyOf(entries: readonly Entry[]): History {
  const facts = standingFacts(entries)
  const there = new Set(facts.map((f) => f.original.id))
  const waiting = waitingWith(new Map(), entries.filter(isCorrection).filter((c) => !there.has(c.targetId)))
  return foldOn({ entries, waiting, facts, header: newHeader(facts), checkpoints: [] })
}

/**
 * A history with more entries. What lies before the earliest fact that they change is not folded again.
 * @param more new entries, in any order; corrections of what is known or comes with them
 */
export function extend(history: History, more: readonly Entry[]): History {
  if (more.length === 0) return history
  const entries = [...history.entries, ...more]
  const { facts, touched, waiting } = factsWith(history, more)
  const { from, gathered } = affectedFrom(history.facts, facts, touched)
  return foldOn(
    { entries, waiting, facts, header: gathered ? newHeader(facts) : history.header, checkpoints: history.checkpoints },
    from,
    history.tip
  )
}

/**
 * A history with more entries, and why they cannot be written: problems that they bring and that were not there without them.
 * Asking and committing are one fold.
 */
export function propose(history: History, more: readonly Entry[]): { history: History, refused: LedgerProblem[] } {
  const next = extend(history, more)
  const known = new Set(history.cellar.problems.map(keyOf))
  return { history: next, refused: next.cellar.problems.filter((p) => IMPOSSIBLE.has(p.code) && !known.has(keyOf(p))) }
}

const keyOf = (problem: LedgerProblem): string => `${problem.code}:${problem.entryId}`

const isCorrection = (entry: Entry): entry is Correction => !isFact(entry)

function waitingWith(waiting: Waiting, more: readonly Correction[]): Waiting {
  if (more.length === 0) return waiting
  const all = new Map(waiting)
  for (const correction of more) all.set(correction.targetId, [...(all.get(correction.targetId) ?? []), correction])
  return all
}

/** So many facts are put in their places one by one. */
const FEW = 50

/** Facts with more entries in their places, the ids of those that are new or changed, and the corrections that still wait for theirs. */
function factsWith(
  history: Pick<History, 'facts' | 'waiting'>,
  more: readonly Entry[]
): { facts: StandingFact[], touched: Set<string>, waiting: Waiting } {
  const fresh = more.filter(isFact)
  const touched = new Set(fresh.map((f) => f.id))
  const came = fresh.map((fact) => standing(fact, history.waiting.get(fact.id) ?? []))
  // A whole year from another device is sorted in at once, a few lines one by one.
  const facts = came.length > FEW ? [...history.facts, ...came].sort((a, b) => inOrder(a.fact, b.fact)) : [...history.facts]
  const insert = (standingFact: StandingFact) => facts.splice(place(facts, standingFact.fact), 0, standingFact)
  if (came.length <= FEW) came.forEach(insert)
  const early: Correction[] = []
  for (const correction of more.filter(isCorrection)) {
    const index = facts.findIndex((f) => f.original.id === correction.targetId)
    const target = facts[index]
    if (!target) {
      early.push(correction)
      continue
    }
    touched.add(target.original.id)
    facts.splice(index, 1)
    insert(standing(target.original, [...target.corrections, correction]))
  }
  return { facts, touched, waiting: waitingWith(history.waiting, early) }
}

/** Where a fact belongs, by halving: after all that are before it. */
function place(facts: readonly StandingFact[], fact: Fact): number {
  let [low, high] = [0, facts.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (inOrder(facts[middle]!.fact, fact) < 0) low = middle + 1
    else high = middle
  }
  return low
}

const newHeader = (facts: readonly StandingFact[]): CellarState => headerOf(facts.filter((f) => !f.struck).map((f) => f.fact))

/** Folds on from the last state kept before a fact. */
function foldOn({ entries, waiting, facts, header, checkpoints: known }: Omit<History, 'cellar' | 'tip'>, from = 0,
  tip?: Checkpoint): History {
  const checkpoints = known.filter((c) => c.count <= from)
  const start = tip && tip.count <= from ? tip : (checkpoints.at(-1) ?? { count: 0, cellar: header })
  let cellar = withHeader(start.cellar, header)
  for (let count = start.count; count < facts.length;) {
    const next = Math.min(facts.length, (Math.floor(count / EVERY) + 1) * EVERY)
    cellar = foldFacts(
      cellar,
      facts.slice(count, next).flatMap(({ fact, struck }) => (struck ? [] : [fact]))
    )
    count = next
    if (count % EVERY === 0) checkpoints.push({ count, cellar })
  }
  return { entries, waiting, facts, cellar: finished(cellar), header, checkpoints, tip: { count: facts.length, cellar } }
}

/** A state as kept, with what is gathered first as it stands now. */
function withHeader(cellar: CellarState, header: CellarState): CellarState {
  const vessels = new Map(cellar.vessels)
  for (const [id, { name, kind, capacityL, material, fillsBefore }] of header.vessels) {
    vessels.set(id, {
      ...(cellar.vessels.get(id) ?? { id, litres: 0 }),
      name,
      kind,
      capacityL,
      ...(material !== undefined && { material }),
      ...(fillsBefore !== undefined && { fillsBefore })
    })
  }
  for (const id of cellar.vessels.keys()) if (!header.vessels.has(id)) vessels.delete(id)
  return { ...cellar, vessels, instruments: header.instruments, cards: header.cards, starts: header.starts }
}
