import { between, sgAtSugar, takenAt } from './course'
import { type Peak, type Problem, gravities, logLikely } from './fit'
import { standsSince } from './looks'
import { DIMENSIONS } from './prior'
import { drawsOf, logDensity, logSum, placed, settled } from './proposals'

export const DRAWS = 320
export const ROUGH_DRAWS = 100
/** Hours at which each course is also let come to a stand. */
const STOPS = 24
/** A course less likely than this against the best, as a logarithm, tells nothing. */
const NEGLIGIBLE = 7
/** A ferment comes to a stand without warning about once in eight: so much an hour. Common practice, no source. */
const HAZARD = 0.12 / 350
/**
 * What no form tells of the time still to come, as a logarithm: set so that a ferment of a form that was left out is dry within its
 * interval as often as is claimed (`npm run bench -- ferments`). Hours to come are stretched by it, gravities are not: those of the next
 * days hold without it.
 */
const STRANGER = { early: 0.15, late: 0.4 }
/** Of all the extract so much is sugar, about. */
const USUAL_PART = 0.9
/** One way in which a ferment may go. */
export interface Course {
  sugar: Float64Array
  sugarFree: number
  weight: number
  /** h from which it stands still. */
  standsFrom?: number
  /** By what the time that it still takes differs from what its own form says. */
  stretch: number
}

/** Of those drawn around the fit itself there are a quarter as many as around the place where the readings point. */
const LOG_QUARTER = Math.log(0.25)

/** Courses around the peaks, weighed. */
export function drawCourses(problem: Problem, peaks: readonly Peak[], count: number): Course[] {
  const draws = drawsOf(count)
  const now = problem.looks.at(-1)?.hours ?? 0
  const stands = standsSince(problem.looks)
  const earliest = Math.max(24, Math.min(now - 96, stands === undefined ? now : problem.looks[stands]!.hours - 30))
  const stops: number[] = []
  for (let h = earliest, step = Math.max(6, (now - earliest) / STOPS); h < now; h += step) stops.push(h)
  const width = stops.length > 1 ? stops[1]! - stops[0]! : 6
  const last = problem.looks.at(-1)
  const taken = last ? (problem.takenGPerL ?? 0) + takenAt(problem.extractGPerL, last.sg) : 0
  const gone = Math.min(1, taken / problem.extractGPerL / USUAL_PART)
  const stranger = STRANGER.early + STRANGER.late * Math.max(0, gone) ** 2
  const places = [...peaks, settled(problem, peaks, count)]
  const courses: { course: Course, log: number }[] = []
  for (const [which, peak] of places.entries()) {
    for (const n of which < peaks.length ? draws.slice(0, Math.ceil(count / 4)) : draws) {
      const z = placed(peak, n)
      const stretch = Math.exp(stranger * n[DIMENSIONS]!)
      const logPrior = -0.5 * z.reduce((sum, x) => sum + x * x, 0)
      const logProposal = logSum(places.map((p, k) => logDensity(p, z) + (k < peaks.length ? LOG_QUARTER : 0)))
      const { sugar, sugarFree, sg } = gravities(problem, z)
      const base = logPrior - logProposal
      const likely = problem.looks.map((l, i) => logLikely(l.sg - sg[i]!))
      const all = likely.reduce((a, b) => a + b, 0)
      courses.push({ course: { sugar, sugarFree, weight: 0, stretch }, log: base + all - HAZARD * now })
      let [before, i] = [0, 0]
      for (const h of stops) {
        while (i < likely.length && problem.looks[i]!.hours <= h) before += likely[i++]!
        const still = sgAtSugar(problem.extractGPerL, sugarFree, between(sugar, h))
        let after = 0
        for (let j = i; j < likely.length; j++) after += logLikely(problem.looks[j]!.sg - still)
        const log = base + before + after + Math.log(HAZARD * width)
        courses.push({ course: { sugar, sugarFree, weight: 0, standsFrom: h, stretch }, log })
      }
    }
  }
  const best = courses.reduce((max, c) => Math.max(max, c.log), -Infinity)
  return courses.flatMap(({ course, log }) => (log > best - NEGLIGIBLE ? [{ ...course, weight: Math.exp(log - best) }] : []))
}
