import { within } from '../units'
import { type Composition, type Medium, type Moles, chargeAt, meanCharge, molesOf, protonActivity } from './charge'
import type { Conditions, Prior } from './condition'
import { ACIDS, ACID_NAMES, type AcidName, END_POINT_PH } from './constants'
import { TARTARIC_EQUIVALENT } from './titration'
import { COMMON_SPREAD, type MalolacticKnown, STRONG, UNKNOWN_ACIDS, type Usual, type WineStyle, usualContents } from './usual'

export interface AcidReadings {
  ph: number
  taGPerL: number
  malicGPerL?: number
  lacticGPerL?: number
  /** % vol; 0 for must. */
  abv?: number
  /** °Brix of the fruit, before water or sugar: ripe fruit holds less malic acid. */
  brix?: number
  style?: WineStyle
  malolactic?: MalolacticKnown
  /** Total SO₂, mg/L. */
  so2MgPerL?: number
  endPointPh?: number
  /** What the same wine was known to hold, with all that was done to it since: then this is the usual, and not the trade's. */
  carried?: Composition
}

/** A kind of composition with what was measured put in place of what is usual. */
export interface Kind {
  prior: Prior
  malolactic: MalolacticKnown
  logWeight: number
}

/** A pair of readings laid out for the fit. */
export interface Pair {
  ph: number
  endPointPh: number
  abv: number
  /** Base of the titration, mol/L. */
  base: number
  /** What is given: sulphurous acid, chalk; everything looked for is nought. */
  given: Composition
  /** The same, laid out. */
  laid: Moles
  kinds: Kind[]
  malicKnown: boolean
}

/** What was carried over is known better than what is usual: share of the usual spread that stays. */
const CARRIED_SPREAD = 0.6
const POSITION = Object.fromEntries(UNKNOWN_ACIDS.map((name, i) => [name, i])) as Record<(typeof UNKNOWN_ACIDS)[number], number>

/**
 * Checks the readings and lays them out.
 * @throws LimitError
 */
export function pairOf(readings: AcidReadings): Pair {
  const abv = within('abv', readings.abv ?? 0, 0, 18)
  if (readings.brix !== undefined) within('brix', readings.brix, 0, 50)
  const malic = readings.malicGPerL === undefined ? undefined : within('malicGPerL', readings.malicGPerL, 0, 15) / ACIDS.malic.molarMass
  const lactic =
    readings.lacticGPerL === undefined ? undefined : within('lacticGPerL', readings.lacticGPerL, 0, 15) / ACIDS.lactic.molarMass
  const given = bare(
    abv,
    within('so2MgPerL', readings.so2MgPerL ?? 0, 0, 500) / 1000 / ACIDS.sulphurous.molarMass,
    readings.carried?.calcium ?? 0
  )
  const { style, brix, malolactic } = readings
  const usual = usualContents({ abv, ...(style && { style }), ...(brix !== undefined && { brix }), ...(malolactic && { malolactic }) })
  const kinds = readings.carried ? [carriedKind(readings.carried, usual)] : usual
  return {
    ph: within('ph', readings.ph, 2.5, 4.5),
    endPointPh: within('endPointPh', readings.endPointPh ?? END_POINT_PH, 6.5, 8.6),
    abv,
    base: within('taGPerL', readings.taGPerL, 2, 20) / TARTARIC_EQUIVALENT,
    given,
    laid: molesOf(given),
    kinds: kinds.map((k) => withMeasured(k, malic, lactic)),
    malicKnown: malic !== undefined
  }
}

function bare(abv: number, sulphurous: number, calcium: number): Composition {
  const acids: Record<AcidName, number> = {
    tartaric: 0,
    malic: 0,
    lactic: 0,
    citric: 0,
    succinic: 0,
    acetic: 0,
    sulphurous,
    carbonic: 0,
    phosphoric: 0,
    gluconic: 0,
    amino: 0
  }
  return { abv, strongIon: 0, calcium, acids }
}

function carriedKind(carried: Composition, usual: readonly Usual[]): Usual {
  const [mean, sd] = [new Float64Array(STRONG + 1), new Float64Array(STRONG + 1)]
  for (let i = 0; i < STRONG; i++) mean[i] = Math.max(0, carried.acids[UNKNOWN_ACIDS[i]!])
  mean[STRONG] = carried.strongIon
  for (const u of usual) for (let i = 0; i <= STRONG; i++) sd[i]! += u.weight * u.sd[i]! * CARRIED_SPREAD
  return { malolactic: usual[0]!.malolactic, weight: 1, mean, sd }
}

/** What was measured is exact here; how well it fits the kind says how likely the kind is. */
function withMeasured({ mean, sd, weight, malolactic }: Usual, malic: number | undefined, lactic: number | undefined): Kind {
  const prior: Prior = { mean: mean.slice(), sd: sd.slice(), common: mean.map((m) => m * COMMON_SPREAD) }
  let logWeight = Math.log(weight)
  for (const [i, value] of [
    [POSITION.malic, malic],
    [POSITION.lactic, lactic]
  ] as const) {
    if (value === undefined) continue
    const spread = Math.hypot(sd[i]!, prior.common[i]!, MEASURED_SPREAD)
    logWeight -= 0.5 * ((value - mean[i]!) / spread) ** 2 + Math.log(spread)
    prior.mean[i] = value
    prior.sd[i] = 0
    prior.common[i] = 0
  }
  return { prior, malolactic, logWeight }
}
/** A test at home tells malic and lactic acid to about 0.1 g/L; in mol/L. */
const MEASURED_SPREAD = 0.1 / 134

/**
 * The two conditions in media of given strengths.
 * @param into conditions that are laid out anew: a fit goes round several times
 */
export function conditionsOf(pair: Pair, wine: Medium, end: Medium, into = emptyConditions()): Conditions {
  chargesOf(pair.ph, wine, into.wine)
  chargesOf(pair.endPointPh, end, into.end)
  into.wineCharge = -chargeAt(pair.ph, pair.laid, wine).balance
  into.endCharge = -chargeAt(pair.endPointPh, pair.laid, end, pair.base).balance
  return into
}
export const emptyConditions = (): Conditions => ({
  wine: new Float64Array(STRONG + 1),
  end: new Float64Array(STRONG + 1),
  wineCharge: 0,
  endCharge: 0
})

/** Charge of one mole of each content at a pH. */
function chargesOf(ph: number, medium: Medium, charges: Float64Array): void {
  const h = protonActivity(ph)
  // Amino acids are counted from their positive form.
  for (let i = 0; i < STRONG; i++) charges[i] = (i === POSITION.amino ? 1 : 0) - meanCharge(medium.ka, PLACE[i]!, h)
  charges[STRONG] = 1
}
/** Where the acids looked for stand among all acids. */
const PLACE = UNKNOWN_ACIDS.map((name) => ACID_NAMES.indexOf(name))

/** Contents found, as a composition. */
export function compositionOf({ given }: Pair, contents: Float64Array): Composition {
  const at = (name: (typeof UNKNOWN_ACIDS)[number]): number => contents[POSITION[name]]!
  // Written out, not looped: a band makes some hundred of them.
  return {
    abv: given.abv,
    strongIon: contents[STRONG]!,
    calcium: given.calcium,
    acids: {
      tartaric: at('tartaric'),
      malic: at('malic'),
      lactic: at('lactic'),
      citric: at('citric'),
      succinic: at('succinic'),
      acetic: at('acetic'),
      sulphurous: given.acids.sulphurous,
      carbonic: given.acids.carbonic,
      phosphoric: at('phosphoric'),
      gluconic: at('gluconic'),
      amino: at('amino')
    }
  }
}

/**
 * Ionic strengths of contents at their pH and at the end point, as far as the activity model goes.
 * @param moles room to lay the contents out in, which holds what is given of the pair
 */
export function strengthsOf(
  pair: Pair,
  contents: Float64Array,
  wine: Medium,
  end: Medium,
  moles = pair.laid.moles.slice()
): [wine: number, end: number] {
  for (let i = 0; i < STRONG; i++) moles[PLACE[i]!] = contents[i]!
  const laid = { strongIon: pair.laid.strongIon + contents[STRONG]! + contents[POSITION.amino]!, moles }
  // The base of the titration counts once, as the strong ion that it brings.
  const atEnd = chargeAt(pair.endPointPh, laid, end).ionicStrength + pair.base / 2
  return [Math.min(0.5, chargeAt(pair.ph, laid, wine).ionicStrength), Math.min(0.5, atEnd)]
}
