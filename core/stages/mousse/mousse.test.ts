import { describe, expect, it } from 'vitest'
import { type Draft, type Fact, foldCellar, lotAt } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { mousseStage } from '.'

const lotId = 'lot-that-sparkles'
const { entry, now, dryWine } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
type More = [ago: number, draft: Draft<Fact>]
const plan = (more: object = {}): More => [700, { type: 'lot-planned', lotId, sparkling: true, ...more } as Draft<Fact>]
const bottled = (ago: number, closure: 'crown' | 'cork' = 'crown'): More => [
  ago,
  { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count: 20 }], closure }
]
const work = (ago: number, what: 'riddle' | 'disgorge'): More => [ago, { type: 'operation', lotId, what }]
const tasted = (ago: number): More => [ago, { type: 'tasting', lotId, rating: 6 }]
const asked = (...more: More[]) => {
  const cellar = foldCellar([
    ...dryWine(800),
    ...more.map(([ago, draft]) => entry(ago, draft))
  ])
  const lot = lotAt(cellar.lots.get(lotId)!, now)
  return mousseStage.appliesTo(lot) ? mousseStage.tasks(lot, cellar, now).map((t) => `${t.urgency} ${t.code}`) : []
}

describe('a second ferment in the bottle', () => {
  it.each<[string, More[], string[]]>([
    ['still wine under cork', [plan(), bottled(30, 'cork')], []],
    ['not meant to sparkle', [bottled(30)], []],
    ['first weeks', [plan(), bottled(10)], ['wait bottles-lie']],
    ['three weeks, nobody looked', [plan(), bottled(25)], ['soon open-one']],
    ['five weeks, one was opened', [plan(), bottled(35), tasted(10)], ['wait bottles-lie']],
    ['three months, nobody ever looked', [plan(), bottled(90)], ['soon open-one']],
    ['three months on the lees', [plan(), bottled(90), tasted(60)], ['wait riddle']],
    ['ten months', [plan(), bottled(305), tasted(60)], ['soon riddle']],
    ['riddled a week', [plan(), bottled(305), tasted(60), work(7, 'riddle')], ['wait disgorge']],
    ['riddled a month', [plan(), bottled(305), tasted(60), work(30, 'riddle')], ['soon disgorge']],
    ['disgorged', [plan(), bottled(305), tasted(60), work(30, 'riddle'), work(2, 'disgorge')], []],
    ['the method that leaves the lees', [plan({ lees: 'fine' }), bottled(305), tasted(60)], ['wait pour-off-lees']]
  ])('%s', (_name, more, wanted) => expect(asked(...more)).toEqual(wanted))
})
