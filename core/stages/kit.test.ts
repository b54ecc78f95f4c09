import { describe, expect, it } from 'vitest'
import { type Entry, foldCellar, lotAt } from '../ledger'
import { packetTask, tasksOf } from '.'

const NOW = '2026-11-25T12:00:00.000Z'
const lotId = 'lot-kit-0001'
let n = 0
const put = (daysAgo: number, entry: object): Entry => {
  const at = new Date(Date.parse(NOW) - daysAgo * 86_400_000).toISOString()
  return { id: `entry-kit-${++n}`, device: 'd', at, written: at, lotId, ...entry } as Entry
}
/** A kit that got its yeast so many days ago, and what was done since. */
const kit = (pitchedDaysAgo: number, ...since: Entry[]): Entry[] => [
  put(pitchedDaysAgo + 1, {
    type: 'lot-started',
    name: 'Kit',
    stream: 'kit',
    style: 'red',
    varieties: [],
    volumeL: 23,
    volumeIs: 'measured',
    kit: {
      targetSg: 1.082,
      packets: [
        { name: 'Bentonite', step: 'before-yeast' },
        { name: 'Yeast', step: 'yeast' },
        { name: 'Oak', step: 'ferment', day: 6 },
        { name: 'Sorbate', step: 'stabilise', day: 14 },
        { name: 'Finings', step: 'clear' }
      ]
    }
  }),
  put(pitchedDaysAgo, { type: 'inoculation', organism: 'yeast', culture: 'Yeast' }),
  ...since
]
const sg = (daysAgo: number, value: number) => put(daysAgo, { type: 'reading', quantity: 'sg', typed: String(value), value })
const done = (daysAgo: number, i: number) => put(daysAgo, { type: 'task-ended', task: packetTask(i), outcome: 'done' })
const packets = (entries: Entry[]) => {
  const cellar = foldCellar(entries.sort((a, b) => (a.at < b.at ? -1 : 1)))
  const tasks = tasksOf(lotAt(cellar.lots.get(lotId)!, NOW), cellar, NOW)
  return Object.fromEntries(tasks.flatMap((t) => (t.code === 'packet' ? [[t.name, t.waitsFor ?? t.urgency]] : [])))
}
const dry = [sg(6, 0.994), sg(3, 0.994)]

describe('the packets of a kit come on their day', () => {
  it.each<[string, Entry[], object]>([
    ['before its day the oak waits', kit(4), { Oak: 'wait', Sorbate: 'dryness', Finings: 'packets-before' }],
    ['on its day it is due', kit(6), { Oak: 'now', Sorbate: 'dryness', Finings: 'packets-before' }],
    ['what is in is not asked for again', kit(6, done(0, 2)), { Sorbate: 'dryness', Finings: 'packets-before' }],
    ['the day alone does not stabilise a ferment', kit(20, sg(1, 1.02), done(10, 2)), { Sorbate: 'dryness', Finings: 'packets-before' }],
    ['nor does one dry reading', kit(20, sg(1, 0.994), done(10, 2)), { Sorbate: 'dryness', Finings: 'packets-before' }],
    ['two dry readings and the day do', kit(20, ...dry, done(10, 2)), { Sorbate: 'now', Finings: 'packets-before' }],
    ['two dry readings before the day wait for it', kit(12, ...dry, done(5, 2)), { Sorbate: 'wait', Finings: 'packets-before' }],
    ['finings a day after', kit(20, ...dry, done(10, 2), done(0.5, 3)), { Finings: 'wait' }],
    ['and then they are due', kit(20, ...dry, done(10, 2), done(2, 3)), { Finings: 'now' }]
  ])('%s', (_name, entries, wanted) => expect(packets(entries)).toEqual(wanted))
  it('they stand beside what the ferment asks for', () => {
    const cellar = foldCellar(kit(6))
    expect(tasksOf(lotAt(cellar.lots.get(lotId)!, NOW), cellar, NOW).map((t) => t.code)).toContain('read-ferment')
  })
})
