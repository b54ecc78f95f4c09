import { describe, expect, it } from 'vitest'
import { type Draft, type Fact, foldCellar, lotAt } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { oakStage } from '.'

const lotId = 'lot-with-oak'
const { entry, now, dryWine } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
type More = [ago: number, draft: Draft<Fact>]
const asked = (...more: More[]) => {
  const cellar = foldCellar([
    ...dryWine(),
    ...more.map(([ago, draft]) => entry(ago, draft))
  ])
  return oakStage.tasks(lotAt(cellar.lots.get(lotId)!, now), cellar, now)
}
const oak = (ago: number, material = 'oak'): More => [ago, { type: 'addition', lotId, material, unit: 'g', actual: 40 }]
const work = (ago: number, what: 'oak-in' | 'oak-out'): More => [ago, { type: 'operation', lotId, what }]
const taste = (ago: number): More => [ago, { type: 'observation', lotId, what: 'taste', text: 'toast' }]
const other: More[] = [
  [
    190,
    {
      type: 'lot-started',
      lotId: 'lot-other',
      name: 'O',
      stream: 'juice',
      style: 'white',
      varieties: [],
      volumeL: 20,
      volumeIs: 'measured'
    }
  ]
]
const topUp: More = [10, { type: 'transfer', purpose: 'top-up', from: { lotId: 'lot-other' }, to: { lotId }, outL: 2, inL: 2 }]
const rack: Draft<Fact> = { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 20, inL: 19 }

describe('oak that steeps in a wine', () => {
  it.each<[string, More[], string[]]>([
    ['none', [], []],
    ['chips since today', [oak(0.1)], ['wait taste-oak']],
    ['chips for a week', [oak(7.2)], ['soon taste-oak']],
    ['tasted a day ago', [oak(9), taste(1)], ['wait taste-oak']],
    ['their time is over', [oak(29)], ['soon oak-out']],
    ['forgotten', [oak(36)], ['now oak-out']],
    ['out', [oak(20), work(2, 'oak-out')], []],
    [
      'in another wine, which tops it up',
      [...other, [20, { type: 'addition', lotId: 'lot-other', material: 'oak', unit: 'g', actual: 40 }], topUp],
      []
    ],
    ['racked off it', [oak(20), [2, rack]], []],
    ['in again', [oak(60), work(40, 'oak-out'), work(30, 'oak-in')], ['soon oak-out']],
    ['staves stay longer than chips', [oak(40, 'oak-staves')], ['soon taste-oak']],
    ['dust that fermented with it, racked since', [oak(195, 'oak-dust'), [150, rack]], []]
  ])('%s', (_name, more, wanted) => expect(asked(...more).map((t) => `${t.urgency} ${t.code}`)).toEqual(wanted))

  it('is tasted the more often the nearer its end, and never less than every two days', () => {
    const waits = [20, 12, 6, 1].map((left) => {
      const [task] = asked(oak(28 - left + 0.5), taste(0.5))
      return (Date.parse(task!.window!.due) - Date.parse(now)) / DAY + 0.5
    })
    expect(waits).toEqual([...waits].sort((a, b) => b - a))
    expect(Math.min(...waits)).toBeGreaterThanOrEqual(2)
  })
})
