import highs from 'highs'
import { type RackingAsked, type Solver, rackingPlan } from '../core/racking'
import { greedily } from '../core/racking/greedy'
import { problemOf } from '../core/racking/problem'
import { seeded } from '../core/units'

const SIZES = [54, 50, 34, 34, 30, 25, 25, 23, 23, 20, 15, 15, 10, 10, 5, 5, 5, 4, 3, 2]

/** Eight lots over twenty vessels of home sizes, each off its lees, standing as they came to stand. */
function cellar(seed: number): RackingAsked {
  const uniform = seeded(seed * 31)
  const wines = Array.from({ length: 8 }, (_, i) => ({ id: `w${i}`, litres: Math.round((12 + 45 * uniform()) * 10) / 10, offLees: true }))
  const vessels: { id: string, capacityL: number, wineId?: string, litres?: number }[] = SIZES.map((capacityL, i) => ({
    id: `v${i}`,
    capacityL
  }))
  for (const w of wines) {
    let left = w.litres * 1.04
    for (const v of vessels) {
      if (left <= 0.5 || v.wineId || v.capacityL > left * 1.2 + 1) continue
      Object.assign(v, { wineId: w.id, litres: Math.min(v.capacityL, left) })
      left -= v.litres!
    }
    if (left > 0.5) w.litres = Math.max(0, w.litres - left)
  }
  return { wines, vessels, maxSeconds: 5 }
}

/** Racking days of eight lots over twenty vessels: time, air and moves, with a plan by hand beside. */
export async function benchRacking(): Promise<object> {
  const { solve } = await highs()
  const solver = solve as unknown as Solver
  return {
    goalMs: 5000,
    days: [1, 2, 3, 4, 5, 6].map((seed) => {
      const asked = cellar(seed)
      const start = performance.now()
      const plan = rackingPlan(asked, solver, () => performance.now() / 1000)
      const ms = performance.now() - start
      const byHand = greedily(problemOf(asked))
      const held = byHand.stands.reduce((sum, s) => sum + s.litres, 0)
      const room = [...new Set(byHand.stands.map((s) => s.vessel))].reduce((sum, v) => sum + asked.vessels[v]!.capacityL, 0)
      const { withoutVesselL, airL, moveCount, proven, gap } = plan
      return { ms, withoutVesselL, airL, moveCount, proven, gap, byHandAirL: room - held, byHandMoves: byHand.steps.length }
    })
  }
}
