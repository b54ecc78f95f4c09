import { brixFromSg, sgFromBrix } from '~~/core/hydrometry'
import type { SugarUnit } from '~~/core/units'
import type { QuantityFieldOptions, useQuantityField as Field } from './useQuantityField'

/** Litres or gallons, in the person's unit first; of a wine, unless it has limits of its own. */
export function useVolumeField(own: Pick<QuantityFieldOptions, 'limits' | 'required'> = {}) {
  const f = useFormat()
  return useQuantityField({
    kind: 'volume',
    unit: f.volumeUnit.value,
    units: ['L', 'US gal', 'imp gal'],
    required: true,
    ...(!own.limits && { quantity: () => 'volume' as const }),
    ...own
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
