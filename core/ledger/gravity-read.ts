import { correctHydrometer, sgFromBrix } from '../hydrometry'
import type { EntryOf } from './entry'
import type { InstrumentState } from './state'

/** SG at or below which a ferment may be called dry, craft 3.7. */
export const DRY_SG = 0.996
/** Sugar at or below which a test says dry, g/L, craft 3.7. */
export const DRY_SUGAR_G_PER_L = 2
/** No must or wine that people handle is outside of these, °C: frozen, or heated for colour. */
export const BELIEVED_C = { min: -20, max: 90 } as const

/** What of a reading tells its gravity. */
export type GravityRead = Pick<EntryOf<'reading'>, 'quantity' | 'value' | 'sampleC' | 'calibrationC' | 'by'>

/**
 * SG 20/20 of a gravity reading: a hydrometer (or a Brix hydrometer) is corrected for the sample's temperature, a
 * refractometer compensates by itself or was brought to its temperature.
 */
export function gravityOf(reading: GravityRead, value = reading.value, instrument?: InstrumentState): number {
  const scale = reading.quantity === 'brix' ? 'brix' : 'sg'
  const compensated = instrument?.kind === 'refractometer' || reading.by === 'refractometer'
  if (reading.sampleC === undefined || compensated) return scale === 'sg' ? value : sgFromBrix(value)
  return correctHydrometer(value, scale, reading.sampleC, reading.calibrationC ?? instrument?.calibrationC ?? 20).sg
}
