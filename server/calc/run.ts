import { ADVICE_BODY, advice } from '../advice/advice'
import { calculation, runCalculation } from './calculation'
import { CALCULATIONS } from '.'

/** Beside the calculations: a whole cellar, which has a door and a size of its own. */
const ADVICE = calculation('advice', 'What Presk says of a cellar at an instant.', ADVICE_BODY, advice)

/** Whatever the pool is asked for, by name. */
export const runByName = (name: string, body: unknown): ReturnType<typeof runCalculation> =>
  runCalculation(name === ADVICE.name ? ADVICE : CALCULATIONS.get(name)!, body)
