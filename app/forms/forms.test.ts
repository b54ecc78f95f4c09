import { describe, expect, it } from 'vitest'
import { type Entry, type Fact, foldCellar, lotAt } from '~~/core/ledger'
import { COMMON, EXAMPLES } from '~~/core/ledger/entries/examples.fixture'
import { entrySchema } from '~~/core/ledger/schema'
import { cardOf, cardsOf } from '~~/core/materials'
import { FORMS, formOf } from '.'
import { type FormContext, isProblem } from './spec'

const TYPES = Object.keys(FORMS) as Fact['type'][]
const example = (type: Fact['type']) => ({ ...COMMON, type, ...EXAMPLES[type] }) as unknown as Entry & Fact
const cellar = foldCellar(
  ['vessel-added', 'instrument-added', 'lot-started', 'block-added', 'supply-stocked'].map((type, i) => ({
    ...example(type as Fact['type']),
    id: `entry-known-${i}`
  }))
)
const context: FormContext = {
  lot: lotAt(cellar.lots.get('lot-schema-1')!, COMMON.at),
  cellar,
  materials: (...kinds) => cardsOf(kinds).map((card) => ({ value: card.key, label: card.key })),
  card: (key) => cardOf(key),
  volume: (litres) => `${litres} L`,
  powder: (grams) => `${grams} g`,
  own: (text) => text,
  volumeUnit: 'L',
  massUnit: 'kg',
  temperatureUnit: '°C',
  sugarUnit: 'SG',
  pressureUnit: 'bar'
}

describe('a form for every kind of entry', () => {
  it.each(TYPES)('%s: what is opened to be put right and not changed comes out the same', (type) => {
    const { id, device, written, at, ...said } = example(type)
    const form = formOf(type)
    const values = form.from(example(type) as never, context)
    const made = form.draft(values, context, example(type) as never)
    expect(isProblem(made) ? made : { ...made, at: undefined }).toEqual({ ...said, at: undefined })
    expect(entrySchema.safeParse({ id, device, written, at, ...made }).success).toBe(true)
  })
  it.each(TYPES)('%s: every field that it shows has a name of its own, and what is chosen is among the choices', (type) => {
    const form = formOf(type)
    for (const values of [form.blank(context), form.from(example(type) as never, context)]) {
      const fields = form.fields(values, context)
      expect(new Set(fields.map((field) => field.key)).size).toBe(fields.length)
      expect(fields.every((field) => field.label.length > 1)).toBe(true)
      for (const field of fields) {
        if (field.as === 'choice' && values[field.key] !== undefined && values[field.key] !== '') {
          expect(
            field.items.map((item) => item.value),
            field.key
          ).toContain(values[field.key])
        }
      }
    }
  })
  it.each(TYPES)('%s: an empty one is refused by a field of it or by its schema, or makes what a ledger may hold', (type) => {
    const form = formOf(type)
    const made = form.draft(form.blank(context), context)
    const shown = form.fields(form.blank(context), context).map((field) => field.key)
    if (isProblem(made)) expect(shown).toContain(made.field)
    else {
      const parsed = entrySchema.safeParse({ ...COMMON, ...made })
      const [first] = parsed.success ? [] : parsed.error.issues
      expect(first === undefined || first.path.length > 0).toBe(true)
    }
  })
})

describe('forms that make more than one thing, or read a scale', () => {
  const vessels = (values: Record<string, unknown>) =>
    FORMS['vessel-added'].draft({ ...FORMS['vessel-added'].blank(context), capacityL: 5, ...values } as never, context)
  it('a dozen jugs are a dozen entries with names and ids of their own', () => {
    const made = vessels({ name: 'Jug', count: 12 })
    expect(Array.isArray(made) && new Set(made.map((d) => d.name)).size).toBe(12)
    expect(Array.isArray(made) && new Set(made.map((d) => d.vesselId)).size).toBe(12)
  })
  it.each([
    [{ name: '', count: 1 }, 'name'],
    [{ name: 'Jug', count: 2.5 }, 'count'],
    [{ name: 'Jug', capacityL: undefined }, 'capacityL']
  ])('%j is refused at %s', (values, field) => expect(vessels(values)).toMatchObject({ field }))
  it('only wood is asked how often it was filled, and nobody twice how many there are', () => {
    const keys = (kind: string, before?: never) => FORMS['vessel-added'].fields({ kind }, context, before).map((f) => f.key)
    expect(keys('barrel')).toContain('fillsBefore')
    expect(keys('pail')).not.toContain('fillsBefore')
    expect(keys('pail', example('vessel-added') as never)).not.toContain('count')
  })
  it.each([
    [{ what: 'smell', smell: 'vinegar' }, { smells: ['vinegar'] }],
    [{ what: 'gas', gas: 'puff' }, { gas: 'puff' }],
    [{ what: 'heat-test', stable: false }, { stable: false }],
    [{ what: 'clarity', clarity: 'clear' }, { clarity: 'clear' }],
    [{ what: 'chromatogram', malic: 'none', lactic: 'clear' }, { spots: { malic: 'none', lactic: 'clear' } }]
  ])('%j has its words where none were written', (values, said) => {
    const made = FORMS.observation.draft(values as never, context)
    expect(made).toMatchObject(said)
    expect((made as { text: string }).text.length).toBeGreaterThan(3)
  })
  it('several smells that were tapped stay when only the words are put right', () => {
    const before = { ...example('observation'), what: 'smell', smells: ['bread', 'vinegar'], text: 'x' } as never
    const values = { ...FORMS.observation.from(before, context), text: 'a little of both' }
    expect(FORMS.observation.draft(values, context, before)).toMatchObject({ smells: ['bread', 'vinegar'], text: 'a little of both' })
  })
  it.each([
    // What a red has by habit is not planned for a white, nor for a kit; what was chosen stays.
    ['style', 'white', { malolactic: 'none', cold: true, oak: true }, { oak: true }],
    ['stream', 'kit', { malolactic: 'none', yeast: 'sprinkle', oak: true }, { oak: true }],
    ['name', 'Soft', { malolactic: 'after-pressing', oak: true }, { oak: true }]
  ] as const)('a plan whose %s becomes %s', (key, value, follows, plan) => {
    const form = FORMS['plan-kept']
    const before = { ...form.blank(context), name: 'Plain', oak: true }
    const values = { ...before, ...form.follows!(before, key, value), [key]: value }
    expect(values).toMatchObject(follows)
    expect(form.draft(values, context)).toMatchObject({ type: 'plan-kept', [key]: value, plan })
    expect((form.draft(values, context) as { plan: object }).plan).toEqual(plan)
  })
  it('what a kind of wine has no choice of is not planned, whatever it was before', () => {
    const form = FORMS['plan-kept']
    const values = { ...form.blank(context), name: 'Kit', stream: 'kit', malolactic: 'with-yeast', press: 'early' }
    expect(form.fields(values, context).map((f) => f.key)).not.toContain('malolactic')
    expect((form.draft(values, context) as { plan: object }).plan).not.toHaveProperty('malolactic')
  })
})
