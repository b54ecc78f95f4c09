import { describe, expect, it } from 'vitest'
import { READING_UNCERTAINTY } from '../acids'
import { coldStability } from '../finishing'
import { type Draft, type Fact, foldCellar, lotAt } from '../ledger'
import { DAY, ledgerBefore } from './ledger.fixture'
import { acidContextOf, coldCompared } from '.'

const lotId = 'lot-in-the-cold'
const { entry, read, now, dryWine } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
const WINE = { ph: 3.3, taGPerL: 7.6, abv: 12 }
type More = [ago: number, draft: Draft<Fact>]
/** Read, chilled three weeks ago, and read again after it. */
const compared = (after: { ph: number, ta: number }, ...more: More[]) => {
  const cellar = foldCellar([
    ...dryWine(),
    read(30, 'abv', WINE.abv),
    read(30, 'ph', WINE.ph),
    read(30, 'ta', WINE.taGPerL),
    entry(22, { type: 'operation', lotId, what: 'chill' }),
    ...more.map(([ago, draft]) => entry(ago, draft)),
    read(1, 'ph', after.ph),
    read(1, 'ta', after.ta)
  ])
  return coldCompared(lotAt(cellar.lots.get(lotId)!, now), cellar.cards)
}
/** The bench page's forecast for three weeks at −5 °C: what the ledger's comparison must agree with. */
const told = coldStability(WINE, -5).after

describe('what the cold did, against what was foretold', () => {
  it('what fell as the bench said is as foretold', () => {
    const c = compared({ ph: told.ph, ta: told.taGPerL })!
    expect(c).toMatchObject({ celsius: -5, disturbed: false, ph: { is: 'as-foretold' }, taGPerL: { is: 'as-foretold' } })
    expect(c.taGPerL!.foretold).toBeCloseTo(told.taGPerL, 1)
    expect(c.ph!.foretold).toBeCloseTo(told.ph, 2)
  })
  it.each([
    ['nothing fell', 0.4, 'higher'],
    ['far more fell', -2.4, 'lower']
  ] as const)('%s', (_name, shift, is) => {
    const edge = shift > 0 ? told.bands.taGPerL.high + READING_UNCERTAINTY.taGPerL : told.bands.taGPerL.low
    expect(compared({ ph: told.ph, ta: edge + shift })!.taGPerL!.is).toBe(is)
  })
  it.each<[string, More]>([
    ['acid', [10, { type: 'addition', lotId, material: 'tartaric', unit: 'g', actual: 10 }]],
    ['carbonate', [10, { type: 'addition', lotId, material: 'potassium-bicarbonate', unit: 'g', actual: 10 }]],
    ['bacteria', [10, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B', grams: 1 }]]
  ])('%s in between: it tells nothing of the cold', (_name, more) => expect(compared({ ph: 3.3, ta: 7 }, more)!.disturbed).toBe(true))
  it('malic acid that was read before the bacteria came tells the model nothing', () => {
    const context = (...more: More[]) => {
      const cellar = foldCellar([...dryWine(), read(60, 'malic', 3), ...more.map(([ago, draft]) => entry(ago, draft))])
      return acidContextOf(lotAt(cellar.lots.get(lotId)!, now))
    }
    const bacteria: More = [50, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B', grams: 1 }]
    const through: More = [5, { type: 'reading', lotId, quantity: 'malic', typed: '0.05', value: 0.05 }]
    expect(context()).toMatchObject({ malicGPerL: 3, malolactic: 'before' })
    expect(context(bacteria)).toEqual(expect.not.objectContaining({ malicGPerL: 3 }))
    expect(context(bacteria, through)).toMatchObject({ malicGPerL: 0.05, malolactic: 'after' })
  })
  it('a temperature that was read counts, and before a reading after it there is nothing to compare', () => {
    const at = (celsius: number): More => [
      15,
      { type: 'reading', lotId, quantity: 'temperature', typed: String(celsius), value: celsius }
    ]
    expect(compared({ ph: 3.3, ta: 7 }, at(2))!.celsius).toBe(2)
    // Nobody's cellar has forty below: that is a slip, and the usual cold is taken.
    expect(compared({ ph: 3.3, ta: 7 }, at(-40))!.celsius).toBe(compared({ ph: 3.3, ta: 7 })!.celsius)
    const cellar = foldCellar([
      ...dryWine(),
      read(30, 'ph', 3.3),
      read(30, 'ta', 7),
      entry(22, { type: 'operation', lotId, what: 'chill' })
    ])
    expect(coldCompared(lotAt(cellar.lots.get(lotId)!, now))).toBeUndefined()
  })
})
