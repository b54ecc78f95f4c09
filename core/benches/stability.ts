import { fact } from '../drafts'
import { type Fallen, PROTOCOL, PROTOCOLS, type Protocol, type StabilityTest, fallenByNtu, testVerdict } from '../finishing'
import type { LotView } from '../ledger'
import { type TestUnderWay, testUnderWay } from '../stages'
import { withinLimits } from '../units'
import type { Bench, BenchContext } from './bench'

export type StabilityNumber = 'before' | 'after'
export interface StabilityChoices {
  protocol: Protocol
  /** What is seen beside a glass that was left alone; nothing while nobody looked. */
  fallen: Fallen | ''
  /** When it was begun, ISO, if that was not just now. */
  beganAt: string
}
export interface StabilityAnswer {
  test: StabilityTest
  /** Rules of this test. */
  rules: Protocol[]
  /** The one that it is done by. */
  protocol: Protocol
  running?: TestUnderWay | undefined
  /** By the meter where both glasses were read, else by eye. */
  byNtu?: Fallen | undefined
  seen?: Fallen | undefined
  verdict?: ReturnType<typeof testVerdict> | undefined
  last?: LotView['heatTest'] | undefined
}
const testOf = ({ cameFor }: BenchContext): StabilityTest => (cameFor === 'cold' ? 'cold-test' : 'heat-test')
const rulesOf = (test: StabilityTest): Protocol[] => PROTOCOLS.filter((p) => PROTOCOL[p].of === test)

/** A heat or a cold test of a lot: by which rule, its clock while it runs, and what fell when it is read. */
export const stability: Bench<StabilityNumber, StabilityChoices, StabilityAnswer> = {
  choices: (context) => ({ protocol: rulesOf(testOf(context))[0]!, fallen: '', beganAt: '' }),
  fill: () => ({}),
  answer({ before, after, protocol, fallen }, context) {
    const { lot, now } = context
    const test = testOf(context)
    const rules = rulesOf(test)
    const running = lot && testUnderWay(lot, test, now)
    const by = running?.protocol ?? (rules.includes(protocol) ? protocol : rules[0]!)
    const byNtu = test === 'heat-test' && before !== undefined && after !== undefined
      ? withinLimits(() => fallenByNtu(before, after))
      : undefined
    const seen = byNtu ?? (fallen || undefined)
    return {
      test,
      rules,
      protocol: by,
      running,
      byNtu,
      seen,
      verdict: seen && testVerdict(by, seen),
      last: test === 'heat-test' ? lot?.heatTest : lot?.coldTest
    }
  },
  /** Begun, or read where it is under way. */
  drafts({ beganAt }, { test, protocol, running, verdict }, { lot, note }) {
    const begun = { lotId: lot.id, what: test, protocol, ...(beganAt && { at: beganAt }) }
    if (!running) return [fact('operation', begun)]
    return verdict ? [fact('observation', { lotId: lot.id, what: test, stable: verdict.stable, text: note })] : { refused: 'not-seen' }
  }
}
