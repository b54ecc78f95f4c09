import { brixFromSg, potentialAlcohol, sugarScales } from '../hydrometry'
import { within } from '../units'
import { type Band80, TAIL_END, TENTH, quantiles } from './bands'
import { HORIZON_H, between, sgAtSugar, takenAt, warmthOf, whenSugarIs } from './course'
import { type Course, DRAWS, ROUGH_DRAWS, drawCourses } from './courses'
import type { Problem } from './fit'
import { type FermentReading, type Look, merged, STANDS_SG, standsSince, temperaturesOf } from './looks'
import { peaksFor } from './peaks'
import { type UsualFerment, priorOf } from './prior'
import { type TemperatureLook, USUAL_CELSIUS, temperatureCourse } from './temperature'

export interface FermentAsked {
  originalSg: number
  readings: readonly FermentReading[]
  /** Temperatures besides those that came with a gravity. */
  temperatures?: readonly TemperatureLook[]
  /** Of a ferment that was restarted: the gravity then; hours count from there. */
  restartSg?: number
  style?: 'red' | 'rose' | 'white'
  /** °C that the must is to be held at. */
  expectedCelsius?: number
  yanMgPerL?: number
  nitrogenGivenMgPerL?: number
  toleranceAbv?: number
  /** A third of the draws: for a comparison, not for advice. */
  roughly?: boolean
  /** How far ahead the expected gravities go, h after pitching. */
  horizonHours?: number
}
export interface Hours80 { lowHours: number, midHours: number, highHours: number }
export type ForecastFinding =
  | { code: 'stuck', sg: number, sinceHours: number, probability: number }
  | { code: 'may-stop-sweet', probability: number }
  /** Days after the yeast there is no fall. */
  | { code: 'not-begun', hours: number }
  | { code: 'reading-doubtful', hours: number, sg: number, expectedSg: number }
  | { code: 'fits-no-ferment' }
  | { code: 'over-tolerance', potentialAbv: number, toleranceAbv: number }
export interface FermentForecast {
  oneThirdGone: Hours80 | null
  twoThirdsGone: Hours80 | null
  /** Sugar at 2 g/L or less; of those courses that come there. Null where it more likely does not. */
  dry: Hours80 | null
  endSg: Band80
  expected: { hours: number, sg: Band80 }[]
  /** How likely it ends with more than 6 g/L of sugar. */
  stopsSweet: number
  /** How likely it has stopped already. */
  stopped: number
  fits: boolean
  findings: ForecastFinding[]
}

const SWEET_G_PER_L = 6
/** So much is left for certain in what is said to have stopped. */
const STILL_SWEET_G_PER_L = 9
const DRY_G_PER_L = 2
/** As likely as this it is said to have stopped. */
const SAID_STOPPED = 0.6
/** A course that falls by less than this in a day, with sugar left, has stopped as well. */
const CRAWL_SG = 0.0006
/**
 * Where a ferment is going. A small kinetic course is fitted to the looks with what is usual for such a must as a prior; courses are drawn
 * around the best and weighed by how well they explain the looks (importance sampling), each of them also coming to a stand at any hour of
 * late. The intervals hold four times in five: see `npm run bench` and docs/decisions.md.
 * @param usual what ferments are like: other than everybody's, for trials
 * @param asked original SG 1.03 to 1.17; readings 0 to 3000 h after pitching, SG 0.97 to 1.2, in any order; YAN 0 to 1000 mg/L
 * @throws LimitError
 * @example forecastFerment({ originalSg: 1.1, readings: [] }).dry // about 100 to 300 h
 */
export function forecastFerment(asked: FermentAsked, usual?: UsualFerment): FermentForecast {
  const originalSg = within('originalSg', asked.originalSg, 1.03, 1.17)
  const looks = merged(asked.readings)
  const style = asked.style ?? 'red'
  const held = within('expectedCelsius', asked.expectedCelsius ?? USUAL_CELSIUS[style], 0, 45)
  const warm = temperaturesOf([...asked.readings, ...(asked.temperatures ?? [])])
  const celsiusAt = temperatureCourse(warm, held)
  const extractGPerL = sugarScales(originalSg, 'sg').sugarGPerL
  const known = {
    brix: brixFromSg(originalSg),
    celsius: celsiusAt(48),
    red: style === 'red',
    ...(asked.yanMgPerL !== undefined && { yanMgPerL: within('yanMgPerL', asked.yanMgPerL, 0, 1000) }),
    givenMgPerL: within('nitrogenGivenMgPerL', asked.nitrogenGivenMgPerL ?? 0, 0, 1000),
    ...(asked.toleranceAbv !== undefined && { toleranceAbv: within('toleranceAbv', asked.toleranceAbv, 8, 22) })
  }
  const takenGPerL = asked.restartSg === undefined ? 0 : takenAt(extractGPerL, within('restartSg', asked.restartSg, 0.985, originalSg))
  const problem: Problem = {
    extractGPerL, takenGPerL, looks, prior: priorOf(known, usual), warmth: warmthOf(celsiusAt, warm.at(-1)?.hours)
  }
  const { used, doubted, peaks } = peaksFor(problem)
  const courses = drawCourses({ ...problem, looks: used }, peaks, asked.roughly ? ROUGH_DRAWS : DRAWS)
  const fits = doubted.length <= Math.max(1, looks.length / 4)
  return summary(courses, { ...problem, looks: used }, doubted, fits, asked)
}

/** What the courses say together. */
function summary(
  courses: readonly Course[],
  problem: Problem,
  doubted: readonly (Look & { expectedSg: number })[],
  fits: boolean,
  asked: FermentAsked
): FermentForecast {
  const { extractGPerL, looks } = problem
  const now = looks.at(-1)?.hours ?? 0
  const total = courses.reduce((sum, c) => sum + c.weight, 0)
  const sugarAt = (c: Course, h: number) => between(c.sugar, c.standsFrom === undefined ? h : Math.min(h, c.standsFrom))
  const sgAt = (c: Course, h: number) => sgAtSugar(extractGPerL, c.sugarFree, sugarAt(c, h))
  const hoursTo = (level: (start: number) => number, end = TENTH): Hours80 | null => {
    const come = courses.flatMap((c) => {
      const hours = whenSugarIs(c.sugar, level(c.sugar[0]! + (problem.takenGPerL ?? 0)))
      if (hours === undefined || (c.standsFrom !== undefined && hours > c.standsFrom)) return []
      return [{ value: hours < now ? hours : now + (hours - now) * c.stretch, weight: c.weight }]
    })
    if (come.reduce((sum, c) => sum + c.weight, 0) < total / 2) return null
    const { low, mid, high } = quantiles(come, end)
    return { lowHours: low, midHours: mid, highHours: high }
  }
  const share = (is: (c: Course) => boolean) => courses.reduce((sum, c) => sum + (is(c) ? c.weight : 0), 0) / total
  const ends = (c: Course) => sugarAt(c, HORIZON_H)
  const dry = hoursTo(() => DRY_G_PER_L, TAIL_END)
  const still = (c: Course) => sugarAt(c, now) > STILL_SWEET_G_PER_L && begun(c, now) && sgAt(c, now) - sgAt(c, now + 24) < CRAWL_SG
  const stopped = looks.length === 0 ? 0 : share(still)
  const stopsSweet = share((c) => ends(c) > SWEET_G_PER_L)
  const until = Math.min(HORIZON_H, asked.horizonHours ?? Math.max(240, now + 96, (dry?.highHours ?? now + 240) + 24))
  const expected: FermentForecast['expected'] = []
  for (let hours = 0; hours <= until; hours += 12) {
    expected.push({ hours, sg: quantiles(courses.map((c) => ({ value: sgAt(c, hours), weight: c.weight })), TAIL_END) })
  }
  const findings: ForecastFinding[] = doubted.map(({ hours, sg, expectedSg }) => ({ code: 'reading-doubtful', hours, sg, expectedSg }))
  if (!fits) findings.push({ code: 'fits-no-ferment' })
  const potentialAbv = potentialAlcohol(brixFromSg(asked.originalSg)).abv
  if (asked.toleranceAbv !== undefined && potentialAbv > asked.toleranceAbv)
    findings.push({ code: 'over-tolerance', potentialAbv, toleranceAbv: asked.toleranceAbv })
  const first = asked.restartSg ?? asked.originalSg
  if (now >= NOT_BEGUN_H && looks.every((l) => first - l.sg < STANDS_SG)) findings.push({ code: 'not-begun', hours: now })
  if (stopped > SAID_STOPPED) {
    const since = standsSince(looks)
    const sinceHours = since === undefined ? now : looks[since]!.hours
    findings.unshift({ code: 'stuck', sg: looks.at(-1)!.sg, sinceHours, probability: stopped })
  }
  else if (stopsSweet > 0.25) findings.push({ code: 'may-stop-sweet', probability: stopsSweet })
  return {
    oneThirdGone: hoursTo((start) => (start * 2) / 3),
    twoThirdsGone: hoursTo((start) => start / 3),
    dry,
    endSg: quantiles(courses.map((c) => ({ value: sgAtSugar(extractGPerL, c.sugarFree, ends(c)), weight: c.weight })), TAIL_END),
    expected,
    stopsSweet,
    stopped,
    fits,
    findings
  }
}

/** A yeast that shows nothing after so long has not taken, h: common practice, no source. */
const NOT_BEGUN_H = 60

/** It has got going: what has hardly begun is slow, not stuck. */
const begun = (c: Course, now: number): boolean => between(c.sugar, now) < c.sugar[0]! * 0.94
