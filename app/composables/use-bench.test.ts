import { describe, expect, it } from 'vitest'
import { type ShallowRef, nextTick, shallowRef } from 'vue'
import { BENCH_FORMS } from '~/benches'
import type { BenchForm } from '~/benches/spec'
import { BENCHES } from '~~/core/benches/all'
import type { Draft, Fact, LotView } from '~~/core/ledger'
import { daysAgo, dryWine, house, juice, onPage, read, vessel } from './fixtures/house'

const { useBench } = await import('./useBench')

/** A must at work and two dry wines that differ in every figure. */
const CELLAR: Draft<Fact>[] = [
  ...vessel('glass-of-25', 25),
  ...vessel('glass-of-12', 12),
  ...dryWine('lot-albarino', 24, 'glass-of-25', { style: 'white', ph: 3.23, ta: 7.4, freeSo2: 31 }),
  ...dryWine('lot-grenache', 12, 'glass-of-12', { ph: 3.61, ta: 5.9, freeSo2: 14 }),
  juice('lot-must', 3, 40, { style: 'rose' }),
  read('lot-must', 3, 'sg', 1.087),
  read('lot-must', 1, 'temperature', 23.4),
  { type: 'operation', at: daysAgo(1), lotId: 'lot-grenache', what: 'cool' } as Draft<Fact>
]
const LOTS = ['lot-albarino', 'lot-grenache', 'lot-must']
/** A number that nobody's wine has, within every limit that a field here has. */
const ODD = '6.789'

type Form = BenchForm<string, object, unknown>
const open = (form: Form, lot: ShallowRef<LotView | undefined>) => onPage(() => useBench(form, lot))
type Open = ReturnType<typeof open>
const shown = ({ fields, choices }: Open) => ({
  ...choices,
  ...Object.fromEntries(fields.value.flatMap(({ spec, field }) => (field ? [[spec.key, `${field.text} ${field.unit}`]] : [])))
})
/** All that is of the lot and not of the house. */
const ofLot = ({ fields }: Open) => fields.value.flatMap(({ spec, field }) => (field && !spec.stays ? [field] : []))
const typeAll = (bench: Open) => ofLot(bench).forEach((field) => (field.text = ODD))

/** Where an answer holds what is no number. */
function notNumbers(x: unknown, path = ''): string[] {
  if (typeof x === 'number') return Number.isNaN(x) ? [path] : []
  if (typeof x !== 'object' || x === null) return []
  return Object.entries(x).flatMap(([key, inside]) => notNumbers(inside, `${path}.${key}`))
}

it('every bench has its form, and every form its bench', () => {
  expect(new Set(BENCH_FORMS.map((form) => form.bench))).toEqual(new Set(Object.values(BENCHES)))
})

describe.each(BENCH_FORMS.map((form) => [form.code, form as unknown as Form] as const))('the bench “%s”', (_, form) => {
  it('shows of each lot what a bench opened for that lot alone shows, whatever was typed and chosen about another', async () => {
    const cellar = await house(CELLAR)
    /** In turn each thing that can be chosen, and what it asks for then. */
    const each = async (bench: Open, look: () => void) => {
      for (const { spec } of bench.fields.value) {
        if (spec.as !== 'tiles') continue
        const before = (bench.choices as Record<string, string>)[spec.key]!
        for (const { value } of spec.items) {
          bench.set(spec.key, value)
          await nextTick()
          look()
        }
        bench.set(spec.key, before)
        await nextTick()
      }
    }
    const alone = async (id: string) => {
      const bench = open(form, shallowRef(cellar.lotOf(id)))
      const seen = [shown(bench)]
      await each(bench, () => seen.push(shown(bench)))
      return seen
    }
    const expected = [await alone(LOTS[1]!), await alone(LOTS[2]!)]
    const lot = shallowRef(cellar.lotOf(LOTS[0]!))
    const bench = open(form, lot)
    typeAll(bench)
    await each(bench, () => typeAll(bench))
    for (const i of [0, 1]) {
      lot.value = cellar.lotOf(LOTS[i + 1]!)
      await nextTick()
      const seen = [shown(bench)]
      await each(bench, () => seen.push(shown(bench)))
      expect(seen).toEqual(expected[i])
    }
  })
  it('what was typed about a lot is there after a reload, and on the way back to it', async () => {
    const cellar = await house(CELLAR)
    const lot = shallowRef(cellar.lotOf(LOTS[0]!))
    const bench = open(form, lot)
    typeAll(bench)
    await nextTick()
    const typed = shown(bench)
    expect(shown(open(form, shallowRef(cellar.lotOf(LOTS[0]!))))).toEqual(typed)
    lot.value = cellar.lotOf(LOTS[1]!)
    await nextTick()
    lot.value = cellar.lotOf(LOTS[0]!)
    await nextTick()
    expect(shown(bench)).toEqual(typed)
  })
  it('what was measured since is not covered by what was typed before', async () => {
    const cellar = await house(CELLAR)
    const bench = open(form, shallowRef(cellar.lotOf('lot-albarino')))
    const phOf = (of: Open) => of.fields.value.find(({ spec }) => spec.key === 'ph')?.field
    if (!phOf(bench)) return
    phOf(bench)!.text = '3.9'
    await nextTick()
    expect(phOf(open(form, shallowRef(cellar.lotOf('lot-albarino'))))!.value).toBe(3.9)
    await cellar.log([read('lot-albarino', 0, 'ph', 3.31)])
    expect(phOf(open(form, shallowRef(cellar.lotOf('lot-albarino'))))!.value).toBe(3.31)
  })
  it('reckons with all digits that are known, until something is typed over what is shown of them', async () => {
    const cellar = await house([...CELLAR, read('lot-albarino', 0, 'ph', 3.2468)])
    const bench = open(form, shallowRef(cellar.lotOf('lot-albarino')))
    const ph = bench.fields.value.find(({ spec }) => spec.key === 'ph')?.field
    if (!ph) return
    const { spec } = bench.fields.value.find((x) => x.spec.key === 'ph')!
    expect([ph.text, ph.value, bench.hintOf(spec)]).toEqual(['3.25', 3.2468, 'measured'])
    ph.text = '3.25 '
    expect(ph.value).toBe(3.2468)
    ph.text = '3.3'
    expect([ph.value, bench.hintOf(spec)]).toEqual([3.3, 'instead of 3.25'])
  })
  it('what is wrong at a field is in no figure of the answer, and nothing is written', async () => {
    const cellar = await house(CELLAR)
    const bench = open(form, shallowRef(cellar.lotOf(LOTS[0]!)))
    for (const { spec, field } of bench.fields.value) {
      if (!field) continue
      const before = field.text
      field.text = 'most'
      expect(notNumbers(bench.answer.value), spec.key).toEqual([])
      expect(await bench.log(spec.part)).toBe(false)
      expect([field.text, field.message === undefined]).toEqual(['most', false])
      field.text = before
    }
  })
  it('works without a lot, and shows nothing that is not in its limits', async () => {
    await house(CELLAR)
    const bench = open(form, shallowRef(undefined))
    for (const { field } of bench.fields.value) if (field && !field.empty) expect(field.value).toBeDefined()
    expect(() => bench.answer.value).not.toThrow()
    expect(await bench.log()).toBe(false)
  })
  it('has a name for each field, and no two fields with one key', () => {
    const { fields } = onPage(() => useBench(form, shallowRef(undefined)))
    const keys = fields.value.map(({ spec }) => spec.key)
    expect(new Set(keys).size).toBe(keys.length)
    expect(fields.value.every(({ spec }) => spec.label.length > 1)).toBe(true)
  })
})
