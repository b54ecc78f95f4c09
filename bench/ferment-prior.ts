import { CholeskyDecomposition, Matrix, solve } from 'ml-matrix'
import { warmthOf } from '../core/fermentation/course'
import { peakOf } from '../core/fermentation/fit'
import { LEARNT, type UsualFerment, priorOf } from '../core/fermentation/prior'
import { type FormName, type TrueFerment, trueFerment } from '../core/fermentation/reference/ferments.fixture'
import { USUAL } from '../core/fermentation/usual'
import { brixFromSg, sugarScales } from '../core/hydrometry'

/** Ferments of this seed set the usual figures; nothing is tried on them. */
const SEED = 7
const N = LEARNT.length
/** 0.0008 SG of the first reading, as g/L. */
const FIRST_READING_G = 2.1

/** Whole ferments of some forms, those that somebody stopped left out. */
export const ferments = (forms: readonly FormName[], each: number): TrueFerment[] =>
  forms.flatMap((form) => Array.from({ length: each }, (_, i) => trueFerment(i, SEED, form)).filter((f) => f.cause === null))

const digits = (x: number) => Number(x.toPrecision(3))
/** Lower triangle as a matrix. */
const square = (rows: UsualFerment['covary']) => new Matrix(rows.map((row) => [...row, ...Array<number>(N - row.length).fill(0)]))

/**
 * The usual figures of ferments, from the small course fitted to whole ones: a straight line of each figure over nitrogen, sugar, warmth
 * and colour, and the covariance of what is left, what each fit leaves open with it. A few rounds, each with the last one's as the prior
 * (expectation and maximisation).
 */
export function usualFrom(all: readonly TrueFerment[], rounds = 4, from: UsualFerment = USUAL): UsualFerment {
  let usual = from
  for (let round = 0; round < rounds; round++) usual = once(all, usual, round === rounds - 1)
  // The first reading errs like any other: what it is off shows as extract that no yeast takes.
  const extract = LEARNT.indexOf('sugarFree')
  return {
    ...usual,
    covary: usual.covary.map((row, i) => (i === extract ? row.map((x, j) => (j === i ? digits(Math.hypot(x, FIRST_READING_G)) : x)) : row))
  }
}

function once(all: readonly TrueFerment[], usual: UsualFerment, last: boolean): UsualFerment {
  const open = Matrix.zeros(N, N)
  const triangle = square(usual.covary)
  const rows = all.map((f) => {
    const end = Math.min(900, (f.dry ?? 800) * 1.25)
    const looks = Array.from({ length: 40 }, (_, k) => ({ hours: ((k + 1) * end) / 40, sg: f.sgAt(((k + 1) * end) / 40), trusted: true }))
    const nitrogenMgPerL = f.yanMgPerL + f.givenMgPerL
    const [brix, celsius, red] = [brixFromSg(f.originalSg), f.celsiusAt(48), f.style === 'red']
    const prior = priorOf({ brix, celsius, yanMgPerL: nitrogenMgPerL, toleranceAbv: f.toleranceAbv, red }, usual)
    const { z, lower } = peakOf({
      extractGPerL: sugarScales(f.originalSg, 'sg').sugarGPerL, prior, warmth: warmthOf(f.celsiusAt, end + 6, end + 6), looks
    })
    const own = triangle.mmul(new Matrix(lower).subMatrix(0, N - 1, 0, N - 1))
    open.add(own.mmul(own.transpose()))
    const moved = triangle.mmul(Matrix.columnVector([...z].slice(0, N))).to1DArray()
    return {
      form: f.form,
      x: [1, Math.log(Math.min(450, nitrogenMgPerL) / 200), brix - 22, celsius - 20, red ? 1 : 0],
      values: moved.map((m, d) => prior.mean[d]! + usual.figures[d]!.byNitrogen * prior.nitrogenSd * z[N + 2]! + m)
    }
  })
  const X = new Matrix(rows.map((r) => r.x))
  const lines = LEARNT.map((_, d) => {
    const y = Matrix.columnVector(rows.map((r) => r.values[d]!))
    const ridge = Matrix.eye(5).mul(1e-3)
    return solve(X.transpose().mmul(X).add(ridge), X.transpose().mmul(y)).to1DArray()
  })
  const rests = lines.map((b, d) => rows.map((r) => r.values[d]! - r.x.reduce((sum, x, k) => sum + x * b[k]!, 0)))
  const covariance = withStrangers(rests, rows.map((r) => r.form)).add(open.div(rows.length)).add(Matrix.eye(N).mul(1e-6))
  // How the last of the sugar goes is what forms differ in most, and the start tells nothing of it.
  const ends = OWN_END.map(([name, load]) => [LEARNT.indexOf(name), load] as const)
  if (last) for (const [i, a] of ends) for (const [j, b] of ends) covariance.set(i, j, covariance.get(i, j) + a * b)
  return {
    figures: lines.map(([mean, byNitrogen, byBrix, byCelsius, red], d) => ({
      // It is the time that is to be right in the middle, and a spread of paces makes the usual time longer.
      mean: Number((mean! + (last && ends.some(([at]) => at === d) ? LONGER * covariance.get(d, d) : 0)).toFixed(4)),
      byNitrogen: digits(byNitrogen!),
      byBrix: digits(byBrix!),
      byCelsius: digits(byCelsius!),
      red: digits(red!)
    })),
    covary: new CholeskyDecomposition(covariance).lowerTriangularMatrix.to2DArray().map((row, i) => row.slice(0, i + 1).map(digits))
  }
}

/**
 * Covariance within forms, and between them as far as a form nobody has seen may differ: of so few forms the mean is unsure as well, and
 * four in five of Student's t lie further out than of the normal law.
 */
function withStrangers(rests: readonly (readonly number[])[], forms: readonly FormName[]): Matrix {
  const kinds = [...new Set(forms)]
  const meanOf = (values: readonly number[], kind: FormName) => {
    const own = values.filter((_, i) => forms[i] === kind)
    return own.reduce((a, b) => a + b, 0) / own.length
  }
  const means = rests.map((r) => kinds.map((k) => meanOf(r, k)))
  const middle = means.map((m) => m.reduce((a, b) => a + b, 0) / kinds.length)
  const within = rests.map((r, d) => r.map((x, i) => x - means[d]![kinds.indexOf(forms[i]!)]!))
  const product = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, i) => sum + x * b[i]!, 0)
  const off = means.map((m, d) => m.map((x) => x - middle[d]!))
  const further = (1 + 1 / kinds.length) * FURTHER[kinds.length]!
  const between = (sum: number, same: boolean) => (sum / (kinds.length - 1)) * (same ? 1 : BOUND_TOGETHER)
  return new Matrix(within.map((a) => within.map((b) => product(a, b) / forms.length)))
    .add(new Matrix(off.map((a, i) => off.map((b, j) => between(product(a, b), i === j)))).mul(further))
}
/** Part of the variance of a pace by which its mean is quicker, so that the time is right in the middle; by the forms left out. */
const LONGER = 0.75
/** How far a stranger's end may differ from what its start would tell, as the logarithm of its pace; by the forms left out in turn. */
const OWN_END = [['pace60', 0.1], ['pace80', 0.26], ['pace92', 0.42], ['pace98', 0.5]] as const
/** What a handful of forms says of how two figures go together hardly holds for another form: shrinkage, by the forms left out. */
const BOUND_TOGETHER = 0.2
/** Square of how much further out the tenth of Student's t lies than that of the normal law, for so many forms. */
const FURTHER: Record<number, number> = { 5: (1.533 / 1.2816) ** 2, 6: (1.476 / 1.2816) ** 2 }
