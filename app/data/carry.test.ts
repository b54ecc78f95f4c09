import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Draft, Fact } from '~~/core/ledger'
import { type Carried, carry, copiesToDrop, readCopy, waitingOf } from './carry'
import type { Folder } from './folder'
import { LedgerEngine } from './ledger-engine'
import { toCellarFile } from './to-cellar-file'

/** A folder in memory; a name in `torn` is half written by somebody else. */
function folder(torn = new Set<string>()): Folder & { files: Map<string, string> } {
  const files = new Map<string, string>()
  return {
    files,
    names: async () => [...files.keys()].sort(),
    read: async (name) => {
      const text = files.get(name)
      return text !== undefined && torn.has(name) ? text.slice(0, text.length / 2) : text
    },
    write: async (name, text) => void files.set(name, text),
    remove: async (name) => void files.delete(name)
  }
}
/** Each on a database of its own: on one they would be two tabs, which hear of each other by themselves. */
const engineOf = async (on: 'own' | 'demo' = 'own') => {
  const engine = new LedgerEngine()
  await engine.open(on)
  await engine.replaceAll([])
  return engine
}
const sync = (engine: LedgerEngine, to: Folder, device: string, day = '2026-11-30'): Promise<Carried> =>
  carry({
    folder: to,
    device,
    day,
    text: async () => JSON.stringify(toCellarFile('Mine', engine.allEntries(), '2026-11-30T10:00:00.000Z')),
    take: async (text, name) => {
      const read = engine.review(text, name)
      if (!read.ok) return { problem: read.problem.code }
      const waiting = waitingOf(read.reviewed.review.doubts)
      const done = await engine.takeReviewed(waiting)
      return { fresh: done.outcome === 'written' ? done.written.length : 0, waiting: waiting.length }
    }
  })
const lot = (n: number, name: string): Draft =>
  ({ type: 'lot-started', lotId: `lot-carry-${n}`, name, stream: 'juice', style: 'red', varieties: [], volumeL: 20, volumeIs: 'measured' })
const ids = (engine: LedgerEngine) => engine.allEntries().map((e) => e.id).sort()

describe('a cellar carried by a folder', () => {
  it('two devices end with the same entries, whoever begins, and what was there is not taken twice', async () => {
    const shared = folder()
    const [phone, laptop] = [await engineOf('own'), await engineOf('demo')]
    await phone.commit([lot(1, 'On the phone')], 'phone')
    await laptop.commit([lot(2, 'On the laptop')], 'laptop')
    await sync(phone, shared, 'phone')
    const first = await sync(laptop, shared, 'laptop')
    expect(first.came).toEqual([{ device: 'phone', fresh: 1 }])
    const back = await sync(phone, shared, 'phone')
    expect(back.came).toEqual([{ device: 'laptop', fresh: 1 }])
    expect(ids(phone)).toEqual(ids(laptop))
    expect((await sync(phone, shared, 'phone')).came).toEqual([])
  })
  it('corrections travel: struck on one device and renamed on the other at once, both end alike', async () => {
    const shared = folder()
    const [phone, laptop] = [await engineOf('own'), await engineOf('demo')]
    await phone.commit([lot(4, 'Twice named'), lot(5, 'A mistake')], 'phone')
    const both = async () => {
      for (const [engine, device] of [[phone, 'phone'], [laptop, 'laptop'], [phone, 'phone']] as const) await sync(engine, shared, device)
    }
    await both()
    const [named, mistake] = phone.allEntries() as [Fact, Fact]
    const rename = (name: string): Draft =>
      ({ type: 'correction', targetId: named.id, reason: 'Renamed', replacement: { ...named, name } as Fact })
    await phone.commit([rename('By the phone')], 'phone')
    await laptop.commit([rename('By the laptop')], 'laptop')
    await laptop.commit([{ type: 'correction', targetId: mistake.id, reason: 'Deleted by hand', replacement: null }], 'laptop')
    await both()
    expect(ids(phone)).toEqual(ids(laptop))
    const seen = async (engine: LedgerEngine) => (await engine.factsFrom(0)).map((f) => [f.original.id, f.fact, f.struck])
    expect(await seen(phone)).toEqual(await seen(laptop))
    expect(await seen(phone)).toContainEqual([mistake.id, expect.anything(), true])
  })
  it('what contradicts this cellar waits, and is told each time', async () => {
    const shared = folder()
    const [phone, laptop] = [await engineOf('own'), await engineOf('demo')]
    await phone.commit([lot(6, 'Begun here')], 'phone')
    await laptop.commit([lot(6, 'And begun there'), lot(7, 'Fine')], 'laptop')
    await sync(laptop, shared, 'laptop')
    for (const came of [[{ device: 'laptop', fresh: 1 }], []]) {
      const seen = await sync(phone, shared, 'phone')
      expect([seen.came, seen.waiting]).toEqual([came, [{ name: 'presk-carry-laptop.json', count: 1 }]])
    }
  })
  it('a file that another program is writing is said, left alone, and read the next time', async () => {
    const torn = new Set(['presk-carry-phone.json'])
    const shared = folder(torn)
    const [phone, laptop] = [await engineOf('own'), await engineOf('demo')]
    await phone.commit([lot(3, 'Half written')], 'phone')
    await sync(phone, shared, 'phone')
    const half = await sync(laptop, shared, 'laptop')
    expect(half.unread.map((u) => u.name)).toEqual(['presk-carry-phone.json'])
    expect(shared.files.has('presk-carry-phone.json')).toBe(true)
    torn.clear()
    expect((await sync(laptop, shared, 'laptop')).came).toEqual([{ device: 'phone', fresh: 1 }])
  })
  it('every copy that is kept restores the cellar of its day', async () => {
    const shared = folder()
    const engine = await engineOf()
    for (let day = 1; day <= 9; day++) {
      await engine.commit([lot(day + 10, `Day ${day}`)], 'phone')
      await sync(engine, shared, 'phone', `2026-11-0${day}`)
    }
    const { copies } = await sync(engine, shared, 'phone', '2026-11-09')
    expect(copies.length).toBeGreaterThanOrEqual(7)
    for (const day of copies) {
      const fresh = await engineOf()
      const read = fresh.review((await readCopy(shared, day))!, day)
      expect(read.ok).toBe(true)
      await fresh.takeReviewed()
      expect(fresh.allEntries()).toHaveLength(Number(day.slice(-2)))
    }
  })
})

describe('older copies are thinned', () => {
  const day = (back: number) => new Date(Date.UTC(2026, 10, 30) - back * 86_400_000).toISOString().slice(0, 10)
  it.each([
    ['a week of days stays', [0, 1, 2, 3, 4, 5, 6], []],
    ['of the second week one', [0, 8, 9, 10, 40], [day(9), day(10)]],
    ['nothing to drop of one', [300], []]
  ])('%s', (_name, backs, dropped) => expect(copiesToDrop(backs.map(day), day(0)).sort()).toEqual([...dropped].sort()))
  it('of any set the newest and the oldest stay, at most 26 in all, and thinning twice drops nothing more', () => {
    fc.assert(fc.property(fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 300 }), (backs) => {
      const all = [...new Set(backs)].map(day)
      const dropped = new Set(copiesToDrop(all, day(0)))
      const left = all.filter((d) => !dropped.has(d))
      expect(left).toContain([...all].sort()[0])
      expect(left).toContain([...all].sort().at(-1))
      expect(left.length).toBeLessThanOrEqual(26)
      expect(copiesToDrop(left, day(0))).toEqual([])
    }))
  })
})
