/**
 * pH and titratable acid by a charge balance. Mixed dissociation constants for about 12 % vol and 20 °C, from memory of the tables of
 * Usseglio-Tomasset and Bosia; other figures than the core's.
 */
const MASS = { tartaric: 150.087, malic: 134.087, lactic: 90.078, succinic: 118.088, acetic: 60.052, potassium: 39.0983 } as const
const PK = {
  tartaric: [3.03, 4.31],
  malic: [3.52, 5.08],
  lactic: [3.9],
  succinic: [4.24, 5.57],
  acetic: [4.79]
} as const
type Acid = keyof typeof PK

/** g/L; potassium and all other strong ions together, mol/L. */
export interface Acids {
  tartaric: number
  malic: number
  lactic: number
  succinic: number
  acetic: number
  potassium: number
}

const ACIDS = (Object.keys(PK) as Acid[]).map((acid) => {
  const [k1, k2] = PK[acid].map((pk) => 10 ** -pk)
  return { acid, mass: MASS[acid], k1: k1!, k1k2: k1! * (k2 ?? 0) }
})
/** Negative charge of all acids, mol/L, at an activity of hydrogen ions: each gives h·k1 + 2·k1·k2 of h² + h·k1 + k1·k2. */
function negativeAt(a: Omit<Acids, 'potassium'>, h: number): number {
  let sum = 0
  for (const { acid, mass, k1, k1k2 } of ACIDS) sum += ((a[acid] / mass) * (h * k1 + 2 * k1k2)) / (h * h + h * k1 + k1k2)
  return sum
}
const negative = (a: Omit<Acids, 'potassium'>, ph: number): number => negativeAt(a, 10 ** -ph)

/** pH at which the charges cancel. */
export function phOf(a: Acids): number {
  let [low, high] = [2.2, 5.5]
  for (let i = 0; i < 26; i++) {
    const mid = (low + high) / 2
    const h = 10 ** -mid
    if (a.potassium + h > negativeAt(a, h)) low = mid
    else high = mid
  }
  return (low + high) / 2
}

/** Strong ions that give these acids a pH, mol/L. */
export const potassiumFor = (a: Omit<Acids, 'potassium'>, ph: number): number => negative(a, ph) - 10 ** -ph

/** Titratable acid to pH 8.2 as tartaric acid, g/L. */
export function taOf(a: Acids): number {
  const ph = phOf(a)
  return (negative(a, 8.2) - negative(a, ph) + 10 ** -ph) * (MASS.tartaric / 2)
}

/** Cream of tartar that has more than its solution holds, falls: g/L of tartaric acid that may go, at a temperature and alcohol. */
export function tartarBeyond(a: Acids, celsius: number, ethanol: number): number {
  const ph = phOf(a)
  const h = 10 ** -ph
  const [k1, k2] = PK.tartaric.map((pk) => 10 ** -pk) as [number, number]
  const half = ((a.tartaric / MASS.tartaric) * h * k1) / (h * h + h * k1 + k1 * k2)
  // Solubility in water 2.46 g/L at 0 °C and 5.1 at 20 °C, less by a third for each 8 % vol or so; moles of the salt, squared.
  const gPerL = (2.46 + 0.1325 * Math.max(-2, celsius)) * Math.exp(-ethanol / 190)
  const product = (gPerL / 188.18) ** 2
  const beyond = half * a.potassium - product * HELD
  return beyond > 0 ? (Math.sqrt(half * a.potassium) - Math.sqrt(product * HELD)) * MASS.tartaric : 0
}
/** A wine holds more than water does: colloids keep it from falling. */
const HELD = 3.1
export const POTASSIUM_PER_TARTARIC = 1 / MASS.tartaric
/** Potassium hydrogen carbonate: mol of potassium in a gram. */
export const POTASSIUM_PER_BICARBONATE = 1 / 100.115
