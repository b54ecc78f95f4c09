import { windowsHeld } from '../practice/follower/foretold'
import { judge } from '../practice/follower/judge'
import { SCENARIOS, SHARED } from '../practice/follower/scenarios'
import { season, sharedSeason } from '../practice/follower/season'

/** Seasons of each scenario. The windows of the way were set with seeds 101 to 130: these are others. */
const SEEDS = 6
const FIRST_SEED = 51

const median = (xs: readonly number[]): number => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0

/** The closed loop over all scenarios: what came of the wines, and what it took. */
export function benchLoop() {
  const windows = new Map<string, { held: number, of: number }>()
  const rows = SCENARIOS.map((scenario) => {
    const all = Array.from({ length: SEEDS }, (_, i) => {
      const one = season(scenario, FIRST_SEED + i)
      for (const { code, held } of windowsHeld(one)) {
        const known = windows.get(code) ?? { held: 0, of: 0 }
        windows.set(code, { held: known.held + Number(held), of: known.of + 1 })
      }
      return { ...judge(one), seed: FIRST_SEED + i, day: one.bottledDay }
    })
    return {
      scenario: scenario.name,
      sound: all.filter((v) => v.sound).length,
      bottled: all.filter((v) => v.bottled).length,
      tasks: median(all.map((v) => v.taskCount)),
      topUps: median(all.map((v) => v.topUps)),
      day: median(all.flatMap((v) => v.day ?? [])),
      ...(all.some((v) => !v.sound) && { faults: all.filter((v) => !v.sound).map((v) => `${v.seed}: ${v.faults.join(', ')}`) })
    }
  })
  const shared = SHARED.map((cellar) => {
    const seasons = Array.from({ length: SEEDS }, (_, i) => sharedSeason(cellar, FIRST_SEED + i)).flat()
    const all = seasons.map((one) => ({ ...judge(one), seed: one.seed }))
    const faults = all.filter((v) => !v.sound).map((v) => `${v.seed}: ${v.faults.join(', ')}`)
    return { cellar: cellar.name, lots: all.length, sound: all.filter((v) => v.sound).length,
      bottled: all.filter((v) => v.bottled).length, ...(faults.length > 0 && { faults }) }
  })
  const sum = (of: 'sound' | 'bottled') => rows.reduce((s, r) => s + r[of], 0)
  const seasons = rows.length * SEEDS
  const wayHeld = Object.fromEntries([...windows].map(([code, { held, of }]) => [code, { share: Number((held / of).toFixed(2)), of }]))
  return { seasons, wayHeld, soundPercent: (sum('sound') / seasons) * 100, bottledPercent: (sum('bottled') / seasons) * 100, rows, shared }
}
