import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import { fixedDraws } from '../units'
import { type Peak, type Problem, gravities, logLikely } from './fit'
import { DIMENSIONS } from './prior'

/** The spread of the draws against that of the fit: wide enough that no course is missed. */
const WIDER = 1.2
const drawn = new Map<number, Float64Array[]>()
/** The same standard normal numbers every time: a place in the prior each, and one more for the time to come. */
export function drawsOf(count: number): Float64Array[] {
  const known = drawn.get(count) ?? fixedDraws(count, DIMENSIONS + 1)
  drawn.set(count, known)
  return known
}

/** Of so many courses where the readings point is judged. */
const FIRST_LOOK = 120
/** Weights to this power, so that no single course decides where the rest is drawn. */
const FLATTENED = 0.6
/** So much of the fit's own spread stays in it, since so few courses may miss a direction. */
const OF_FIT = 0.35

/** The middle and spread of courses weighed by the readings: a better place to draw from than the best course and its curvature. */
export function settled(problem: Problem, peaks: readonly Peak[], count: number): Peak {
  const seen = peaks.flatMap((peak) => drawsOf(Math.min(count, FIRST_LOOK)).map((n) => {
    const z = placed(peak, n)
    const { sg } = gravities(problem, z)
    const likely = problem.looks.reduce((sum, l, i) => sum + logLikely(l.sg - sg[i]!), 0)
    return { z, log: likely - 0.5 * z.reduce((sum, x) => sum + x * x, 0) - logSum(peaks.map((p) => logDensity(p, z))) }
  }))
  const best = Math.max(...seen.map((s) => s.log))
  const weights = seen.map((s) => Math.exp((s.log - best) * FLATTENED))
  const total = weights.reduce((a, b) => a + b, 0)
  const mean = new Float64Array(DIMENSIONS)
  seen.forEach((s, i) => s.z.forEach((x, d) => (mean[d]! += (weights[i]! / total) * x)))
  const first = new Matrix(peaks[0]!.lower)
  const spread = first.mmul(first.transpose()).mul(OF_FIT)
  seen.forEach((s, i) => {
    const off = Matrix.columnVector(Array.from(s.z, (x, d) => x - mean[d]!))
    spread.add(off.mmul(off.transpose()).mul(((1 - OF_FIT) * weights[i]!) / total))
  })
  const lower = new CholeskyDecomposition(spread).lowerTriangularMatrix.to2DArray()
  return { z: mean, lower, logDet: lower.reduce((sum, row, i) => sum + Math.log(row[i]!), 0) }
}

/** A place drawn around a middle. */
export const placed = ({ z, lower }: Peak, n: ArrayLike<number>): Float64Array =>
  z.map((at, i) => {
    let sum = at
    for (let j = 0; j <= i; j++) sum += WIDER * lower[i]![j]! * n[j]!
    return sum
  })

/** Logarithm of how densely places are drawn there, but for a constant. */
export function logDensity({ z, lower, logDet }: Peak, at: Float64Array): number {
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
export const logSum = (logs: readonly number[]): number => {
  const max = Math.max(...logs)
  return max + Math.log(logs.reduce((sum, l) => sum + Math.exp(l - max), 0))
}
