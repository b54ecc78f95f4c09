import { describe, expect, it } from 'vitest'
import { tasksOf, winterOf } from '.'
import { DAY, ledgerBefore } from './ledger.fixture'
import { type Entry, foldCellar, lotAt } from '../ledger'

const { now, entry, read: readOf } = ledgerBefore(Date.UTC(2026, 11, 20, 12), DAY, 'lot-winter')
const read = (lotId: string, daysAgo: number, quantity: 'sg' | 'ph' | 'freeSo2' | 'malic', value: number) =>
  readOf(daysAgo, quantity, value, lotId)
/** A dry white of so many litres in a vessel of 25 L. */
const wine = (lotId: string, litres: number, kind: 'demijohn' | 'barrel' = 'demijohn') => [
  entry(120, { type: 'vessel-added', vesselId: `vessel-${lotId}`, name: lotId, kind, capacityL: 25 }),
  entry(120, {
    type: 'lot-started',
    lotId,
    name: lotId,
    stream: 'juice',
    style: 'white',
    varieties: [],
    volumeL: litres,
    volumeIs: 'measured',
    vesselId: `vessel-${lotId}`
  }),
  read(lotId, 119, 'sg', 1.09),
  entry(118, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
  read(lotId, 100, 'sg', 0.994),
  read(lotId, 96, 'sg', 0.994),
  entry(60, {
    type: 'transfer',
    purpose: 'rack',
    from: { lotId, vesselId: `vessel-${lotId}` },
    to: { lotId, vesselId: `vessel-${lotId}` },
    outL: litres,
    inL: litres
  }),
  read(lotId, 50, 'ph', 3.3)
]
function seen(entries: readonly Entry[]) {
  const cellar = foldCellar(entries)
  const lots = [...cellar.lots.values()].map((lot) => lotAt(lot, now))
  const [first] = lots
  return { rows: winterOf(lots, cellar, now), codes: tasksOf(first!, cellar, now).map((t) => t.code), tasks: tasksOf(first!, cellar, now) }
}

describe('the winter in one view', () => {
  it('what malolactic left bare comes first, then air of months, then what is low, and what is safe last', () => {
    const bare = [
      ...wine('bare', 24.8),
      entry(90, { type: 'inoculation', lotId: 'bare', organism: 'bacteria', culture: 'B' }),
      read('bare', 20, 'malic', 0.05)
    ]
    const low = [...wine('low', 24.8), read('low', 3, 'freeSo2', 12)]
    const airy = [...wine('airy', 22), read('airy', 3, 'freeSo2', 40)]
    const safe = [...wine('safe', 24.8), read('safe', 3, 'freeSo2', 40)]
    const { rows } = seen([...safe, ...airy, ...low, ...bare])
    expect(rows.map((r) => [r.lotId, r.risks.map((x) => x.code)])).toEqual([
      ['bare', ['unprotected']],
      ['airy', ['air']],
      ['low', ['low-sulphite']],
      ['safe', []]
    ])
  })
  it('air of two months is told as harm that may be there; a full one and a must are left alone', () => {
    expect(seen([...wine('a', 22), read('a', 3, 'freeSo2', 40)]).tasks[0]).toMatchObject({ code: 'top-up', risk: 'high', urgency: 'now' })
    expect(seen([...wine('a', 24.8), read('a', 3, 'freeSo2', 40)]).codes).not.toContain('top-up')
    expect(seen(wine('a', 15).slice(0, 3)).codes).not.toContain('top-up')
  })
  it('a barrel is looked at after two weeks', () => {
    expect(seen([...wine('a', 24.8, 'barrel'), read('a', 3, 'freeSo2', 40)]).tasks.find((t) => t.code === 'top-barrel')).toMatchObject({
      urgency: 'soon'
    })
  })
})
