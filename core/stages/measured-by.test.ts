import { describe, expect, it } from 'vitest'
import { type Entry, foldCellar, lotAt } from '../ledger'
import { DAY, ledgerBefore } from './ledger.fixture'
import { measuredBy } from './measured-by'

const lotId = 'lot-measured-1'
const { now, entry, read, start } = ledgerBefore(Date.UTC(2026, 11, 20, 12), DAY, lotId)
const yeast = entry(58, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 5 })
const red = [start(60, { stream: 'fresh', style: 'red' }), read(59, 'sg', 1.09), yeast]
const dry = [...red, read(40, 'sg', 0.994), read(36, 'sg', 0.994)]
const plan = (more: object) => entry(30, { type: 'lot-planned', lotId, ...more })

describe('what a lot is measured by', () => {
  it.each<[string, readonly Entry[], string]>([
    ['a must', red.slice(0, 2), 'sg ph ta temperature'],
    ['a kit, whose acids its maker set: no titration', [start(60, { stream: 'kit', style: 'red' })], 'sg ph temperature'],
    ['a ferment', [...red, read(1, 'sg', 1.03)], 'sg temperature'],
    ['read dry once', [...red, read(40, 'sg', 0.994)], 'sg malic ph temperature'],
    ['dry, its malolactic still to come', dry, 'malic ph temperature'],
    ['its malolactic is over', [...dry, entry(35, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B', grams: 1 }),
      read(4, 'malic', 0.05)], 'freeSo2 ph temperature'],
    ['without malolactic, to be sweet', [...dry, plan({ malolactic: 'none', finish: 'sweet' })], 'freeSo2 sugar ph temperature']
  ])('%s', (_what, entries, expected) => {
    expect(measuredBy(lotAt(foldCellar(entries).lots.get(lotId)!, now)).join(' ')).toBe(expected)
  })
  it('without a lot, a must', () => expect(measuredBy()).toEqual(['sg', 'ph', 'ta', 'temperature']))
})
