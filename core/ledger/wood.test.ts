import { describe, expect, it } from 'vitest'
import { DAY, ledgerBefore } from '../stages/ledger.fixture'
import { woodShare } from '../cellar'
import { cellarAt, extend, foldCellar, historyOf, lotAt, propose } from '.'

const lotId = 'lot-in-wood'
const NOW = Date.UTC(2026, 10, 26, 12)
const { entry, now, read } = ledgerBefore(NOW, DAY, lotId)
const start = [
  entry(220, { type: 'vessel-added', vesselId: 'vessel-oak', name: 'Oak', kind: 'barrel', capacityL: 50 }),
  entry(220, { type: 'vessel-added', vesselId: 'vessel-glass', name: 'Glass', kind: 'demijohn', capacityL: 54 }),
  entry(200, {
    type: 'lot-started',
    lotId,
    name: 'W',
    stream: 'juice',
    style: 'red',
    varieties: [],
    volumeL: 54,
    volumeIs: 'measured',
    vesselId: 'vessel-glass'
  }),
  entry(100, {
    type: 'transfer',
    purpose: 'rack',
    from: { lotId, vesselId: 'vessel-glass' },
    to: { lotId, vesselId: 'vessel-oak' },
    outL: 50,
    inL: 50
  })
]
const topUp = entry(40, {
  type: 'transfer',
  purpose: 'top-up',
  from: { lotId, vesselId: 'vessel-glass' },
  to: { lotId, vesselId: 'vessel-oak' },
  outL: 2,
  inL: 2
})
const drunk = (litres: number, days: number) => litres * (1 - woodShare(50, days))

describe('wine in wood', () => {
  it('grows less by what the wood drinks, an estimate with its band; what is in glass does not', () => {
    const cellar = foldCellar(start)
    const lot = lotAt(cellar.lots.get(lotId)!, now)
    expect(lot.contents.get('vessel-oak')).toBeCloseTo(drunk(50, 100), 6)
    expect(lot.contents.get('vessel-glass')).toBeCloseTo(4, 9)
    expect(lot.volume.value).toBeCloseTo(drunk(50, 100) + 4, 6)
    expect(lot.volume).toMatchObject({ origin: 'estimated' })
    expect(lot.volume.uncertainty).toBeGreaterThan(1)
    expect(cellarAt(cellar, now).vessels.get('vessel-oak')!.litres).toBeCloseTo(drunk(50, 100), 6)
  })
  it('is the same however often somebody wrote something of it, and whenever that was written', () => {
    const readings = [80, 55, 20].map((ago) => read(ago, 'ph', 3.5))
    const whole = foldCellar([...start, topUp, ...readings])
    const late = extend(extend(historyOf([...start, ...readings]), [topUp]), []).cellar
    for (const cellar of [whole, late, foldCellar([...start, topUp])]) {
      const litres = lotAt(cellar.lots.get(lotId)!, now).contents.get('vessel-oak')
      expect(litres).toBeCloseTo(drunk(drunk(50, 60) + 2, 40), 6)
    }
    const bands = [whole, foldCellar([...start, topUp])].map((c) => lotAt(c.lots.get(lotId)!, now).volume)
    expect(bands[0]!.uncertainty).toBeCloseTo(bands[1]!.uncertainty, 9)
    expect(bands[0]!.origin).toBe('estimated')
  })
  it('takes more than was thought to be missing: it had drunk more; far more is a slip, and refused', () => {
    const fill = (litres: number) =>
      entry(40, {
        type: 'transfer',
        purpose: 'top-up',
        from: { lotId, vesselId: 'vessel-glass' },
        to: { lotId, vesselId: 'vessel-oak' },
        outL: litres,
        inL: litres
      })
    const missing = 50 - drunk(50, 60)
    const lot = foldCellar([...start, fill(missing + 1)]).lots.get(lotId)!
    expect(lot.contents.get('vessel-oak')).toBeCloseTo(50, 9)
    expect(lot.volume.value).toBeCloseTo(50 + 4 - missing - 1, 9)
    const refusedOf = (litres: number) => {
      const glass = [read(90, 'volume', 54), fill(litres)]
      return propose(historyOf(start), glass).refused.map((p) => p.code)
    }
    expect(refusedOf(missing + 1)).toEqual([])
    expect(refusedOf(missing + 6)).not.toEqual([])
  })
  it('a day after it was filled its volume is as measured as before, and a cup more than was reckoned comes out of it', () => {
    const day = new Date(NOW - 99 * DAY).toISOString()
    expect(lotAt(foldCellar(start).lots.get(lotId)!, day).volume.origin).toBe('measured')
    const out = (litres: number) => {
      const to = { lotId, vesselId: 'vessel-steel' }
      const steel = entry(210, { type: 'vessel-added', vesselId: 'vessel-steel', name: 'Steel', kind: 'tank', capacityL: 100 })
      const racked = entry(99, {
        type: 'transfer',
        purpose: 'rack',
        from: { lotId, vesselId: 'vessel-oak' },
        to,
        outL: litres,
        inL: litres
      })
      return propose(historyOf([...start, steel]), [racked]).refused.map((p) => p.code)
    }
    expect([out(50.4), out(58)]).toEqual([[], ['more-out-than-in']])
  })
  it('all that is thought to be left can be racked out, and a measured volume is believed', () => {
    const measured = [...start, topUp, read(10, 'volume', 51)]
    const cellar = foldCellar(measured)
    expect(lotAt(cellar.lots.get(lotId)!, cellar.lots.get(lotId)!.volume.at).volume).toMatchObject({ value: 51, origin: 'measured' })
    const held = lotAt(cellar.lots.get(lotId)!, now).contents.get('vessel-oak')!
    const out = entry(0, {
      type: 'transfer',
      purpose: 'rack',
      from: { lotId, vesselId: 'vessel-oak' },
      to: { lotId, vesselId: 'vessel-glass' },
      outL: held,
      inL: held
    })
    const { history, refused } = propose(historyOf(measured), [out])
    expect(refused).toEqual([])
    expect(history.cellar.vessels.get('vessel-oak')).toMatchObject({ litres: 0, lastHeld: { name: 'W', until: now } })
    expect(history.cellar.lots.get(lotId)!.inWood).toBeUndefined()
    const later = new Date(NOW + 60 * DAY).toISOString()
    expect(lotAt(history.cellar.lots.get(lotId)!, later).volume.value).toBeCloseTo(history.cellar.lots.get(lotId)!.volume.value, 9)
  })
})

describe('vessels in use and out of it', () => {
  const vesselId = 'vessel-glass'
  const refusedOf = (...more: Parameters<typeof propose>[1]) => propose(historyOf(start), more).refused.map((p) => p.code)
  it('what wine stands in is not put away; what is empty is, and comes back when it is filled or said to', () => {
    const away = (ago: number, retired: boolean) => entry(ago, { type: 'vessel-amended', vesselId, retired })
    expect(refusedOf(away(1, true))).toEqual(['vessel-taken'])
    const empty = entry(2, {
      type: 'transfer',
      purpose: 'top-up',
      from: { lotId, vesselId },
      to: { lotId, vesselId: 'vessel-oak' },
      outL: 4,
      inL: 0
    })
    const retired = (list: typeof start) => foldCellar(list).vessels.get(vesselId)!.retiredAt
    expect(retired([...start, empty, away(1, true)])).toBeDefined()
    expect(retired([...start, empty, away(1, true), away(0.5, false)])).toBeUndefined()
    const back = entry(0.2, {
      type: 'transfer',
      purpose: 'rack',
      from: { lotId, vesselId: 'vessel-oak' },
      to: { lotId, vesselId },
      outL: 20,
      inL: 20
    })
    expect(retired([...start, empty, away(1, true), back])).toBeUndefined()
    expect(refusedOf(entry(1, { type: 'vessel-amended', vesselId: 'vessel-nobody', retired: true }))).toEqual(['unknown-vessel'])
  })
  it('how often wood was filled counts wines, not moves', () => {
    const vessel = foldCellar([...start, topUp]).vessels.get('vessel-oak')!
    expect([vessel.fills, vessel.filledAt]).toEqual([1, start[3]!.at])
  })
})
