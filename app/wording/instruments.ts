import { daysBetween } from '~~/core/units'
import { counted } from '~/wording/count'
import type { EntryOf, InstrumentState } from '~~/core/ledger'
import { sayCheck } from './sentences'

export interface InstrumentWords {
  name: string
  unit: string
  how: string
  /** Usual known values, as one would type them; the first one is filled in. */ standards: readonly [string, string?]
}

export const INSTRUMENT: Record<EntryOf<'instrument-added'>['kind'], InstrumentWords> = {
  hydrometer: {
    name: 'Hydrometer',
    unit: 'SG',
    how: 'in distilled water at its temperature it should show 1.000; a second value is sugar weighed into water',
    standards: ['1.000', '']
  },
  refractometer: {
    name: 'Refractometer',
    unit: '°Brix',
    how: 'in distilled water it should show 0; 20 g of sugar with 80 g of water make 20',
    standards: ['0', '20']
  },
  'ph-meter': { name: 'pH meter', unit: 'pH', how: 'in fresh buffers, one near the wine and one at 7', standards: ['4.01', '7.00'] },
  thermometer: {
    name: 'Thermometer',
    unit: '°C',
    how: 'in melting ice it should show 0 °C; in water at blood heat it should agree with a fever thermometer',
    standards: ['0', '']
  },
  scale: { name: 'Scale', unit: 'g', how: 'with a coin of known weight on it', standards: ['', ''] },
  float: { name: 'Floating hydrometer', unit: 'SG', how: 'against a hand reading of the same must', standards: ['', ''] },
  'titration-kit': { name: 'Titration kit', unit: 'g/L', how: 'against a wine of known acidity', standards: ['', ''] }
}

/** A pH meter drifts within days, glass hardly: days after which a check is wanted. Common practice, no source. */
const CHECK_DAYS: Partial<Record<EntryOf<'instrument-added'>['kind'], number>> = { 'ph-meter': 2, refractometer: 14, hydrometer: 400 }

/** What makes a reading of this instrument doubtful, if anything does. */
export function sayInstrumentDoubt(instrument: InstrumentState, now: string): string | undefined {
  const last = instrument.checks.at(-1)
  const limit = CHECK_DAYS[instrument.kind]
  if (last && !last.adjusted && (last.offset !== 0 || last.slope !== undefined))
    return `${instrument.name} has a known error (${sayCheck(last)}). Presk corrects the reading for it.`
  const days = last ? Math.floor(daysBetween(last.at, now)) : undefined
  if (limit === undefined || (days !== undefined && days <= limit)) return undefined
  // A hydrometer that was never checked is the rule; it is not nagged about.
  if (days === undefined)
    return instrument.kind === 'hydrometer' ? undefined : `${instrument.name} has never been checked: ${INSTRUMENT[instrument.kind].how}.`
  return `${instrument.name} was last checked ${counted(days, 'day')} ago. Check it before you base doses on it.`
}
