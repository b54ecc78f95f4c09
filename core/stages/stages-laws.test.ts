import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plausibleCellar } from '../../tests/cellars/plausible'
import { answerDrafts } from '../findings'
import { type Entry, type Outcome, lotAt } from '../ledger'
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
  it('what one tap logs is done: it may be written, and is not asked for again at once', () => {
    let logged = 0
    over(({ lot, now, tasks }, entries) => {
      for (const { key, urgency, logs } of tasks) {
        if (!logs || urgency === 'wait') continue
        const written = logs.map((draft, i) => ({ ...draft, id: `one-tap-${i}0`, device: 'device-t', at: now, written: now }) as Entry)
        for (const entry of written) expect(entrySchema.safeParse(entry).success, key).toBe(true)
        const after = saidOfAll([...entries, ...written], later(now, 0.1)).find((s) => s.lot.id === lot.id)!
        expect(after.tasks.filter((t) => t.urgency !== 'wait').map((t) => t.key)).not.toContain(key)
        logged++
      }
    }, 400)
    expect(logged).toBeGreaterThan(20)
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
  it('what was put off twice is a decision the third time: one can do it, and each other answer ends the asking for now', () => {
    let decisions = 0
    over(({ lot, cellar, now, tasks }) => {
      for (const task of tasks) {
        const ended = { at: later(now, -21 - 24 * 14), outcome: 'moved' as const, until: later(now, -1), times: 2 }
        const third = { ...lot, endedTasks: new Map([[task.key, ended]]) }
        const asked = tasksOf(third, cellar, now).find((t) => t.key === task.key)
        if (!asked || task.againH !== undefined) continue
        expect(asked.waysOut?.length, task.code).toBeGreaterThan(0)
        if (task.waysOut?.length) continue
        decisions++
        if (task.action) expect(asked.waysOut![0]).toMatchObject({ code: 'do-it', action: task.action })
        for (const way of asked.waysOut!.filter((w) => ['done-otherwise', 'much-later', 'leave-it-out'].includes(w.code))) {
          const [draft] = answerDrafts({ ...asked, lotId: lot.id }, way, now) as unknown as [{ outcome: Outcome, until?: string }]
          const after = { ...lot, endedTasks: new Map([[task.key, { at: now, times: 3, outcome: draft.outcome, until: draft.until }]]) }
          expect(tasksOf(after as typeof lot, cellar, now).map((t) => t.key), way.code).not.toContain(task.key)
        }
        // What harms is never left out.
        if (task.urgency === 'stop') expect(asked.waysOut!.map((w) => w.code)).not.toContain('leave-it-out')
      }
    })
    expect(decisions).toBeGreaterThan(50)
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
