import { LimitError } from '~~/core/units'

/** A result of the core, or nothing when an input is outside the limits of the relation; any other error goes on its way. */
export function withinLimits<T>(work: () => T): T | undefined {
  try {
    return work()
  }
  catch (error) {
    if (error instanceof LimitError) return undefined
    throw error
  }
}
