import { type Composition, type Medium, type Moles, chargeAt, mediumOf, molesOf, moveMedium } from './charge'
import { ACID_NAMES, END_POINT_PH } from './constants'
import { TARTARIC_EQUIVALENT } from './titration'

export interface Equilibrium {
  status: 'converged' | 'no-solution' | 'out-of-steps'
  ph: number
  /** Titratable acidity as tartaric to the end point, g/L; carbonic acid is taken as driven out. */
  taGPerL: number
  ionicStrength: number
  medium: Medium
  /** Charge left over, mol/L. */
  residual: number
  iterations: number
}

const LOW_PH = 1.5
const HIGH_PH = 9.5
/** Charge balance is closed to this, mol/L. */
const CLOSED = 1e-11
const START_STRENGTH = 0.04
/** The ionic strength stands when it moves by less than this, mol/L. */
const SETTLED = 1e-9

/** Davies holds to about 0.5 mol/L; beyond it the strength is no longer followed. */
const HIGHEST_STRENGTH = 0.5

/**
 * pH and titratable acidity of a composition. Newton's method on the charge balance, renewing the ionic strength with each
 * step; for a given strength the balance falls steadily with the pH, so where Newton does not settle, bisection inside the
 * bracket does.
 * @param composition mol/L
 * @param endPointPh end point of the titration
 * @returns the equilibrium with how the search ended; it does not throw
 */
export function solveEquilibrium(composition: Composition, endPointPh = END_POINT_PH): Equilibrium {
  const solved = solvePh(composition)
  if (solved.status !== 'converged') return { ...solved, taGPerL: 0 }
  return { ...solved, taGPerL: titratableOf(molesOf(composition), composition.abv, endPointPh) }
}

/** The same without the titration: all that the solubility of bitartrate asks for. */
export const solvePh = (composition: Composition): Omit<Equilibrium, 'taGPerL'> => solveLaidOut(molesOf(composition), composition.abv)

/**
 * The same for a composition that is laid out already.
 * @param near a solution nearby, from which the search starts
 */
export function solveLaidOut(moles: Moles, abv: number, near?: { ph: number, ionicStrength: number }): Omit<Equilibrium, 'taGPerL'> {
  const medium = mediumOf(abv, START_STRENGTH)
  let strength = near?.ionicStrength ?? START_STRENGTH
  let ph = near?.ph ?? 3.5
  for (let i = 1; i <= 60; i++) {
    const charge = chargeAt(ph, moles, moveMedium(medium, abv, strength))
    const next = Math.min(HIGHEST_STRENGTH, charge.ionicStrength)
    if (Math.abs(charge.balance) < CLOSED && Math.abs(next - strength) < SETTLED) {
      return { status: 'converged', ph, ionicStrength: next, medium, residual: charge.balance, iterations: i }
    }
    strength = next
    const step = Math.max(-1, Math.min(1, -charge.balance / charge.slope))
    ph = Math.max(LOW_PH, Math.min(HIGH_PH, ph + step))
  }
  return bisect(moles, abv)
}

/** The slow and sure way: for every ionic strength the pH by bisection, until the strength stands. */
function bisect(moles: Moles, abv: number): Omit<Equilibrium, 'taGPerL'> {
  let strength = START_STRENGTH
  let iterations = 60
  for (let round = 0; round < 60; round++) {
    const medium = mediumOf(abv, strength)
    const at = (ph: number) => chargeAt(ph, moles, medium)
    let low = LOW_PH
    let high = HIGH_PH
    if (!(at(low).balance >= 0 && at(high).balance <= 0)) {
      const ph = at(low).balance < 0 ? low : high
      return { status: 'no-solution', ph, ionicStrength: strength, medium, residual: at(ph).balance, iterations }
    }
    for (; high - low > 1e-13 && iterations < 6000; iterations++) {
      const middle = (low + high) / 2
      if (at(middle).balance > 0) low = middle
      else high = middle
    }
    const ph = (low + high) / 2
    const next = Math.min(HIGHEST_STRENGTH, at(ph).ionicStrength)
    if (Math.abs(next - strength) < SETTLED) {
      return { status: 'converged', ph, ionicStrength: next, medium, residual: at(ph).balance, iterations }
    }
    strength = (next + strength) / 2
  }
  const medium = mediumOf(abv, strength)
  return { status: 'out-of-steps', ph: (LOW_PH + HIGH_PH) / 2, ionicStrength: strength, medium, residual: Number.NaN, iterations }
}

const CARBONIC = ACID_NAMES.indexOf('carbonic')

/** Base that brings the degassed composition to the end point, as g/L of tartaric acid. */
function titratableOf(composition: Moles, abv: number, endPointPh: number): number {
  const degassed = { strongIon: composition.strongIon, moles: composition.moles.slice() }
  degassed.moles[CARBONIC] = 0
  const medium = mediumOf(abv, 0.1)
  let strength = 0.1
  let base = 0
  for (let i = 0; i < 60; i++) {
    const charge = chargeAt(endPointPh, degassed, moveMedium(medium, abv, strength))
    base = -charge.balance
    const next = Math.min(HIGHEST_STRENGTH, charge.ionicStrength + base / 2)
    if (Math.abs(next - strength) < SETTLED) break
    strength = next
  }
  return base * TARTARIC_EQUIVALENT
}
