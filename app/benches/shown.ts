import { brixFromSg } from '~~/core/hydrometry'
import type { useFormat } from '~/composables/useFormat'
import type { QuantitySpec } from '~/composables/useSpecFields'

/** Litres are shown with so many figures where a field says nothing else. */
const VOLUME_FIGURES = 4

/**
 * A number of the core as a field is filled with it: with the digits it deserves in the field's unit.
 * @param value in the unit of the core; a gravity as SG, whatever the field shows
 * @returns what is shown, and the number in the field's own terms with all of its digits
 */
export function shownIn(spec: QuantitySpec, value: number, f: ReturnType<typeof useFormat>): { text: string, exactly: number } {
  const { measure, unit, decimals } = spec
  if (measure === 'sugar') {
    const exactly = unit === 'SG' ? value : brixFromSg(value)
    return { text: (unit === 'SG' ? f.gravity(exactly) : f.brix(exactly)).text, exactly }
  }
  const typed = Number(f.typed(value, measure, unit))
  if (measure === 'volume') return { text: String(Number(typed.toPrecision(VOLUME_FIGURES))), exactly: value }
  // 28 °C, and not 28.0; but pH 3.50.
  const text = decimals === undefined ? String(typed) : typed.toFixed(decimals)
  return { text: measure === 'temperature' ? String(Number(text)) : text, exactly: value }
}
