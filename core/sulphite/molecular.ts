import { within } from '../units'

/** First pKa of sulphurous acid as the trade's tables use it: 20 °C, in water. */
export const PKA_CONVENTION = 1.81

/**
 * pK₁ of SO₂ by temperature (rows, °C) and alcohol (columns, % vol): Usseglio-Tomasset and Bosia, 1984, as reproduced in
 * Ribéreau-Gayon et al., Handbook of Enology vol. 1, chapter 8. Values from memory.
 */
const TEMPERATURES = [19, 22, 25, 28, 31, 34, 37, 40]
const ALCOHOLS = [0, 5, 10, 15, 20]
const PK1 = [
  [1.78, 1.88, 1.98, 2.08, 2.18],
  [1.85, 1.96, 2.06, 2.16, 2.26],
  [2.0, 2.11, 2.21, 2.31, 2.41],
  [2.14, 2.24, 2.34, 2.45, 2.55],
  [2.25, 2.34, 2.45, 2.54, 2.64],
  [2.31, 2.4, 2.51, 2.61, 2.72],
  [2.37, 2.47, 2.57, 2.67, 2.78],
  [2.48, 2.58, 2.66, 2.76, 2.88]
]
/** Slope below the table, per K, by van 't Hoff with an enthalpy of −17.8 kJ/mol (from memory). */
const COLD_SLOPE = 0.0109

/**
 * First pKa of sulphurous acid in wine.
 * Inside the table bilinear; below 19 °C continued by van 't Hoff.
 * @param abv % vol, 0 to 20
 * @param celsius −5 to 40 °C
 * @throws LimitError
 * @example sulphurousPka(10, 19) // 1.98
 */
export function sulphurousPka(abv: number, celsius: number): number {
  within('abv', abv, 0, 20)
  within('celsius', celsius, -5, 40)
  const column = Math.min(ALCOHOLS.length - 2, Math.floor(abv / 5))
  const a = (abv - ALCOHOLS[column]!) / 5
  const inRow = (row: number) => PK1[row]![column]! * (1 - a) + PK1[row]![column + 1]! * a
  if (celsius < TEMPERATURES[0]!) return inRow(0) - COLD_SLOPE * (TEMPERATURES[0]! - celsius)
  const row = Math.min(TEMPERATURES.length - 2, Math.floor((celsius - TEMPERATURES[0]!) / 3))
  const t = (celsius - TEMPERATURES[row]!) / 3
  return inRow(row) * (1 - t) + inRow(row + 1) * t
}

/**
 * Molecular SO₂ of a wine: free ÷ (1 + 10^(pH − pKa)).
 * @param freeMgPerL free SO₂, mg/L, 0 to 500
 * @param ph 2.5 to 4.5
 * @param pka first pKa; the convention unless given
 * @returns mg/L
 * @throws LimitError
 * @example molecularSo2(32, 3.4) // 0.80
 */
export function molecularSo2(freeMgPerL: number, ph: number, pka = PKA_CONVENTION): number {
  within('freeMgPerL', freeMgPerL, 0, 500)
  return freeMgPerL / (1 + 10 ** (within('ph', ph, 2.5, 4.5) - pka))
}

/**
 * Free SO₂ needed for a molecular level.
 * @param molecularMgPerL wanted, 0 to 3 mg/L
 * @param ph 2.5 to 4.5
 * @param pka first pKa; the convention unless given
 * @returns mg/L
 * @throws LimitError
 * @example freeSo2For(0.8, 3.5) // 40
 */
export function freeSo2For(molecularMgPerL: number, ph: number, pka = PKA_CONVENTION): number {
  within('molecularMgPerL', molecularMgPerL, 0, 3)
  return molecularMgPerL * (1 + 10 ** (within('ph', ph, 2.5, 4.5) - pka))
}
