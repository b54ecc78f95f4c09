import { volumeUnitsFor } from '~/wording/volume-units'
import { sgFromBrix } from '~~/core/hydrometry'
import { POTENTIAL, type SugarUnit, type VolumeUnit, toLitres } from '~~/core/units'
import { type QuantityFieldOptions, useQuantityField } from './useQuantityField'
import { useFormat } from '~/composables/useFormat'

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

/**
 * A volume that is proposed: as many digits as one would pour by, and just that much where nothing else is typed. It is proposed anew for
 * as long as nobody typed over it.
 */
export function proposeVolume(
  f: Pick<ReturnType<typeof useFormat>, 'typedVolume' | 'volumeUnit'>, field: ReturnType<typeof useQuantityField>,
  litres: number, digits: number
): void {
  const text = f.typedVolume(litres, digits)
  if (field.untouched) field.fill(text, toLitres(Number(text), f.volumeUnit.value as VolumeUnit))
}

/** A plain number within its limits, needed unless it is said that it may stay empty. */
export const usePlainField = (min: number, max: number, words: string, own: Pick<QuantityFieldOptions, 'text' | 'required'> = {}) =>
  useQuantityField({ kind: 'plain', unit: '', required: true, limits: { min, max, words }, ...own })

/** What really went in or was filled: empty while nothing did. */
export const useWentInField = (words = 'Enter how much went in.', most = 1e6) =>
  useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.001, max: most, words } })

/** The sugar of a must or a wine, as gravity or °Brix. */
export const useSugarField = (unit: SugarUnit, own: Pick<QuantityFieldOptions, 'required' | 'concentrate'> = {}) =>
  useQuantityField({ kind: 'sugar', unit, units: ['SG', '°Brix', POTENTIAL], quantity: (u) => (u === '°Brix' ? 'brix' : 'sg'), ...own })

/** What is known, shown in so many decimals and reckoned with in all of its digits until somebody types over it. */
export function fillFigure(field: Pick<ReturnType<typeof useQuantityField>, 'fill'>, value: number | undefined, decimals: number): void {
  if (value === undefined) field.fill('')
  else field.fill(value.toFixed(decimals), value)
}

type SugarField = Pick<ReturnType<typeof useQuantityField>, 'value' | 'parsed'>
/** The gravity that a sugar field holds, in whichever unit it was typed. */
export const sgIn = (field: SugarField): number | undefined =>
  field.value === undefined || !field.parsed.ok ? undefined : field.parsed.unit === 'SG' ? field.value : sgFromBrix(field.value)
/** The reading that it is. */
export const sugarQuantity = (unit: string | undefined): 'sg' | 'brix' => (unit === 'SG' ? 'sg' : 'brix')
