import type { UsualFerment } from './prior'

/**
 * The usual figures (by their logarithm, but for perDegree and sugarFree), and the lower triangle of their covariance. Set by
 * `npm run bench -- usual-ferment` on ferments of all six reference forms that nothing is tried on (seed 7).
 */
export const USUAL: UsualFerment = {
  figures: [
    { mean: -3.3179, byNitrogen: -0.234, byBrix: 0.0227, byCelsius: 0.0153, red: -0.205 },
    { mean: -2.2455, byNitrogen: 0.122, byBrix: -0.0122, byCelsius: 0.00248, red: 0.0151 },
    { mean: 0.0709, byNitrogen: 0.00516, byBrix: -0.000119, byCelsius: -0.000182, red: -0.00124 },
    { mean: 19.1577, byNitrogen: -0.529, byBrix: 0.124, byCelsius: -0.257, red: 7.78 },
    { mean: 0.6697, byNitrogen: 0.44, byBrix: -0.00559, byCelsius: -0.00526, red: 0.015 },
    { mean: 0.6398, byNitrogen: 0.437, byBrix: 0.00128, byCelsius: -0.00498, red: 0.0114 },
    { mean: 0.7571, byNitrogen: 0.42, byBrix: -0.00178, byCelsius: -0.00565, red: 0.0272 },
    { mean: 0.3746, byNitrogen: 0.491, byBrix: -0.0106, byCelsius: -0.00762, red: 0.0228 },
    { mean: -0.0271, byNitrogen: 0.516, byBrix: -0.0306, byCelsius: -0.00906, red: 0.0304 },
    { mean: -0.7825, byNitrogen: 0.49, byBrix: 0.011, byCelsius: 0.0429, red: -0.788 }
  ],
  covary: [
    [1.38],
    [-0.0262, 0.46],
    [0.0000499, 0.0002, 0.0082],
    [-0.0475, -0.0228, -0.214, 3.3],
    [-0.00834, -0.109, 0.0125, -0.0473, 0.462],
    [0.00632, -0.0172, 0.0132, -0.0663, 0.184, 0.533],
    [-0.0128, -0.0119, 0.014, -0.0801, 0.171, 0.157, 0.55],
    [-0.0135, -0.000489, 0.0182, -0.128, 0.153, 0.165, 0.174, 0.569],
    [-0.0183, 0.0141, 0.0253, -0.177, 0.144, 0.126, 0.204, 0.311, 0.658],
    [-0.00121, 0.0168, 0.0406, -0.307, 0.0782, 0.0464, 0.134, 0.277, 0.277, 0.708]
  ]
}
