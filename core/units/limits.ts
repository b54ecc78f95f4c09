/**
 * A number outside the limits a relation is valid for. Thrown by every function of the core that has limits;
 * the wording for people lives in the app.
 */
export class LimitError extends Error {
  readonly code = 'out-of-limits'
  constructor(
    /** Name of the argument, unit included: `ph`, `taGPerL`. */
    readonly argument: string,
    readonly value: number,
    readonly min: number,
    readonly max: number
  ) {
    super(`${argument} is ${value}; it must lie between ${min} and ${max}`)
    this.name = 'LimitError'
  }
}

/**
 * Passes a finite number within its limits through, throws otherwise (NaN and infinities too).
 * @param argument name of the argument, with its unit
 * @param value the number
 * @param min smallest value allowed, inclusive
 * @param max largest value allowed, inclusive
 * @returns the same number
 * @throws LimitError
 * @example within('ph', 3.4, 2.5, 4.5) // 3.4
 */
export function within(argument: string, value: number, min: number, max: number): number {
  if (!Number.isFinite(value) || value < min || value > max) throw new LimitError(argument, value, min, max)
  return value
}

/** A result, or nothing when an input is outside the limits of its relation; any other error goes on its way. */
export function withinLimits<T>(work: () => T): T | undefined {
  try {
    return work()
  }
  catch (error) {
    if (error instanceof LimitError) return undefined
    throw error
  }
}

/** Closes a switch over a union: the compiler complains when a case is missing. */
export function assertNever(value: never): never {
  throw new TypeError(`unexpected ${JSON.stringify(value)}`)
}
