import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plausibleCellar } from '../../tests/cellars/plausible'
import { WAY_STEPS, type WayStepCode, foldCellar, lotAt } from '../ledger'
import { duringAbsence } from './away'
import { endangers, sittingsOf, wayOf, weeksOf } from '.'

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

describe('a step that is put on a day', () => {
  const grown = fc.record({ entries: plausibleCellar, ahead: fc.integer({ min: 1, max: 500 }), pick: fc.nat(50) })
  it('comes on that day, those after it never before it, and back it comes as if nothing had been said', () => {
    let moved = 0
    fc.assert(
      fc.property(grown, ({ entries, ahead, pick }) => {
        const now = later(entries.map((e) => e.at).sort().at(-1)!, 1)
        for (const state of foldCellar(entries).lots.values()) {
          const before = wayOf(lotAt(state, now), now)
          const open = before.filter((s) => !s.doneAt)
          const step = open[pick % Math.max(1, open.length)]
          if (!step) continue
          moved++
          const noon = `${later(now, ahead).slice(0, 11)}12:00:00.000Z`
          const put = (day: string | undefined) => wayOf(lotAt({ ...state, movedSteps: { [step.code]: day } }, now), now)
          const way = put(noon.slice(0, 10))
          const there = way.find((s) => s.code === step.code)!
          expect([there.earliest, there.likely, there.moved?.earliest, there.moved?.latest]).toEqual(
            [noon, noon, expect.any(String), expect.any(String)])
          for (const s of way) expect([s.earliest, s.likely, s.latest].sort()).toEqual([s.earliest, s.likely, s.latest])
          expect(put(undefined)).toEqual(before)
          // A day that has passed says nothing any more.
          expect(put('2001-01-01')).toEqual(before)
        }
      }),
      { numRuns: 60 }
    )
    expect(moved).toBeGreaterThan(30)
  })
  const step = (code: 'pressed' | 'bottled', moved = {}) =>
    ({
      code, earliest: '2026-10-10T15:00:00.000Z', likely: '2026-10-12T15:00:00.000Z', latest: '2026-10-20T15:00:00.000Z', open: [], ...moved
    })
  it.each([
    ['2026-10-09', 'pressed', 'too-early'], ['2026-10-10', 'pressed', undefined], ['2026-10-20', 'pressed', undefined],
    ['2026-10-22', 'pressed', 'too-late'], ['2027-06-01', 'bottled', undefined]
  ] as const)('%s for %s: %s', (day, code, wanted) => expect(endangers(step(code), day)).toBe(wanted))
  it('is judged by when it would come by itself, not by where it was put', () => {
    const put = { moved: { day: '2026-11-30', earliest: '2026-10-10T15:00:00.000Z', latest: '2026-10-20T15:00:00.000Z' } }
    expect(endangers({ ...step('pressed', put), earliest: '2026-11-30T12:00:00.000Z' }, '2026-10-15')).toBeUndefined()
  })
})

describe('the weeks ahead', () => {
  const from = '2026-11-30T00:00:00.000Z'
  const way = (id: string, litres: number, jobs: [WayStepCode, number][]) => ({
    lot: { id, volume: { value: litres } } as never,
    steps: jobs.map(([code, days]) => {
      const at = later(from, days)
      return { code, earliest: at, likely: at, latest: at, open: [] }
    })
  })
  const vessel = (id: string, capacityL: number, lotId?: string) => ({ id, kind: 'demijohn' as const, capacityL, ...(lotId && { lotId }) })
  it('hold each job once with its minutes, and what comes by itself wants none', () => {
    const weeks = weeksOf({ ways: [way('a', 20, [['clear', 1], ['bottled', 8]])], vessels: [], from, weeks: 3 })
    expect(weeks.map((w) => w.jobs.map((j) => j.code))).toEqual([[], ['bottled'], []])
    // An hour, and 27 bottles at two minutes.
    expect(weeks[1]!.minutes).toBe(115)
  })
  it('two heavy jobs on one day are told, on two days not', () => {
    const crowded = (b: number) => weeksOf({
      ways: [way('a', 20, [['bottled', 2.4]]), way('b', 20, [['off-lees', b]])], vessels: [vessel('v', 30)], from, weeks: 1
    })[0]!.crowded.map((j) => j.lotId)
    expect(crowded(2.6)).toEqual(['a', 'b'])
    expect(crowded(3.6)).toEqual([])
  })
  it.each([
    ['each has a vessel', [20, 10], [25, 10], []],
    ['what the first leaves is free for the second', [20, 10], [25], []],
    ['one spreads over two', [30], [20, 10], []],
    ['some of it does not go in', [30], [20], [['a', 10]]],
    ['a full one is none', [20], [], [['a', 20]]]
  ] as const)('%s', (_name, litres, capacities, homeless) => {
    const ways = litres.map((l, i) => way('ab'[i]!, l, [['off-lees', 3]]))
    const own = litres.map((l, i) => vessel(`own${i}`, l, 'ab'[i]))
    const bin = { ...vessel('bin', 90), kind: 'bin' as const }
    const vessels = [vessel('full', 100, 'x'), ...own, bin, ...capacities.map((c, i) => vessel(`v${i}`, c))]
    expect(weeksOf({ ways, vessels, from, weeks: 1 })[0]!.homeless.map((h) => [h.lotId, h.litres])).toEqual(homeless)
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
