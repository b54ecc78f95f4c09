import { within } from '../units'

/**
 * Density of sucrose solutions, ICUMSA Specification and Standard SPS-4 (1998), after Emmerich and Emmerich
 * (Zuckerindustrie 111, 1986): ρ = ρ_water(t) + Σᵢ wⁱ Σⱼ bᵢⱼ ((t − 20)/100)ʲ, kg/m³, w as mass fraction.
 * Rows are the powers of temperature j = 0…4, columns the powers of w from 1.
 */
const SUCROSE: readonly (readonly number[])[] = [
  [385.1761, 135.3705, 40.9299, -3.9643, 13.4853, -17.289],
  [-46.272, -7.172, 1.1597, 5.1126, 17.5254],
  [59.7712, 7.2491, 12.363, -35.4791],
  [-47.2207, -21.6977, 27.6301],
  [18.3184, 12.3081]
]

/**
 * Density of air-free water at 1 atm (Kell, J. Chem. Eng. Data 20, 1975, eq. 16).
 * @param celsius 0 to 100 °C
 * @returns kg/m³
 * @throws LimitError
 * @example waterDensity(20) // 998.20
 */
export function waterDensity(celsius: number): number {
  const t = within('celsius', celsius, 0, 100)
  const top = 999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))))
  return top / (1 + 16.87985e-3 * t)
}

/**
 * Density of a sucrose solution.
 * Below zero the polynomial is continued to −8 °Brix, so that the "negative Brix" that people read on dry wine converts.
 * @param brix g sucrose per 100 g of solution, −8 to 70
 * @param celsius 0 to 80 °C
 * @returns kg/m³
 * @throws LimitError
 * @example sucroseDensity(20, 20) // 1080.98
 */
export function sucroseDensity(brix: number, celsius: number): number {
  const w = within('brix', brix, -8, 70) / 100
  const tau = (within('celsius', celsius, 0, 80) - 20) / 100
  let rho = waterDensity(celsius)
  let tauPower = 1
  for (const row of SUCROSE) {
    let wPower = w
    for (const b of row) {
      rho += b * wPower * tauPower
      wPower *= w
    }
    tauPower *= tau
    // At 20 °C, where nearly all is asked, the first row says it all.
    if (tauPower === 0) break
  }
  return rho
}

/**
 * Density of ethanol and water at 20 °C, OIML R 22 (1975), the terms that remain at 20 °C; powers of the mass fraction 1…11.
 */
const ETHANOL = [
  -192.9769495, 389.1238958, -1668.103923, 13522.15441, -88292.78388, 306287.4042, -613838.1234, 747017.2998, -547846.1354, 223446.0334,
  -39032.85426
]
const WATER_OIML = 998.20123
/** Density of pure ethanol at 20 °C, kg/m³, OIML R 22. */
export const ETHANOL_DENSITY = 789.24

function ethanolWaterByMass(p: number): number {
  let rho = WATER_OIML
  let power = p
  for (const a of ETHANOL) {
    rho += a * power
    power *= p
  }
  return rho
}

/**
 * Density of an ethanol-water mixture at 20 °C.
 * @param abv alcohol, % vol at 20 °C, 0 to 25 (all a wine can hold)
 * @returns kg/m³
 * @throws LimitError
 * @example ethanolWaterDensity(12) // 982.35
 */
export function ethanolWaterDensity(abv: number): number {
  const ethanolKgPerM3 = (within('abv', abv, 0, 25) / 100) * ETHANOL_DENSITY
  let rho = WATER_OIML
  for (let i = 0; i < 20; i++) {
    const next = ethanolWaterByMass(ethanolKgPerM3 / rho)
    if (Math.abs(next - rho) < 1e-9) return next
    rho = next
  }
  return rho
}
