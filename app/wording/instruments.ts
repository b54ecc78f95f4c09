import type { EntryOf } from '~~/core/ledger'

export interface InstrumentWords { name: string, unit: string, how: string, /** Usual known values, as one would type them; the first one is filled in. */ standards: readonly [string, string?] }

export const INSTRUMENT: Record<EntryOf<'instrument-added'>['kind'], InstrumentWords> = {
  'hydrometer': { name: 'Hydrometer', unit: 'SG', how: 'in distilled water at its temperature it should show 1.000; a second value is sugar weighed into water', standards: ['1.000', ''] },
  'refractometer': { name: 'Refractometer', unit: '°Brix', how: 'in distilled water it should show 0; 20 g of sugar with 80 g of water make 20', standards: ['0', '20'] },
  'ph-meter': { name: 'pH meter', unit: 'pH', how: 'in fresh buffers, one near the wine and one at 7', standards: ['4.01', '7.00'] },
  'thermometer': { name: 'Thermometer', unit: '°C', how: 'in melting ice it should show 0 °C; in water at blood heat it should agree with a fever thermometer', standards: ['0', ''] },
  'scale': { name: 'Scale', unit: 'g', how: 'with a coin of known weight on it', standards: ['', ''] },
  'titration-kit': { name: 'Titration kit', unit: 'g/L', how: 'against a wine of known acidity', standards: ['', ''] }
}
