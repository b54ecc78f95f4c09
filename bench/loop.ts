import { windowsHeld } from '../practice/follower/foretold'
import type { Season } from '../practice/follower/hand'
import { judge } from '../practice/follower/judge'
import { SCENARIOS, SHARED } from '../practice/follower/scenarios'
import { seasons, sharedSeason } from '../practice/follower/season'

/** Seasons of each scenario. The windows of the way were set with seeds 101 to 130: these are others. */
const SEEDS = 6
const FIRST_SEED = 51

const median = (xs: readonly number[]): number => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0

/** What was wrong with what was asked, whatever became of the wine. */
const adviceOf = ({ seed, advice: { silent, outOfOrder, contradicted } }: Season): string[] => [
  ...silent.map((what) => `${seed}: silent on ${what}`),
  ...outOfOrder.map((what) => `${seed}: out of order, ${what}`),
  ...contradicted.map((what) => `${seed}: contradicted, ${what}`)
]

/** The closed loop over all scenarios: what came of the wines, and what it took. */
export function benchLoop() {
  const windows = new Map<string, { held: number, of: number }>()
  const rows = SCENARIOS.map((scenario) => {
    const all = Array.from({ length: SEEDS }, (_, i) => seasons(scenario, FIRST_SEED + i)).flat().map((one) => {
      for (const { code, held } of windowsHeld(one)) {
        const known = windows.get(code) ?? { held: 0, of: 0 }
        windows.set(code, { held: known.held + Number(held), of: known.of + 1 })
      }
      return { ...judge(one), seed: one.seed, day: one.bottledDay, minutes: one.minutes, washings: one.washings, nagged: [...one.nagged],
        advice: adviceOf(one) }
    })
    return {
      scenario: scenario.name,
      lots: all.length,
      sound: all.filter((v) => v.sound).length,
      bottled: all.filter((v) => v.bottled).length,
      tasks: median(all.map((v) => v.taskCount)),
      topUps: median(all.map((v) => v.topUps)),
      hours: Math.round(median(all.map((v) => v.minutes)) / 60),
      washings: median(all.map((v) => v.washings)),
      day: median(all.flatMap((v) => v.day ?? [])),
      ...(all.some((v) => v.advice.length > 0) && { advice: all.flatMap((v) => v.advice) }),
      ...(all.some((v) => v.nagged.length > 0) && { nagged: [...new Set(all.flatMap((v) => v.nagged))] }),
      ...(all.some((v) => !v.sound) && { faults: all.filter((v) => !v.sound).map((v) => `${v.seed}: ${v.faults.join(', ')}`) })
    }
  })
  const shared = SHARED.map((cellar) => {
    const all = Array.from({ length: SEEDS }, (_, i) => sharedSeason(cellar, FIRST_SEED + i))
      .flat().map((one) => ({ ...judge(one), seed: one.seed, advice: adviceOf(one) }))
    const faults = all.filter((v) => !v.sound).map((v) => `${v.seed}: ${v.faults.join(', ')}`)
    return { cellar: cellar.name, lots: all.length, sound: all.filter((v) => v.sound).length,
      bottled: all.filter((v) => v.bottled).length, ...(faults.length > 0 && { faults }),
      ...(all.some((v) => v.advice.length > 0) && { advice: all.flatMap((v) => v.advice) }) }
  })
  const sum = (of: 'sound' | 'bottled' | 'lots') => [...rows, ...shared].reduce((s, r) => s + r[of], 0)
  const lots = sum('lots')
  const wayHeld = Object.fromEntries([...windows].map(([code, { held, of }]) => [code, { share: Number((held / of).toFixed(2)), of }]))
  const percent = (of: 'sound' | 'bottled') => (sum(of) / lots) * 100
  return { seasons: lots, wayHeld, soundPercent: percent('sound'), bottledPercent: percent('bottled'), rows, shared }
}
