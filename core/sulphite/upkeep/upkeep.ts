import { type Band80, weightedBand, within } from '../../units'
import { freeSo2For, molecularSo2 } from '../molecular'
import { type Course, type FreeDose, type FreeMix, type FreeReading, coursesOf, wander } from './follow'

export interface UpkeepAsked {
  /** 2.5 to 4.5 */
  ph: number
  targetMolecularMgPerL: number
  readings: readonly FreeReading[]
  doses?: readonly FreeDose[]
  mixes?: readonly FreeMix[]
  /** Reds bind iodine by their colour and tannin: a home kit then reads too high by some unknown part. */
  red?: boolean
  /** The instant that `now` is told of, on the same scale of days; the last reading or dose without it. */
  atDays?: number
}

export type UpkeepFinding =
  /** Free SO₂ does not come from nowhere: a dose was not written down, or one of the two readings is wrong. */
  | { code: 'rises', atDays: number, fromMgPerL: number, toMgPerL: number }
  /** Twice the usual and more: air, a warm cellar, or something that binds. */
  | { code: 'falls-fast', decayPerDay: number }

export interface SulphiteUpkeep {
  decayPerDay: Band80
  boundShare: Band80
  targetFreeMgPerL: number
  now: { days: number, free: Band80, molecularMgPerL: number, below: boolean }
  /** When its free level falls below the target, on the scale of days asked in; null when it does not within three years. */
  belowTargetAtDays: Band80 | null
  findings: UpkeepFinding[]
}

/**
 * What a red's true level is of what a home kit by iodine reads: three in five read about right, two too high by up to a third. From memory
 * of comparisons of Ripper's titration with aspiration.
 */
const RED_KIT = [1.06, 1.03, 1, 0.86, 0.72]
const NO_BIAS = [1]
/** No forecast goes further, days. */
const HORIZON = 3 * 365
/** Quantiles of a normal that stand for its five fifths: each course is asked at these. */
const FIFTHS = [-1.4, -0.532, 0, 0.532, 1.4]
/** A rise that no titration makes by itself, mg/L. */
const RISE = 12
const FAST_PER_DAY = 0.011

/**
 * How a wine keeps its sulphite, learnt from its own readings, and when it falls below its level.
 * @param asked pH, the molecular level wanted, readings and doses on one scale of days
 * @returns decay and bound share with 80 % bands, the free level now, the day on which it falls below, and what is odd
 * @throws LimitError
 * @example sulphiteUpkeep({ ph: 3.5, targetMolecularMgPerL: 0.5, readings: [{ days: 0, freeMgPerL: 38 }] }).belowTargetAtDays?.mid // 84
 */
export function sulphiteUpkeep(asked: UpkeepAsked): SulphiteUpkeep {
  const { ph, targetMolecularMgPerL, readings, doses = [], mixes = [], red = false, atDays } = asked
  const targetFreeMgPerL = freeSo2For(within('targetMolecularMgPerL', targetMolecularMgPerL, 0, 3), ph)
  const { courses, lastDay } = coursesOf(readings, doses, mixes)
  const days = Math.max(lastDay, within('atDays', atDays ?? lastDay, -4000, 8000))
  const free = freeAt(courses, days - lastDay, red)
  const decayPerDay = weightedBand(courses.map((c) => [c.decayPerDay, c.weight]))
  const below = free.mid < targetFreeMgPerL
  const falls = withBias(red, (biased) =>
    weightedBand(samplesOf(courses, 0, biased).map(([level, weight, course]) => [fallsBelow(level, targetFreeMgPerL, course), weight])))
  const at = (after: number) => Math.min(HORIZON, after) + lastDay
  return {
    decayPerDay,
    boundShare: weightedBand(courses.map((c) => [c.boundShare, c.weight])),
    targetFreeMgPerL,
    now: { days, free, molecularMgPerL: molecularSo2(free.mid, ph), below },
    belowTargetAtDays: falls.mid >= HORIZON ? null : { low: at(falls.low), mid: at(falls.mid), high: at(falls.high) },
    findings: [
      ...rises(readings, [...doses, ...mixes]),
      ...(readings.length > 2 && decayPerDay.low > FAST_PER_DAY / 2 && decayPerDay.mid > FAST_PER_DAY
        ? [{ code: 'falls-fast' as const, decayPerDay: decayPerDay.mid }]
        : [])
    ]
  }
}

/**
 * The free level so many days after the last that is known.
 * @throws LimitError
 */
export function freeSo2Ahead(asked: Pick<UpkeepAsked, 'readings' | 'doses' | 'mixes' | 'red'>, atDays: readonly number[]): Band80[] {
  const { courses, lastDay } = coursesOf(asked.readings, asked.doses ?? [], asked.mixes)
  return atDays.map((at) => freeAt(courses, Math.max(0, within('atDays', at, -4000, 8000) - lastDay), asked.red))
}

const freeAt = (courses: readonly Course[], after: number, red = false): Band80 =>
  withBias(red, (biased) => weightedBand(samplesOf(courses, after, biased).map(([level, weight]) => [level, weight])))

/** What is likely by the readings as they are, with the band of readings that may be too high. */
function withBias(red: boolean, band: (biased: boolean) => Band80): Band80 {
  const plain = band(false)
  if (!red) return plain
  const { low, high } = band(true)
  return { low: Math.min(low, plain.low), mid: plain.mid, high: Math.max(high, plain.high) }
}

/** Levels that a wine may have so many days on, each with its weight. */
function samplesOf(courses: readonly Course[], after: number, red: boolean): [level: number, weight: number, course: Course][] {
  const tooHigh = red ? RED_KIT : NO_BIAS
  return courses.flatMap((c) => {
    const left = Math.exp(-c.decayPerDay * after)
    const mean = c.freeMgPerL * left
    const sd = Math.sqrt(c.varianceAtEnd * left ** 2 + wander(mean, after))
    return FIFTHS.flatMap((z) => tooHigh.map((part): [number, number, Course] =>
      [Math.max(0, (mean + z * sd) * part), c.weight / FIFTHS.length / tooHigh.length, c]))
  })
}

const fallsBelow = (level: number, target: number, { decayPerDay }: Course): number =>
  level <= target ? 0 : target <= 0 ? HORIZON : Math.min(HORIZON, Math.log(level / target) / decayPerDay)

/** Readings that rise while nothing came in. */
function rises(readings: readonly FreeReading[], came: readonly { days: number }[]): UpkeepFinding[] {
  const sorted = [...readings].sort((a, b) => a.days - b.days)
  return sorted.flatMap((r, i) => {
    const before = sorted[i - 1]
    if (!before || r.freeMgPerL - before.freeMgPerL < RISE) return []
    return came.some((d) => d.days >= before.days && d.days <= r.days)
      ? []
      : [{ code: 'rises' as const, atDays: r.days, fromMgPerL: before.freeMgPerL, toMgPerL: r.freeMgPerL }]
  })
}
