import { expose } from 'comlink'
import highs from 'highs'
import wasm from 'highs/runtime?url'
import { type RackingAsked, type Solver, rackingPlan } from '~~/core/racking'
import { LimitError } from '~~/core/units'

/** Loaded when it is first asked: the solver is large. */
let solver: Promise<Solver> | undefined
async function load(): Promise<Solver> {
  const { solve } = await highs({ locateFile: () => wasm })
  return (lp, options) => solve(lp, options) as unknown as ReturnType<Solver>
}

const racking = {
  /** A racking day solved; what the core refuses comes back with its reason, in its own words. */
  async plan(asked: RackingAsked) {
    const solve = await (solver ??= load())
    try {
      return rackingPlan(asked, solve, () => performance.now() / 1000)
    }
    catch (error) {
      if (error instanceof LimitError) return { refused: error.argument, value: error.value }
      throw error
    }
  }
}
export type Racking = typeof racking

expose(racking)
