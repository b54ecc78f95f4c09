import type { Span } from './durations'

/** A window holds four in five: its ends lie so many standard deviations from the middle of a normal distribution. */
const Z80 = 1.2816
/** Of what is usual, as variances: a third of the spread between cellars and the rest between the lots of one. Our own: it
 * holds where cellars differ little and where they differ much (see the test). */
const BETWEEN = 0.3
const WITHIN = 0.7
/** The spread of one's own lots is believed as if so many had been seen before. Our own. */
const PRIOR_LOTS = 4
/** A lot so far from the usual says no more than one that is this far: it was stuck, or entered late. */
const FARTHEST = 2.5

/** How one cellar differs from the usual, in units of the usual spread. */
export interface Effect { middle: number, spread: number }
const NOTHING_LEARNT: Effect = { middle: 0, spread: 1 }

const sides = ([earliest, likely, latest]: Span) => ({
  middle: Math.log(likely),
  below: (Math.log(likely) - Math.log(earliest)) / Z80,
  above: (Math.log(latest) - Math.log(likely)) / Z80
})

/** Where a lot lies in a usual span, as a standard deviate of its logarithm. */
export function deviateIn(span: Span, value: number): number {
  const { middle, below, above } = sides(span)
  const off = Math.log(Math.max(value, span[0] / 100)) - middle
  return Math.min(FARTHEST, Math.max(-FARTHEST, off / (off < 0 ? below : above)))
}

/**
 * What a cellar's own lots say of the next one: a normal mean drawn to the usual while there are few, and a spread that is theirs and the
 * usual's together (random effects with a normal prior; any textbook of Bayesian statistics, from memory). With none it is the usual.
 * @param deviates of its finished lots: see `deviateIn`
 * @example learnt([1, 1, 1, 1, 1]).middle // 0.81
 */
export function learnt(deviates: readonly number[]): Effect {
  const n = deviates.length
  if (n === 0) return NOTHING_LEARNT
  const mean = deviates.reduce((sum, d) => sum + d, 0) / n
  const squares = deviates.reduce((sum, d) => sum + (d - mean) ** 2, 0)
  const within = (PRIOR_LOTS * WITHIN + squares) / (PRIOR_LOTS + n - 1)
  const drawn = (n * BETWEEN) / (n * BETWEEN + within)
  return { middle: drawn * mean, spread: Math.sqrt(within + (BETWEEN * within) / (n * BETWEEN + within)) }
}

/** A usual span as it is in this cellar. */
export function spanHere(span: Span, effect: Effect): Span {
  const { middle, below, above } = sides(span)
  const at = (deviate: number) => Math.exp(middle + deviate * (deviate < 0 ? below : above))
  return [at(effect.middle - Z80 * effect.spread), at(effect.middle), at(effect.middle + Z80 * effect.spread)]
}
