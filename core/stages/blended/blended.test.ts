import { describe, expect, it } from 'vitest'
import { type Draft, type Fact, foldCellar, lotAt } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { blendedStage } from '.'

const lotId = 'lot-that-takes-in'
const { entry, now, dryWine, read, start } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
type More = [ago: number, draft: Draft<Fact>]
const into = (litres: number): Draft<Fact> => ({
  type: 'transfer',
  purpose: 'blend',
  from: { lotId: 'lot-other' },
  to: { lotId },
  outL: litres,
  inL: litres
})
const reading = (quantity: 'ph' | 'ta', value: number): Draft<Fact> => ({ type: 'reading', lotId, quantity, typed: String(value), value })
const asked = (...more: More[]) => {
  const cellar = foldCellar([
    ...dryWine(),
    read(90, 'ph', 3.3),
    read(90, 'ta', 7),
    start(190, { lotId: 'lot-other', volumeL: 30 }),
    ...more.map(([ago, draft]) => entry(ago, draft))
  ])
  const lot = lotAt(cellar.lots.get(lotId)!, now)
  return blendedStage.appliesTo(lot) ? blendedStage.tasks(lot, cellar, now) : []
}

const nothingToTest: Draft<Fact> = { type: 'equipment-said', has: { 'ph-meter': false, 'acid-kit': false } }

describe('a wine that another came into', () => {
  it.each<[string, More[], string[]]>([
    ['none came', [], []],
    ['just now: it stands for a day first', [[0.2, into(10)]], ['wait']],
    ['three days ago', [[3, into(10)]], ['soon']],
    ['topped up: a twentieth is no blend', [[3, into(1)]], []],
    ['its pH was read since, its TA was not', [[3, into(10)], [1, reading('ph', 3.4)]], ['soon']],
    ['both were read', [[3, into(10)], [1, reading('ph', 3.4)], [1, reading('ta', 6.5)]], []],
    ['read, and blended again', [[9, into(10)], [5, reading('ph', 3.4)], [5, reading('ta', 6.5)], [2, into(10)]], ['soon']],
    ['long ago: nobody compares any more', [[70, into(10)]], []],
    ['nobody here has a pH meter or an acid kit', [[3, into(10)], [2, nothingToTest]], []]
  ])('%s', (_name, more, wanted) => expect(asked(...more).map((t) => t.urgency)).toEqual(wanted))
  it('musts that came together before their yeast are none', () => {
    const musts = foldCellar([start(55), start(55, { lotId: 'lot-other', volumeL: 30 }), entry(54, into(10)), ...dryWine(53).slice(1)])
    expect(musts.lots.get(lotId)!.alcoholic).toBe('dry')
    expect(blendedStage.appliesTo(lotAt(musts.lots.get(lotId)!, now))).toBe(false)
  })
})
