import { runCalculation } from './calculation'
import { CALCULATIONS } from '.'

/** What the pool hands to a worker: a calculation by name and its body as it came. */
export default function calc({ name, body }: { name: string, body: unknown }): ReturnType<typeof runCalculation> {
  return runCalculation(CALCULATIONS.get(name)!, body)
}
