import { type Peak, type Problem, gravities, lookSd, peakOf } from './fit'
import { type Look, standsSince } from './looks'

/** A reading so many spreads from the course is doubted. */
const DOUBTED = 5

export interface Peaks { used: Look[], doubted: (Look & { expectedSg: number })[], peaks: Peak[] }

/** The best course through all looks, the best up to where it stands, and the looks that no course joins. */
export function peaksFor(problem: Problem): Peaks {
  const peaks = (looks: readonly Look[]): Peak[] => {
    const stands = standsSince(looks)
    const whole = peakOf({ ...problem, looks })
    return stands === undefined ? [whole] : [whole, peakOf({ ...problem, looks: looks.slice(0, stands + 1) })]
  }
  const first = peaks(problem.looks)
  const stands = standsSince(problem.looks) ?? problem.looks.length
  const misses = first.map((peak) => {
    const { sg } = gravities(problem, peak.z)
    return problem.looks.map((l, i) => (first.length > 1 && peak === first[1] && i > stands ? l.sg - sg[stands]! : l.sg - sg[i]!))
  })
  const doubted = problem.looks.flatMap((l, i) => {
    const miss = misses.map((m) => m[i]!).sort((a, b) => Math.abs(a) - Math.abs(b))[0]!
    return !l.trusted && Math.abs(miss) > DOUBTED * lookSd() ? [{ ...l, expectedSg: l.sg - miss, i }] : []
  })
  if (doubted.length === 0) return { used: [...problem.looks], doubted, peaks: first }
  const used = problem.looks.filter((_, i) => !doubted.some((d) => d.i === i))
  return { used, doubted, peaks: peaks(used) }
}
