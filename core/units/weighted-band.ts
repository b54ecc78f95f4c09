/** The middle and the ends of an 80 % interval. */
export interface Band80 {
  low: number
  mid: number
  high: number
}

/**
 * The 80 % interval of samples that weigh differently, read between them, so that a small change in what goes in makes a small one here.
 * @param samples value and weight; not empty
 * @example weightedBand([[1, 1], [2, 1], [3, 1]]).mid // 2
 */
export function weightedBand(samples: readonly (readonly [value: number, weight: number])[]): Band80 {
  const sorted = [...samples].sort((a, b) => a[0] - b[0])
  const total = sorted.reduce((sum, [, w]) => sum + w, 0)
  const at = (share: number) => {
    let sum = 0
    for (let i = 0; i < sorted.length; i++) {
      const [value, weight] = sorted[i]!
      const next = sum + weight
      if (next >= share * total) {
        // Between the middles of two neighbours.
        const [before, w] = sorted[i - 1] ?? [value, weight]
        const [from, to] = [sum - w / 2, sum + weight / 2]
        const t = to > from ? Math.min(1, Math.max(0, (share * total - from) / (to - from))) : 1
        return before + (value - before) * t
      }
      sum = next
    }
    return sorted.at(-1)?.[0] ?? 0
  }
  return { low: at(0.1), mid: at(0.5), high: at(0.9) }
}
