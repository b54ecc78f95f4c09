import { ACIDS, ACID_NAMES, type AcidName, PKA_SHIFT_PER_ABV, PKW } from './constants'

/** Molar composition of a wine as the model sees it, mol/L. */
export interface Composition {
  acids: Record<AcidName, number>
  /** Strong cations less strong anions without calcium that was added, mol of charge per litre: nearly all potassium. */
  strongIon: number
  /** Calcium from chalk, mol/L, two charges each; what the grape brought is among the strong ions. */
  calcium: number
  /** % vol */
  abv: number
}

export interface Charge {
  /** Net charge, mol/L: zero when pH and composition belong together. */
  balance: number
  /** d balance / d pH, always below zero. */
  slope: number
  ionicStrength: number
}

/**
 * Relative permittivity of water and ethanol at 25 °C falls by about 0.56 for each per cent of ethanol by *mass* (Åkerlöf 1932,
 * from memory), which is 0.45 for each % vol; A of Debye and Hückel rises with its power −3/2, from 0.509 in water.
 */
const PERMITTIVITY = { water: 78.4, perAbv: 0.45 } as const
function debyeHueckel(abv: number): number {
  const ratio = PERMITTIVITY.water / (PERMITTIVITY.water - PERMITTIVITY.perAbv * abv)
  return 0.509 * Math.sqrt(ratio) * ratio
}

/** Davies: −log γ for a charge of one; z² times that for z. */
function davies(ionicStrength: number, abv: number): number {
  const root = Math.sqrt(ionicStrength)
  return debyeHueckel(abv) * (root / (1 + root) - 0.3 * ionicStrength)
}

/** A composition laid out for the solvers: the acids in the order of ACID_NAMES, all strong charges in one. */
export interface Moles {
  strongIon: number
  moles: Float64Array
}
export function molesOf({ strongIon, calcium, acids: a }: Composition): Moles {
  // Written out, in the order of ACID_NAMES: a ledger lays out thousands of compositions.
  const moles = new Float64Array(ACID_NAMES.length)
  moles[0] = a.tartaric
  moles[1] = a.malic
  moles[2] = a.lactic
  moles[3] = a.citric
  moles[4] = a.succinic
  moles[5] = a.acetic
  moles[6] = a.sulphurous
  moles[7] = a.carbonic
  moles[8] = a.phosphoric
  moles[9] = a.gluconic
  moles[10] = a.amino
  // Amino acids are counted from their positive form, so each brings one positive charge.
  return { strongIon: strongIon + 2 * calcium + a.amino, moles }
}

/** Everything that depends on alcohol and ionic strength alone. */
export interface Medium {
  /** 1/γ of a single charge. */
  growth: number
  /** Acid constants as they act on concentrations at a measured (activity) pH: three an acid of ACID_NAMES, 0 beyond its last. */
  ka: Float64Array
}

/** Constants at no ionic strength, by alcohol; the last few are kept, because one wine is solved many times. */
const thermodynamic = new Map<number, Float64Array>()

function thermodynamicConstants(abv: number): Float64Array {
  let k = thermodynamic.get(abv)
  if (!k) {
    k = new Float64Array(ACID_NAMES.length * 3)
    ACID_NAMES.forEach((name, a) =>
      ACIDS[name].pka.forEach((pka, step) => {
        k![a * 3 + step] = 10 ** -(pka + PKA_SHIFT_PER_ABV[step]! * abv)
      })
    )
    if (thermodynamic.size > 32) thermodynamic.clear()
    thermodynamic.set(abv, k)
  }
  return k
}

/**
 * The medium: thermodynamic pKa shifted for alcohol, then turned to mixed constants (proton as activity, as a pH meter
 * reads it; the rest as concentrations) with the Davies equation. The step that makes an ion of charge z grows by
 * γ^−(z² − (z − 1)²), so by the odd powers of 1/γ.
 */
export function mediumOf(abv: number, ionicStrength: number): Medium {
  return moveMedium({ growth: 1, ka: new Float64Array(ACID_NAMES.length * 3) }, abv, ionicStrength)
}

/** The same into a medium that is there already: a solver moves one along instead of making dozens. */
export function moveMedium(medium: Medium, abv: number, ionicStrength: number): Medium {
  const growth = Math.exp(davies(ionicStrength, abv) * Math.LN10)
  const k0 = thermodynamicConstants(abv)
  const { ka } = medium
  const second = growth * growth * growth
  const third = second * growth * growth
  for (let i = 0; i < ka.length; i += 3) {
    ka[i] = k0[i]! * growth
    ka[i + 1] = k0[i + 1]! * second
    ka[i + 2] = k0[i + 2]! * third
  }
  medium.growth = growth
  return medium
}

const WATER = 10 ** -PKW
/** 10^(−pH), by the faster exponential. */
export const protonActivity = (ph: number): number => Math.exp(-ph * Math.LN10)

/** One mole of an acid at a pH. */
interface AcidCharge {
  /** Mean negative charge. */
  z: number
  /** Variance of the charge: how the mean answers to the pH, dz/dpH = ln 10 · variance. */
  variance: number
  /** Share in the ionic strength, ½ Σ z² x. */
  strength: number
}

function chargeOf(ka: Float64Array, acid: number, h: number): AcidCharge {
  const k1 = ka[acid * 3]!
  const k2 = ka[acid * 3 + 1]!
  const k3 = ka[acid * 3 + 2]!
  const a1 = k1 / h
  const a2 = (a1 * k2) / h
  const a3 = (a2 * k3) / h
  const sum = 1 + a1 + a2 + a3
  const z = (a1 + 2 * a2 + 3 * a3) / sum
  const squares = (a1 + 4 * a2 + 9 * a3) / sum
  return { z, variance: squares - z * z, strength: squares / 2 }
}

const AMINO = ACID_NAMES.indexOf('amino')
const indexOf = Object.fromEntries(ACID_NAMES.map((name, i) => [name, i])) as Record<AcidName, number>

/** Mean negative charge of one mole of an acid, by its place in ACID_NAMES. */
export function meanCharge(ka: Float64Array, acid: number, h: number): number {
  const a1 = ka[acid * 3]! / h
  const a2 = (a1 * ka[acid * 3 + 1]!) / h
  const a3 = (a2 * ka[acid * 3 + 2]!) / h
  return (a1 + 2 * a2 + 3 * a3) / (1 + a1 + a2 + a3)
}

/** Share of an acid that carries exactly one charge at a pH. */
export function singlyCharged(name: AcidName, ph: number, medium: Medium): number {
  const h = protonActivity(ph)
  const i = indexOf[name] * 3
  const a1 = medium.ka[i]! / h
  const a2 = (a1 * medium.ka[i + 1]!) / h
  return a1 / (1 + a1 + a2 + (a2 * medium.ka[i + 2]!) / h)
}

/**
 * Charge balance of a composition at a pH in a given medium, its slope, and the ionic strength that follows.
 * @param extraBase base added by a titration, mol/L
 */
export function chargeAt(ph: number, { strongIon, moles }: Moles, medium: Medium, extraBase = 0): Charge {
  const h = protonActivity(ph)
  const proton = h * medium.growth
  const hydroxide = (WATER / h) * medium.growth
  let negative = hydroxide
  let strength = (proton + hydroxide + Math.abs(strongIon) + extraBase) / 2
  let fall = proton + hydroxide
  for (let i = 0; i < moles.length; i++) {
    const x = moles[i]!
    if (x === 0) continue
    const charge = chargeOf(medium.ka, i, h)
    negative += x * charge.z
    fall += x * charge.variance
    strength += x * charge.strength
  }
  // Nearly all amino acid stands as a zwitterion, whose two charges shield each other.
  strength = Math.max(0, strength - moles[AMINO]!)
  return { balance: strongIon + extraBase + proton - negative, slope: -Math.LN10 * fall, ionicStrength: strength }
}
