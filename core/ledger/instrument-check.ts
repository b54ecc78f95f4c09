import { brixFromSg, sgFromBrix } from '../hydrometry'
import { within } from '../units'
import type { EntryOf, ReadingQuantity } from './entry'
import type { InstrumentState } from './state'

/** A known value, and what the instrument showed for it. */
export interface Standard {
  known: number
  shown: number
}

/** A meter whose slope is further from one wants a new probe, not arithmetic: common practice, no source. */
const SLOPE = { min: 0.8, max: 1.2 } as const

/**
 * Offset and slope from one or two standards: shown = slope × true + offset. One standard gives an offset only.
 * @param standards one, or two that differ (distilled water and a known sugar, two buffers, ice and boiling water), in the
 * instrument's unit
 * @returns the offset, and the slope when two were given
 * @throws LimitError when the slope is no instrument's any more, or the two standards are one
 * @example checkAgainst([{ known: 4.01, shown: 4.05 }, { known: 7, shown: 6.94 }]) // slope 0.967, offset 0.174
 */
export function checkAgainst(standards: readonly [Standard, ...Standard[]]): { offset: number, slope?: number } {
  const [a, b] = standards
  if (!b) return { offset: tidy(a.shown - a.known) }
  const slope = tidy(within('slope', (b.shown - a.shown) / (b.known - a.known), SLOPE.min, SLOPE.max))
  return { offset: tidy(a.shown - slope * a.known), slope }
}

/** Free of the tail that binary fractions leave. */
const tidy = (value: number): number => Number(value.toPrecision(10))

/** The quantity in whose unit an instrument is read and checked; a scale reads nothing of a wine. */
const READS: Record<InstrumentState['kind'], ReadingQuantity | undefined> = {
  'hydrometer': 'sg',
  'float': 'sg',
  'refractometer': 'brix',
  'ph-meter': 'ph',
  'thermometer': 'temperature',
  'titration-kit': 'ta',
  'scale': undefined
}
/** A hydrometer that was checked against values like these is one that shows °Brix, SG. */
const GRAVITIES = { min: 0.9, max: 1.3 } as const

/**
 * What an instrument should have shown when a reading was made. A check speaks for the time since the one before it: a
 * refractometer found half a degree off today was off for the readings since its last zero. After the last check what it
 * found stays, unless the instrument was set right then. The check is in the instrument's own unit: a gravity in SG that was read with a
 * refractometer is corrected in °Brix and comes back as SG.
 * @param instrument with its checks, oldest first
 * @param quantity of the reading, which says its unit
 * @param shown the reading, in its quantity's unit
 * @param at when it was made
 * @returns (shown − offset) ÷ slope; the reading itself when it was never checked, or is of what such an instrument does not read
 * @throws LimitError where a gravity cannot be told on the other scale
 */
export function trueValue(instrument: InstrumentState | undefined, quantity: ReadingQuantity, shown: number, at: string): number {
  const check = instrument && standingCheck(instrument, at)
  if (!check || (check.offset === 0 && (check.slope ?? 1) === 1)) return shown
  const own = scaleOf(instrument, check)
  const corrected = (value: number) => (value - check.offset) / (check.slope ?? 1)
  if (own === quantity) return corrected(shown)
  if (own === 'brix' && quantity === 'sg') return sgFromBrix(corrected(brixFromSg(shown)))
  if (own === 'sg' && quantity === 'brix') return brixFromSg(corrected(sgFromBrix(shown)))
  return shown
}

function scaleOf(instrument: InstrumentState, check: EntryOf<'instrument-checked'>): ReadingQuantity | undefined {
  const scale = READS[instrument.kind]
  const isGravity = (value: number) => value >= GRAVITIES.min && value <= GRAVITIES.max
  return scale === 'sg' && check.standards?.some((s) => !isGravity(s.known) || !isGravity(s.shown)) ? 'brix' : scale
}

function standingCheck(instrument: InstrumentState, at: string): EntryOf<'instrument-checked'> | undefined {
  const next = instrument.checks.find((check) => check.at >= at)
  if (next) return next
  const last = instrument.checks.at(-1)
  return last?.adjusted ? undefined : last
}
