import { expose } from 'comlink'
import { holdForLife } from './supervised'
import highs from 'highs'
import wasm from 'highs/runtime?url'
import { type RackingAsked, type RackingPlan, type Solver, rackingPlan } from '~~/core/racking'
import { LimitError } from '~~/core/units'

/** Sizes that glass and steel are sold in, L: common practice, no source. */
const SIZES = [2, 3, 5, 10, 15, 20, 25, 34, 54] as const
/** L of air that a further vessel must save to be spoken of. */
const WORTH_L = 1
/** A further vessel is hardly larger than what is short; and it is looked for so long. */
const [ROUGHLY_L, TRIED_FOR_S] = [3, 4]

let solver: Promise<Solver> | undefined
/** Loaded when it is first asked: the solver is large. */
async function load(): Promise<Solver> {
  const { solve } = await highs({ locateFile: () => wasm })
  return (lp, options) => solve(lp, options) as unknown as ReturnType<Solver>
}
const clock = () => performance.now() / 1000
const short = (p: RackingPlan) => p.withoutVesselL * 100 + p.airL

const racking = {
  hold: holdForLife,
  /** A racking day solved; undefined for what the core refuses. */
  async plan(asked: RackingAsked): Promise<RackingPlan | undefined> {
    const solve = await (solver ??= load())
    try {
      return rackingPlan(asked, solve, clock)
    }
    catch (error) {
      if (error instanceof LimitError) return undefined
      throw error
    }
  },
  /** The smallest further vessel that helps most, to buy or to borrow; undefined where none is worth it. */
  async oneMore(asked: RackingAsked, now: RackingPlan): Promise<{ capacityL: number, withoutVesselL: number, airL: number } | undefined> {
    const solve = await (solver ??= load())
    const until = clock() + TRIED_FOR_S
    const tried: { capacityL: number, plan: RackingPlan }[] = []
    for (const capacityL of SIZES.filter((size) => size <= now.withoutVesselL + now.airL + ROUGHLY_L)) {
      if (clock() > until) break
      const more = { ...asked, maxSeconds: 0.5, vessels: [...asked.vessels, { id: '+', capacityL }] }
      tried.push({ capacityL, plan: rackingPlan(more, solve, clock) })
    }
    if (tried.length === 0) return undefined
    const best = tried.reduce((a, b) => (short(b.plan) < short(a.plan) - 0.05 ? b : a))
    if (short(now) - short(best.plan) < WORTH_L) return undefined
    return { capacityL: best.capacityL, withoutVesselL: best.plan.withoutVesselL, airL: best.plan.airL }
  }
}
export type Racking = typeof racking

expose(racking)
