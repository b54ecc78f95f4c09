import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { roundDose } from '.'
import { DAY, ledgerBefore } from './ledger.fixture'
import { foldCellar, lotAt } from '../ledger'
import { molecularSo2 } from '../sulphite'

const lotId = 'lot-round-1'
const { now, entry, read } = ledgerBefore(Date.UTC(2026, 11, 20, 12), DAY, lotId)

interface Winter { style: 'red' | 'rose' | 'white', ph: number, free: number, before: number, doseG: number, total: number }
/** A dry wine of 50 L with two readings of its free SO₂, and a dose between them. */
function wine({ style, ph, free, before, doseG, total }: Winter) {
  const entries = [
    entry(200, { type: 'lot-started', lotId, name: 'L', stream: 'juice', style, varieties: [], volumeL: 50, volumeIs: 'measured' }),
    entry(200, { type: 'lot-planned', lotId, malolactic: 'none' }),
    read(200, 'sg', 1.09),
    entry(198, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
    read(180, 'sg', 0.994),
    read(176, 'sg', 0.994),
    read(100, 'ph', ph),
    read(60, 'freeSo2', before),
    ...(doseG > 0
      ? [entry(40, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: doseG, so2Share: 0.576 })]
      : []),
    read(2, 'totalSo2', total),
    read(1, 'freeSo2', free)
  ]
  return lotAt(foldCellar(entries).lots.get(lotId)!, now)
}
const plain: Winter = { style: 'white', ph: 3.3, free: 20, before: 28, doseG: 0, total: 80 }

describe('the month’s round', () => {
  it('brings a wine to where it is at its level when the next round comes: by hand', () => {
    const dose = roundDose(wine(plain))!
    // pH 3.3 and 0.8 mg/L molecular: 25.5 free; half a per cent a day over 35 days: 1.19 of it; a third binds.
    expect(dose.levelMgPerL).toBeCloseTo(25.5, 0)
    expect(dose.addMgPerL).toBeGreaterThan(13)
    expect(dose.addMgPerL).toBeLessThan(20)
  })
  it.each([
    ['enough to the next round', { free: 40 }, false, false],
    ['a hair too little is left alone', { free: 28.5 }, false, false],
    ['none', { free: 0 }, true, false],
    ['near the limit of its total', { free: 5, total: 190 }, true, true]
  ])('%s', (_name, change, doses, over) => {
    const dose = roundDose(wine({ ...plain, ...change }))!
    expect([dose.addMgPerL > 0, dose.cappedByLimit]).toEqual([doses, over])
  })
  it('bacteria at work, or to come: nothing, however low', () => {
    const lot = wine({ ...plain, free: 2 })
    for (const malolactic of ['to-come', 'under-way', 'nearly'] as const) expect(roundDose({ ...lot, malolactic })).toBeUndefined()
    expect(roundDose({ ...lot, plan: { ...lot.plan, sulphite: 'none' } })).toBeUndefined()
  })
  it('2000 wines: what holds is left alone, nobody smells it after, it lasts, and a little less in asks for a little more', () => {
    const any = fc.record<Winter>({
      style: fc.constantFrom('red', 'rose', 'white'),
      ph: fc.double({ min: 2.9, max: 3.9, noNaN: true }),
      free: fc.double({ min: 0, max: 90, noNaN: true }),
      before: fc.double({ min: 5, max: 80, noNaN: true }),
      doseG: fc.double({ min: 0, max: 5, noNaN: true }),
      total: fc.double({ min: 20, max: 150, noNaN: true })
    })
    fc.assert(
      fc.property(any, (w) => {
        const lot = wine(w)
        const dose = roundDose(lot)!
        const after = lot.freeSo2!.value + dose.addMgPerL * (1 - lot.boundShare)
        if (lot.freeSo2!.value >= dose.levelMgPerL * 1.4) expect(dose.addMgPerL).toBe(0)
        if (dose.addMgPerL > 0) {
          expect(after).toBeLessThanOrEqual(dose.levelMgPerL * 1.4 + 1e-6)
          expect(molecularSo2(after, lot.ph!.value)).toBeLessThan(2)
        }
        // Left alone it is short by less than a titration tells.
        else if (!dose.cappedByLimit) expect(dose.levelMgPerL - lot.freeSo2!.value).toBeLessThan(4)
        const less = roundDose(wine({ ...w, free: Math.max(0, w.free - 0.1) }))!
        expect(Math.abs(less.addMgPerL - dose.addMgPerL)).toBeLessThan(4.5)
      }),
      { numRuns: 2000 }
    )
  })
})
