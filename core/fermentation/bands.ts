import type { Band80 } from '../units'

export type { Band80 }

/** A tenth lies outside at either end; of the early times a little more, found on the reference ferments of seeds 3 and 11. */
export const TENTH = 0.11
/** A little wider, where few draws tell of the tail of a ferment; found on the reference ferments of seed 3. */
export const TAIL_END = 0.085
/** Shares on either side over which an end and the middle are taken: a single draw decides nothing, so that a little in moves little. */
const AROUND = { end: 0.03, middle: 0.12 }
/** Weighted ends and middle. */
export function quantiles(values: { value: number, weight: number }[], end: number): Band80 {
  const order = values.sort((a, b) => a.value - b.value)
  const total = order.reduce((sum, v) => sum + v.weight, 0)
  const at = (share: number, around: number): number => {
    const [from, to] = [(share - around) * total, (share + around) * total]
    let [before, sum, covered] = [0, 0, 0]
    for (const v of order) {
      const part = Math.min(to, before + v.weight) - Math.max(from, before)
      before += v.weight
      if (part <= 0) continue
      sum += part * v.value
      covered += part
    }
    return covered > 0 ? sum / covered : order.at(-1)?.value ?? 0
  }
  const mid = at(0.5, AROUND.middle)
  return { low: Math.min(mid, at(end, AROUND.end)), mid, high: Math.max(mid, at(1 - end, AROUND.end)) }
}
