import { describe, expect, it } from 'vitest'
import { type Entry, type Outcome, foldCellar, lotAt } from '../ledger'
import { DAY, ledgerBefore } from './ledger.fixture'
import { tasksOf } from '.'

const lotId = 'lot-put-off'
const { at, now, entry, read, start, dryWine } = ledgerBefore(Date.UTC(2026, 11, 20, 12), DAY, lotId)
const end = (ago: number, task: string, outcome: Outcome = 'skipped', until?: number) =>
  entry(ago, { type: 'task-ended', lotId, task, outcome, ...(until !== undefined && { until: at(until) }) })
const low = [...dryWine(), read(40, 'ph', 3.3), read(30, 'freeSo2', 8)]
const yeast = entry(5.5, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' })
const ferment = [start(6), read(6, 'sg', 1.085), yeast, read(1, 'sg', 1.05)]
const waysOf = (entries: readonly Entry[], key: string) => {
  const cellar = foldCellar(entries.toSorted((a, b) => (a.at < b.at ? -1 : 1)))
  const task = tasksOf(lotAt(cellar.lots.get(lotId)!, now), cellar, now).find((t) => t.key === key)
  expect(task, key).toBeDefined()
  return (task!.waysOut ?? []).map((w) => w.code)
}
const DECISION = ['do-it', 'done-otherwise', 'much-later', 'leave-it-out']

describe('what was put off', () => {
  it.each<[string, Entry[], string, string[]]>([
    ['once is asked as before', [...low, end(1, 'sulphite-low')], 'sulphite-low', []],
    ['twice in a row is a decision', [...low, end(3, 'sulphite-low'), end(1, 'sulphite-low')], 'sulphite-low', DECISION],
    ['to another day, and then again', [...low, end(9, 'sulphite-low', 'moved', 2), end(1, 'sulphite-low')], 'sulphite-low', DECISION],
    ['twice, months apart, is twice once', [...low, end(29, 'sulphite-low'), end(1, 'sulphite-low')], 'sulphite-low', []],
    ['twice, with a dose in between, is twice once',
      [...low, end(9, 'sulphite-low'), end(6, 'sulphite-low', 'done'), end(1, 'sulphite-low')], 'sulphite-low', []],
    ['every other day of a ferment stays the day’s reading',
      [...ferment, end(4, 'read-ferment'), end(3, 'read-ferment'), end(2, 'read-ferment')], 'read-ferment', []]
  ])('%s', (_name, entries, key, ways) => expect(waysOf(entries, key)).toEqual(ways))
})
