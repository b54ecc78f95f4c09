/**
 * A small source of chance that is the same every time (mulberry32), uniform in (0, 1).
 * @param seed any whole number
 */
export function seeded(seed: number): () => number {
  let state = seed | 0
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return (((t ^ (t >>> 14)) >>> 0) + 0.5) / 4294967296
  }
}

/** Standard normal numbers from a uniform source (Box and Muller). */
export const normalFrom = (uniform: () => number) => (): number =>
  Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())

/**
 * Standard normal draws in pairs of opposite sign, always the same, each dimension brought to unit variance: so few draws miss it by a
 * few per cent, and every band would be off by as much.
 * @param count even number of draws
 */
export function fixedDraws(count: number, dimensions: number, seed = 0x9e3779b9): Float64Array[] {
  const normal = normalFrom(seeded(seed))
  const draws: Float64Array[] = []
  for (let i = 0; i < count / 2; i++) {
    const z = Float64Array.from({ length: dimensions }, normal)
    draws.push(
      z,
      z.map((x) => -x)
    )
  }
  for (let d = 0; d < dimensions; d++) {
    const sd = Math.sqrt(draws.reduce((sum, z) => sum + z[d]! ** 2, 0) / draws.length)
    for (const z of draws) z[d]! /= sd
  }
  return draws
}
