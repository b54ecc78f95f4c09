import { within } from '../units'

export interface StraightLine {
  slope: number
  intercept: number
  /** Standard deviation of the points about the line; 0 for two points. */
  residualSd: number
  count: number
  meanX: number
  /** Σ(x − mean)² */
  spreadX: number
}

/**
 * Least squares line through points.
 * @param points two or more with different x
 * @throws LimitError when there are fewer, or all stand over one x
 * @example straightLine([[0, 20], [4, 21]]).slope // 0.25
 */
export function straightLine(points: readonly (readonly [number, number])[]): StraightLine {
  const count = within('points', points.length, 2, 10_000)
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / count
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / count
  const spreadX = within(
    'spreadX',
    points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0),
    1e-9,
    Number.MAX_VALUE
  )
  const slope = points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / spreadX
  const intercept = meanY - slope * meanX
  const squares = points.reduce((sum, [x, y]) => sum + (y - intercept - slope * x) ** 2, 0)
  return { slope, intercept, residualSd: count > 2 ? Math.sqrt(squares / (count - 2)) : 0, count, meanX, spreadX }
}

/** Student's t for a band that holds four of five, by degrees of freedom: quantile 0.90, any statistical table. */
const T_90 = [3.078, 1.886, 1.638, 1.533, 1.476, 1.44, 1.415, 1.397, 1.383, 1.372] as const
const T_90_MANY = 1.31

/**
 * Where the line will be, with the band in which four of five new samples fall: t × s × √(1 + 1/n + (x − mean)²/Σ).
 * @param line as fitted
 * @param x where
 * @param noiseSd what a sample scatters by itself, at least: few points lie on a line by luck
 * @returns value and half-width in the unit of y
 * @example bandAt(straightLine([[0, 20], [4, 21], [8, 22]]), 12, 0.4).value // 23
 */
export function bandAt(line: StraightLine, x: number, noiseSd: number): { value: number, half: number } {
  const sd = Math.max(line.residualSd, noiseSd)
  // With a noise that is known, a line through two points has a band too; it counts as the widest of the table.
  const t = line.count > 2 && line.residualSd > noiseSd ? (T_90[line.count - 3] ?? T_90_MANY) : T_90_MANY
  return { value: line.intercept + line.slope * x, half: t * sd * Math.sqrt(1 + 1 / line.count + (x - line.meanX) ** 2 / line.spreadX) }
}
