import { HOUR_MS } from '../units'
import {
  type AcidChange,
  type AcidReadings,
  type Composition,
  READING_UNCERTAINTY,
  applyChange,
  fitAcids,
  solveEquilibrium
} from '../acids'
import { abvOf } from './balance'
import { isFermenting, isMust } from './facets'
import type { Figure, LotState } from './state'
import { reckonedBrix } from './reckoned'
import { restsOn } from './rests-on'

const PH = { min: 2.5, max: 4.5 }
const TA = { min: 2, max: 20 }
const MALIC_MASS = 134.087
/** A first gravity below this tells nothing of how ripe the fruit was. */
const FRUIT_FROM_SG = 1.05
/** Alcohol made since malic acid was measured above which it counts no more: yeast takes some, bacteria may take all. % vol. */
const MALIC_STANDS_ABV = 3

/**
 * Lays the acids out anew when pH or TA was read and both are known. What was estimated of the other one stays its best value;
 * what was done since the last pair (acid, water, blends, malolactic) tells what to expect. The fit itself waits until
 * somebody asks: most readings are followed by the next.
 */
export function anchorAcids(lot: LotState, at: string, entryId: string): void {
  const readings = readingsOf(lot)
  if (!readings) return
  const known = lot.acids
  const carried = known?.changed ? known.composition : known?.carried
  const malicMeasured = readings.malicGPerL !== undefined
  let fitted: Composition | undefined
  lot.acids = {
    get composition() {
      return (fitted ??= fitAcids({ ...readings, ...(carried && { carried: fermented(carried, readings) }) }).composition)
    },
    at,
    from: restsOn(lot.ph!.from, lot.ta!.from, entryId),
    changed: false,
    malicMeasured,
    ...(carried && { carried })
  }
}

/** All that is known of the lot and says something of its acids. */
function readingsOf(lot: LotState): AcidReadings | undefined {
  const { ph, ta } = lot
  if (!ph || !ta || ph.value < PH.min || ph.value > PH.max || ta.value < TA.min || ta.value > TA.max) return undefined
  const abv = Math.min(18, lot.balance ? abvOf(lot.balance) : 0)
  const malic = malicOf(lot, abv)
  const first = lot.series.sg?.[0]?.value
  return {
    ph: ph.value,
    taGPerL: ta.value,
    abv,
    style: lot.style,
    ...(first !== undefined && first > FRUIT_FROM_SG && lot.stream !== 'kit' && { brix: reckonedBrix(first) }),
    ...((isMust(lot) || (isFermenting(lot) && !lot.bacteriaAt)) && { malolactic: 'before' as const }),
    ...(malic !== undefined && { malicGPerL: Math.min(15, Math.max(0, malic)) })
  }
}

/** Malic acid that was measured, as water, blends and bacteria have moved it since. */
function malicOf(lot: LotState, abv: number): number | undefined {
  const read = lot.others.malic
  if (!read) return undefined
  const known = lot.acids
  if (known?.malicMeasured && known.changed) return known.composition.acids.malic * MALIC_MASS
  if (lot.bacteriaAt !== undefined && lot.bacteriaAt > read.at) return undefined
  return lot.inoculatedAt !== undefined && read.at < lot.inoculatedAt && abv > MALIC_STANDS_ABV ? undefined : read.value
}

/** A must that was carried along is the wine that it became. */
function fermented(carried: Composition, { abv = 0, style }: AcidReadings): Composition {
  return abv > carried.abv ? applyChange(carried, { kind: 'ferment', toAbv: abv, ...(style && { style }) }).composition : carried
}

/** Carries the acids through an addition, water, a blend or malolactic, and renews the estimates of pH and TA. */
export function changeAcids(lot: LotState, change: AcidChange, at: string, entryId: string): void {
  if (!lot.acids) return
  const { composition } = applyChange(lot.acids.composition, change)
  lot.acids = { composition, at, from: restsOn(lot.acids.from, entryId), changed: true, malicMeasured: lot.acids.malicMeasured }
  const state = solveEquilibrium(composition)
  if (state.status !== 'converged') return
  const estimate = (value: number, uncertainty: number): Figure => ({ value, origin: 'estimated', at, uncertainty, from: lot.acids!.from })
  lot.ph = estimate(state.ph, Math.max(lot.ph?.uncertainty ?? 0, READING_UNCERTAINTY.ph) + 0.02)
  lot.ta = estimate(state.taGPerL, Math.max(lot.ta?.uncertainty ?? 0, READING_UNCERTAINTY.taGPerL))
}

/** Readings that were typed in one line, or taken from one sample. */
const ONE_SAMPLE_MS = 60_000
export const ofOneSample = (a: string, b: string): boolean => Math.abs(Date.parse(a) - Date.parse(b)) <= ONE_SAMPLE_MS
/** In so long malolactic changes nothing that a meter can tell: a pH read before the malic acid of one evening stands. */
const ONE_EVENING_MS = 12 * HOUR_MS

/**
 * Malic acid was read. After bacteria went in a fall from an earlier reading tells how far malolactic has come, and pH and TA
 * move with it unless they were measured on the same sample. A first reading only says what there is.
 */
export function takeMalic(lot: LotState, figure: Figure, entryId: string): void {
  const earlier = lot.others.malic
  lot.others.malic = figure
  const { ph, ta } = lot
  const before = lot.acids ? lot.acids.composition.acids.malic * MALIC_MASS : 0
  const turning = lot.bacteriaAt !== undefined && earlier !== undefined && before > figure.value
  if (turning) {
    changeAcids(lot, { kind: 'malolactic', toMalicGPerL: Math.max(0, figure.value) }, figure.at, entryId)
    lot.acids = { ...lot.acids!, malicMeasured: true }
    const stands = (f: Figure | undefined) =>
      f?.origin === 'measured' && Math.abs(Date.parse(f.at) - Date.parse(figure.at)) <= ONE_EVENING_MS
    if (stands(ph)) lot.ph = ph!
    if (stands(ta)) lot.ta = ta!
    if (!stands(ph) && !stands(ta)) return
  }
  anchorAcids(lot, figure.at, entryId)
}
