import { USUAL_CONCENTRATE_BRIX, concentrateMakes } from '~~/core/must'
import { sucroseDensity } from '~~/core/hydrometry'
import { KILOGRAMS_PER, type Unit, fromLitres } from '~~/core/units'
import type { QuantityField } from './useQuantityField'
import { useFormat } from '~/composables/useFormat'
import { useQuantityField } from '~/composables/useQuantityField'
import { proposeVolume, usePlainField, useVolumeField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'

/** A litre or so is sold by these. */
const CAN_UNIT: Partial<Record<Unit, 'US fl oz' | 'imp fl oz'>> = { 'US gal': 'US fl oz', 'imp gal': 'imp fl oz' }

/**
 * Grape concentrate in cans: what they make at a gravity, and the water that goes in first.
 * @param target the gravity wanted
 * @param leaflet what the leaflet makes, whose packets are then taken in part or more than once
 */
export function useCans(target: QuantityField, leaflet: QuantityField) {
  const f = useFormat()
  const inCans = ref(false)
  const unit = CAN_UNIT[f.volumeUnit.value] ?? 'L'
  const cans = usePlainField(0.1, 1000, 'Enter between a tenth of a can and 1000 cans.')
  const canSize = useQuantityField({
    kind: 'volume',
    unit,
    units: unit === 'L' ? ['L', 'mL'] : [unit, 'L', 'mL'],
    required: true,
    limits: { min: 0.05, max: 50, words: 'Enter between 50 mL and 50 L.' }
  })
  const brix = usePlainField(50, 70, 'Concentrate has between 50 and 70 °Brix.', { text: String(USUAL_CONCENTRATE_BRIX) })
  const makes = computed(() => {
    const numbers = [cans.value, canSize.value, brix.value, target.value] as const
    return inCans.value && numbers.every((n) => n !== undefined)
      ? withinLimits(() => concentrateMakes(...(numbers as [number, number, number, number])))
      : undefined
  })
  /** The first water, as it is to be poured; what was poured instead can be typed. */
  const firstWater = useVolumeField({ limits: { min: 0.01, max: 100_000, words: 'Enter how much water goes in first.' } })
  watch(makes, (m) => {
    if (m) proposeVolume(f, firstWater, m.firstL, 3)
  })
  /** Water cannot be taken out again. */
  const tooMuch = computed(() =>
    makes.value && firstWater.value !== undefined && firstWater.value > makes.value.waterL
      ? `All of the water is ${f.words(f.volume(makes.value.waterL))}. With more it would be too thin.`
      : undefined
  )
  /** Nothing was said of a gravity: that of a table wine. */
  watch(inCans, (are) => {
    if (are && target.empty) target.fill('1.085')
  })
  return {
    inCans,
    fields: { cans, canSize, brix, firstWater },
    makes,
    tooMuch,
    /** What of each packet of the leaflet this much must takes. */
    packetShare: computed(() => (makes.value && leaflet.value ? makes.value.mustL / leaflet.value : undefined)),
    /** Some cans say what they weigh. */
    perWeight: computed(() => {
      const litresPerKg = 1000 / sucroseDensity(brix.value ?? USUAL_CONCENTRATE_BRIX, 20)
      return unit === 'L'
        ? `1 kg is ${litresPerKg.toFixed(2)} L`
        : `1 lb is ${fromLitres(litresPerKg * KILOGRAMS_PER.lb, unit).toFixed(0)} fl oz`
    }),
    asked: computed(() => (inCans.value ? [cans, canSize, brix, firstWater] : []))
  }
}
export type Cans = ReturnType<typeof useCans>
