import { CLOSURE_KINDS, type ClosureKind, MATERIALS, MATERIAL_KEYS } from '../../materials'

export const CLOSURES = CLOSURE_KINDS
export type Closure = ClosureKind
/** What is taken from the store for each when no card is named; what wires and swing tops are, no built-in card says. */
export const CLOSURE_MATERIAL: Partial<Record<Closure, string>> = Object.fromEntries(
  MATERIAL_KEYS.flatMap((key) => (MATERIALS[key].closes ? [[MATERIALS[key].closes, key]] : []))
)
