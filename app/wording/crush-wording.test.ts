import { describe, expect, it } from 'vitest'
import type { CrushStep, HarvestReason } from '~~/core/stages'
import { MUST_WINDOWS, type Reason } from '~~/core/must'
import type { Crossing } from '~~/core/harvest'
import type { InstrumentState } from '~~/core/ledger'
import { sayWhere } from './acid-map'
import { sayAdvice, sayFinderReason, sayWhy } from './verdict'
import { hoursWords, sayEnzymeFinding, sayStatus, sayStep } from './crush'
import { sayCrossing, sayReason } from './harvest'
import { sayInstrumentDoubt } from './instruments'
import { saySupplyFinding } from './supplies'

describe('the words of crush day', () => {
  it.each([
    [0.2, '12 min'],
    [0.001, '1 min'],
    [4, '4 h'],
    [5.04, '5 h'],
    [5.6, '5.6 h'],
    [20.7, '21 h']
  ] as const)('%d hours are %s', (hours, words) => {
    expect(hoursWords(hours)).toBe(words)
  })
  const status = (step: Partial<CrushStep>) =>
    sayStatus(
      { code: 'settle', status: 'later', ...step },
      (at) => `at ${at}`,
      () => 3
    )
  it.each([
    [{ status: 'done', at: 'noon' }, 'at noon'],
    [{ status: 'done', at: 'noon', over: true, closesAt: 'dusk' }, 'ended at dusk'],
    [{ status: 'left-out' }, 'skipped'],
    [{ status: 'now' }, 'now'],
    [{ status: 'running', opensAt: 'x' }, '3 h to go'],
    [{ status: 'waiting', opensAt: 'x' }, 'in 3 h'],
    [{ status: 'optional' }, 'optional'],
    [{ status: 'later' }, '']
  ] as const)('a step %j says “%s”', (step, words) => {
    expect(status(step)).toBe(words)
  })
  it('correcting has a title for each of its phases', () => {
    expect(['plan', 'measure-again', 'finish'].map((phase) => sayStep({ code: 'correct', phase: phase as 'plan' }).title)).toEqual([
      'Correct the must',
      'Measure again',
      'Finish the correction'
    ])
  })
  it.each([
    [{ code: 'sulphite-too-near', hoursLeft: 4 }, 'Wait 4 h more'],
    [{ code: 'bentonite-removes-it' }, 'Rack first'],
    [{ code: 'too-cold', mustC: 6, worksC: 10 }, 'At 6 °C it hardly works; above 10 °C'],
    [{ code: 'alcohol-forms' }, 'Add it before the yeast']
  ] as const)('enzyme: %j', (finding, words) => {
    expect(sayEnzymeFinding(finding)).toContain(words)
  })
})

describe('the map in words', () => {
  const window = { style: 'red' as const, ph: MUST_WINDOWS.red.ph, ta: MUST_WINDOWS.red.ta }
  it.each([
    [3.45, 6.8, false, 'It is where a red usually is.'],
    [3.604, 6.8, false, 'where a red usually is'],
    [3.8, 5.5, false, 'For a red its pH is high, and its acid low.'],
    [3.1, 9, false, 'For a red its pH is low, and its acid high.'],
    [3.45, 9, false, 'its acid tastes hard'],
    [3.45, 5, false, 'its acid is low'],
    [3.45, 6.8, true, 'It would be where a red usually is.'],
    [3.8, 5, true, 'For a red its pH would still be high, its acid still low.']
  ] as const)('pH %d, TA %d', (ph, ta, moved, words) => {
    expect(sayWhere(ph, ta, window, moved)).toContain(words)
  })
})

describe('the finder in words', () => {
  const both = { malolactic: true, cold: true }
  const none = { malolactic: false, cold: false }
  it.each<[Reason, typeof both, string]>([
    [{ code: 'in-windows' }, both, 'now and after malolactic and cold. Taste it.'],
    [{ code: 'in-windows' }, none, 'are in range. Taste it.'],
    [
      { code: 'brings-in', quantity: 'ph', side: 'high', now: 3.71, end: 3.85, edge: 3.6 },
      both,
      'The pH is 3.71 and would end at 3.85 after malolactic and cold, over 3.6.'
    ],
    [{ code: 'brings-in', quantity: 'brix', side: 'high', now: 26.2, end: 26.2, edge: 25 }, both, 'Sugar is 26.2 °Brix, over 25.'],
    [{ code: 'brings-in', quantity: 'ta', side: 'low', now: 5.2, end: 5.2, edge: 6 }, none, 'TA is 5.2 g/L, under 6.'],
    [
      { code: 'course-mends', quantity: 'ta', side: 'high', now: 9.5, end: 6.1, edge: 7.5 },
      { malolactic: true, cold: false },
      'malolactic will bring it to 6.1 g/L by itself'
    ],
    [
      { code: 'too-near-to-tell', quantity: 'ph', side: 'high', now: 3.5, end: 3.66, edge: 3.6 },
      both,
      'should be about 3.66; the limit is 3.6'
    ],
    [
      { code: 'too-near-to-tell', quantity: 'brix', side: 'low', now: 21.9, end: 21.9, edge: 22 },
      both,
      'too close to 22 to tell'
    ],
    [{ code: 'usual-fall', quantity: 'ta', now: 6.5, end: 4.9, edge: 6 }, both, 'That is usual. Taste it then.'],
    [{ code: 'would-harm', quantity: 'ta', other: 'ph' }, none, 'would push the pH out'],
    [{ code: 'low-ph-low-ta' }, none, 'or blend'],
    [{ code: 'high-ph-high-ta' }, both, 'from potassium'],
    [{ code: 'nothing-at-hand', quantity: 'ph', side: 'high' }, none, 'Nothing that is ticked lowers the pH.']
  ])('%j', (reason, planned, words) => expect(sayFinderReason(reason, planned)).toContain(words))
  it('an addition is given the reasons that it answers, and the whole a line', () => {
    const reasons: Reason[] = [
      { code: 'brings-in', quantity: 'brix', side: 'high', now: 26.2, end: 26.2, edge: 25 },
      { code: 'brings-in', quantity: 'ph', side: 'high', now: 3.8, end: 3.8, edge: 3.6 }
    ]
    expect(sayWhy('water', reasons, none)).toBe('Sugar is 26.2 °Brix, over 25.')
    expect(sayWhy('tartaric', reasons, none)).toBe('The pH is 3.80, over 3.6.')
    expect(sayAdvice({ verdict: 'leave', additions: [], reasons: [{ code: 'in-windows' }] }, none)).toBe(
      'No correction needed. Sugar, pH and TA are in range. Taste it.'
    )
  })
})

describe('the words of the harvest', () => {
  it.each([
    [{ leans: 'wait', code: 'sugar-low', value: 20.9, target: 22, day: 4.2 }, '22 is wanted, in 4 days by the line'],
    [{ leans: 'wait', code: 'sugar-low', value: 20.9, target: 22 }, 'does not reach it in three weeks'],
    [{ leans: 'pick', code: 'sugar-high', value: 26, limit: 25 }, 'over 25'],
    [{ leans: 'pick', code: 'ph-over', value: 3.85, limit: 3.8 }, 'past 3.8'],
    [{ leans: 'pick', code: 'ph-soon', value: 3.74, limit: 3.8, day: 1.2 }, 'passes 3.8 in a day'],
    [{ leans: 'wait', code: 'ta-high', value: 9.1, target: 7.5 }, '7.5 or less is wanted'],
    [{ leans: 'pick', code: 'ta-low', value: 5.2, limit: 6 }, 'under 6'],
    [{ leans: 'wait', code: 'no-vessel', neededL: 67.2, largestFreeL: 23 }, '68 L are needed'],
    [{ leans: 'neither', code: 'sample-again', count: 0 }, '40 to 50 berries'],
    [{ leans: 'neither', code: 'sample-again', count: 1, daysSince: 0 }, 'One sample shows no trend'],
    [{ leans: 'neither', code: 'sample-again', count: 5, daysSince: 9 }, '9 days old'],
    [{ leans: 'pick', code: 'noted', id: 'n', about: 'pests', text: 'Wasps', at: 'x' }, 'Pests and rot: Wasps']
  ] as [HarvestReason, string][])('%j', (reason, words) => {
    expect(sayReason(reason, (l) => `${l} L`)).toContain(words)
  })
  const on = (days: number) => `day ${days}`
  it.each([
    [
      { quantity: 'brix', kind: 'target', level: 22, day: 4, earliest: 1, latest: 8 },
      'Sugar 22 °Brix reached',
      'day 4 (day 1 to day 8)'
    ],
    [{ quantity: 'ph', kind: 'limit', level: 3.8, day: 0 }, 'pH 3.80 passed', 'already'],
    [{ quantity: 'ta', kind: 'target', level: 7.5, day: 0.3, earliest: 0 }, 'TA 7.5 g/L reached', 'today'],
    [{ quantity: 'ta', kind: 'limit', level: 6, day: 5, earliest: 0 }, 'TA 6.0 g/L passed', 'day 5 (now to later than three weeks)'],
    [{ quantity: 'brix', kind: 'limit', level: 25 }, 'Sugar 25 °Brix passed', 'not within three weeks'],
    [
      { quantity: 'brix', kind: 'limit', level: 25, earliest: 15 },
      'Sugar 25 °Brix passed',
      'not within three weeks on the line, day 15 at the earliest'
    ]
  ] as [Crossing, string, string][])('%j', (crossing, what, when) => {
    expect(sayCrossing(crossing, on)).toEqual({ what, when })
  })
})

describe('supplies and instruments in doubt', () => {
  it.each([
    [{ code: 'expired', packageId: 'p', expires: '2026-10-03', left: 25 }, '25 g are past their use-by date (3 Oct 2026)'],
    [{ code: 'opened-long-ago', packageId: 'p', opened: '2025-01-04', days: 650 }, 'open since 4 Jan 2025'],
    [{ code: 'weak-sulphite', packageId: 'p', potency: 0.614 }, 'only 61 % of its strength'],
    [{ code: 'unaccounted', amount: 12 }, '12 g more went into lots']
  ] as const)('%j', (finding, words) => {
    expect(saySupplyFinding(finding, (g) => `${g} g`)).toContain(words)
  })
  const check = (daysAgo: number, offset: number, adjusted: boolean) =>
    ({
      type: 'instrument-checked',
      id: 'c',
      device: 'd',
      written: '',
      instrumentId: 'i',
      at: new Date(Date.UTC(2026, 9, 10) - daysAgo * 86_400_000).toISOString(),
      offset,
      adjusted
    }) as InstrumentState['checks'][number]
  const instrument = (kind: InstrumentState['kind'], ...checks: InstrumentState['checks']): InstrumentState => ({
    id: 'i',
    name: 'It',
    kind,
    checks
  })
  it.each([
    ['a pH meter never checked', instrument('ph-meter'), 'has never been checked'],
    ['one checked yesterday', instrument('ph-meter', check(1, 0, true)), undefined],
    ['one checked a week ago', instrument('ph-meter', check(7, 0, true)), 'checked 7 days ago'],
    ['one known to be off', instrument('refractometer', check(1, 0.4, false)), 'has a known error (shows 0.4 too much)'],
    ['a hydrometer never checked', instrument('hydrometer'), undefined],
    ['a scale', instrument('scale'), undefined]
  ] as const)('%s', (_name, it, words) => {
    const said = sayInstrumentDoubt(it, '2026-10-10T00:00:00.000Z')
    if (words === undefined) expect(said).toBeUndefined()
    else expect(said).toContain(words)
  })
})
