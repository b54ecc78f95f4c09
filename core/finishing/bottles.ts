import { LimitError, within } from '../units'

export interface BottleSize {
  ml: number
  /** How many are in store; as many as are wanted when left out. */
  available?: number
}
export interface BottleMix {
  /** In the order that was asked, those of which none is filled left out. */
  bottles: { ml: number, count: number }[]
  leftMl: number
}

/** Largest volume that is laid out exactly, mL: beyond it the largest bottles are filled first. */
const EXACT_ML = 400_000
const MOST_SIZES = 12

/**
 * Bottles for a volume: least left over, then fewest bottles.
 * @param volumeL 0 to 100 000 L
 * @param sizes mL, each once
 * @param lossL what hoses, filter and lees keep
 * @throws LimitError
 * @example bottleMix(5, [{ ml: 750 }, { ml: 375 }]) // 6 × 750, 1 × 375, 125 mL left
 */
export function bottleMix(volumeL: number, sizes: readonly BottleSize[], lossL = 0): BottleMix {
  within('volumeL', volumeL, 0, 100_000)
  within('lossL', lossL, 0, volumeL)
  within('sizes', sizes.length, 1, MOST_SIZES)
  for (const { ml, available } of sizes) {
    if (!Number.isInteger(within('ml', ml, 10, 60_000))) throw new LimitError('ml', ml, 10, 60_000)
    if (available !== undefined) within('available', available, 0, 1_000_000)
  }
  const different = new Set(sizes.map((s) => s.ml)).size
  if (different < sizes.length) throw new LimitError('sizes', sizes.length, 1, different)
  const all = Math.floor((volumeL - lossL) * 1000 + 1e-6)
  const left = sizes.map((s) => Math.floor(s.available ?? Infinity))
  const counts = sizes.map(() => 0)
  // What is far beyond a day's exact laying out is filled into the largest first.
  let rest = all
  for (const i of bySize(sizes)) {
    const over = rest - EXACT_ML
    if (over <= 0) break
    const n = Math.min(left[i]!, Math.ceil(over / sizes[i]!.ml))
    counts[i]! += n
    left[i]! -= n
    rest -= n * sizes[i]!.ml
  }
  const exact = fewest(Math.min(rest, EXACT_ML + 60_000), sizes, left)
  exact.forEach((n, i) => (counts[i]! += n))
  const filled = counts.reduce((sum, n, i) => sum + n * sizes[i]!.ml, 0)
  return { bottles: sizes.map((s, i) => ({ ml: s.ml, count: counts[i]! })).filter((b) => b.count > 0), leftMl: all - filled }
}

const bySize = (sizes: readonly BottleSize[]): number[] => sizes.map((_, i) => i).sort((a, b) => sizes[b]!.ml - sizes[a]!.ml)
const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))

/** Fewest bottles that fill the most of it: each volume by the fewest bottles that make it, one size after the other. */
function fewest(ml: number, sizes: readonly BottleSize[], available: readonly number[]): number[] {
  const step = sizes.map((s) => s.ml).reduce(gcd)
  const places = Math.floor(ml / step)
  let best = new Int32Array(places + 1).fill(-1)
  best[0] = 0
  const taken: Int32Array[] = []
  sizes.forEach((size, s) => {
    const w = size.ml / step
    const most = Math.min(available[s]!, Math.floor(places / w))
    const next = new Int32Array(places + 1).fill(-1)
    const took = new Int32Array(places + 1)
    // Along each remainder the best of the last `most` places is kept in a window.
    for (let r = 0; r < Math.min(w, places + 1); r++) {
      const window: number[] = []
      for (let q = 0, at = r; at <= places; q++, at += w) {
        if (best[at]! >= 0) {
          while (window.length > 0 && cost(best, window.at(-1)!, r, w) >= best[at]! - q) window.pop()
          window.push(q)
        }
        while (window.length > 0 && window[0]! < q - most) window.shift()
        const from = window[0]
        if (from === undefined) continue
        next[at] = best[r + from * w]! + (q - from)
        took[at] = q - from
      }
    }
    best = next
    taken.push(took)
  })
  let at = places
  while (best[at]! < 0) at--
  const counts = sizes.map(() => 0)
  for (let s = sizes.length - 1; s >= 0; s--) {
    counts[s] = taken[s]![at]!
    at -= (counts[s]! * sizes[s]!.ml) / step
  }
  return counts
}

/** What a place in the window would cost, counted from the beginning of its row. */
const cost = (best: Int32Array, q: number, r: number, w: number): number => best[r + q * w]! - q
