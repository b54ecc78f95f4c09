import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drinkWindow } from '../../finishing'
import { type Draft, type Fact, foldCellar, historyOf, lotAt, propose } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { bottledStage, bottlesLeft } from '.'

const lotId = 'lot-in-bottles'
const { entry, now, read, start } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
const ledger = (bottledAgo: number, ...more: [number, Draft<Fact>][]) => [
  start(900),
  read(880, 'sg', 0.993),
  read(870, 'sg', 0.993),
  read(869, 'freeSo2', 30),
  entry(bottledAgo, {
    type: 'bottling',
    lotId,
    bottles: [
      { sizeMl: 750, count: 24 },
      { sizeMl: 375, count: 2 }
    ],
    closure: 'cork',
    place: 'stairs'
  }),
  ...more.map(([ago, draft]) => entry(ago, draft))
]
const taken = (count: number, sizeMl = 750): Draft<Fact> => ({ type: 'bottle-taken', lotId, sizeMl, count, what: 'drunk' })
const tasted: Draft<Fact> = { type: 'tasting', lotId, rating: 7 }
const laidDown: Draft<Fact> = { type: 'task-ended', lotId, task: 'lay-down', outcome: 'done' }
const lotOf = (entries: ReturnType<typeof ledger>) => lotAt(foldCellar(entries).lots.get(lotId)!, now)

describe('bottles in the store', () => {
  it('are counted down by size, and no more leaves than there are', () => {
    const lot = lotOf(ledger(100, [50, taken(3)], [40, taken(1, 375)]))
    expect(lot.bottled.map((b) => [b.sizeMl, b.left, b.place])).toEqual([
      [750, 21, 'stairs'],
      [375, 1, 'stairs']
    ])
    expect([bottlesLeft(lot), lot.bottles]).toEqual([22, 26])
    const { refused } = propose(historyOf(ledger(100, [50, taken(3)])), [entry(1, taken(22))])
    expect(refused.map((p) => p.code)).toEqual(['more-bottles-than-there'])
  })
  it.each<[string, ReturnType<typeof ledger>, string[]]>([
    ['corked yesterday: upright', ledger(1), ['lay-down wait']],
    ['corked last week: on their side', ledger(7), ['lay-down soon']],
    ['laid down', ledger(7, [2, laidDown]), ['taste-bottle wait']],
    ['laid down before more was corked', ledger(7, [8, laidDown]), ['lay-down soon']],
    ['nobody said so, and it is long ago', ledger(60), ['taste-bottle wait']],
    ['four months on, never opened', ledger(120), ['taste-bottle soon']],
    ['opened a month ago', ledger(120, [30, tasted]), ['taste-bottle wait']],
    ['opened half a year ago', ledger(300, [180, tasted]), ['taste-bottle soon']],
    ['toward its end', ledger(520), ['drink-up wait']],
    ['past it', ledger(800), ['drink-up soon']],
    ['all drunk', ledger(800, [5, taken(24)], [4, taken(2, 375)]), []]
  ])('%s', (_name, entries, wanted) => {
    const lot = lotOf(entries)
    const tasks = bottledStage.appliesTo(lot) ? bottledStage.tasks(lot, foldCellar(entries), now) : []
    expect(tasks.map((t) => `${t.code} ${t.urgency}`)).toEqual(wanted)
  })
})

describe('how long a bottle keeps', () => {
  it('without sulphite never longer than with it, two years at most; a higher pH and a looser closure never longer', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('red', 'rose', 'white'),
        fc.double({ min: 2.8, max: 4.2, noNaN: true }),
        fc.constantFrom('cork', 'crown', 'swing', undefined),
        (style, ph, closure) => {
          const window = (more: object) => drinkWindow({ style: style as 'red', ph, sulphited: true, closure, ...more })
          const { untilMonths, fromMonths } = window({})
          expect(window({ sulphited: false }).untilMonths.mid).toBeLessThanOrEqual(Math.min(24, untilMonths.mid))
          expect(window({ ph: Math.min(4.5, ph + 0.3) }).untilMonths.mid).toBeLessThanOrEqual(untilMonths.mid)
          expect(window({ closure: 'cork' }).untilMonths.mid).toBeGreaterThanOrEqual(untilMonths.mid)
          expect(fromMonths).toBeLessThan(untilMonths.mid)
          expect(untilMonths.low).toBeLessThan(untilMonths.high)
        }
      )
    )
  })
})
