import { describe, expect, it } from 'vitest'
import { demoCellar } from '../../demo'
import { foldCellar, lotAt } from '../../core/ledger'
import { tasksOf } from '../../core/stages'
import { runByName } from '../calc/run'

const now = '2026-11-26T12:00:00.000Z'
const cellar = demoCellar(new Date(now))
type Advice = {
  lots: { id: string, tasks: { code: string, says: string }[], way: { code: string, earliest: string, likely: string, latest: string }[] }[]
  sittings: { code: string, lotIds: string[], minutes: number }[]
}

describe('advice on a whole cellar', () => {
  it('says what the stages say, in words, with the way of each lot', () => {
    const result = runByName('advice', { cellar, now })
    expect(result.ok).toBe(true)
    const { lots, sittings } = (result as { answer: Advice }).answer
    const folded = foldCellar(cellar.entries)
    expect(lots.map((l) => l.id).sort()).toEqual([...folded.lots.keys()].sort())
    for (const lot of lots) {
      const state = lotAt(folded.lots.get(lot.id)!, now)
      expect(lot.tasks.map((t) => t.code)).toEqual(tasksOf(state, folded, now).map((t) => t.code))
      for (const { says } of lot.tasks) {
        expect(says).toMatch(/^[^.]+.*[.!?]$/s)
        expect(says).not.toMatch(/[.?!][.]/)
      }
      for (const { earliest, likely, latest } of lot.way) expect([earliest, likely, latest].sort()).toEqual([earliest, likely, latest])
    }
    for (const s of sittings) expect(s.minutes).toBeGreaterThan(0)
  })
  it.each([
    ['no cellar', { now }, 'cellar'],
    ['a foreign file', { cellar: { wines: [] }, now }, /^cellar/],
    ['no instant', { cellar, now: 'yesterday' }, 'now'],
    ['an entry that cannot be', { cellar: { ...cellar, entries: [{ ...cellar.entries[0], capacityL: -1 }] }, now }, /^cellar\.entries\.0/]
  ])('%s is refused with its place', (_name, body, field) => {
    const result = runByName('advice', body)
    expect(result.ok).toBe(false)
    expect((result as { refusal: { field: string } }).refusal.field).toMatch(field)
  })
})

describe('the way over HTTP', () => {
  const steps = (body: object) => {
    const result = runByName('way', body)
    if (!result.ok) throw new Error(JSON.stringify(result.refusal))
    return (result.answer as { steps: { code: string, earliest: string, likely: string, latest: string, doneAt?: string }[] }).steps
  }
  const red = { stream: 'fresh', style: 'red', startedAt: '2026-09-20T08:00:00Z', now: '2026-09-20T09:00:00Z' }
  it('a red goes from its yeast over press, malolactic and clarity to the bottle, each after the one before', () => {
    const way = steps(red)
    expect(way.map((s) => s.code)).toEqual(['pitched', 'dry', 'pressed', 'off-lees', 'malolactic', 'sulphited', 'clear', 'stable',
      'bottled', 'laid-down', 'tasted'])
    const likely = (code: string) => way.find((s) => s.code === code)!.likely
    for (const [a, b] of [['pitched', 'dry'], ['off-lees', 'malolactic'], ['malolactic', 'sulphited'], ['clear', 'bottled'],
      ['bottled', 'tasted']] as const)
      expect(likely(a) < likely(b)).toBe(true)
  })
  it('a white without malolactic has no such step; a sweet one is sweetened; what was read stands with its day', () => {
    expect(steps({ ...red, style: 'white', plan: { malolactic: 'none' } }).map((s) => s.code)).not.toContain('malolactic')
    expect(steps({ ...red, style: 'white', plan: { malolactic: 'none', finish: 'sweet' } }).map((s) => s.code)).toContain('sweetened')
    const dry = steps({
      ...red, style: 'white', pitchedAt: '2026-09-21T08:00:00Z', now: '2026-10-20T08:00:00Z',
      readings: [['2026-09-20T08:00:00Z', 1.085], ['2026-10-10T08:00:00Z', 0.993], ['2026-10-14T08:00:00Z', 0.993]].map(([at, sg]) =>
        ({ at, sg }))
    })
    expect(dry.find((s) => s.code === 'dry')!.doneAt).toBeDefined()
    // Nothing that is to come lies in the past.
    for (const s of dry) if (!s.doneAt) expect(s.latest > '2026-10-20').toBe(true)
  })
  it.each([
    [{ ...red, now: '2026-09-01T08:00:00Z' }, 'now'],
    [{ ...red, plan: { finish: 'sweet', malolactic: 'after-pressing' } }, 'plan.finish'],
    [{ ...red, stream: 'grapes' }, 'stream']
  ])('%j is refused at its field', (body, field) => {
    const result = runByName('way', body)
    expect(result.ok ? '' : result.refusal.field).toBe(field)
  })
})
