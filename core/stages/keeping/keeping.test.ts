import { describe, expect, it } from 'vitest'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { findingsOf, roundDose, tasksOf } from '..'
import { type Entry, foldCellar, keptAt, lotAt } from '../../ledger'
import { molecularSo2 } from '../../sulphite'

const lotId = 'lot-keep-1'
const { at, now, entry, read } = ledgerBefore(Date.UTC(2026, 11, 20, 12), DAY, lotId)
/** 4 g of the potassium salt in 50 L: 46 mg/L of SO₂. */
const sulphite = (daysAgo: number) =>
  entry(daysAgo, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: 4, so2Share: 0.576 })
const white = [
  entry(200, { type: 'lot-started', lotId, name: 'L', stream: 'juice', style: 'white', varieties: [], volumeL: 50, volumeIs: 'measured' }),
  read(200, 'sg', 1.09),
  read(199, 'freeSo2', 45),
  entry(198, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
  read(180, 'sg', 0.994),
  read(176, 'sg', 0.994),
  read(170, 'ph', 3.3)
]
function seen(entries: readonly Entry[], when = now) {
  const cellar = foldCellar(entries)
  const lot = lotAt(cellar.lots.get(lotId)!, when)
  return {
    lot,
    cellar,
    upkeep: lot.upkeep,
    task: tasksOf(lot, cellar, when).find((t) => !/lees|settle|bottle/.test(t.code)),
    found: findingsOf(lot, cellar, when)
  }
}

describe('the sulphite of a wine that rests', () => {
  it('what was read of the must says nothing of the wine', () => {
    expect(seen(white).upkeep).toBeUndefined()
    expect(seen([...white, sulphite(160), read(150, 'freeSo2', 30)]).upkeep!.readings).toEqual([{ days: 30, freeMgPerL: 30 }])
  })
  it('is learnt from its own winter: one that falls by 1 % a day is low sooner than one that hardly falls', () => {
    const history = (k: number) => [160, 120, 80, 40].map((d) => read(d, 'freeSo2', 60 * Math.exp(-k * (160 - d))))
    const [fast, slow] = [seen([...white, ...history(0.008)]), seen([...white, ...history(0.0015)])]
    expect(fast.upkeep!.decayPerDay.mid).toBeGreaterThan(slow.upkeep!.decayPerDay.mid * 2)
    expect(fast.task).toMatchObject({ code: 'sulphite-low' })
    expect(slow.task).toMatchObject({ code: 'check-sulphite' })
  })
  it('is looked at every five weeks, or when it may be low, whichever is sooner', () => {
    const level = keptAt(seen([...white, read(2, 'freeSo2', 60)]).lot)
    // pH 3.3 and 0.8 mg/L molecular: 25.5 by hand.
    expect(level).toBeCloseTo(25.5, 0)
    const due = (free: number) => seen([...white, read(2, 'freeSo2', free)]).task!.window!.due
    expect(due(60)).toBe(at(2 - 35))
    expect(due(28) < due(60)).toBe(true)
  })
  it.each([
    ['one reading that is near its level', [read(2, 'freeSo2', 30)], 14],
    ['two in a row that held', [read(30, 'malic', 0.1), read(16, 'freeSo2', 32), read(2, 'freeSo2', 31)], 28],
    ['two in a row, but sulphite alone holds bacteria back', [read(16, 'freeSo2', 32), read(2, 'freeSo2', 31)], 14],
    ['two, and it falls so fast that it will be low within the month',
      [read(30, 'malic', 0.1), read(16, 'freeSo2', 44), read(2, 'freeSo2', 30)], 14],
    ['the first of them was too low', [read(16, 'freeSo2', 20), read(2, 'freeSo2', 30)], 14]
  ] as const)('after %s the next look is due in its time', (_name, readings, days) => {
    expect(seen([...white, ...readings]).task!.window!.due).toBe(at(2 - days))
  })
  it('a base wine for a second ferment is kept low, and no round of its own brings it to where yeast would not begin', () => {
    const base = [...white, entry(169, { type: 'lot-planned', lotId, sparkling: true })]
    // pH 3.3 and 0.35 mg/L molecular: 0.35 × (1 + 10^1.49) by hand.
    expect(keptAt(seen([...base, read(2, 'freeSo2', 12)]).lot)).toBeCloseTo(11.2, 1)
    expect(seen([...white, read(2, 'freeSo2', 12)]).task).toMatchObject({ code: 'sulphite-low' })
    expect(seen([...base, read(2, 'freeSo2', 12)]).task).toMatchObject({ code: 'check-sulphite' })
    for (let free = 0; free <= 12; free += 2) {
      for (let ph = 2.9; ph <= 3.6; ph += 0.1) {
        const { lot } = seen([...base, read(3, 'ph', ph), read(2, 'freeSo2', free)])
        const dose = roundDose(lot)!
        const after = Math.max(free, free + dose.addMgPerL * (1 - lot.boundShare))
        if (dose.addMgPerL > 0) expect(molecularSo2(after, ph)).toBeLessThanOrEqual(0.5)
      }
    }
  })
  it.each([
    ['rises with nothing given', [read(60, 'freeSo2', 20), read(10, 'freeSo2', 40)], 'sulphite-odd'],
    ['free above total', [read(10, 'freeSo2', 60), read(10, 'totalSo2', 40)], 'free-above-total'],
    ['as it should be', [read(60, 'freeSo2', 40), sulphite(30), read(10, 'freeSo2', 60)], undefined]
  ] as const)('%s', (_name, more, code) => {
    const odd = seen([...white, ...more])
      .found.map((f) => f.code)
      .filter((c) => c === 'sulphite-odd' || c === 'free-above-total')
    expect(odd).toEqual(code ? [code] : [])
  })
  it('a wine of unknown free SO₂ poured over it is no reason to dose what is protected', () => {
    const other = 'lot-keep-3'
    const topped = [
      entry(20, { type: 'lot-started', lotId: other, name: 'Bought', stream: 'juice', style: 'white', varieties: [], volumeL: 10,
        volumeIs: 'measured' }),
      entry(20, { type: 'lot-amended', lotId: other, alcoholic: 'dry' }),
      read(30, 'freeSo2', 59),
      entry(10, { type: 'transfer', purpose: 'top-up', from: { lotId: other }, to: { lotId }, outL: 10, inL: 10 }),
      read(9, 'ph', 3.3)
    ]
    const { lot, cellar } = seen([...white, ...topped])
    // By hand: 59 mg/L, some 5 to 15 lost in 20 days, thinned to five sixths, and 0 to 30 in the sixth: well over 25.5.
    expect(lot.freeSo2).toMatchObject({ origin: 'estimated' })
    expect(lot.freeSo2!.value).toBeGreaterThan(36)
    expect(lot.freeSo2!.value).toBeLessThan(52)
    expect(tasksOf(lot, cellar, now).map((t) => t.code)).not.toContain('sulphite-low')
  })
  it('another wine in it: the level is that of both, and what was learnt of its habits is kept', () => {
    const other = 'lot-keep-2'
    const blend = [
      entry(150, {
        type: 'lot-started',
        lotId: other,
        name: 'O',
        stream: 'juice',
        style: 'white',
        varieties: [],
        volumeL: 20,
        volumeIs: 'measured'
      }),
      entry(140, { type: 'reading', lotId: other, quantity: 'freeSo2', typed: '10', value: 10 }),
      read(150, 'freeSo2', 40),
      entry(100, { type: 'transfer', purpose: 'blend', from: { lotId: other }, to: { lotId }, outL: 20, inL: 20 }),
      read(90, 'ph', 3.35)
    ]
    const { upkeep } = seen([...white, ...blend])
    expect(upkeep!.readings).toEqual([{ days: 30, freeMgPerL: 40 }])
    // By hand, half a per cent a day: (50 L × 40 × e^−0.25 + 20 L × 10 × e^−0.2) ÷ 70 L = 24.6 then, 14.9 a hundred days later.
    expect(upkeep!.now.free.mid).toBeGreaterThan(12)
    expect(upkeep!.now.free.mid).toBeLessThan(18)
  })
})
