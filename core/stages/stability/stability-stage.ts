import { PROTOCOL, type Protocol, type ProtocolStep, type StabilityTest, protocolHours, stepAt } from '../../finishing'
import type { Action, Finding } from '../../findings'
import { type LotView, isHeld } from '../../ledger'
import { type Stage, hoursSince, later } from '../stage'

export type StabilitySays =
  /** A sample stands in its bath or its cold. */
  | { code: 'test-runs', protocol: Protocol, step: ProtocolStep['code'], celsius: number, moved: boolean }
  /** Its time is over: look at it. */
  | { code: 'read-test', protocol: Protocol }

const TESTS = ['heat-test', 'cold-test'] as const satisfies readonly StabilityTest[]
/** When a step begins, the sample is moved: for so long that is what is to be done, h. Ours. */
const MOVING_H = 0.5
/** A test that nobody read is forgotten after so long, h: what fell may have gone into solution again. Ours. */
const FORGOTTEN_H = 14 * 24

export interface TestUnderWay {
  test: StabilityTest
  protocol: Protocol
  begunAt: string
  step?: ProtocolStep
  index: number
  inH: number
  leftH: number
  readAt: string
}

/** A heat or a cold test that was begun and not read yet. */
export function testUnderWay(lot: LotView, test: StabilityTest, now: string): TestUnderWay | undefined {
  const begun = lot.worked.get(test)
  const read = test === 'heat-test' ? lot.heatTest : lot.coldTest
  if (!begun?.protocol || PROTOCOL[begun.protocol].of !== test || (read && read.at >= begun.at)) return undefined
  const hours = Math.max(0, hoursSince(begun.at, now))
  const { protocol } = begun
  const all = protocolHours(protocol)
  return hours > all + FORGOTTEN_H
    ? undefined
    : { test, protocol, begunAt: begun.at, readAt: later(begun.at, all), ...stepAt(protocol, hours) }
}

/** Samples that stand in a bath or in the cold: when they are moved, and when they are read. */
export const stabilityStage: Stage<StabilitySays> = {
  code: 'stability',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && TESTS.some((test) => lot.worked.has(test)),
  tasks: (lot, _cellar, now): Finding<StabilitySays>[] =>
    TESTS.flatMap((test): Finding<StabilitySays>[] => {
      const running = testUnderWay(lot, test, now)
      if (!running) return []
      const { protocol, step, index, inH, leftH, readAt } = running
      const action: Action = { to: 'stability', lotId: lot.id, ...(test === 'cold-test' && { cold: true }) }
      const about = { task: true, lotId: lot.id, evidence: [], minutes: 5, action }
      const key = `test:${test}`
      if (!step) return [{ code: 'read-test', key, protocol, urgency: 'now', window: { due: readAt }, ...about }]
      const moved = index > 0 && inH < MOVING_H
      const due = moved ? later(now, -inH) : later(now, leftH)
      const { code, celsius } = step
      return [
        { code: 'test-runs', key, protocol, step: code, celsius, moved, urgency: moved ? 'now' : 'wait', window: { due }, ...about }
      ]
    }),
  findings: () => []
}
