import { within } from '../units'

/** How heat and cold tests are run; each step with its warmth and its hours. */
export const PROTOCOLS = ['heat-2h', 'heat-6h', 'cold-3d', 'cold-frozen'] as const
export type Protocol = (typeof PROTOCOLS)[number]
export type StabilityTest = 'heat-test' | 'cold-test'
export interface ProtocolStep {
  code: 'bath' | 'cool' | 'fridge' | 'cold' | 'freezer' | 'thaw'
  celsius: number
  hours: number
}

/**
 * Two hours at 80 °C and three of cooling: Pocock and Waters, Australian Journal of Grape and Wine Research 12 (2006); six hours and a
 * night in the refrigerator: Pocock and Rankine, Australian Wine, Brewing and Spirit Review 91 (1973), the stricter. Three days at
 * −4 °C: the usual test of handbooks. All from memory. A night in the freezer: common practice, the stricter.
 */
export const PROTOCOL: Readonly<Record<Protocol, { of: StabilityTest, strict: boolean, steps: readonly ProtocolStep[] }>> = {
  'heat-2h': {
    of: 'heat-test',
    strict: false,
    steps: [
      { code: 'bath', celsius: 80, hours: 2 },
      { code: 'cool', celsius: 20, hours: 3 }
    ]
  },
  'heat-6h': {
    of: 'heat-test',
    strict: true,
    steps: [
      { code: 'bath', celsius: 80, hours: 6 },
      { code: 'fridge', celsius: 4, hours: 16 }
    ]
  },
  'cold-3d': { of: 'cold-test', strict: false, steps: [{ code: 'cold', celsius: -4, hours: 72 }] },
  'cold-frozen': {
    of: 'cold-test',
    strict: true,
    steps: [
      { code: 'freezer', celsius: -18, hours: 12 },
      { code: 'thaw', celsius: 20, hours: 6 }
    ]
  }
}

export const protocolHours = (protocol: Protocol): number => PROTOCOL[protocol].steps.reduce((sum, s) => sum + s.hours, 0)

/**
 * Where a test stands so many hours after it was begun.
 * @param hours 0 or more
 * @returns the step it is in, since how many hours and for how many more; no step when it is to be read
 * @throws LimitError
 * @example stepAt('heat-2h', 2.5) // cooling, for 0.5 h; 2.5 h are left
 */
export function stepAt(protocol: Protocol, hours: number): { step?: ProtocolStep, index: number, inH: number, leftH: number } {
  let inH = within('hours', hours, 0, 1e7)
  const { steps } = PROTOCOL[protocol]
  for (const [index, step] of steps.entries()) {
    if (inH < step.hours) return { step, index, inH, leftH: step.hours - inH }
    inH -= step.hours
  }
  return { index: steps.length, inH, leftH: 0 }
}

/** What fell out in a test, beside a glass that was left alone. */
export const FALLEN = ['none', 'little', 'much'] as const
export type Fallen = (typeof FALLEN)[number]

/** A rise of turbidity over the glass that was left alone up to which a wine counts as stable, NTU: usual in the trade, from memory. */
export const STABLE_NTU = 2
/** Beyond this anybody sees it, NTU; ours. */
const SEEN_NTU = 10

/**
 * A heat test by a turbidity meter.
 * @param before, after NTU, 0 to 4000: of the glass that was left alone, and of the heated one
 * @throws LimitError
 */
export function fallenByNtu(before: number, after: number): Fallen {
  const rise = within('after', after, 0, 4000) - within('before', before, 0, 4000)
  return rise <= STABLE_NTU ? 'none' : rise <= SEEN_NTU ? 'little' : 'much'
}

/** What follows from a test. `fine-least`: a trial from the smallest rates; `accept`: nothing has to be done. */
export type TestAdvice = 'leave' | 'fine-least' | 'fine' | 'cold-or-accept'

/** Whether a wine is stable by a test, and what follows. The stricter rule finds more than ever shows in a bottle. */
export function testVerdict(protocol: Protocol, fallen: Fallen): { stable: boolean, advice: TestAdvice } {
  if (fallen === 'none') return { stable: true, advice: 'leave' }
  const { of } = PROTOCOL[protocol]
  return { stable: false, advice: of === 'cold-test' ? 'cold-or-accept' : fallen === 'little' ? 'fine-least' : 'fine' }
}
