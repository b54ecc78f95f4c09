import type { QuantityName } from './register'

export type InstrumentKind = 'hydrometer' | 'refractometer' | 'ph-meter' | 'thermometer' | 'scale' | 'titration-kit' | 'float'

/** Which kinds of instrument read what; a quantity that is not named here is read by none that Presk keeps. */
export const READ_BY: Partial<Record<QuantityName, readonly InstrumentKind[]>> = {
  sg: ['hydrometer', 'float'],
  brix: ['hydrometer', 'refractometer'],
  ph: ['ph-meter'],
  ta: ['titration-kit'],
  temperature: ['thermometer', 'float']
}
