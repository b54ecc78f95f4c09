import type { Bench, BenchContext, BenchValues, Filled } from './bench'

/** A figure that moves by less than this part of itself is settled well enough: our own, about what a home titration errs. */
const WORTH_SHARE = 0.2

/** A number that was not measured, and the figure of the bench at both ends of what it may be. */
export interface Doubt<N extends string> {
  number: N
  /** It is estimated; else nothing is known of it. */
  estimated: boolean
  low: number
  high: number
}

/**
 * Which measurement would narrow a bench's figure, and from what to what it may turn out: the answer again with each number that nobody
 * measured or typed at both ends of its band, the others as they are. The widest first.
 * @param filled what the bench was filled with
 * @param typed numbers that somebody typed: those are believed
 */
export function doubtsOf<N extends string, C extends object, A>(
  bench: Bench<N, C, A>,
  values: BenchValues<N, C>,
  context: BenchContext,
  filled: Filled<N>,
  typed: ReadonlySet<string>
): Doubt<N>[] {
  const { figure, unknown } = bench
  if (!figure) return []
  const at = (number: N, value: number) => figure(bench.answer({ ...values, [number]: value }, context))
  const bands = new Map<N, readonly [number, number]>()
  for (const [number, is] of Object.entries(filled) as [N, Filled<N>[N]][])
    if (is?.origin === 'estimated' && is.half) bands.set(number, [is.value - is.half, is.value + is.half])
  for (const [number, band] of Object.entries(unknown?.(values, context) ?? {}) as [N, readonly [number, number]][]) bands.set(number, band)
  const now = figure(bench.answer(values, context))
  return [...bands]
    .flatMap(([number, [from, to]]): Doubt<N>[] => {
      if (typed.has(number)) return []
      const ends = [at(number, Math.max(0, from)), at(number, to)]
      if (now === undefined || ends[0] === undefined || ends[1] === undefined) return []
      const [low, high] = [Math.min(now, ...(ends as number[])), Math.max(now, ...(ends as number[]))]
      return high - low > WORTH_SHARE * Math.max(high, 1e-9) ? [{ number, estimated: filled[number] !== undefined, low, high }] : []
    })
    .sort((a, b) => b.high - b.low - (a.high - a.low))
}
