/**
 * Acids of must and wine that the equilibrium model knows. `gluconic` stands for all sugar acids (gluconic, galacturonic,
 * glucuronic), `amino` for the amino acids, counted from their form at the lowest pH, which carries one positive charge.
 */
export type AcidName =
  | 'tartaric'
  | 'malic'
  | 'lactic'
  | 'citric'
  | 'succinic'
  | 'acetic'
  | 'sulphurous'
  | 'carbonic'
  | 'phosphoric'
  | 'gluconic'
  | 'amino'

interface AcidData {
  /** g/mol, IUPAC atomic weights. */
  molarMass: number
  /** Thermodynamic pKa at 25 °C in water (sulphurous 20 °C). */
  pka: readonly number[]
}

/**
 * Thermodynamic pKa at 25 °C from the cell measurements of the National Bureau of Standards, as collected in Robinson and
 * Stokes, Electrolyte Solutions, appendix 12: tartaric Bates and Canham 1951, malic Eden and Bates 1959, citric Bates and
 * Pinching 1949, succinic Pinching and Bates 1950, phosphoric Bates and Acree 1943; acetic Harned and Ehlers 1933, lactic Martin
 * and Tartar 1937. Gluconic and amino acids (as alanine and its like): CRC Handbook. All from memory.
 */
export const ACIDS: Record<AcidName, AcidData> = {
  tartaric: { molarMass: 150.087, pka: [3.036, 4.366] },
  malic: { molarMass: 134.087, pka: [3.459, 5.097] },
  lactic: { molarMass: 90.078, pka: [3.86] },
  citric: { molarMass: 192.123, pka: [3.128, 4.761, 6.396] },
  succinic: { molarMass: 118.088, pka: [4.207, 5.635] },
  acetic: { molarMass: 60.052, pka: [4.756] },
  sulphurous: { molarMass: 64.064, pka: [1.81, 7.2] },
  carbonic: { molarMass: 44.009, pka: [6.35, 10.33] },
  phosphoric: { molarMass: 97.994, pka: [2.148, 7.198, 12.35] },
  gluconic: { molarMass: 196.155, pka: [3.7] },
  amino: { molarMass: 115, pka: [2.3, 9.6] }
}
export const ACID_NAMES = Object.keys(ACIDS) as AcidName[]

/**
 * Rise of a pKa for each % vol of alcohol, by the charge of the ion that forms (1, 2, 3): the lower permittivity holds the
 * proton faster. From memory, after Usseglio-Tomasset and Bosia 1978; about 0.1 for the first step at 12 % vol.
 */
export const PKA_SHIFT_PER_ABV = [0.0095, 0.014, 0.018] as const

export const PKW = 13.995

/** Molar masses of what is added, g/mol. */
export const SALTS = {
  'potassium-bicarbonate': { molarMass: 100.115, base: 1 },
  'potassium-carbonate': { molarMass: 138.205, base: 2 },
  'calcium-carbonate': { molarMass: 100.087, base: 2 }
} as const
export type DeacidifyingSalt = keyof typeof SALTS

/** End points of the titration in use: 8.2 (AOAC, ASEV and most home kits) and 7.0 (OIV). */
export const END_POINT_PH = 8.2

/** Potassium bitartrate, g/mol. */
export const BITARTRATE_MOLAR_MASS = 188.177
export const POTASSIUM_MOLAR_MASS = 39.098
