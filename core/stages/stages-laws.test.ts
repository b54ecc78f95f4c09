import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plausibleCellar } from '../../tests/cellars/plausible'
import { type Entry, lotAt } from '../ledger'
import { entrySchema } from '../ledger/schema'
import { LAWS, saidOfAll } from './laws.fixture'
import { STAGES, findingsOf, tasksOf } from '.'

const HOURS = 3_600_000
const later = (at: string, hours: number) => new Date(Date.parse(at) + hours * HOURS).toISOString()
const lastOf = (entries: readonly Entry[]) => entries.map((e) => e.at).sort().at(-1)!
const hour = fc.constantFrom(0, 1, 13, 50, 24 * 9, 24 * 60, 24 * 400)

/** Everything that is said of every lot of a plausible cellar, some hours after its last entry. */
const said = (entries: readonly Entry[], hours: number) => saidOfAll(entries, later(lastOf(entries), hours))
const over = (law: (s: ReturnType<typeof said>[number], entries: Entry[]) => void, numRuns = 150) =>
  fc.assert(
    fc.property(plausibleCellar, hour, (entries, hours) => {
      for (const one of said(entries, hours)) law(one, entries)
    }),
    { numRuns }
  )

describe('what every stage keeps to, over plausible cellars', () => {
  it('what is generated may stand in a ledger', () => {
    fc.assert(fc.property(plausibleCellar, (entries) => entries.every((e) => entrySchema.safeParse(e).success)), { numRuns: 100 })
  })
  it.each(Object.entries(LAWS))('%s', (_name, law) => {
    over((s, entries) => expect(law(s, entries)).toBeUndefined(), 100)
  })
  it('one key for one thing; windows run forward; what it rests on stands in the ledger', () => {
    over(({ tasks, findings }, entries) => {
      const ids = new Set(entries.map((e) => e.id))
      const all = [...tasks, ...findings]
      expect(new Set(all.map((x) => x.key)).size).toBe(all.length)
      for (const one of all) {
        expect(one.key.length).toBeLessThanOrEqual(80)
        for (const id of one.evidence) expect(ids).toContain(id)
        const times = [one.window?.from, one.window?.due, one.window?.late].filter((t) => t !== undefined)
        expect([...times].sort()).toEqual(times)
        if (one.task) expect(one.minutes).toBeGreaterThan(0)
      }
    })
  })
  it('a task that was put off is gone for now and comes back under the same key; what was seen stays away', () => {
    over(({ lot, cellar, now, tasks, findings }) => {
      const [task] = tasks
      if (task) {
        const put = { ...lot, endedTasks: new Map([[task.key, { at: now, outcome: 'skipped' as const, times: 1 }]]) }
        expect(tasksOf(put, cellar, now).map((t) => t.key)).not.toContain(task.key)
        const back = { ...put, endedTasks: new Map([[task.key, { at: later(now, -21), outcome: 'skipped' as const, times: 1 }]]) }
        expect(tasksOf(back, cellar, now).map((t) => t.key)).toContain(task.key)
      }
      for (const finding of findings) {
        const seen = { ...lot, endedTasks: new Map([[finding.key, { at: later(now, -9000), outcome: 'seen' as const, times: 0 }]]) }
        expect(findingsOf(seen, cellar, now).map((f) => f.key)).not.toContain(finding.key)
      }
    })
  })
  it('nothing but of its bottles is asked of a lot that holds nothing, and no sulphite of one that bacteria work in or that is to have '
    + 'them', () => {
    over(({ lot, tasks }) => {
      if (lot.volume.value === 0) expect(tasks.filter((t) => t.code !== 'taste-bottle' && t.code !== 'drink-up')).toEqual([])
      if (['to-come', 'under-way', 'nearly'].includes(lot.malolactic) && lot.alcoholic === 'dry') {
        for (const code of ['sulphite-low', 'measure-free', 'check-sulphite']) expect(tasks.map((t) => t.code)).not.toContain(code)
      }
    })
  })
  it('a figure does not depend on who asks: the lot at an instant is the same asked twice, and finite', () => {
    over(({ lot, cellar, now }) => {
      expect(lotAt(cellar.lots.get(lot.id)!, now)).toEqual(lot)
      for (const figure of [lot.volume, lot.sg, lot.ph, lot.ta, lot.freeSo2]) {
        if (figure) expect(Number.isFinite(figure.value) && Number.isFinite(figure.uncertainty)).toBe(true)
      }
    })
  })
  it('every stage is met by some lot', () => {
    const met = new Set<string>()
    over(({ lot }) => {
      for (const stage of STAGES) if (stage.appliesTo(lot)) met.add(stage.code)
    }, 900)
    expect([...met].sort()).toEqual(STAGES.map((s) => s.code).sort())
  })
})
