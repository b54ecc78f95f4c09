import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { IDBFactory } from 'fake-indexeddb'
import { createPinia, defineStore, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref, shallowRef } from 'vue'
import { type Draft, type Fact, type LotState, foldCellar } from '~~/core/ledger'
import { CellarDb } from '~/data/cellar-db'
import { MemoryCellar } from '~/data/memory-cellar'

// Nuxt imports these by itself; a test has to do it by hand.
for (const [name, value] of Object.entries({ ref, computed, shallowRef, defineStore })) vi.stubGlobal(name, value)
vi.mock('~/composables/useNow', async (original) => ({ ...await original<object>(), useNow: () => ref('2026-11-25T12:00:00.000Z') }))
const { useCellarStore } = await import('./cellar')

const lotId = 'lot-store-1'
const start: Draft<Fact> = {
  type: 'lot-started',
  lotId,
  name: 'Grenache',
  stream: 'juice',
  style: 'red',
  varieties: [],
  volumeL: 40,
  volumeIs: 'measured'
}
const note = (text: string): Draft<Fact> => ({ type: 'observation', lotId, what: 'note', text })
const reading = (value: number): Draft<Fact> => ({ type: 'reading', lotId, quantity: 'ph', typed: String(value), value })

/** A lot without what is only worked out when it is asked for. */
const plain = (lot: LotState) =>
  JSON.parse(JSON.stringify({ ...lot, acids: undefined, contents: [...lot.contents], added: [...lot.added] })) as unknown

describe('the ledger as a page sees it', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    // A browser of its own for each test: nothing is shared, nothing has to be closed.
    Dexie.dependencies.indexedDB = new IDBFactory()
  })
  afterEach(() => vi.restoreAllMocks())
  const opened = async (name: 'own' | 'demo' = 'own') => {
    const cellar = useCellarStore()
    await cellar.open(name)
    return cellar
  }

  it('what is logged is on disk, in the state, and there again when the cellar is opened anew', async () => {
    const cellar = await opened()
    expect(await cellar.log([start, reading(3.5)])).toHaveLength(2)
    expect(cellar.lotOf(lotId)?.ph?.value).toBe(3.5)
    setActivePinia(createPinia())
    const again = await opened()
    expect(await again.allEntries()).toHaveLength(2)
    expect(again.state.lots.get(lotId)?.ph?.value).toBe(3.5)
  })
  it('what would be is told and not written; what could not be says why', async () => {
    const cellar = await opened()
    const vessel: Draft<Fact> = { type: 'vessel-added', vesselId: 'vessel-store', name: 'Glass', kind: 'demijohn', capacityL: 25 }
    await cellar.log([vessel, start])
    const move = (litres: number): Draft<Fact> => ({
      type: 'transfer',
      purpose: 'rack',
      from: { lotId },
      to: { lotId, vesselId: 'vessel-store' },
      outL: litres,
      inL: litres
    })
    const told = await cellar.preview([move(24)])
    expect(told.vessels.find((v) => v.id === 'vessel-store')).toMatchObject({ litres: 24, lotId })
    expect(told.refused).toEqual([])
    expect((await cellar.preview([move(30)])).refused.map((p) => p.code)).toEqual(['overfull'])
    expect((await cellar.preview([{ ...move(24), outL: -1 } as Draft<Fact>])).vessels).toEqual([])
    expect(cellar.state.vessels.get('vessel-store')!.lotId).toBeUndefined()
    expect(await cellar.allEntries()).toHaveLength(2)
  })
  it('the state after many single entries is the state of all of them folded together', async () => {
    const cellar = await opened()
    await cellar.log([start])
    for (const value of [3.5, 3.52, 3.48]) await cellar.log([reading(value), note(String(value))])
    expect([...cellar.state.lots.values()].map(plain)).toEqual([...foldCellar(await cellar.allEntries()).lots.values()].map(plain))
  })
  it('actions of one instant keep the order they were done in', async () => {
    vi.spyOn(Date, 'now').mockReturnValue(Date.UTC(2027, 0, 1))
    const cellar = await opened()
    await cellar.log([start])
    for (let n = 0; n < 12; n++) await cellar.log([note(String(n)), note(`${n}b`)])
    expect(cellar.facts.map((f) => (f.fact.type === 'observation' ? f.fact.text : 'start')).reverse()).toEqual([
      'start',
      ...Array.from({ length: 12 }, (_, n) => [String(n), `${n}b`]).flat()
    ])
    expect(cellar.state.problems).toEqual([])
  })
  it('the same action asked for twice at once is written once', async () => {
    const cellar = await opened()
    await cellar.log([start])
    const both = await Promise.all([cellar.log([note('double tap')]), cellar.log([note('double tap')])])
    expect(both[0]).toBe(both[1])
    expect(await cellar.allEntries()).toHaveLength(2)
  })
  it('a clock that was set back does not make an older word the last one', async () => {
    const cellar = await opened()
    const [, wrong] = (await cellar.log([start, reading(3.9)]))!
    await cellar.log([{ type: 'correction', targetId: wrong!.id, reason: '', replacement: { ...(wrong as Fact), value: 3.5 } as Fact }])
    vi.spyOn(Date, 'now').mockReturnValue(Date.UTC(2020, 0, 1))
    setActivePinia(createPinia())
    const later = await opened()
    await later.log([{ type: 'correction', targetId: wrong!.id, reason: '', replacement: { ...(wrong as Fact), value: 3.6 } as Fact }])
    expect(later.state.lots.get(lotId)?.ph?.value).toBe(3.6)
  })
  it('what no schema takes is refused at its field, and nothing is written', async () => {
    const cellar = await opened()
    expect(await cellar.log([start, reading(35)])).toBeUndefined()
    expect(cellar.issues).toEqual([{ draft: 1, field: 'value', reason: expect.stringContaining('must lie between 2.5 and 4.5') }])
    expect(await cellar.allEntries()).toHaveLength(0)
  })
  it('what a file would change or contradict is listed, and stays out unless it is wanted', async () => {
    const cellar = await opened()
    await cellar.log([start, { type: 'vessel-added', vesselId: 'vessel-here', name: 'Here', kind: 'pail', capacityL: 30 }])
    const at = '2026-11-20T08:00:00.000Z'
    const common = { device: 'other', at, written: at }
    const entries = [
      { ...common, id: 'other-0001', ...start, volumeL: 20 },
      { ...common, id: 'other-0002', type: 'vessel-added', vesselId: 'vessel-here', name: 'There', kind: 'pail', capacityL: 10 },
      { ...common, id: 'other-0003', ...note('of nobody'), lotId: 'lot-unknown' },
      { ...common, id: 'other-0004', ...note('fine'), at: new Date().toISOString() }
    ]
    const read = await cellar.review(
      JSON.stringify({ format: 'presk-cellar', version: 4, exportedAt: at, name: 'Other', entries }),
      'other.json'
    )
    expect(read.ok && read.reviewed.review.doubts.map((d) => d.code)).toEqual(['second-start', 'second-vessel', 'unknown-lot'])
    const done = await cellar.takeReviewed(['other-0001', 'other-0002', 'other-0003'])
    expect(done?.written.map((e) => e.id)).toEqual(['other-0004'])
    expect([cellar.state.lots.get(lotId)?.volume.value, cellar.state.vessels.get('vessel-here')?.capacityL]).toEqual([40, 30])
    expect(await cellar.takeReviewed()).toMatchObject({ count: 0, written: [] })
  })
  it('a table with readings from before the lot is refused, kept, and written with the start moved back', async () => {
    const cellar = await opened()
    await cellar.log([start])
    const before = cellar.state.starts.get(lotId)!
    const day = new Date(Date.parse(before) - 5 * 86_400_000).toISOString()
    expect(await cellar.readTable(`date,SG\n${day},1.02`)).toMatchObject({ ok: true })
    await cellar.mapTable({ at: 'date', dayFirst: true, values: [{ column: 'SG', quantity: 'sg' }] }, lotId)
    expect(await cellar.takeTable()).toBeUndefined()
    expect(cellar.refused.map((p) => p.code)).toEqual(['before-start'])
    expect(await cellar.logMovingStarts()).toHaveLength(2)
    expect([cellar.state.starts.get(lotId)! < before, cellar.lotOf(lotId)?.sg?.value]).toEqual([true, 1.02])
  })
  it('an impossible move is refused before anything is written, and says why', async () => {
    const cellar = await opened()
    await cellar.log([start])
    const move: Draft<Fact> = { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 99, inL: 99 }
    expect(await cellar.log([move, note('moved')])).toBeUndefined()
    expect(cellar.refused.map((p) => p.code)).toEqual(['more-out-than-in'])
    expect(await cellar.allEntries()).toHaveLength(1)
  })
  it('a strike takes an entry out of the state and can be taken back', async () => {
    const cellar = await opened()
    const [, wrong] = (await cellar.log([start, reading(3.9)]))!
    expect(await cellar.strike([wrong!.id], 'misread')).toBe(true)
    expect(cellar.lotOf(lotId)?.ph).toBeUndefined()
    expect(cellar.facts.find((f) => f.fact.id === wrong!.id)?.struck).toBe(true)
    expect(await cellar.undoCorrection(wrong as Fact)).toBe(true)
    expect(cellar.lotOf(lotId)?.ph?.value).toBe(3.9)
    expect(await cellar.allEntries()).toHaveLength(4)
  })
  it('when the disk is full nothing changes and the problem is told; the next write that works clears it', async () => {
    const cellar = await opened()
    await cellar.log([start])
    const full = vi
      .spyOn(CellarDb.prototype, 'append')
      .mockRejectedValueOnce(
        Object.assign(new (await import('~/data/cellar-storage')).StorageError('write to the ledger', 'full', undefined))
      )
    expect(await cellar.log([reading(3.5)])).toBeUndefined()
    expect([cellar.problem?.problem, (await cellar.allEntries()).length, cellar.lotOf(lotId)?.ph]).toEqual(['full', 1, undefined])
    full.mockRestore()
    expect(await cellar.log([reading(3.5)])).toHaveLength(1)
    expect(cellar.problem).toBeUndefined()
  })
  it('where nothing can be stored the cellar lives in the tab and keeps saying so', async () => {
    const { StorageError } = await import('~/data/cellar-storage')
    vi.spyOn(CellarDb.prototype, 'all').mockRejectedValue(new StorageError('read the cellar', 'blocked', undefined))
    const memory = vi.spyOn(MemoryCellar.prototype, 'append')
    const cellar = await opened()
    expect(cellar.problem?.problem).toBe('blocked')
    expect(await cellar.log([start])).toHaveLength(1)
    expect(memory).toHaveBeenCalledOnce()
    expect([cellar.lots.length, cellar.problem?.problem]).toEqual([1, 'blocked'])
  })
  it('the demo is laid out once and is another cellar than one’s own', async () => {
    const cellar = await opened('demo')
    const laid = cellar.factCount
    expect([cellar.isDemo, cellar.lots.length]).toEqual([true, 14])
    // An answer given in advance is the one of the day: a barrel that has nothing to do with it has lost wine too.
    const lotId = 'lot-grenache'
    const move = { purpose: 'rack', from: { lotId, vesselId: 'vessel-big-glass' }, to: { lotId, vesselId: 'vessel-old-glass' } } as const
    const { vessels } = await cellar.preview([{ type: 'transfer', ...move, outL: 20, inL: 20 }])
    const litres = (id: string) => vessels.find((v) => v.id === id)!.litres
    expect(litres('vessel-old-oak')).toBe(cellar.state.vessels.get('vessel-old-oak')!.litres)
    expect([litres('vessel-big-glass'), litres('vessel-old-glass')].map((l) => Number(l.toFixed(2)))).toEqual([13.4, 20])
    await cellar.open('own')
    expect([cellar.isDemo, cellar.lots.length]).toEqual([false, 0])
    await cellar.open('demo')
    expect(cellar.factCount).toBe(laid)
  })
  it('another tab hears of what was written, after the commit', async () => {
    const cellar = await opened()
    await cellar.log([start])
    setActivePinia(createPinia())
    const other = await opened()
    await other.log([reading(3.61)])
    await vi.waitFor(() => expect(cellar.lotOf(lotId)?.ph?.value).toBe(3.61))
  })
})
