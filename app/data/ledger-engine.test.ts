import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import fc from 'fast-check'
import { IDBFactory } from 'fake-indexeddb'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type Draft, type Entry, foldCellar } from '~~/core/ledger'
import { lastWritten, rawRows, strikeRaw } from './rescue'
import { CellarDb } from './cellar-db'
import { FIRST_LOOK, type FirstLook, FirstLooks, markOf } from './first-look'
import { LedgerEngine } from './ledger-engine'
import type { Change, Opened } from './told'
import { wildCellar } from '../../tests/fuzz/wild-cellar'

const NOW = '2026-11-29T12:00:00.000Z'
const RUNS = Number(process.env.DEEP ?? 1)
const lotId = 'lot-engine-1'
const start: Draft = {
  type: 'lot-started',
  lotId,
  name: 'Starter',
  stream: 'juice',
  style: 'red',
  varieties: [],
  volumeL: 1,
  volumeIs: 'measured',
  at: '2026-11-20T12:00:00.000Z'
}
const read = (quantity: 'sg' | 'freeSo2', value: number, more: object = {}): Draft =>
  ({ type: 'reading', lotId, quantity, typed: String(value), value, ...more }) as Draft

beforeEach(() => {
  Dexie.dependencies.indexedDB = new IDBFactory()
  vi.useFakeTimers({ now: new Date(NOW), toFake: ['Date'] })
})
afterEach(() => void vi.useRealTimers())

async function opened(): Promise<LedgerEngine> {
  const engine = new LedgerEngine()
  await engine.open('own')
  return engine
}

describe('the engine of the ledger', () => {
  it('opens whatever the schemas accept, tells of it, and takes one entry more', async () => {
    await fc.assert(
      fc.asyncProperty(wildCellar(30), async (entries) => {
        Dexie.dependencies.indexedDB = new IDBFactory()
        const engine = await opened()
        const { factCount } = await engine.replaceAll(entries)
        expect(factCount).toBe(entries.filter((e) => e.type !== 'correction').length)
        expect(await new LedgerEngine().open('own')).toMatchObject({ damaged: 0, factCount })
        const done = await engine.commit([{ type: 'observation', lotId: 'lot-wild-0', what: 'note', text: 'still here' }], 'test')
        expect(['written', 'refused']).toContain(done.outcome)
      }),
      { numRuns: 25 * RUNS }
    )
  })

  it.each<[string, Draft[]]>([
    ['a kilogram of sugar in a litre of must',
      [start, read('sg', 1.09), { type: 'addition', lotId, material: 'sugar', unit: 'g', actual: 1000 }]],
    ['a material that every object has', [start, { type: 'addition', lotId, material: '__proto__', unit: 'g', actual: 3 }]],
    [
      'a refractometer found off by a degree, after a gravity was read with it in SG',
      [
        start,
        { type: 'instrument-added', instrumentId: 'instrument-1', name: 'R', kind: 'refractometer' },
        read('sg', 1.09, { instrumentId: 'instrument-1' }),
        { type: 'instrument-checked', instrumentId: 'instrument-1', offset: -1, standards: [{ known: 0, shown: -1 }], adjusted: false }
      ]
    ],
    ['a wine of 2013 measured today',
      [{ ...start, at: '2013-10-01T12:00:00.000Z' }, read('sg', 0.993, { at: '2013-11-01T12:00:00.000Z' }), read('freeSo2', 20)]]
  ])('%s is written, and the cellar opens again with it', async (_name, drafts) => {
    const engine = await opened()
    const done = await engine.commit(drafts, 'test')
    expect(done.outcome).toBe('written')
    expect(await new LedgerEngine().open('own')).toMatchObject({ damaged: 0, factCount: drafts.length })
  })

  it('a gravity read with a refractometer is corrected in °Brix, and comes back as a gravity', async () => {
    const engine = await opened()
    await engine.commit([
      start,
      { type: 'instrument-added', instrumentId: 'instrument-1', name: 'R', kind: 'refractometer' },
      read('sg', 1.09, { instrumentId: 'instrument-1' }),
      { type: 'instrument-checked', instrumentId: 'instrument-1', offset: -1, standards: [{ known: 0, shown: -1 }], adjusted: false }
    ], 'test')
    // 1.090 is 21.57 °Brix (ICUMSA), it showed one too little: 22.57 °Brix is 1.0945.
    expect(foldCellar(engine.allEntries()).lots.get(lotId)!.sg!.value).toBeCloseTo(1.0945, 4)
  })

  it('what is given to a lot that holds no wine is refused, and nothing is written', async () => {
    const engine = await opened()
    await engine.commit([{ ...start, volumeL: 0 } as Draft], 'test')
    const done = await engine.commit([{ type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: 1,
      so2Share: 0.576 }], 'test')
    expect(done).toMatchObject({ outcome: 'refused', problems: [{ code: 'nothing-there' }] })
    expect(engine.allEntries()).toHaveLength(1)
  })

  it('what is said to be logged is somewhere: a sample before its block waits for it, a count without a package is refused', async () => {
    const engine = await opened()
    const block = (at: string): Draft => ({ type: 'block-added', blockId: 'block-1-1', name: 'Slope', style: 'red', at })
    const sample = (at: string): Draft => ({ type: 'block-sampled', blockId: 'block-1-1', brix: 20, at })
    await engine.commit([block('2026-11-20T12:00:00.000Z')], 'test')
    expect(await engine.commit([sample('2026-11-10T12:00:00.000Z')], 'test')).toMatchObject({ outcome: 'written' })
    expect(foldCellar(engine.allEntries()).blocks.get('block-1-1')!.samples).toHaveLength(1)
    const counted = await engine.commit([{ type: 'supply-counted', supplyId: 'supply-99', left: 3 }], 'test')
    expect(counted).toMatchObject({ outcome: 'refused', problems: [{ code: 'unknown-supply' }] })
  })

  it('where the browser cleared the storage under an open page, all of it is written again with the next entry', async () => {
    const engine = await opened()
    await engine.commit([start], 'test')
    await Dexie.delete('presk-own')
    expect(await engine.commit([read('sg', 1.09)], 'test')).toMatchObject({ outcome: 'written', restored: true })
    expect(await new LedgerEngine().open('own')).toMatchObject({ factCount: 2 })
  })

  it('the rescue reads the rows as they are, and strikes one without looking at it', async () => {
    const engine = await opened()
    await engine.commit([start], 'test')
    await engine.commit([read('sg', 1.09, { at: '2026-11-25T12:00:00.000Z' })], 'test')
    const rows = await rawRows('own')
    expect(rows).toHaveLength(2)
    const [last] = lastWritten(rows)
    expect(last).toMatchObject({ type: 'reading' })
    await strikeRaw('own', rows, last!.id, 'test')
    const again = await opened()
    expect((again.allEntries() as Entry[]).filter((e) => e.type === 'correction')).toHaveLength(1)
    expect(foldCellar(again.allEntries()).lots.get(lotId)!.sg).toBeUndefined()
  })

  describe('the first look of a large cellar', () => {
    const eager = () => new FirstLooks({ worthFacts: 0, quietMs: 0 })
    /** Keeps none. */
    const never = () => new FirstLooks({ worthFacts: Infinity, quietMs: 0 })
    const rawMeta = async () => {
      const db = new CellarDb('own')
      const look = (await db.getMeta(FIRST_LOOK)) as FirstLook
      return { db, look }
    }

    it('tells at once what the ledger tells, also after entries more, and lets entries be written behind it', async () => {
      await fc.assert(
        fc.asyncProperty(wildCellar(20), async (entries) => {
          Dexie.dependencies.indexedDB = new IDBFactory()
          const looks = eager()
          const engine = new LedgerEngine(looks)
          await engine.open('own')
          await engine.replaceAll(entries)
          await engine.commit([{ type: 'observation', lotId: 'lot-wild-0', what: 'note', text: 'still here' }], 'test')
          await looks.stored
          const looksAgain = eager()
          const again = new LedgerEngine(looksAgain)
          const told = await again.open('own')
          expect(again.isFirstLook).toBe(true)
          await again.whenLoaded()
          // It keeps a look of its own, which must be there before it is taken away.
          await looksAgain.stored
          const cold = new LedgerEngine(never())
          await (await rawMeta()).db.setMeta(FIRST_LOOK, undefined)
          const read = await cold.open('own')
          expect(cold.isFirstLook).toBe(false)
          expect({ ...told, trouble: undefined, change: byLot(told) }).toEqual({ ...read, trouble: undefined, change: byLot(read) })
          const done = await again.commit([{ type: 'observation', lotId: 'lot-wild-0', what: 'note', text: 'and on' }], 'test')
          expect(done.outcome).not.toBe('failed')
        }),
        { numRuns: 10 * RUNS }
      )
    })

    it('is not believed for other entries or another build, and is put right where it is wrong', async () => {
      const looks = eager()
      const engine = new LedgerEngine(looks)
      await engine.open('own')
      await engine.commit([start, read('sg', 1.09)], 'test')
      await looks.stored
      const { db, look } = await rawMeta()
      const opensWith = async (changed: Partial<FirstLook>) => {
        await db.setMeta(FIRST_LOOK, { ...look, ...changed })
        const heard: Change[] = []
        const opening = new LedgerEngine(never())
        const { change } = await opening.open('own', (news) => heard.push(news))
        const believed = opening.isFirstLook
        await opening.whenLoaded()
        return { believed, name: change.lots[0]?.name, heard: heard.flatMap((news) => news.lots.map((lot) => lot.name)) }
      }
      const wrong = structuredClone(look.opened)
      wrong.change.lots[0]!.name = 'Another'
      expect(await opensWith({})).toEqual({ believed: true, name: 'Starter', heard: [] })
      expect(await opensWith({ opened: wrong })).toEqual({ believed: true, name: 'Another', heard: ['Starter'] })
      expect(await opensWith({ opened: wrong, code: 'another build' })).toMatchObject({ believed: false, name: 'Starter' })
      const ofOthers = markOf({ rows: 1, lastWrittenMs: 0 })
      expect(await opensWith({ opened: wrong, mark: ofOthers })).toMatchObject({ believed: false, name: 'Starter' })
    })
  })
})

/** Lots in no order. */
const byLot = ({ change }: Opened) => ({
  ...change,
  upkeep: new Map(change.upkeep.of),
  corrections: new Map(change.corrections),
  lots: new Map(change.lots.map((lot) => [lot.id, lot]))
})
