import type { Band80 } from '../units'

export type { Band80 }

/** A tenth lies outside at either end; of the early times a little more, found on the reference ferments of seeds 3 and 11. */
export const TENTH = 0.11
/** A little wider, where few draws tell of the tail of a ferment; found on the reference ferments of seed 3. */
export const TAIL_END = 0.085
/** Weighted ends and middle. */
export function quantiles(values: { value: number, weight: number }[], end: number): Band80 {
  const order = values.sort((a, b) => a.value - b.value)
  const total = order.reduce((sum, v) => sum + v.weight, 0)
  const at = (share: number): number => {
    let before = 0
    for (const v of order) {
      before += v.weight
      if (before >= share * total) return v.value
    }
    return order.at(-1)?.value ?? 0
  }
  return { low: at(end), mid: at(0.5), high: at(1 - end) }
}
