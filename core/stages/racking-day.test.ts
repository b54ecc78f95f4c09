import { describe, expect, it } from 'vitest'
import { type Draft, type Entry, type Fact, foldCellar, lotAt } from '../ledger'
import { problemOf } from '../racking'
import { askRacking, leesShareOf, lotOfWine } from './racking-day'

const at = '2026-12-20T12:00:00.000Z'
let n = 0
const entry = (draft: Draft<Fact>) => ({ id: `entry-r-${String(++n).padStart(4, '0')}`, device: 't', at, written: at, ...draft }) as Entry
const vessel = (id: string, capacityL: number) =>
  entry({ type: 'vessel-added', vesselId: `vessel-${id}`, name: id, kind: 'demijohn', capacityL })
const lot = (id: string, litres: number, vesselId: string) =>
  entry({
    type: 'lot-started',
    lotId: `lot-${id}`,
    name: id,
    stream: 'juice',
    style: 'white',
    varieties: [],
    volumeL: litres,
    volumeIs: 'measured',
    vesselId: `vessel-${vesselId}`
  })
const entries = [vessel('a25', 25), vessel('b20', 20), vessel('c10', 10), vessel('d34', 34), lot('one', 25, 'a25'), lot('two', 30, 'd34')]
function asked(more: Entry[], moved: Record<string, string[]> = {}, chosen = ['lot-one']) {
  const cellar = foldCellar([...entries, ...more])
  const lots = chosen.map((id) => lotAt(cellar.lots.get(id)!, at))
  return askRacking({
    lots,
    vessels: cellar.vessels,
    moved: new Map(Object.entries(moved).map(([id, vessels]) => [id, new Set(vessels)])),
    lees: leesShareOf,
    barred: new Set(['vessel-c10'])
  })
}

describe('the puzzle of racking day, from the ledger', () => {
  it('a lot net of its lees, its own vessel, the free ones, and none of another lot', () => {
    const a = asked([])
    expect(a.wines).toEqual([{ id: 'lot-one', litres: 25 * 0.94, offLees: true }])
    expect(a.vessels.map((v) => v.id)).toEqual(['vessel-a25', 'vessel-b20', 'vessel-c10'])
    expect(a.vessels.find((v) => v.id === 'vessel-c10')).toMatchObject({ usable: false })
    expect(() => problemOf(a)).not.toThrow()
  })
  it('two lots: both vessels are on the floor', () => {
    expect(asked([], {}, ['lot-one', 'lot-two']).vessels).toHaveLength(4)
  })
  it('what has been moved need not move again, and may be joined by the rest', () => {
    const over = entry({
      type: 'transfer',
      purpose: 'rack',
      from: { lotId: 'lot-one', vesselId: 'vessel-a25' },
      to: { lotId: 'lot-one', vesselId: 'vessel-b20' },
      outL: 15,
      inL: 15
    })
    const a = asked([over], { 'lot-one': ['vessel-b20'] })
    expect(a.wines.map((w) => [w.id, w.offLees])).toEqual([
      ['lot-one', true],
      ['lot-one+', false]
    ])
    // Racked once today: what is left loses the lesser share.
    expect(a.wines[0]!.litres).toBeCloseTo(10 * 0.97, 6)
    expect(a.wines[1]!.litres).toBe(15)
    expect(a.mayMix).toEqual([['lot-one', 'lot-one+']])
    expect(lotOfWine('lot-one+')).toBe('lot-one')
  })
  it('two lots that may come together: each part of either with each of the other', () => {
    const cellar = foldCellar(entries)
    const lots = ['lot-one', 'lot-two'].map((id) => lotAt(cellar.lots.get(id)!, at))
    const day = {
      lots,
      vessels: cellar.vessels,
      moved: new Map([['lot-one', new Set(['vessel-a25'])]]),
      lees: leesShareOf,
      barred: new Set<string>()
    }
    expect(askRacking(day).mayMix).toEqual([])
    const mixed = askRacking({ ...day, mayMix: [['lot-one', 'lot-two']] })
    expect(mixed.mayMix).toEqual([['lot-one+', 'lot-two']])
    expect(() => problemOf(mixed)).not.toThrow()
  })
  it('a vessel out of use is not on the floor', () => {
    const away = entry({ type: 'vessel-amended', vesselId: 'vessel-b20', retired: true })
    expect(asked([away]).vessels.map((v) => v.id)).toEqual(['vessel-a25', 'vessel-c10'])
  })
})
