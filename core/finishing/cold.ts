import { type AcidReadings, type Band, type Composition, bitartrateExcess, coldShare, fitAcids, predictAcids } from '../acids'
import { within } from '../units'

/** g of potassium bitartrate and of tartaric acid in a mole. */
const [BITARTRATE_G, TARTARIC_G] = [188.18, 150.09] as const
/** Weeks of cold that are meant: one to three, craft 3.11. */
export const COLD_WEEKS = 3
/** Colder than freezing by nothing: so much above it a cold wine is kept, craft 3.11 (common practice). */
const ABOVE_FREEZING = 1

/**
 * How cold a wine may be kept to shed its tartar: near −abv/2 + 1 °C, craft 3.11 (common practice).
 * @example coldFor(12) // −5
 */
export const coldFor = (abv: number): number => -within('abv', abv, 0, 18) / 2 + ABOVE_FREEZING

export interface ColdStability {
  /** Potassium bitartrate that three weeks of that cold take, g/L. */
  bitartrateFallsGPerL: number
  after: { ph: number, taGPerL: number, bands: { ph: Band, taGPerL: Band } }
  /** Colder than this the wine, as it usually goes, throws crystals that one sees, °C. */
  stableAtCelsius: number
  /** The same after the cold. */
  stableAfterCelsius: number
}

/**
 * What cold does to a wine: tartar that falls, pH and TA after it, and down to where it is stable, by the acid model and the solubility of
 * bitartrate. Colloids keep much of it up for years: that it is unstable says that crystals may come, not that they will.
 * @param celsius the cold that it is kept in, −5 to 20
 * @throws LimitError
 * @example coldStability({ ph: 3.4, taGPerL: 7, abv: 12 }, -4)
 */
export function coldStability(wine: AcidReadings, celsius: number): ColdStability {
  within('celsius', celsius, -10, 20)
  const at = Math.max(-5, celsius)
  const { before, after } = predictAcids(wine, [{ kind: 'cold', celsius: at, weeks: COLD_WEEKS }])
  const lost = before.acidsGPerL.tartaric - after.acidsGPerL.tartaric
  const { composition } = fitAcids(wine)
  const moles = Math.max(0, lost) / TARTARIC_G
  const fallenBefore = bitartrateExcess(composition, STOOD_C) * coldShare(COLD_WEEKS)
  return {
    bitartrateFallsGPerL: moles * BITARTRATE_G,
    after: { ph: after.ph, taGPerL: after.taGPerL, bands: { ph: after.bands.ph, taGPerL: after.bands.taGPerL } },
    stableAtCelsius: showsBelow(composition, fallenBefore),
    stableAfterCelsius: showsBelow(composition, Math.max(moles, fallenBefore))
  }
}

/** A wine that is asked about has stood at about this for weeks, °C: what falls there has fallen. Ours. */
const STOOD_C = 18
/** Fewer crystals than this nobody sees at the bottom of a bottle, g/L: common practice, no source. */
const SEEN_G_PER_L = 0.1

/**
 * The warmth below which a winter would drop crystals that one sees, beyond those that have fallen already, within −5 and 40 °C; by
 * halving. Saturation itself is no bound for a wine: colloids hold up more than half of what is above it (`FALLING`), for years.
 */
function showsBelow(composition: Composition, fallenMoles: number): number {
  const seen = fallenMoles + SEEN_G_PER_L / BITARTRATE_G
  const shows = (celsius: number) => bitartrateExcess(composition, celsius) * coldShare(COLD_WEEKS) > seen
  let [cold, warm] = [-5, 40]
  if (!shows(cold)) return cold
  if (shows(warm)) return warm
  while (warm - cold > 0.05) {
    const middle = (cold + warm) / 2
    if (shows(middle)) cold = middle
    else warm = middle
  }
  return warm
}
