import { type LotView, lotAt } from '../core/ledger'
import { habitsOf, usualOf } from '../core/way'
import { deviateIn, learnt, spanHere } from '../core/way/learnt'
import { SCENARIOS, lotId } from '../practice/follower/scenarios'
import { season } from '../practice/follower/season'

/** Cellars whose wines set nothing of what is learnt: a seed is one nature of wine for all of its scenarios. */
const SEEDS = [201, 202, 203, 204] as const

/** One cellar of simulated wines, a lot for each scenario. */
function cellarOf(seed: number): LotView[] {
  return SCENARIOS.map((scenario) => {
    const { history } = season(scenario, seed)
    const lot = lotAt(history.cellar.lots.get(lotId)!, history.entries.at(-1)!.at)
    return { ...lot, id: scenario.name, name: scenario.name }
  })
}

/**
 * Each finished lot held against what the others of its cellar taught, and against the usual: how often each window held it, and how wide
 * the learnt one was beside the usual.
 */
export function benchHabits() {
  const sums = new Map<string, { lots: number, usual: number, here: number, width: number }>()
  for (const seed of SEEDS) {
    const lots = cellarOf(seed)
    const usualFor = (id: string, habit: ReturnType<typeof habitsOf>[number]) =>
      usualOf(habit.code, habit.kind, lots.find((l) => l.id === id))!
    for (const habit of habitsOf(lots)) {
      for (const lot of habit.lots) {
        const usual = usualFor(lot.lotId, habit)
        const others = habit.lots.filter((l) => l !== lot)
        const here = spanHere(usual, learnt(others.map((l) => deviateIn(usualFor(l.lotId, habit), l.value))))
        const holds = ([low, , high]: readonly number[]) => Number(lot.value >= low! && lot.value <= high!)
        const key = `${habit.code} ${habit.kind}`
        const sum = sums.get(key) ?? { lots: 0, usual: 0, here: 0, width: 0 }
        sums.set(key, {
          lots: sum.lots + 1,
          usual: sum.usual + holds(usual),
          here: sum.here + holds(here),
          width: sum.width + (here[2] - here[0]) / (usual[2] - usual[0])
        })
      }
    }
  }
  const share = (n: number, of: number) => Number((n / of).toFixed(2))
  return Object.fromEntries([...sums].map(([key, { lots, usual, here, width }]) => [
    key, { lots, heldByUsual: share(usual, lots), heldByLearnt: share(here, lots), width: share(width, lots) }
  ]))
}
