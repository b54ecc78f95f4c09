import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plausibleCellar } from '../../tests/cellars/plausible'
import { foldCellar, lotAt } from '../ledger'
import { duringAbsence } from './away'
import { WAY_STEPS, sittingsOf, wayOf } from '.'

const later = (at: string, days: number) => new Date(Date.parse(at) + days * 86_400_000).toISOString()

describe('the way of a lot', () => {
  it('over plausible cellars: windows run forward, what is to come is not past, each step once and in order', () => {
    fc.assert(
      fc.property(plausibleCellar, fc.constantFrom(0, 1, 30, 400), (entries, days) => {
        const now = later(entries.map((e) => e.at).sort().at(-1)!, days)
        for (const state of foldCellar(entries).lots.values()) {
          const way = wayOf(lotAt(state, now), now)
          const places = way.map((s) => WAY_STEPS.indexOf(s.code))
          expect(places).toEqual([...new Set(places)].sort((a, b) => a - b))
          for (const { doneAt, earliest, likely, latest } of way) {
            expect([earliest, likely, latest].sort()).toEqual([earliest, likely, latest])
            if (!doneAt) expect(earliest >= now).toBe(true)
          }
        }
      }),
      { numRuns: 120 }
    )
  })
})

describe('going away', () => {
  const [now, from, to] = ['2026-10-01T08:00:00.000Z', '2026-10-03T08:00:00.000Z', '2026-10-13T08:00:00.000Z']
  it.each([
    ['what harms now', { urgency: 'now' }, 'before'],
    ['due before one leaves', { urgency: 'soon', window: { due: later(now, 1) } }, 'before'],
    ['open before, late while away', { urgency: 'wait', window: { from: later(now, 1), due: later(now, 5), late: later(now, 8) } },
      'before'],
    ['opens and is late while away', { urgency: 'wait', window: { from: later(now, 4), due: later(now, 5), late: later(now, 8) } },
      'at-risk'],
    ['opens while away, and is late only after',
      { urgency: 'wait', window: { from: later(now, 4), due: later(now, 8), late: later(now, 20) } }, 'waits'],
    ['due, and in no hurry', { urgency: 'soon', window: { from: now, due: later(now, 1), late: later(now, 40) } }, 'waits'],
    ['far off', { urgency: 'wait', window: { due: later(now, 60) } }, 'waits']
  ] as const)('%s: %s', (_name, task, wanted) => expect(duringAbsence(task, from, to)).toBe(wanted))
})

describe('sittings', () => {
  it('gather what is done in one go, and take less than one by one', () => {
    const read = (lotId: string) => ({ lotId, minutes: 15, action: { to: 'measure', lotId } as const })
    const dose = (lotId: string) => ({ lotId, minutes: 15, action: { to: 'sulphite', lotId } as const })
    const sittings = sittingsOf([read('a'), dose('a'), read('b'), read('c')])
    expect(sittings.map((s) => [s.code, s.lotIds, s.tasks.length])).toEqual([['readings', ['a', 'b', 'c'], 3], ['sulphite', ['a'], 1]])
    expect(sittings[0]!.minutes).toBeLessThan(45)
  })
})
