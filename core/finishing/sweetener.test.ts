import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Draft, type Fact, foldCellar, lotAt, sugarOf } from '../ledger'
import { MATERIALS } from '../materials'
import { ledgerBefore, DAY } from '../stages/ledger.fixture'
import { sweetenWith } from '.'

const SUGARS = ['sugar', 'dextrose', 'honey', 'concentrate'] as const
const effectOf = (key: (typeof SUGARS)[number]) =>
  MATERIALS[key].effect as Extract<(typeof MATERIALS)['sugar']['effect'], { on: 'sugar' }>

describe('sweetened', () => {
  it('is as sweet as wanted in the volume that it has then, by the mass of sugar and of acid', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SUGARS),
        fc.double({ min: 0, max: 120, noNaN: true }),
        fc.double({ min: 1, max: 200, noNaN: true }),
        fc.double({ min: 3, max: 12, noNaN: true }),
        (key, gPerL, litres, ta) => {
          const e = effectOf(key)
          const { grams, afterL, taChangeGPerL } = sweetenWith(e, gPerL, litres, ta)
          expect((grams * e.sugarShare) / afterL).toBeCloseTo(gPerL, 6)
          expect((ta + taChangeGPerL) * afterL).toBeCloseTo(ta * litres + grams * (e.acidShare ?? 0), 6)
        }
      )
    )
  })
  it.each(SUGARS)('%s: the ledger makes the same of it', (key) => {
    const lotId = 'lot-sweetened'
    const { entry, now, dryWine } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
    const of = (gPerL: number) => {
      const told = sweetenWith(effectOf(key), gPerL, 20, 6)
      const added: Draft<Fact> = { type: 'addition', lotId, material: key, unit: 'g', actual: told.grams }
      const cellar = foldCellar([
        ...dryWine(),
        entry(5, added)
      ])
      const lot = lotAt(cellar.lots.get(lotId)!, now)
      expect(lot.volume.value).toBeCloseTo(told.afterL, 3)
      return { told, sugarG: sugarOf(lot.balance!) * told.afterL }
    }
    // What a gravity near dryness says of the sugar that was left is no matter of this: the second helping is held against the first.
    const [once, twice] = [of(20), of(50)]
    const wanted = (twice.told.grams - once.told.grams) * effectOf(key).sugarShare
    expect((twice.sugarG - once.sugarG) / wanted).toBeCloseTo(1, 1)
  })
  it('is refused where the sweetener itself is less sweet', () => {
    expect(() => sweetenWith({ sugarShare: 0.18, litresPerG: 0.00093 }, 190, 10, 6)).toThrow()
  })
})
