import fc from 'fast-check'
import { LAWS, saidOfAll } from '../core/stages/laws.fixture'
import { plausibleCellar } from '../tests/cellars/plausible'

const CELLARS = 2000
const SEED = 2026
const HOURS = [0, 1, 13, 50, 216, 1440, 9600] as const

/** Of so many generated cellars, each asked some hours after its last entry: how many keep each law, and the first that breaks it. */
export function benchLaws() {
  const broken = new Map<string, { cellars: Set<number>, first: string }>()
  let lots = 0
  fc.sample(plausibleCellar, { numRuns: CELLARS, seed: SEED }).forEach((entries, i) => {
    const last = entries.map((e) => e.at).sort().at(-1)!
    const now = new Date(Date.parse(last) + HOURS[i % HOURS.length]! * 3_600_000).toISOString()
    for (const said of saidOfAll(entries, now)) {
      lots++
      for (const [name, law] of Object.entries(LAWS)) {
        const wrong = law(said, entries)
        if (!wrong) continue
        const known = broken.get(name) ?? { cellars: new Set<number>(), first: wrong }
        known.cellars.add(i)
        broken.set(name, known)
      }
    }
  })
  return {
    cellars: CELLARS,
    lots,
    hold: Object.fromEntries(Object.keys(LAWS).map((name) => [name, CELLARS - (broken.get(name)?.cellars.size ?? 0)])),
    firstBroken: Object.fromEntries([...broken].map(([name, { first }]) => [name, first]))
  }
}
