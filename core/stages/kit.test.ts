import { describe, expect, it } from 'vitest'
import { type Entry, foldCellar, lotAt } from '../ledger'
import { packetTask, sulphiteToCome, tasksOf } from '.'

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
  it('the proof that they wait for is asked for, though somebody looked at its free SO₂ already', () => {
    const free = put(3, { type: 'reading', quantity: 'freeSo2', typed: '6', value: 6 })
    const asked = (entries: Entry[]) => {
      const cellar = foldCellar(entries.sort((a, b) => (a.at < b.at ? -1 : 1)))
      return tasksOf(lotAt(cellar.lots.get(lotId)!, NOW), cellar, NOW).map((t) => t.code)
    }
    expect(asked(kit(20, sg(5, 0.998), sg(3, 0.995), free))).toContain('confirm-dryness')
    expect(asked(kit(20, sg(5, 0.998), sg(3, 0.995), free, done(1, 3)))).not.toContain('confirm-dryness')
  })
  it('the sulphite that it brings is not asked for a second time, unless it is left out', () => {
    const named = (name: string) => kit(20, ...dry, done(10, 2)).map((e) => (e.type === 'lot-started' && e.kit
      ? { ...e, kit: { ...e.kit, packets: e.kit.packets.map((p) => (p.step === 'stabilise' ? { ...p, name } : p)) } } : e))
    const ended = (outcome: string) => put(1, { type: 'task-ended', task: packetTask(3), outcome })
    const asks = (entries: Entry[]) => {
      const cellar = foldCellar(entries.sort((a, b) => (a.at < b.at ? -1 : 1)))
      return tasksOf(lotAt(cellar.lots.get(lotId)!, NOW), cellar, NOW).some((t) => t.code === 'sulphite-low')
    }
    const of = [
      named('Sulphite and sorbate'), named('Packet 4'), named('Sorbate'), [...named('Packet 4'), ended('not-wanted')],
      [...named('Packet 4'), ended('skipped')], [...named('Packet 4'), ended('could-not')]
    ]
    expect(of.map(asks)).toEqual([false, false, true, true, false, false])
    // 0.08 g of the salt in a litre, 57.6 % of it SO₂.
    const brings = (entries: Entry[]) => sulphiteToCome(lotAt(foldCellar(entries).lots.get(lotId)!, NOW))
    expect(brings(named('Packet 4'))).toBeCloseTo(46, 0)
    expect(brings(named('Sorbate'))).toBe(0)
  })
  it('they stand beside what the ferment asks for', () => {
    const cellar = foldCellar(kit(6))
    expect(tasksOf(lotAt(cellar.lots.get(lotId)!, NOW), cellar, NOW).map((t) => t.code)).toContain('read-ferment')
  })
})
