import { fixedDraws } from '../units'
import { between, sgAtSugar } from './course'
import { type Peak, type Problem, gravities, logLikely } from './fit'
import { standsSince } from './looks'
import { DIMENSIONS } from './prior'

export const DRAWS = 320
export const ROUGH_DRAWS = 100
/** Hours at which each course is also let come to a stand. */
const STOPS = 24
/** A course less likely than this against the best, as a logarithm, tells nothing. */
const NEGLIGIBLE = 7
/** The spread of the draws against that of the fit: wide enough that no course is missed. */
const WIDER = 1.25
/** A ferment comes to a stand without warning about once in eight: so much an hour. Common practice, no source. */
const HAZARD = 0.12 / 350

/** One way in which a ferment may go. */
export interface Course {
  sugar: Float64Array
  sugarFree: number
  weight: number
  /** h from which it stands still. */
  standsFrom?: number
}

const drawn = new Map<number, Float64Array[]>()
function drawsOf(count: number): Float64Array[] {
  const known = drawn.get(count) ?? fixedDraws(count, DIMENSIONS)
  drawn.set(count, known)
  return known
}

/** Courses around the peaks, weighed. */
export function drawCourses(problem: Problem, peaks: readonly Peak[], count: number): Course[] {
  const draws = drawsOf(count)
  const now = problem.looks.at(-1)?.hours ?? 0
  const stands = standsSince(problem.looks)
  const earliest = Math.max(24, Math.min(now - 96, stands === undefined ? now : problem.looks[stands]!.hours - 30))
  const stops: number[] = []
  for (let h = earliest, step = Math.max(6, (now - earliest) / STOPS); h < now; h += step) stops.push(h)
  const width = stops.length > 1 ? stops[1]! - stops[0]! : 6
  const courses: { course: Course, log: number }[] = []
  for (const peak of peaks) {
    for (const n of draws) {
      const z = placed(peak, n)
      const logPrior = -0.5 * z.reduce((sum, x) => sum + x * x, 0)
      const logProposal = logSum(peaks.map((p) => logDensity(p, z)))
      const { sugar, sugarFree, sg } = gravities(problem, z)
      const base = logPrior - logProposal
      const likely = problem.looks.map((l, i) => logLikely(l.sg - sg[i]!))
      const all = likely.reduce((a, b) => a + b, 0)
      courses.push({ course: { sugar, sugarFree, weight: 0 }, log: base + all - HAZARD * now })
      let [before, i] = [0, 0]
      for (const h of stops) {
        while (i < likely.length && problem.looks[i]!.hours <= h) before += likely[i++]!
        const still = sgAtSugar(problem.extractGPerL, sugarFree, between(sugar, h))
        let after = 0
        for (let j = i; j < likely.length; j++) after += logLikely(problem.looks[j]!.sg - still)
        courses.push({ course: { sugar, sugarFree, weight: 0, standsFrom: h }, log: base + before + after + Math.log(HAZARD * width) })
      }
    }
  }
  const best = courses.reduce((max, c) => Math.max(max, c.log), -Infinity)
  return courses.flatMap(({ course, log }) => (log > best - NEGLIGIBLE ? [{ ...course, weight: Math.exp(log - best) }] : []))
}

const placed = ({ z, lower }: Peak, n: Float64Array): Float64Array =>
  z.map((at, i) => {
    let sum = at
    for (let j = 0; j <= i; j++) sum += WIDER * lower[i]![j]! * n[j]!
    return sum
  })

function logDensity({ z, lower, logDet }: Peak, at: Float64Array): number {
  const u = new Float64Array(DIMENSIONS)
  let square = 0
  for (let i = 0; i < DIMENSIONS; i++) {
    let rest = at[i]! - z[i]!
    for (let j = 0; j < i; j++) rest -= lower[i]![j]! * u[j]!
    u[i] = rest / lower[i]![i]!
    square += u[i]! ** 2
  }
  return -0.5 * square / WIDER ** 2 - logDet
}
const logSum = (logs: readonly number[]): number => {
  const max = Math.max(...logs)
  return max + Math.log(logs.reduce((sum, l) => sum + Math.exp(l - max), 0))
}
