import { describe, expect, it } from 'vitest'
import type { Draft, Entry, Fact, StandingFact } from '~~/core/ledger'
import { movedStarts, withFacts } from './standing'

const START = '2026-09-20T08:00:00.000Z'
const lotId = 'lot-red-0001'
const fact = (id: string, at: string, more: Partial<Fact> = {}): StandingFact => {
  const noted = { id, device: 'device-1', at, written: at, type: 'observation', lotId, what: 'note', text: id, ...more }
  return { fact: noted as Fact, struck: false } as StandingFact
}
const started = fact('start-of-red', START, { type: 'lot-started', name: 'Red', stream: 'fresh', style: 'red', varieties: [], volumeL: 20,
  volumeIs: 'measured' } as Partial<Fact>)
const note = (at?: string, of = lotId): Draft<Entry> => ({ type: 'observation', lotId: of, what: 'note', text: 'x', ...(at && { at }) })

describe('what was dated before its lot began', () => {
  const moved = (asked: readonly Draft<Entry>[]) => movedStarts(asked, new Map([[lotId, START]]), [started])
  it.each<[string, readonly Draft<Entry>[], string | undefined]>([
    ['nothing is dated', [note()], undefined],
    ['after the start', [note('2026-09-20T08:00:01.000Z')], undefined],
    ['at the start', [note(START)], undefined],
    ['an hour before: the start is a minute before it', [note('2026-09-20T07:00:00.000Z')], '2026-09-20T06:59:00.000Z'],
    ['several: before the earliest', [note('2026-09-19T07:00:00.000Z'), note('2026-09-18T07:00:00.000Z')], '2026-09-18T06:59:00.000Z'],
    ['of a lot that is not known', [note('2026-01-01T07:00:00.000Z', 'lot-other-01')], undefined]
  ])('%s', (_, asked, at) => {
    const found = moved(asked)
    expect(found.map((d) => (d.type === 'correction' ? d.replacement?.at : d.type))).toEqual(at ? [at] : [])
    for (const d of found) expect(d).toMatchObject({ targetId: 'start-of-red', replacement: { type: 'lot-started', name: 'Red', lotId } })
  })
})

describe('facts as they are listed', () => {
  const days = (facts: readonly StandingFact[]) => facts.map((f) => f.fact.at.slice(8, 10))
  it('newest first, also what comes late', () => {
    const known = [fact('c-0000001', '2026-10-09T08:00:00.000Z'), fact('a-0000001', '2026-10-01T08:00:00.000Z')]
    const all = withFacts(known, [fact('d-0000001', '2026-10-20T08:00:00.000Z'), fact('b-0000001', '2026-10-05T08:00:00.000Z'),
      fact('o-0000001', '2026-10-00T08:00:00.000Z')])
    expect(days(all)).toEqual(['20', '09', '05', '01', '00'])
    expect(known).toHaveLength(2)
  })
})
