import type { SugarUnit } from '~~/core/units'
import type { QuantityFieldOptions } from './useQuantityField'

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
