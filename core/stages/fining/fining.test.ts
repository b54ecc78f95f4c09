import { describe, expect, it } from 'vitest'
import { type Draft, type Fact, foldCellar, lotAt } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { finingStage } from '.'

const lotId = 'lot-that-is-fined'
const { entry, now, dryWine } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
type More = [ago: number, draft: Draft<Fact>]
const HOUR = 1 / 24
const add = (ago: number, material: string): More => [ago, { type: 'addition', lotId, material, unit: 'g', actual: 4 }]
const rack = (ago: number): More => [ago, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 20, inL: 19 }]
const asked = (...more: More[]) => {
  const cellar = foldCellar([
    ...dryWine(),
    ...more.map(([ago, draft]) => entry(ago, draft))
  ])
  const lot = lotAt(cellar.lots.get(lotId)!, now)
  return finingStage.appliesTo(lot) ? finingStage.tasks(lot, cellar, now).map((t) => `${t.urgency} ${t.code}`) : []
}

describe('after a fining', () => {
  it.each<[string, More[], string[]]>([
    ['none', [], []],
    ['silica half an hour ago: it waits', [add(0.5 * HOUR, 'silica-sol')], ['wait second-part']],
    ['two hours ago', [add(2 * HOUR, 'silica-sol')], ['now second-part']],
    ['both in', [add(3 * HOUR, 'silica-sol'), add(HOUR, 'chitosan')], ['wait rack-off-fining']],
    ['the second part alone wants no first', [add(HOUR, 'gelatin')], ['wait rack-off-fining']],
    ['settled', [add(12, 'bentonite')], ['soon rack-off-fining']],
    ['racked since', [add(12, 'bentonite'), rack(1)], []],
    ['given to the must', [add(198.5, 'bentonite')], []],
    [
      'a pair begun again after the last racking',
      [add(40, 'silica-sol'), add(39, 'chitosan'), rack(20), add(2 * HOUR, 'silica-sol')],
      ['now second-part']
    ]
  ])('%s', (_name, more, wanted) => expect(asked(...more)).toEqual(wanted))
})
