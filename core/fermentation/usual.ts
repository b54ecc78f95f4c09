import type { KINETIC_NAMES } from './course'

type Name = (typeof KINETIC_NAMES)[number]
interface Usual { mean: number, byNitrogen: number, byBrix: number, byCelsius: number }

/**
 * The usual figures (by their logarithm, but for perDegree and sugarFree), and how they move with ln(nitrogen ÷ 200), with °Brix − 22 and
 * with °C − 20. Set by `bench/ferment-prior.ts` on ferments of the two reference forms that nothing is tried on.
 */
export const USUAL: Record<Name, Usual> = {
  start: { mean: -3.1291, byNitrogen: -0.861, byBrix: -0.0068, byCelsius: 0.0399 },
  growth: { mean: -1.8897, byNitrogen: 0.040, byBrix: 0.0064, byCelsius: 0.0067 },
  uptake: { mean: 0.6031, byNitrogen: 0.682, byBrix: 0.0038, byCelsius: -0.0158 },
  perDegree: { mean: 0.0713, byNitrogen: 0.000, byBrix: -0.0000, byCelsius: 0.0000 },
  halfSugar: { mean: 1.9023, byNitrogen: -0.506, byBrix: 0.0552, byCelsius: 0.0125 },
  halfAlcohol: { mean: 5.0021, byNitrogen: 0.008, byBrix: 0.0439, byCelsius: -0.0074 },
  death: { mean: -10.4519, byNitrogen: -0.077, byBrix: -0.0126, byCelsius: -0.0077 },
  sugarFree: { mean: 21.4524, byNitrogen: 0.061, byBrix: 0.0445, byCelsius: -0.0101 }
}

/** How they vary together beside that: the lower triangle of their covariance, row by row. */
export const COVARY: readonly (readonly number[])[] = [
  [0.588],
  [0.111, 0.198],
  [-0.213, 0.0925, 0.212],
  [-0.0000671, 0.000679, 0.000639, 0.00506],
  [-0.279, -0.195, -0.151, 0.0133, 0.379],
  [-0.122, -0.161, -0.0805, -0.00244, 0.142, 0.262],
  [-0.0687, 0.0776, 0.0108, 0.0746, 0.158, -0.0759, 0.545],
  [-0.232, -0.234, 0.0411, -0.0881, 0.493, 0.33, 0.149, 2.41]
]
