import { type Band80, weightedBand, within } from '../units'
import { MALIC_END } from './evidence'

export interface MalicReading {
  /** Days since the bacteria went in. */
  days: number
  malicGPerL: number
}

export interface CourseAsked {
  /** How well they can work, 0 to 1: see malolacticConditions. */
  score: number
  readings: readonly MalicReading[]
  /** Before the bacteria, g/L; not known without it. */
  startGPerL?: number
  /** What it is told for, days since the bacteria. */
  atDays: number
}

export type CourseFinding =
  /** No fall that a test can tell over three weeks while there is malic left. */
  | { code: 'stalled', days: number, malicGPerL: number }
  /** Malic acid does not come back: one of the readings is wrong, or another wine came in. */
  | { code: 'rises', fromGPerL: number, toGPerL: number, atDays: number }
  /** Past the time in which such a one is over, nine times in ten, and nobody has looked. */
  | { code: 'overdue', days: number }

export interface MalolacticCourse {
  /** Days since the bacteria when it comes to 0.1 g/L. */
  endDays: Band80
  malicNow: Band80
  findings: CourseFinding[]
  /** g/L at a day of it. */
  at: (days: number) => Band80
}

/** It takes 3 to 8 weeks where all is as it should be, craft 3.9: the middle of that, and its spread as a factor. */
const USUAL = { days: 36, lnSpread: 0.36 } as const
/** Where nothing is as it should be it takes so much longer: common practice, no source. */
const SLOWEST = 3
/** Slow at first, then fast, then a tail: the exponents of the course that are weighed. */
const SHAPES = [1.4, 2.1, 3, 4.3] as const
/** What there is to begin with where nobody measured it, g/L: of finished ferments, craft 4.5 (from memory). */
const UNKNOWN_START = { middle: 2.2, lnSpread: 0.35 } as const
/** A home test of malic acid: what it is off by, g/L and as a part. */
const READ_SD = { g: 0.08, part: 0.12 } as const
const START_SD = 0.15
const STALL = { days: 21, fallG: 0.2 } as const

/**
 * Where a malolactic is going, weighed by its readings: courses that end earlier or later, with more or less to begin with, each as
 * likely as its fit to what was read (the courses and their spread: common practice, no source).
 * @throws LimitError
 * @example malolacticCourse({ score: 1, readings: [], atDays: 0 }).endDays // { low: 23, mid: 36, high: 57 }
 */
export function malolacticCourse({ score, readings, startGPerL, atDays }: CourseAsked): MalolacticCourse {
  const middle = USUAL.days * SLOWEST ** (1 - within('score', score, 0, 1))
  const start = startGPerL === undefined ? UNKNOWN_START.middle : Math.max(0.05, within('startGPerL', startGPerL, 0, 15))
  const startSpread = startGPerL === undefined ? UNKNOWN_START.lnSpread : START_SD
  within('atDays', atDays, -3650, 3650)
  const read = [...readings]
    .map((r) => ({ days: within('days', r.days, -3650, 3650), malicGPerL: within('malicGPerL', r.malicGPerL, 0, 15) }))
    .sort((a, b) => a.days - b.days)
  const possible: Possible[] = []
  for (let i = -12; i <= 12; i++) {
    for (let j = -4; j <= 4; j++) {
      for (const shape of SHAPES) {
        const [zEnd, zStart] = [i / 4, j / 1.6]
        const one = { end: middle * Math.exp(zEnd * USUAL.lnSpread), start: start * Math.exp(zStart * startSpread), shape }
        const misses = read.map((r) => (r.malicGPerL - malicOf(one, r.days)) / (READ_SD.g + READ_SD.part * r.malicGPerL))
        const off = misses.reduce((sum, miss) => sum + miss ** 2, 0)
        possible.push({ ...one, weight: Math.exp(-(zEnd ** 2 + zStart ** 2 + off) / 2) })
      }
    }
  }
  // So far from everything that nothing weighs anything: then all weigh alike, which says that nothing is known.
  if (possible.every((p) => p.weight < 1e-300)) for (const p of possible) p.weight = 1
  const at = (days: number) => weightedBand(possible.map((p) => [malicOf(p, days), p.weight]))
  const endDays = weightedBand(possible.map((p) => [p.end, p.weight]))
  return { endDays, malicNow: at(atDays), at, findings: findingsOf(read, atDays, endDays) }
}

interface Possible { end: number, start: number, shape: number, weight: number }

/** Down to 0.1 g/L at its end, and on. */
function malicOf({ end, start, shape }: Omit<Possible, 'weight'>, days: number): number {
  if (days <= 0) return start
  const toGo = Math.log(Math.max(1.5, start / MALIC_END.complete))
  return start * Math.exp(-toGo * (days / end) ** shape)
}

function findingsOf(read: readonly MalicReading[], atDays: number, endDays: Band80): CourseFinding[] {
  const last = read.at(-1)
  if (!last) return atDays > endDays.high ? [{ code: 'overdue', days: atDays }] : []
  const before = read.at(-2)
  if (before && last.malicGPerL - before.malicGPerL > 2 * (READ_SD.g + READ_SD.part * last.malicGPerL))
    return [{ code: 'rises', fromGPerL: before.malicGPerL, toGPerL: last.malicGPerL, atDays: last.days }]
  const earlier = read.findLast((r) => last.days - r.days >= STALL.days)
  const stands = earlier && last.days > STALL.days && earlier.malicGPerL - last.malicGPerL < STALL.fallG
  return stands && last.malicGPerL > MALIC_END.nearly
    ? [{ code: 'stalled', days: last.days - earlier.days, malicGPerL: last.malicGPerL }]
    : []
}
