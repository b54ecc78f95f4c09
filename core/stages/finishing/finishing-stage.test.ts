import { describe, expect, it } from 'vitest'
import { type Draft, type Fact, foldCellar, lotAt } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { finishingStage } from '.'

const lotId = 'lot-finished-1'
const { entry, now, read, dryWine } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
type More = [ago: number, draft: Draft<Fact>]
const said = (...more: More[]) => {
  const cellar = foldCellar([
    ...dryWine(),
    read(30, 'ph', 3.3),
    read(30, 'freeSo2', 40),
    ...more.map(([ago, draft]) => entry(ago, draft))
  ])
  const lot = lotAt(cellar.lots.get(lotId)!, now)
  return finishingStage.appliesTo(lot) ? finishingStage.findings(lot, cellar, now).map((f) => `${f.urgency} ${f.code}`) : []
}
const add = (ago: number, material: string, actual: number): More => [ago, { type: 'addition', lotId, material, unit: 'g', actual }]
const sorbate = add(20, 'potassium-sorbate', 4)
const sugar = add(20, 'sugar', 500)
const freeAt = (ago: number, value: number): More => [ago, { type: 'reading', lotId, quantity: 'freeSo2', typed: String(value), value }]
const bacteria: More = [100, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B', grams: 1 }]
const bottled = (ago: number, more: object = {}): More => [
  ago,
  { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count: 12 }], ...more } as Draft<Fact>
]
const sparkling: More = [30, { type: 'lot-planned', lotId, sparkling: true }]
const inBottles = (material: string) => ({ bottles: [{ sizeMl: 750, count: 12, material }] })
const tested: More = [25, { type: 'reading', lotId, quantity: 'sugar', typed: '0.5', value: 0.5 }]
/** 300 g in 20 L: some 4 bar at 10 °C. */
const some = add(20, 'sugar', 300)
const drunk: More = [1, { type: 'bottle-taken', lotId, sizeMl: 750, count: 12, what: 'drunk' }]
const heated: More = [15, { type: 'operation', lotId, what: 'pasteurise' }]

describe('what finishing must not have done', () => {
  it.each<[string, More[], string[]]>([
    ['a dry wine in bottles', [bottled(10)], []],
    ['sorbate with its sulphite', [sorbate, freeAt(1, 32)], []],
    ['21: sorbate after malolactic', [bacteria, sorbate, freeAt(1, 32)], ['soon geraniums']],
    ['sorbate, and the sulphite beside it is gone', [sorbate, freeAt(1, 6)], ['now sorbate-unprotected']],
    ['22: sweetened and bottled, with nothing to hold it', [sugar, bottled(10)], ['soon sweet-unheld', 'stop sweet-bottles']],
    ['sweetened, held by sorbate, bottled', [sugar, sorbate, freeAt(1, 34), bottled(0.5)], []],
    ['the same, all of it', [sugar, sorbate, freeAt(1, 34), bottled(0.5, { bottles: [{ sizeMl: 750, count: 26 }] })], []],
    ['sweetened, heated, bottled', [sugar, heated, bottled(10)], []],
    ['sugar for pressure, in bottles that hold it, and more of it in the vessel', [sugar, bottled(10, { closure: 'wired' })],
      ['soon sweet-unheld']],
    ['the same under crown caps, and nobody meant it to sparkle', [sugar, bottled(10, { closure: 'crown' })],
      ['soon sweet-unheld', 'stop sweet-bottles']],
    [
      'a dry wine that was tested, sweetened, bottled',
      [[30, { type: 'reading', lotId, quantity: 'sugar', typed: '0.5', value: 0.5 }], sugar, bottled(10)],
      ['soon sweet-unheld', 'stop sweet-bottles']
    ],
    ['meant to sparkle', [[30, { type: 'lot-planned', lotId, sparkling: true }], sugar, bottled(10)], []],
    ['23: sparkling, in bottles for still wine', [sparkling, sugar, bottled(10, inBottles('bottle-750'))], ['stop weak-bottles']],
    [
      'in bottles that hold it, under cork',
      [sparkling, tested, some, bottled(10, { ...inBottles('sparkling-bottle-750'), closure: 'cork' })],
      ['stop weak-bottles']
    ],
    [
      'in bottles that hold it, under crown',
      [sparkling, tested, some, bottled(10, { ...inBottles('sparkling-bottle-750'), closure: 'crown' })],
      []
    ],
    [
      '23: more sugar than these bottles may be taken for, in a warm room',
      [sparkling, tested, add(20, 'sugar', 700), bottled(10, { ...inBottles('sparkling-bottle-750'), closure: 'crown' })],
      ['stop over-pressure']
    ],
    ['20: bottled with bacteria at work', [bacteria, bottled(10)], ['stop malic-bottles']],
    ['20: bottled with malic acid, and next to no sulphite against bacteria', [freeAt(20, 8), bottled(10)], ['soon malic-bottles']],
    ['sugar into a dry wine, with neither sorbate nor heat', [sugar], ['soon sweet-unheld']],
    ['22: sorbate, and next to no sulphite', [freeAt(25, 0), sorbate], ['now sorbate-unprotected']],
    ['a part bottled still, before the sugar', [sparkling, bottled(25, inBottles('bottle-750')), sugar], []],
    ['sweet bottles that have been drunk, and the rest of it', [sugar, bottled(10), drunk], ['soon sweet-unheld']]
  ])('%s', (_name, more, wanted) => expect(said(...more)).toEqual(wanted))
})
