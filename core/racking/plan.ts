import { within } from '../units'
import { type Filling, bestFilling, canCount, fewTargets } from './filling'
import { type Assignment, type Bounds, type Cut, EXTRA, type Only, type Solver, arcName, assignmentOf, modelOf } from './model'
import { type Problem, type RackingAsked, problemOf } from './problem'
import { greedily } from './greedy'
import { type Rounds, byRounds, canGoByRounds } from './rounds'
import { type Step, ringsOf, sequence } from './sequence'

export interface RackingMove {
  wineId: string
  /** Null: it comes from outside. */
  fromVesselId: string | null
  toVesselId: string
  litres: number
  /** It waits there until its place is free. */
  waits: boolean
  /** Another wine, or its own lees, was in it before: it is washed first. */
  wash: boolean
}

export interface RackingPlan {
  moves: RackingMove[]
  after: { vesselId: string, wineId: string, litres: number }[]
  /** What has no vessel, in all and by wine, L. */
  withoutVesselL: number
  without: { wineId: string, litres: number }[]
  airL: number
  moveCount: number
  /** Nothing better exists. */
  proven: boolean
  /** How far it may be from the best, as a share of the goal that was still open: 0 when proven. */
  gap: number
}

/** A clock in seconds; the core has none of its own. */
export type Clock = () => number

/** Rounds of cuts before it is left at the best that was found. */
const MOST_ROUNDS = 120
const SOLVER_LEAST_S = 0.2

/**
 * Which wine goes where on racking day: least wine without a vessel, then least air over wine, then fewest moves, in an order that can be
 * done. Exact by mixed-integer programming; the order of the moves is searched for the assignment that was found, and where wines wait
 * for each other in rings, what that costs comes back as cuts until both agree.
 * @param asked wines net of their lees, vessels with what stands in them
 * @param solve a solver for the LP format (HiGHS)
 * @param clock seconds, for the time that it may take
 * @throws LimitError
 */
export function rackingPlan(asked: RackingAsked, solve: Solver, clock: Clock): RackingPlan {
  const problem = problemOf(asked)
  const until = clock() + within('maxSeconds', asked.maxSeconds ?? 5, 0.5, 120)
  if (problem.sources.length === 0) return { ...told(problem, [], []), proven: true, gap: 0 }
  const time = () => Math.max(SOLVER_LEAST_S, until - clock())
  const filling = canCount(problem) ? bestFilling(problem, solve, time) : undefined
  const bounds = filling?.bounds ?? boundsOf(problem, solve, time)
  if (!bounds) return greedyPlan(problem)
  const sure = filling?.sure ?? true
  if (filling && problem.sources.length * problem.vessels.length > MOST_ARCS) {
    const large = byFewTargets(problem, filling, solve, time)
    const plan = large ? better(large, greedyPlan(problem)) : greedyPlan(problem)
    return plan.proven ? plan : { ...plan, gap: gapOf(plan, bounds, large ? large.moveCount * (1 - large.gap) : 0) }
  }
  return exactly(problem, bounds, sure, solve, clock, until)
}

/** More ways to pour than this are not weighed one by one. */
const MOST_ARCS = 90

/** The fewest moves for the best filling, with what rings cost coming back as cuts until both agree. */
function exactly(p: Problem, bounds: Required<Bounds>, certain: boolean, solve: Solver, clock: Clock, until: number): RackingPlan {
  const time = () => Math.max(SOLVER_LEAST_S, until - clock())
  const cuts: Cut[] = []
  let sure = certain
  let best: RackingPlan | undefined
  let lower = 0
  for (let round = 0; round < MOST_ROUNDS && (round === 0 || clock() < until); round++) {
    const solved = solve(modelOf(p, 'moves', bounds, cuts), { time_limit: time() })
    sure &&= solved.Status === 'Optimal'
    const found = assignmentOf(p, solved)
    if (!holdsAll(p, found)) break
    const order = sequence(p, found)
    // So full that no order gets there: something has to be given up, and which is asked in another way.
    if (!order.ok) return crowded(p, solve, time)
    if (!best || order.steps.length < best.moveCount) best = planFrom(p, found, order.steps)
    lower = Math.round(solved.ObjectiveValue)
    if (best.moveCount <= lower) return { ...best, proven: sure, gap: sure ? 0 : 1 }
    cuts.push(...ringCuts(ringsOf(p, found)), patternCut(p, found, order.extra))
  }
  return best ? { ...best, proven: false, gap: 1 - lower / best.moveCount } : crowded(p, solve, time)
}

/** A large cellar: the best filling with the fewest vessels to fill, and the fewest moves to those. */
function byFewTargets(p: Problem, { bounds, sure, chosen }: Filling, solve: Solver, time: () => number): RackingPlan | undefined {
  const few = fewTargets(p, bounds, solve, () => time() / 2)
  const least = few?.least ?? 0
  let best: RackingPlan | undefined
  for (const only of [few && { chosen: few.chosen, ordered: true }, few && { chosen: few.chosen }, { chosen }]) {
    if (!only || best) continue
    const found = assignmentOf(p, solve(modelOf(p, 'moves', bounds, [], only), { time_limit: time() / 2 }))
    const order = holdsAll(p, found) ? sequence(p, found) : undefined
    if (order?.ok) best = planFrom(p, found, order.steps)
  }
  if (!best) return undefined
  const proven = sure && best.moveCount <= least
  return { ...best, proven, gap: proven ? 0 : Math.max(0, 1 - least / Math.max(1, best.moveCount)) }
}

function boundsOf(p: Problem, solve: Solver, time: () => number, only: Only = {}): Required<Bounds> | undefined {
  const first = solve(modelOf(p, 'without', {}, [], only), { time_limit: time() })
  if (!('d0' in first.Columns) || first.Status === 'Infeasible') return undefined
  const without = Math.max(0, first.ObjectiveValue)
  const second = solve(modelOf(p, 'air', { without }, [], only), { time_limit: time() })
  return { without, air: Math.max(0, second.ObjectiveValue) }
}

/**
 * Wines that block each other: round by round where the cellar is small; else the best of what can be done with each move once, and of what
 * one would do without reckoning.
 */
function crowded(p: Problem, solve: Solver, time: () => number): RackingPlan {
  const rounds = canGoByRounds(p) ? byRounds(p, solve, time) : undefined
  if (rounds) return { ...told(p, rounds.stands, rounds.steps), proven: true, gap: 0 }
  return better(orderedPlan(p, solve, time) ?? greedyPlan(p), greedyPlan(p))
}

function orderedPlan(p: Problem, solve: Solver, time: () => number): RackingPlan | undefined {
  const only = { ordered: true }
  const bounds = boundsOf(p, solve, () => Math.min(1, time()), only)
  const found = bounds && assignmentOf(p, solve(modelOf(p, 'moves', bounds, [], only), { time_limit: Math.min(1, time()) }))
  const order = found && holdsAll(p, found) ? sequence(p, found) : undefined
  return found && order?.ok ? planFrom(p, found, order.steps) : undefined
}

const greedyPlan = (p: Problem): RackingPlan => {
  const { stands, steps } = greedily(p)
  return told(p, stands, steps)
}

/** How far the first of the three goals that is still open may be from its best. */
function gapOf(plan: RackingPlan, bounds: Required<Bounds>, leastMoves: number): number {
  if (plan.withoutVesselL > bounds.without + 1e-3) return 1 - bounds.without / plan.withoutVesselL
  if (plan.airL > bounds.air + 1e-3) return 1 - bounds.air / plan.airL
  return plan.moveCount > 0 ? Math.max(0, 1 - leastMoves / plan.moveCount) : 0
}

/** The better by the three goals, in their order. */
const better = (a: RackingPlan, b: RackingPlan): RackingPlan =>
  (b.withoutVesselL - a.withoutVesselL || b.airL - a.airL || b.moveCount - a.moveCount) < -1e-3 ? b : a

/** Everything that there is stays, goes somewhere or is without a place: a solver out of time may not have got there. */
const holdsAll = (p: Problem, a: Assignment): boolean =>
  p.sources.every((s) => {
    const gone = a.arcs.reduce((sum, arc) => sum + (arc.source === s.index ? arc.litres : 0), 0)
    return Math.abs(gone + a.stays[s.index]! + a.left[s.index]! - s.litres) < 0.01
  })

/** Each ring costs at least one move that is done twice; none of these rings shares a move with another. */
function ringCuts(rings: ReturnType<typeof ringsOf>): Cut[] {
  if (rings.length === 0) return []
  const one = (of: typeof rings): Cut => ({
    terms: [[EXTRA, 1], ...of.flat().map((arc) => [arcName(arc.source, arc.vessel), -1] as const)],
    atLeast: of.reduce((sum, ring) => sum + 1 - ring.length, 0)
  })
  return [...rings.map((ring) => one([ring])), ...(rings.length > 1 ? [one(rings)] : [])]
}

/** Just this set of moves costs so many more. */
function patternCut(p: Problem, a: Assignment, extra: number): Cut {
  const chosen = new Set(a.arcs.map((arc) => arcName(arc.source, arc.vessel)))
  const all = p.sources.flatMap((s) =>
    p.vessels.flatMap((v, i) => (v.usable && (i !== s.vessel || p.wines[s.wine]!.offLees) ? [arcName(s.index, i)] : []))
  )
  return {
    terms: [[EXTRA, 1], ...all.map((name) => [name, chosen.has(name) ? -extra : extra] as const)],
    atLeast: extra - extra * chosen.size
  }
}

/** An assignment and its moves as they are told. */
function planFrom(p: Problem, a: Assignment, steps: readonly Step[]): RackingPlan {
  const stays = p.sources.flatMap((s) => (s.vessel === undefined ? [] : [{ vessel: s.vessel, wine: s.wine, litres: a.stays[s.index]! }]))
  return told(p, [...stays, ...a.arcs.map((arc) => ({ vessel: arc.vessel, wine: p.sources[arc.source]!.wine, litres: arc.litres }))], steps)
}

type Standing = Rounds['stands'][number]
const round = (x: number) => Number(x.toFixed(4))

function told(p: Problem, standing: readonly Standing[], steps: readonly Step[]): RackingPlan {
  const after = standsTogether(p, standing)
  const without = p.wines.flatMap((w) => {
    const litres = w.litres - after.reduce((sum, s) => sum + (s.wineId === w.id ? s.litres : 0), 0)
    return litres > 1e-3 ? [{ wineId: w.id, litres: round(litres) }] : []
  })
  const full = new Set(after.map((s) => s.vesselId))
  const capacity = p.vessels.reduce((sum, v) => sum + (full.has(v.id) ? v.capacityL : 0), 0)
  return {
    moves: movesOf(p, standing, steps),
    after,
    withoutVesselL: round(without.reduce((sum, l) => sum + l.litres, 0)),
    without,
    airL: round(Math.max(0, capacity - after.reduce((sum, s) => sum + s.litres, 0))),
    moveCount: steps.length,
    proven: false,
    gap: 1
  }
}

function standsTogether(p: Problem, standing: readonly Standing[]): RackingPlan['after'] {
  const after = new Map<string, RackingPlan['after'][number]>()
  for (const { vessel, wine, litres } of standing) {
    if (litres <= 1e-4) continue
    const [vesselId, wineId] = [p.vessels[vessel]!.id, p.wines[wine]!.id]
    const known = after.get(`${vesselId}|${wineId}`)
    after.set(`${vesselId}|${wineId}`, { vesselId, wineId, litres: (known?.litres ?? 0) + litres })
  }
  return [...after.values()].map((s) => ({ ...s, litres: round(s.litres) }))
}

function movesOf(p: Problem, standing: readonly Standing[], steps: readonly Step[]): RackingMove[] {
  const was = new Map(p.vessels.map((v) => [v.id, v.wineId]))
  return steps.map((s) => {
    const [wineId, toVesselId] = [p.wines[s.wine]!.id, p.vessels[s.to]!.id]
    const before = was.get(toVesselId)
    // What stays in it takes this one in: nobody washes under a wine.
    const stays = before !== undefined && stayedIn(p, s.to, before, standing, steps)
    const wash = before !== undefined && !stays && (before !== wineId || p.wines[s.wine]!.offLees === true)
    // Washed once; from then on it holds this one.
    if (wash) was.set(toVesselId, undefined)
    const fromVesselId = s.from === undefined ? null : p.vessels[s.from]!.id
    return { wineId, fromVesselId, toVesselId, litres: round(s.litres), waits: s.waits, wash }
  })
}

/** Some of the wine that stood in a vessel before stays there: more stands there after than was moved in. */
function stayedIn(p: Problem, vessel: number, wineId: string, standing: readonly Standing[], steps: readonly Step[]): boolean {
  const wine = p.wines.findIndex((w) => w.id === wineId)
  const after = standing.reduce((sum, s) => sum + (s.vessel === vessel && s.wine === wine ? s.litres : 0), 0)
  const came = steps.reduce((sum, s) => sum + (s.to === vessel && s.wine === wine && !s.waits ? s.litres : 0), 0)
  return after - came > 1e-3
}
