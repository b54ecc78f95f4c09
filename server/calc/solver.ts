import highs from 'highs'
import type { Solver } from '../../core/racking'

const { solve } = await highs()

/** HiGHS, as the core asks for it: a programme in the LP format, solved within a time. */
export const solver: Solver = (lp, options) => solve(lp, options) as unknown as ReturnType<Solver>
export const clock = (): number => performance.now() / 1000
