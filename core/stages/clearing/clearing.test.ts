import { describe, expect, it } from 'vitest'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { tasksOf } from '..'
import { type Clarity, type Entry, foldCellar, lotAt } from '../../ledger'

const lotId = 'lot-clear-1'
const { now, entry, read } = ledgerBefore(Date.UTC(2026, 11, 20, 12), DAY, lotId)
const racked = (daysAgo: number) => entry(daysAgo, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 20, inL: 20 })
const looked = (daysAgo: number, clarity: Clarity) => entry(daysAgo, { type: 'observation', lotId, what: 'clarity', text: 'x', clarity })
const white = [
  entry(300, { type: 'lot-started', lotId, name: 'L', stream: 'juice', style: 'white', varieties: [], volumeL: 20, volumeIs: 'measured' }),
  read(300, 'sg', 1.09),
  entry(298, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
  read(280, 'sg', 0.994),
  read(276, 'sg', 0.994)
]
const asked = (...more: Entry[]) => {
  const cellar = foldCellar([...white, ...more])
  return tasksOf(lotAt(cellar.lots.get(lotId)!, now), cellar, now).find((t) => t.code === 'rack-again' || t.code === 'look-at-clarity')
}

describe('racked until it is clear', () => {
  it.each([
    ['racked two weeks ago: it waits', [racked(14)], 'look-at-clarity', 'wait'],
    ['five weeks, and nobody looked', [racked(38)], 'look-at-clarity', 'soon'],
    ['seven weeks, hazy', [racked(50), looked(3, 'hazy')], 'rack-again', 'soon'],
    ['hazy, five weeks: not yet', [racked(36), looked(3, 'hazy')], 'rack-again', 'wait'],
    ['clear: left alone', [racked(60), looked(3, 'bright')], undefined, undefined],
    ['clear before it was racked says nothing of it', [looked(70, 'bright'), racked(60)], 'look-at-clarity', 'soon'],
    ['kept on its fine lees', [racked(60), entry(50, { type: 'lot-planned', lotId, lees: 'fine' })], undefined, undefined],
    [
      'bacteria are at work',
      [racked(60), entry(50, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B' })],
      undefined,
      undefined
    ],
    ['a year ago, and nothing since', [racked(290)], undefined, undefined]
  ] as const)('%s', (_name, more, code, urgency) => {
    const task = asked(...more)
    expect([task?.code, task?.urgency]).toEqual([code, urgency])
  })
})
