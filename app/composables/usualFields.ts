import { volumeUnitsFor } from '~/wording/volume-units'
import { brixFromSg, sgFromBrix } from '~~/core/hydrometry'
import { BAR_PER, type SugarUnit } from '~~/core/units'
import type { QuantityFieldOptions, useQuantityField as Field } from './useQuantityField'

/** Litres or gallons, in the person's unit first; of a wine, unless it has limits of its own. */
export function useVolumeField(own: Pick<QuantityFieldOptions, 'limits' | 'required'> = {}) {
  const f = useFormat()
  return useQuantityField({
    kind: 'volume',
    unit: f.volumeUnit.value,
    units: volumeUnitsFor(f.volumeUnit.value),
    required: true,
    ...(!own.limits && { quantity: () => 'volume' as const }),
    ...own
  })
}

/** A plain number within its limits, needed unless it is said that it may stay empty. */
export const usePlainField = (min: number, max: number, words: string, own: Pick<QuantityFieldOptions, 'text' | 'required'> = {}) =>
  useQuantityField({ kind: 'plain', unit: '', required: true, limits: { min, max, words }, ...own })

/** What really went in or was filled: empty while nothing did. */
export const useWentInField = (words = 'Enter how much went in.', most = 1e6) =>
  useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.001, max: most, words } })

/** Pressure above the air's, in the person's unit. */
export function usePressureField(mostBar: number, bar?: number) {
  const f = useFormat()
  const unit = f.pressureUnit.value
  return useQuantityField({
    kind: 'pressure',
    unit,
    units: ['bar', 'psi'],
    required: true,
    ...(bar !== undefined && { text: String(Math.round(bar / BAR_PER[unit])) }),
    limits: { min: 0, max: mostBar, words: f.degrees(`Between 0 and ${mostBar} bar.`) }
  })
}

/** Degrees in the person's unit, given in °C. */
export function useDegreesField(min: number, max: number, celsius?: number) {
  const f = useFormat()
  const unit = f.temperatureUnit.value
  return useQuantityField({
    kind: 'temperature',
    unit,
    units: ['°C', '°F'],
    required: true,
    ...(celsius !== undefined && { text: f.typed(celsius, 'temperature', unit) }),
    limits: { min, max, words: f.degrees(`Between ${min} and ${max} °C.`.replace('-', '−')) }
  })
}

/** The sugar of a must or a wine, as gravity or °Brix. */
export const useSugarField = (unit: SugarUnit, own: Pick<QuantityFieldOptions, 'required'> = {}) =>
  useQuantityField({ kind: 'sugar', unit, units: ['SG', '°Brix'], quantity: (u) => (u === 'SG' ? 'sg' : 'brix'), ...own })

type SugarField = Pick<ReturnType<typeof Field>, 'value' | 'parsed'>
/** The gravity that a sugar field holds, in whichever unit it was typed. */
export const sgIn = (field: SugarField): number | undefined =>
  field.value === undefined || !field.parsed.ok ? undefined : field.parsed.unit === 'SG' ? field.value : sgFromBrix(field.value)
/** Its °Brix. */
export const brixIn = (field: SugarField): number | undefined =>
  field.value === undefined || !field.parsed.ok ? undefined : field.parsed.unit === 'SG' ? brixFromSg(field.value) : field.value
/** The reading that it is. */
export const sugarQuantity = (unit: string | undefined): 'sg' | 'brix' => (unit === 'SG' ? 'sg' : 'brix')
