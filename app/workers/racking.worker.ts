import { expose } from 'comlink'
import highs from 'highs'
import wasm from 'highs/runtime?url'
import { type RackingAsked, type RackingPlan, type Solver, rackingPlan } from '~~/core/racking'
import { LimitError } from '~~/core/units'

/** Sizes that glass and steel are sold in, L: common practice, no source. */
const SIZES = [2, 3, 5, 10, 15, 20, 25, 34, 54] as const
/** L of air that a further vessel must save to be spoken of. */
const WORTH_L = 1

let solver: Promise<Solver> | undefined
/** Loaded when it is first asked: the solver is large. */
async function load(): Promise<Solver> {
  const { solve } = await highs({ locateFile: () => wasm })
  return (lp, options) => solve(lp, options) as unknown as ReturnType<Solver>
}
const clock = () => performance.now() / 1000
const short = (p: RackingPlan) => p.withoutVesselL * 100 + p.airL

const racking = {
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
    const tried = SIZES.map((capacityL) => {
      const more = { ...asked, maxSeconds: 1, vessels: [...asked.vessels, { id: '+', capacityL }] }
      return { capacityL, plan: rackingPlan(more, solve, clock) }
    })
    const best = tried.reduce((a, b) => (short(b.plan) < short(a.plan) - 0.05 ? b : a))
    if (short(now) - short(best.plan) < WORTH_L) return undefined
    return { capacityL: best.capacityL, withoutVesselL: best.plan.withoutVesselL, airL: best.plan.airL }
  }
}
export type Racking = typeof racking

expose(racking)
