import { describe, expect, it } from 'vitest'
import { findingsOf, tasksOf } from '..'
import { type Entry, foldCellar, lotAt } from '../../ledger'
import { HOUR, ledgerBefore } from '../ledger.fixture'

const lotId = 'lot-lees-01'
const { at, entry, read, start } = ledgerBefore(Date.UTC(2026, 10, 20, 12), HOUR, lotId)
const sg = (hoursAgo: number, value: number) => read(hoursAgo, 'sg', value)
const move = (hoursAgo: number, purpose: 'rack' | 'press') =>
  entry(hoursAgo, { type: 'transfer', purpose, from: { lotId }, to: { lotId }, outL: 40, inL: 38 })
const plan = entry(1900, { type: 'lot-planned', lotId, lees: 'fine' })
const stir = (hoursAgo: number) => entry(hoursAgo, { type: 'operation', lotId, what: 'stir' })
/** A wine that was first read dry so many hours ago. */
const wine = (style: 'red' | 'white', dryAt: number) => [
  start(2000, { stream: style === 'red' ? 'fresh' : 'juice', style, volumeL: 50 }),
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
    ['half a year ago: unracked gross lees do not go away by themselves', [...wine('white', 1800), sg(1700, 0.995)],
      ['rack-gross-lees now']],
    ['racked', [...wine('white', 240), sg(150, 0.995), move(100, 'rack')], []],
    ['racked before it was dry was another racking', [...wine('white', 50), sg(1, 0.995), move(120, 'rack')], ['rack-gross-lees soon']],
    ['a red on its skins has the press before it', wine('red', 50), []],
    ['a red from its pressing on, by one look', [...wine('red', 200), move(30, 'press')], ['rack-gross-lees soon']],
    ['pressed and racked at next to no sugar, dry a day later: it was racked', [...wine('red', 200).slice(0, -1), sg(120, 0.9985),
      move(110, 'press'), move(80, 'rack'), sg(60, 0.995), sg(12, 0.995)], []],
    ['pressed and racked while it still fermented', [...wine('red', 200).slice(0, -1), sg(120, 1.012),
      move(110, 'press'), move(80, 'rack'), sg(60, 0.995), sg(12, 0.995)], ['rack-gross-lees soon']],
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
