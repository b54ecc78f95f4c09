import { describe, expect, it } from 'vitest'
import { findingsOf, tasksOf } from '..'
import { type Draft, type Entry, type Fact, foldCellar, lotAt } from '../../ledger'

const NOW = Date.UTC(2026, 10, 20, 12)
const at = (hoursAgo: number) => new Date(NOW - hoursAgo * 3_600_000).toISOString()
const lotId = 'lot-lees-01'
let n = 0
const entry = (hoursAgo: number, draft: Draft<Fact>) =>
  ({ id: `entry-l-${String(++n).padStart(4, '0')}`, device: 't', at: at(hoursAgo), written: at(hoursAgo), ...draft }) as Entry
const sg = (hoursAgo: number, value: number) => entry(hoursAgo, { type: 'reading', lotId, quantity: 'sg', typed: String(value), value })
const move = (hoursAgo: number, purpose: 'rack' | 'press') =>
  entry(hoursAgo, { type: 'transfer', purpose, from: { lotId }, to: { lotId }, outL: 40, inL: 38 })
const plan = entry(1900, { type: 'lot-planned', lotId, lees: 'fine' })
const stir = (hoursAgo: number) => entry(hoursAgo, { type: 'operation', lotId, what: 'stir' })
/** A wine that was first read dry so many hours ago. */
const wine = (style: 'red' | 'white', dryAt: number) => [
  entry(2000, {
    type: 'lot-started',
    lotId,
    name: 'L',
    stream: style === 'red' ? 'fresh' : 'juice',
    style,
    varieties: [],
    volumeL: 50,
    volumeIs: 'measured'
  }),
  sg(1950, 1.09),
  entry(1940, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 12 }),
  sg(dryAt + 100, 1.02),
  sg(dryAt, 0.995)
]
function said(entries: readonly Entry[]) {
  const cellar = foldCellar(entries)
  const lot = lotAt(cellar.lots.get(lotId)!, at(0))
  const mine = (t: { code: string }) => ['rack-gross-lees', 'stir-lees', 'lees-smell'].includes(t.code)
  return [...tasksOf(lot, cellar, at(0)), ...findingsOf(lot, cellar, at(0))].filter(mine).map((t) => `${t.code} ${t.urgency}`)
}

describe('off the lees, or kept on the fine ones', () => {
  it.each<[string, readonly Entry[], string[]]>([
    ['a white that was read dry once may still be falling: its yeast stays with it', wine('white', 50), []],
    ['proven dry, two days', [...wine('white', 50), sg(1, 0.995)], ['rack-gross-lees soon']],
    ['ten days', [...wine('white', 240), sg(100, 0.995)], ['rack-gross-lees now']],
    ['half a year ago nobody asks any more', [...wine('white', 1800), sg(1700, 0.995)], []],
    ['racked', [...wine('white', 240), sg(150, 0.995), move(100, 'rack')], []],
    ['racked before it was dry was another racking', [...wine('white', 50), sg(1, 0.995), move(120, 'rack')], ['rack-gross-lees soon']],
    ['a red on its skins has the press before it', wine('red', 50), []],
    ['a red from its pressing on, by one look', [...wine('red', 200), move(30, 'press')], ['rack-gross-lees soon']],
    ['pressed today it settles first', [...wine('red', 200), move(5, 'press')], ['rack-gross-lees wait']],
    ['kept on the fine lees: stirred after a week', [...wine('white', 400), sg(340, 0.995), plan, move(300, 'rack')], ['stir-lees soon']],
    ['stirred yesterday', [...wine('white', 400), sg(340, 0.995), plan, move(300, 'rack'), stir(24)], ['stir-lees wait']],
    ['not yet racked: the thick lees first', [...wine('white', 50), sg(1, 0.995), plan], ['rack-gross-lees soon']],
    [
      'that smell: off them, and stirred no more',
      [
        ...wine('white', 400),
        sg(340, 0.995),
        plan,
        move(300, 'rack'),
        entry(10, { type: 'observation', lotId, what: 'smell', text: 'x', smells: ['rotten-egg'] })
      ],
      ['lees-smell now']
    ]
  ])('%s', (_, entries, expected) => expect(said(entries)).toEqual(expected))
})
