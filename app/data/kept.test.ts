import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { MOST_CELLARS, addCellar, otherCellars, renameCellar } from './cellars'
import { openCellar, thisDevice } from './device'
import { type PracticeSeason, keepPractised, keepSeason, keptSeason, practised } from './practice-season'

/** What a device remembers beside the ledger: whole, damaged by somebody else's hand, or refused by the browser. */
const shelf = new Map<string, string>()
let refuses = false
beforeEach(() => {
  shelf.clear()
  refuses = false
  const guard = () => {
    if (refuses) throw new DOMException('refused', 'SecurityError')
  }
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => (guard(), shelf.get(key) ?? null),
    setItem: (key: string, value: string) => (guard(), void shelf.set(key, value)),
    removeItem: (key: string) => (guard(), void shelf.delete(key))
  })
})
afterEach(() => vi.unstubAllGlobals())

const season: PracticeSeason = {
  scenario: 'first-kit', seed: 7, start: '2026-09-20T08:00:00.000Z', at: '2026-10-02T09:00:00.000Z', seen: ['2026-09-25T10:00:00.000Z']
}
/** What may lie under a key that this version did not write. */
const DAMAGED = [
  '', '{', 'null', '7', '"x"', '[]', '{}', '[null, 3, {}]', '{"a":null}', '{"scenario":"kit","seed":1.5}', '{"__proto__":[1]}'
]

describe('a season of Practice that is kept', () => {
  it('comes back as it was, and is gone once it is given up', () => {
    keepSeason(season)
    expect(keptSeason()).toEqual(season)
    keepSeason(undefined)
    expect(keptSeason()).toBeUndefined()
  })
  it.each([
    ['no scenario', { scenario: undefined }], ['half a seed', { seed: 1.5 }], ['a seed in words', { seed: 'seven' }],
    ['a start that is no instant', { start: 'last autumn' }], ['no clock', { at: undefined }]
  ])('is none with %s', (_, wrong) => {
    shelf.set('presk.practice', JSON.stringify({ ...season, ...wrong }))
    expect(keptSeason()).toBeUndefined()
  })
  it('kept by a version that knew of no mishaps, has seen none', () => {
    shelf.set('presk.practice', JSON.stringify({ ...season, seen: undefined }))
    expect(keptSeason()?.seen).toEqual([])
  })
})

describe('what was practised', () => {
  it('adds up by exercise, newest last, and the oldest make room', () => {
    for (let i = 0; i < 25; i++) keepPractised('meter', { off: i, right: i % 2 === 0 })
    const all = keepPractised('nose', { right: true })
    expect(all.nose).toEqual([{ right: true }])
    expect(all.meter!.map((p) => p.off)).toEqual(Array.from({ length: 20 }, (_, i) => i + 5))
    expect(practised()).toEqual(all)
  })
  it('keeps what is whole of a damaged record', () => {
    shelf.set('presk.practised', JSON.stringify({ meter: [{ right: true }, null, { right: 'yes' }], nose: 'often' }))
    expect(practised()).toEqual({ meter: [{ right: true }] })
  })
})

describe('cellars beside the first', () => {
  it('get a database each, a name that only they have, and another name where asked', () => {
    const made = addCellar('  Uncle’s barn ')!
    expect(made).toEqual({ id: expect.stringMatching(/^own-[a-z0-9]{8}$/), name: 'Uncle’s barn' })
    expect(addCellar('UNCLE’S BARN')).toBeUndefined()
    expect(addCellar('   ')).toBeUndefined()
    expect(renameCellar(made.id, '')).toBe(false)
    expect(renameCellar(made.id, 'Barn')).toBe(true)
    expect(otherCellars()).toEqual([{ ...made, name: 'Barn' }])
    openCellar.set(made.id)
    expect(openCellar.get()).toBe(made.id)
  })
  it('are no more than the page can list', () => {
    const made = Array.from({ length: MOST_CELLARS + 2 }, (_, i) => addCellar(`Cellar ${i}`))
    expect(made.filter(Boolean)).toHaveLength(MOST_CELLARS)
    expect(new Set(otherCellars().map((c) => c.id)).size).toBe(MOST_CELLARS)
  })
  it.each(['own-../etc', 'demo', 'own-AB', 'x', ''])('none opens under “%s”', (id) => {
    shelf.set('presk.cellars', JSON.stringify([{ id, name: 'Odd' }]))
    shelf.set('presk.cellar', id)
    expect(otherCellars()).toEqual([])
    expect(openCellar.get()).toBe(id === 'demo' ? 'demo' : 'own')
  })
})

describe('this device', () => {
  it('has one name for good, and one for all where nothing is kept', () => {
    const name = thisDevice()
    expect(name).toMatch(/^device-/)
    expect(thisDevice()).toBe(name)
    refuses = true
    expect(thisDevice()).toBe('private-window')
  })
})

it.each(['presk.practice', 'presk.practised', 'presk.cellars', 'presk.cellar'])('damage under %s stops nothing', (key) => {
  for (const text of DAMAGED) {
    shelf.set(key, text)
    expect(keptSeason(), text).toBeUndefined()
    expect(Object.values(practised()).flat(), text).toEqual([])
    expect(otherCellars(), text).toEqual([])
    expect(openCellar.get(), text).toBe('own')
  }
})
it('a browser that refuses to keep anything stops nothing', () => {
  refuses = true
  keepSeason(season)
  keepSeason(undefined)
  openCellar.set('demo')
  expect([keptSeason(), practised(), otherCellars(), openCellar.get()]).toEqual([undefined, {}, [], 'own'])
  expect(keepPractised('nose', { right: false })).toEqual({ nose: [{ right: false }] })
  expect(addCellar('Barn')).toBeUndefined()
})
