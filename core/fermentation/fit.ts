import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import { between, sgAtSugar, sugarCourse, type Warmth } from './course'
import type { Look } from './looks'
import { DIMENSIONS, type Prior, kineticsOf } from './prior'

export interface Problem {
  extractGPerL: number
  /** Of a restart: what was gone before it. */
  takenGPerL?: number
  warmth: Warmth
  prior: Prior
  looks: readonly Look[]
}

/** Standard deviation of a home hydrometer reading, and of what no small model follows, SG. */
export const READING_SD = 0.001
export const MODEL_SD = 0.0006
/** Degrees of freedom of Student's t: a swapped digit pulls little. */
export const NU = 4

export const lookSd = (): number => Math.hypot(READING_SD, MODEL_SD)

/** Gravity at every look, of a course at a place in the prior. */
export function gravities(problem: Problem, z: ArrayLike<number>): { sugar: Float64Array, sg: number[], sugarFree: number } {
  const k = kineticsOf(problem.prior, z)
  const taken = problem.takenGPerL ?? 0
  const sugar = sugarCourse(Math.max(1, problem.extractGPerL - k.sugarFree - taken), k, problem.warmth, taken)
  return {
    sugar,
    sugarFree: k.sugarFree,
    sg: problem.looks.map((l) => sgAtSugar(problem.extractGPerL, k.sugarFree, between(sugar, l.hours)))
  }
}

/** The most probable place, and the spread around it as a lower triangle. */
export interface Peak { z: Float64Array, lower: number[][], logDet: number }

/**
 * Gauss and Newton with a damped step, Student's t by weights (IRLS); the prior is as good as a reading for each figure.
 * @param problem with the warmth up to the last look at least
 */
export function peakOf(problem: Problem): Peak {
  const z = new Float64Array(DIMENSIONS)
  const s = lookSd()
  let at = gravities(problem, z)
  let cost = costOf(problem, at.sg, z)
  let precision = Matrix.eye(DIMENSIONS)
  let damping = 0.05
  for (let round = 0; problem.looks.length > 0 && round < 10; round++) {
    const jacobian = new Matrix(problem.looks.length, DIMENSIONS)
    for (let d = 0; d < DIMENSIONS; d++) {
      const moved = Float64Array.from(z)
      moved[d]! += 0.05
      gravities(problem, moved).sg.forEach((sg, i) => jacobian.set(i, d, (sg - at.sg[i]!) / 0.05 / s))
    }
    const r = problem.looks.map((l, i) => (l.sg - at.sg[i]!) / s)
    const w = r.map((x) => (NU + 1) / (NU + x * x))
    const weighted = jacobian.clone()
    for (let i = 0; i < r.length; i++) weighted.mulRow(i, w[i]!)
    const curvature = jacobian.transpose().mmul(weighted)
    precision = symmetric(Matrix.add(curvature, Matrix.eye(DIMENSIONS)))
    const pull = weighted.transpose().mmul(Matrix.columnVector(r)).sub(Matrix.columnVector([...z]))
    let better = false
    for (let attempt = 0; attempt < 4 && !better; attempt++) {
      const damped = Matrix.add(precision, Matrix.diag(precision.diag().map((x) => x * damping)))
      const step = new CholeskyDecomposition(damped).solve(pull).to1DArray()
      const next = z.map((x, d) => Math.min(6, Math.max(-6, x + step[d]!)))
      const there = gravities(problem, next)
      const nextCost = costOf(problem, there.sg, next)
      if (nextCost < cost) {
        better = true
        damping *= 0.3
        const gain = cost - nextCost
        z.set(next)
        at = there
        cost = nextCost
        if (gain < 0.02) round = 99
      }
      else damping = damping * 6 + 0.02
    }
    if (!better) break
  }
  const covariance = symmetric(new CholeskyDecomposition(precision).solve(Matrix.eye(DIMENSIONS)))
  const lower = new CholeskyDecomposition(covariance).lowerTriangularMatrix.to2DArray()
  return { z, lower, logDet: lower.reduce((sum, row, i) => sum + Math.log(row[i]!), 0) }
}

/** Free of what rounding left on either side of the diagonal. */
const symmetric = (m: Matrix): Matrix => Matrix.add(m, m.transpose()).mul(0.5)

/** Minus the logarithm of the posterior, but for a constant. */
function costOf(problem: Problem, sg: readonly number[], z: ArrayLike<number>): number {
  let cost = 0
  for (let d = 0; d < DIMENSIONS; d++) cost += 0.5 * z[d]! ** 2
  problem.looks.forEach((l, i) => (cost -= logLikely(l.sg - sg[i]!)))
  return cost
}

const SCALE = lookSd()
/** Logarithm of how likely a reading lies so far from a course. */
export const logLikely = (miss: number): number => -((NU + 1) / 2) * Math.log1p((miss / SCALE) ** 2 / NU)
