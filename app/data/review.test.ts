import { describe, expect, it } from 'vitest'
import { type Draft, type Entry, type Fact, extend, historyOf } from '~~/core/ledger'
import { sayDoubt } from '~/wording/problems'
import { reviewOf, undoOf } from './review'

const stamp = (minute: number) => new Date(Date.UTC(2026, 9, 1, 8, minute)).toISOString()
const entry = (id: string, minute: number, draft: object): Entry =>
  ({ id, device: 'test', at: stamp(0), written: stamp(minute), ...draft }) as Entry
const ta = (value: number) => ({ type: 'reading', lotId: 'lot-1', quantity: 'ta', typed: String(value), value })
const lot = entry('lot', 0, { type: 'lot-started', lotId: 'lot-1', name: 'Mencía', stream: 'juice', style: 'red', varieties: [],
  volumeL: 30, volumeIs: 'measured' })
const reading = entry('reading', 1, ta(6.1))
const correct = (id: string, minute: number, value: number | null) =>
  entry(id, minute, { type: 'correction', targetId: 'reading', reason: 'Read again',
    replacement: value === null ? null : { ...reading, ...ta(value) } })
const say = (fact: Fact) => (fact.type === 'reading' ? `TA ${fact.value}` : fact.type)

describe('a correction that comes in', () => {
  it.each<[string, Entry[], Entry, string]>([
    ['is shown with what it changes', [], correct('theirs', 5, 6.4), 'Changes “TA 6.1” to “TA 6.4”.'],
    ['or deletes', [], correct('theirs', 5, null), 'Deletes “TA 6.1”.'],
    ['beside one of here that is older', [correct('ours', 3, 6.2)], correct('theirs', 5, 6.4),
      'Changes “TA 6.2” to “TA 6.4”. You corrected this entry too, on 1 October 2026; theirs is later and replaces yours.'],
    ['beside one of here that is newer', [correct('ours', 9, 6.2)], correct('theirs', 5, 6.4),
      'Changes “TA 6.2” to “TA 6.4”. You corrected this entry later, on 1 October 2026: yours stays.'],
    ['beside one of here that deleted it', [correct('ours', 3, null)], correct('theirs', 5, 6.4),
      'Changes “TA 6.1” (deleted here) to “TA 6.4”. You corrected this entry too, on 1 October 2026; theirs is later and replaces yours.']
  ])('%s', (_what, ours, theirs, words) => {
    const here = historyOf([lot, reading, ...ours])
    const { doubts, fresh } = reviewOf(here, [lot, reading, theirs])
    expect(doubts.map((d) => sayDoubt(d, say))).toEqual([words])
    // What is said of whose correction counts is what the ledger does.
    const counts = doubts[0]!.code === 'corrects' && doubts[0]!.change.counts
    const [after] = extend(here, fresh).facts.filter((f) => f.original.id === 'reading')
    expect(after!.corrections.at(-1)!.id === 'theirs').toBe(counts)
  })
})

it('an import is undone as one action: what came is struck, what it corrected reads as before', () => {
  const here = historyOf([lot, reading, correct('ours', 3, 6.2)])
  const note = entry('note', 6, { type: 'observation', lotId: 'lot-1', what: 'note', text: 'From the phone' })
  const noted = entry('noted', 7, { type: 'correction', targetId: 'note', reason: 'Typing', replacement: { ...note, text: 'By phone' } })
  const { doubts, fresh } = reviewOf(here, [correct('theirs', 5, 6.4), note, noted])
  const taken = extend(here, fresh)
  expect(taken.facts.find((f) => f.original.id === 'reading')!.fact).toMatchObject({ value: 6.4 })
  const undo = undoOf(fresh, doubts).map((draft: Draft, i) => entry(`undo-${i}`, 20 + i, draft))
  const after = extend(taken, undo)
  const reads = (of: typeof after) => of.facts.filter((f) => !f.struck).map((f) => [f.original.id, 'value' in f.fact ? f.fact.value : ''])
  expect(reads(after)).toEqual(reads(here))
})
