/** Up without sugar, or so far from what is expected, is asked about once, SG. Ours: three and six marks of a home hydrometer. */
const ODD = { up: 0.003, off: 0.006 } as const

/**
 * Whether a gravity of a ferment is asked about before it is believed: two digits are easily swapped.
 * @param sg as it was read, corrected
 * @param last gravity before it
 * @param expected the band that it was foretold to lie in
 */
export function oddGravity(
  sg: number, last: number | undefined, expected?: { low: number, high: number }
): 'rose' | 'unexpected' | undefined {
  if (last !== undefined && sg > last + ODD.up) return 'rose'
  return expected && (sg < expected.low - ODD.off || sg > expected.high + ODD.off) ? 'unexpected' : undefined
}
