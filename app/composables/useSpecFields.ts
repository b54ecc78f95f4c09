import type { FieldSpec } from '~/forms/spec'
import type { QuantityField } from './useQuantityField'
import { useQuantityField } from '~/composables/useQuantityField'

export type QuantitySpec = Extract<FieldSpec, { as: 'quantity' }>

/**
 * The number fields of forms and benches, made when they are first asked for.
 * @param begin what a new field begins with, where that is known when it is made
 */
export function useSpecFields(begin: (spec: QuantitySpec, field: QuantityField) => void = () => {}) {
  const made = new Map<string, { spec: QuantitySpec, field: QuantityField }>()
  /** The same field for the same number in the same unit, however often its words change. */
  function fieldOf(spec: QuantitySpec): QuantityField {
    const key = `${spec.key}|${spec.unit}`
    const before = made.get(key)
    if (before) return before.field
    const { measure, unit, units, limits, required, quantity } = spec
    const field = useQuantityField({
      kind: measure,
      unit,
      ...(units && { units: [...units] }),
      ...(required && { required }),
      ...(limits && { limits }),
      ...(measure === 'sugar' && !limits
        ? { quantity: (u) => (u === 'SG' ? ('sg' as const) : ('brix' as const)) }
        : quantity && { quantity: () => quantity })
    })
    made.set(key, { spec, field })
    begin(spec, field)
    return field
  }
  /** Also those that are not asked for now. */
  return { fieldOf, all: () => [...made.values()] }
}
