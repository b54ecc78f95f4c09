import type { Arc, Assignment } from './model'
import { seeded } from '../units'
import type { Problem } from './problem'

/** A move as it is done: a portion of a wine from one vessel into another. */
export interface Step {
  wine: number
  /** Undefined: from outside. */
  from: number | undefined
  to: number
  litres: number
  /** Not its final place: it waits there until that is free. */
  waits: boolean
}

export type Sequenced =
  | { ok: true, steps: Step[], extra: number }
  /** No order of moves gets there; `sure` where every one was tried. */
  | { ok: false, sure: boolean }

/** A portion of an arc that has not come to its place: where it stands now. */
interface Portion { arc: number, at: number | undefined, litres: number }
interface State { portions: readonly Portion[], steps: readonly Step[], extra: number }

/** States looked at before the search gives up. */
const MOST_STATES = 8_000
/** More moves than this are not tried in every order: what is stuck is put aside where it fits best. */
const MOST_ARCS = 11
const LITTLE = 1e-6

/**
 * An order in which the moves can be done, with the fewest that have to be done twice: a vessel takes another wine only when its own is
 * out, and where wines wait for each other in a ring one waits in a spare vessel.
 */
export function sequence(p: Problem, a: Assignment): Sequenced {
  const plain = inOrder(p, a)
  if (plain) return { ok: true, steps: plain, extra: 0 }
  if (a.arcs.length > MOST_ARCS) return asideAsNeeded(p, a)
  const start = startOf(p, a)
  const layers: State[][] = [[start]]
  const seen = new Set<string>()
  let looked = 0
  for (let extra = 0; extra < layers.length && extra <= 2 * a.arcs.length; extra++) {
    const stack = layers[extra]!
    while (stack.length > 0) {
      const state = stack.pop()!
      const key = keyOf(state)
      if (seen.has(key)) continue
      seen.add(key)
      if (++looked > MOST_STATES) return { ok: false, sure: false }
      if (state.portions.length === 0) return { ok: true, steps: [...state.steps], extra }
      const floor = floorOf(p, a, state)
      stack.push(...home(p, a, state, floor))
      const aside = asides(p, a, state, floor)
      if (aside.length > 0) (layers[extra + 1] ??= []).push(...aside)
    }
  }
  return { ok: false, sure: true }
}

/** Nothing is moved yet. */
const startOf = (p: Problem, a: Assignment): State => ({
  portions: a.arcs.map((arc, i) => ({ arc: i, at: p.sources[arc.source]!.vessel, litres: arc.litres })),
  steps: [],
  extra: 0
})

const keyOf = (s: State): string => s.portions.map((q) => `${q.arc}@${q.at}:${q.litres.toFixed(4)}`).sort().join(' ') + `|${s.extra}`

/** What stands in a vessel at a time: litres, wines, and whether some of its first content is still to go out. */
interface Floor { litres: number, wines: Set<number>, leaving: boolean }

function floorOf(p: Problem, a: Assignment, state: State): Floor[] {
  const floor = p.vessels.map((): Floor => ({ litres: 0, wines: new Set(), leaving: false }))
  const put = (v: number | undefined, wine: number, litres: number, leaving: boolean) => {
    if (v === undefined || litres <= LITTLE) return
    floor[v]!.litres += litres
    floor[v]!.wines.add(wine)
    floor[v]!.leaving ||= leaving
  }
  for (const s of p.sources) put(s.vessel, s.wine, a.stays[s.index] ?? 0, false)
  for (const q of state.portions) put(q.at, p.sources[a.arcs[q.arc]!.source]!.wine, q.litres, true)
  // What has come home.
  for (const [i, arc] of a.arcs.entries()) {
    const open = state.portions.reduce((sum, q) => sum + (q.arc === i ? q.litres : 0), 0)
    put(arc.vessel, p.sources[arc.source]!.wine, arc.litres - open, false)
  }
  return floor
}

/** Whether a wine may come into a vessel as it stands: empty, its own, or one that it may be mixed with, with nothing left to go out. */
function mayEnter(p: Problem, wine: number, litres: number, to: number, floor: readonly Floor[]): boolean {
  const there = floor[to]!
  const cap = p.vessels[to]!.capacityL
  if (!p.vessels[to]!.usable || there.litres + litres > cap + 1e-4) return false
  if (there.wines.size === 0) return true
  if (there.wines.size === 1 && there.wines.has(wine)) return !(there.leaving && p.wines[wine]!.offLees === true)
  return !there.leaving && [...there.wines].every((w) => p.mixes(w, wine))
}

/** One portion more at its place. */
function home(p: Problem, a: Assignment, state: State, floor: readonly Floor[]): State[] {
  return state.portions.flatMap((q, i) => {
    const arc = a.arcs[q.arc]!
    const { wine } = p.sources[arc.source]!
    if (q.at === arc.vessel || !mayEnter(p, wine, q.litres, arc.vessel, floor)) return []
    const portions = state.portions.filter((_, j) => j !== i)
    return [{ ...state, portions, steps: [...state.steps, { wine, from: q.at, to: arc.vessel, litres: q.litres, waits: false }] }]
  })
}

/** One portion, or all that is to leave a vessel at once, put aside into a vessel that is free, or has room beside its own wine. */
function asides(p: Problem, a: Assignment, state: State, floor: readonly Floor[]): State[] {
  const found: State[] = []
  const places = new Map<number | undefined, Portion[]>()
  for (const q of state.portions) places.set(q.at, [...(places.get(q.at) ?? []), q])
  for (const [at, here] of places) {
    if (at === undefined) continue
    const { wine } = p.sources[a.arcs[here[0]!.arc]!.source]!
    for (const [k, v] of p.vessels.entries()) {
      const there = floor[k]!
      const room = v.capacityL - there.litres
      const own = there.wines.size === 1 && there.wines.has(wine) && !(there.leaving && p.wines[wine]!.offLees === true)
      if (k === at || !v.usable || room <= LITTLE || !(there.wines.size === 0 || own)) continue
      for (const moved of [here, ...here.map((q) => [q])]) {
        const litres = moved.reduce((sum, q) => sum + q.litres, 0)
        if (litres <= room + 1e-4) {
          const portions = state.portions.map((q) => (moved.includes(q) ? { ...q, at: k } : q))
          found.push(stepped(state, portions, { wine, from: at, to: k, litres, waits: true }))
        }
        else if (moved.length === 1) {
          // As much as the spare vessel takes; the rest stays.
          const [q] = moved
          const split = (o: Portion) => [{ ...o, at: k, litres: room }, { ...o, litres: o.litres - room }]
          const portions = state.portions.flatMap((o) => (o === q ? split(o) : [o]))
          found.push(stepped(state, portions, { wine, from: at, to: k, litres: room, waits: true }))
        }
      }
    }
  }
  return found
}

const stepped = (s: State, portions: readonly Portion[], step: Step): State => ({ portions, steps: [...s.steps, step], extra: s.extra + 1 })

/** Each move once, where that can be: again and again whatever can go home. */
function inOrder(p: Problem, a: Assignment): Step[] | undefined {
  let state = startOf(p, a)
  while (state.portions.length > 0) {
    const [next] = home(p, a, state, floorOf(p, a, state))
    if (!next) return undefined
    state = next
  }
  return [...state.steps]
}

/** Orders that are tried for a large cellar: the first as it comes, the others by chance, always the same. */
const TRIES = 60

/** Whatever can go home does; when nothing can, or by chance before, one that blocks another waits aside. The best of some tries. */
function asideAsNeeded(p: Problem, a: Assignment): Sequenced {
  let best: State | undefined
  for (let tried = 0; tried < TRIES; tried++) {
    const chance = tried === 0 ? () => 0.999 : seeded(tried)
    const done = oneTry(p, a, chance, best?.extra ?? a.arcs.length)
    if (done) best = done
    if (best?.extra === 0) break
  }
  return best ? { ok: true, steps: [...best.steps], extra: best.extra } : { ok: false, sure: false }
}

/** Of the tries, so many put something aside before they must. */
const ASIDE_EARLY = 0.2

function oneTry(p: Problem, a: Assignment, chance: () => number, less: number): State | undefined {
  let state = startOf(p, a)
  while (state.portions.length > 0) {
    const floor = floorOf(p, a, state)
    const ways = home(p, a, state, floor)
    if (ways.length > 0 && chance() > ASIDE_EARLY) {
      state = ways[Math.floor((1 - chance()) * ways.length)]!
      continue
    }
    const wanted = new Set(state.portions.map((q) => a.arcs[q.arc]!.vessel))
    const last = (s: State) => s.steps.at(-1)!
    const cost = ({ to, litres }: Step) => p.vessels[to]!.capacityL - litres + (wanted.has(to) ? 1000 : 0)
    // What empties a vessel that is waited for first, then what makes it emptier.
    const empties = (s: State) => Number(s.portions.some((q) => q.at === last(s).from))
    const [aside] = asides(p, a, state, floor)
      .filter((s) => wanted.has(last(s).from!))
      .sort((x, y) => empties(x) - empties(y) || cost(last(x)) - cost(last(y)))
    const next = aside && aside.extra < less ? aside : ways[0]
    if (!next) return undefined
    state = next
  }
  return state
}

/** Rings: arcs of which each waits for the next, none of them in two rings. */
export function ringsOf(p: Problem, a: Assignment): Arc[][] {
  const waitsFor = (arc: Arc): Arc[] =>
    a.arcs.filter((o) => {
      const from = p.sources[o.source]!
      const { wine } = p.sources[arc.source]!
      return from.vessel === arc.vessel && (from.wine !== wine || p.wines[wine]!.offLees === true)
    })
  const rings: Arc[][] = []
  const taken = new Set<Arc>()
  for (const first of a.arcs) {
    if (taken.has(first)) continue
    const ring = findRing(first, waitsFor, taken)
    if (!ring) continue
    rings.push(ring)
    for (const arc of ring) taken.add(arc)
  }
  return rings
}

function findRing(first: Arc, waitsFor: (arc: Arc) => Arc[], taken: ReadonlySet<Arc>): Arc[] | undefined {
  const before = new Map<Arc, Arc | undefined>([[first, undefined]])
  const queue = [first]
  while (queue.length > 0) {
    const arc = queue.shift()!
    for (const next of waitsFor(arc)) {
      if (next === first) {
        const ring: Arc[] = []
        for (let at: Arc | undefined = arc; at; at = before.get(at)) ring.push(at)
        return ring
      }
      if (!before.has(next) && !taken.has(next)) {
        before.set(next, arc)
        queue.push(next)
      }
    }
  }
  return undefined
}
