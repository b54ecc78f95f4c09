import { CholeskyDecomposition, Matrix, solve } from 'ml-matrix'
import { KINETIC_NAMES, warmthOf } from '../core/fermentation/course'
import { gravities, peakOf } from '../core/fermentation/fit'
import { kineticsOf, priorOf } from '../core/fermentation/prior'
import { COVARY } from '../core/fermentation/usual'
import { trueFerment } from '../core/fermentation/reference/ferments.fixture'
import { brixFromSg, sugarScales } from '../core/hydrometry'

/**
 * How the usual figures in core/fermentation/prior.ts were set: the small course fitted to whole ferments of the reference forms (seed 7:
 * none that anything is tried on), and a straight line of each figure over nitrogen, sugar and temperature. Run by hand; prints a table.
 */
const rows: { x: number[], values: number[], miss: number }[] = []
/** What the fits leave open belongs to the spread as well. */
const open = Matrix.zeros(KINETIC_NAMES.length, KINETIC_NAMES.length)
const triangle = new Matrix(COVARY.map((row) => [...row, ...Array<number>(KINETIC_NAMES.length - row.length).fill(0)]))
for (let i = 0; i < 500; i++) {
  const f = trueFerment(i, 7)
  if (f.cause !== null) continue
  const end = Math.min(900, (f.dry ?? 800) * 1.25)
  const looks = Array.from({ length: 40 }, (_, k) => ({ hours: ((k + 1) * end) / 40, sg: f.sgAt(((k + 1) * end) / 40) }))
  const nitrogenMgPerL = f.yanMgPerL + f.givenMgPerL
  const brix = brixFromSg(f.originalSg)
  const celsius = f.celsiusAt(48)
  const prior = priorOf({ brix, celsius, yanMgPerL: nitrogenMgPerL, toleranceAbv: f.toleranceAbv })
  const problem = {
    extractGPerL: sugarScales(f.originalSg, 'sg').sugarGPerL,
    prior,
    warmth: warmthOf(f.celsiusAt, end + 6, end + 6),
    looks
  }
  const { z, lower } = peakOf(problem)
  const own = triangle.mmul(new Matrix(lower).subMatrix(0, KINETIC_NAMES.length - 1, 0, KINETIC_NAMES.length - 1))
  open.add(own.mmul(own.transpose()))
  const k = kineticsOf(prior, z)
  const { sg } = gravities(problem, z)
  rows.push({
    x: [1, Math.log(Math.min(450, nitrogenMgPerL) / 200), brix - 22, celsius - 20],
    values: KINETIC_NAMES.map((name) => (name === 'perDegree' || name === 'sugarFree' ? k[name] : Math.log(k[name]))),
    miss: Math.sqrt(looks.reduce((sum, l, k) => sum + (l.sg - sg[k]!) ** 2, 0) / looks.length)
  })
}
const misses = rows.map((r) => r.miss).sort((a, b) => a - b)
console.log(
  rows.length,
  'ferments; misfit of the small course, SG: median',
  misses[rows.length >> 1]!.toFixed(5),
  'nine tenths',
  misses[Math.floor(rows.length * 0.9)]!.toFixed(5)
)
const X = new Matrix(rows.map((r) => r.x))
const rests = KINETIC_NAMES.map((name, d) => {
  const y = Matrix.columnVector(rows.map((r) => r.values[d]!))
  const b = solve(X.transpose().mmul(X), X.transpose().mmul(y)).to1DArray()
  console.log(
    `${name}: { mean: ${b[0]!.toFixed(4)}, byNitrogen: ${b[1]!.toFixed(3)}, byBrix: ${b[2]!.toFixed(4)}, byCelsius: ${b[3]!.toFixed(4)} },`
  )
  return rows.map((r) => r.values[d]! - r.x.reduce((sum, x, k) => sum + x * b[k]!, 0))
})
const covariance = new Matrix(rests.map((a) => rests.map((b) => a.reduce((sum, x, i) => sum + x * b[i]!, 0) / rows.length))).add(
  open.div(rows.length)
)
for (const [i, row] of new CholeskyDecomposition(covariance).lowerTriangularMatrix.to2DArray().entries())
  console.log(
    `[${row
      .slice(0, i + 1)
      .map((x) => Number(x.toPrecision(3)))
      .join(', ')}],`
  )
