import { within } from '../units'
import { type Composition, acidCharge, chargeAt, mediumOf, molesOf, moveMedium } from './charge'
import { ACIDS, type AcidName, END_POINT_PH } from './constants'
import { TARTARIC_EQUIVALENT } from './titration'

export type AcidsFinding =
  | { code: 'tartaric-implausible', tartaricGPerL: number, minGPerL: number, maxGPerL: number }
  | { code: 'potassium-implausible', potassiumGPerL: number, minGPerL: number, maxGPerL: number }
  | { code: 'malic-assumed', malicGPerL: number }
  | { code: 'ph-outside-model', ph: number }
  | { code: 'bitartrate-falls', gPerL: number }
  | { code: 'calcium-slow', gPerL: number }

/** Tartaric acid found in musts and wines, g/L, and potassium, g/L: wide limits, from memory (Ribéreau-Gayon et al.: 2 to 8 and 0.5 to 2.5). */
export const PLAUSIBLE = { tartaric: { min: 0.5, max: 12 }, potassium: { min: 0.2, max: 4 } } as const
const POTASSIUM = 39.098

/**
 * What is assumed of a must and of a wine when malic acid is not measured, g/L with its spread: from memory (musts hold 4 to
 * 7 of tartaric and 1 to 5 of malic; in wine tartaric has partly fallen). The pair then says where in these spreads it lies.
 */
export const ACID_PRIOR = {
  must: { tartaric: { mean: 5, spread: 1.2 }, malic: { mean: 2.5, spread: 1.5 } },
  wine: { tartaric: { mean: 2.8, spread: 0.8 }, malic: { mean: 2.2, spread: 1.5 } }
} as const
/** Half-width of an assumed malic acid, g/L. */
export const ASSUMED_MALIC_UNCERTAINTY = 1

/** Small acids of a wine that nobody at home measures, g/L, at 12 % vol; a must has none of the first two: from memory. */
const MINOR = { succinic: 0.7, acetic: 0.35, citric: 0.25 } as const

export interface AcidReadings {
  ph: number
  taGPerL: number
  malicGPerL?: number
  lacticGPerL?: number
  /** % vol; 0 for must. */
  abv?: number
  /** Total SO₂, mg/L. */
  so2MgPerL?: number
  endPointPh?: number
}

export interface AcidFit {
  composition: Composition
  findings: AcidsFinding[]
  iterations: number
}

/**
 * The composition behind a pH and a titratable acidity. The small acids are set by the alcohol. What is left to find are
 * tartaric acid and the strong ions (potassium): the base used between the wine's pH and the end point is linear in the
 * acids, and the charge balance at the wine's pH gives the strong ions. When malic acid is not measured, the base is shared
 * between tartaric and malic acid so that both stay as near to their usual contents as their spreads ask for.
 * @param readings pH 2.5 to 4.5, TA 2 to 20 g/L as tartaric, alcohol 0 to 18 % vol, malic 0 to 15 g/L
 * @returns the composition, and findings when the pair cannot be a wine
 * @throws LimitError
 * @example fitAcids({ ph: 3.4, taGPerL: 7, malicGPerL: 2.5 }) // tartaric 8.8 g/L: more malic would be likelier
 */
export function fitAcids(readings: AcidReadings): AcidFit {
  const ph = within('ph', readings.ph, 2.5, 4.5)
  const taGPerL = within('taGPerL', readings.taGPerL, 2, 20)
  const abv = within('abv', readings.abv ?? 0, 0, 18)
  const malicKnown = readings.malicGPerL === undefined ? undefined : within('malicGPerL', readings.malicGPerL, 0, 15) / ACIDS.malic.molarMass
  const lactic = within('lacticGPerL', readings.lacticGPerL ?? 0, 0, 15)
  const so2 = within('so2MgPerL', readings.so2MgPerL ?? 0, 0, 500)
  const endPointPh = within('endPointPh', readings.endPointPh ?? END_POINT_PH, 6.5, 8.6)
  const maturity = Math.min(1, abv / 12)
  const mol = (name: AcidName, gPerL: number): number => gPerL / ACIDS[name].molarMass
  const prior = abv > 1 ? ACID_PRIOR.wine : ACID_PRIOR.must
  /** Everything but the three unknowns. */
  const bare: Composition = {
    abv,
    strongIon: 0,
    acids: {
      tartaric: 0, malic: 0, lactic: mol('lactic', lactic), citric: mol('citric', MINOR.citric), succinic: mol('succinic', MINOR.succinic * maturity),
      acetic: mol('acetic', MINOR.acetic * maturity), sulphurous: mol('sulphurous', so2 / 1000), carbonic: 0
    }
  }
  const base = taGPerL / TARTARIC_EQUIVALENT
  let [wineStrength, endStrength] = [0.04, 0.1]
  let [tartaric, malic, strongIon] = [0, 0, 0]
  const bareMoles = molesOf(bare)
  const [wine, end] = [mediumOf(abv, wineStrength), mediumOf(abv, endStrength)]
  let iterations = 0
  while (++iterations < 80) {
    moveMedium(wine, abv, wineStrength)
    moveMedium(end, abv, endStrength)
    const atWine = chargeAt(ph, bareMoles, wine)
    const atEnd = chargeAt(endPointPh, bareMoles, end, base)
    const [tWine, tEnd] = [acidCharge('tartaric', ph, wine), acidCharge('tartaric', endPointPh, end)]
    const [mWine, mEnd] = [acidCharge('malic', ph, wine), acidCharge('malic', endPointPh, end)]
    const needed = atEnd.balance - atWine.balance
    const perTartaric = tEnd.z - tWine.z
    const perMalic = mEnd.z - mWine.z
    malic = malicKnown ?? likeliestMalic(needed, perTartaric, perMalic, prior)
    tartaric = (needed - malic * perMalic) / perTartaric
    strongIon = tartaric * tWine.z + malic * mWine.z - atWine.balance
    const nextWine = strengthWithin(atWine.ionicStrength + tartaric * tWine.strength + malic * mWine.strength + Math.abs(strongIon) / 2)
    const nextEnd = strengthWithin(atEnd.ionicStrength + tartaric * tEnd.strength + malic * mEnd.strength + Math.abs(strongIon) / 2)
    const settled = Math.abs(nextWine - wineStrength) < 1e-11 && Math.abs(nextEnd - endStrength) < 1e-11
    wineStrength = nextWine
    endStrength = nextEnd
    if (settled) break
  }
  const composition: Composition = { ...bare, strongIon, acids: { ...bare.acids, tartaric, malic } }
  return { composition, findings: judge(composition, malicKnown === undefined), iterations }
}

/** The same ceiling as in solve.ts, so that a fit and its solution agree; a negative strength (no wine at all) counts as none. */
const strengthWithin = (strength: number): number => Math.min(0.5, Math.max(0, strength))

/** Most likely malic acid, mol/L, for two independent normal spreads and one linear condition. */
function likeliestMalic(needed: number, perTartaric: number, perMalic: number, prior: typeof ACID_PRIOR['must' | 'wine']): number {
  const t = { mean: prior.tartaric.mean / ACIDS.tartaric.molarMass, spread: prior.tartaric.spread / ACIDS.tartaric.molarMass }
  const m = { mean: prior.malic.mean / ACIDS.malic.molarMass, spread: prior.malic.spread / ACIDS.malic.molarMass }
  const missing = needed - perTartaric * t.mean - perMalic * m.mean
  const gain = perMalic * m.spread ** 2 / ((perTartaric * t.spread) ** 2 + (perMalic * m.spread) ** 2)
  return Math.max(0, m.mean + gain * missing)
}

function judge(composition: Composition, malicAssumed: boolean): AcidsFinding[] {
  const found: AcidsFinding[] = []
  const tartaricGPerL = composition.acids.tartaric * ACIDS.tartaric.molarMass
  const potassiumGPerL = composition.strongIon * POTASSIUM
  const { tartaric, potassium } = PLAUSIBLE
  if (tartaricGPerL < tartaric.min || tartaricGPerL > tartaric.max) found.push({ code: 'tartaric-implausible', tartaricGPerL, minGPerL: tartaric.min, maxGPerL: tartaric.max })
  if (potassiumGPerL < potassium.min || potassiumGPerL > potassium.max) found.push({ code: 'potassium-implausible', potassiumGPerL, minGPerL: potassium.min, maxGPerL: potassium.max })
  if (malicAssumed) found.push({ code: 'malic-assumed', malicGPerL: composition.acids.malic * ACIDS.malic.molarMass })
  return found
}
