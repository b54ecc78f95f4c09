import fc from 'fast-check'
import { z } from 'zod'
import { type Draft, type Entry, type Fact, checkAgainst } from '../../core/ledger'
import { entrySchema, factSchema } from '../../core/ledger/schema'
import { MATERIAL_KEYS } from '../../core/materials'
import { QUANTITIES, type QuantityName } from '../../core/quantities'
import { type JsonSchema, arbitraryOf } from './arbitrary-of'

/**
 * Histories of whatever the schemas accept: every kind of entry with every field, in odd orders, sizes and times. What people would not
 * write, files can hold.
 */
const pool = (name: string, count: number) => fc.nat(count - 1).map((n) => `${name}-wild-${n}`)
const LOTS = 3
const IDS = {
  lotId: pool('lot', LOTS),
  vesselId: pool('vessel', 4),
  instrumentId: pool('instrument', 4),
  cardId: pool('card', 3),
  blockId: pool('block', 2),
  supplyId: pool('supply', 3),
  arrivalId: pool('arrival', 2),
  leesOf: pool('lot', LOTS),
  cardKey: pool('card', 3)
}
const NAMES_OF_OBJECTS = ['constructor', '__proto__', 'toString', 'hasOwnProperty', '<img src=x onerror=alert(1)>'] as const
const material = fc.oneof(
  { weight: 8, arbitrary: fc.constantFrom(...MATERIAL_KEYS) },
  { weight: 1, arbitrary: fc.constantFrom(...NAMES_OF_OBJECTS) },
  { weight: 2, arbitrary: pool('card', 3) }
)
const [HOUR, DAY] = [3_600_000, 86_400_000]
const FROM = Date.UTC(2026, 8, 1)
const START = '2026-08-30T08:00:00.000Z'
/** Instants when no wine was made, and some that are to come. */
const ODD = [-2_208_988_800_000, 0, Date.UTC(2001, 0, 1), Date.UTC(2010, 5, 1), Date.UTC(2038, 0, 19), Date.UTC(2040, 1, 29)]
/** Most within a year and a half of the start. */
const when = fc
  .oneof(
    { weight: 12, arbitrary: fc.integer({ min: -20, max: 500 }).map((days) => FROM + days * DAY) },
    { weight: 6, arbitrary: fc.integer({ min: 0, max: 60 * 24 }).map((hours) => FROM + hours * HOUR) },
    { weight: 1, arbitrary: fc.constantFrom(...ODD) }
  )
  .map((ms) => new Date(ms).toISOString())

/** A value that a reading of its quantity may have: often what wines have, sometimes the ends. */
const reading = fc.constantFrom(...(Object.keys(QUANTITIES) as QuantityName[])).chain((quantity) => {
  const { min, max, likelyMin, likelyMax } = QUANTITIES[quantity]
  const value = fc.oneof(
    { weight: 6, arbitrary: fc.double({ min: likelyMin, max: likelyMax, noNaN: true }) },
    { weight: 1, arbitrary: fc.constantFrom(min, max) },
    { weight: 1, arbitrary: fc.double({ min, max, noNaN: true }) }
  )
  return fc.record({ quantity: fc.constant(quantity), value })
})

/** How often each kind comes: histories without readings and additions try nothing. */
const WEIGHT: Partial<Record<Fact['type'], number>> = {
  'reading': 14,
  'addition': 8,
  'transfer': 7,
  'inoculation': 3,
  'observation': 4,
  'operation': 4,
  'bottling': 3,
  'instrument-checked': 3,
  'lot-amended': 2,
  'lot-planned': 2
}

const facts = (z.toJSONSchema(factSchema, { io: 'input' }).oneOf as JsonSchema[]).map((schema) => {
  const type = schema.properties!.type!.const as Fact['type']
  const made = arbitraryOf(schema, (field) => {
    if (field === 'at' || field === 'written' || field === 'until') return when
    if (field === 'material' || field === 'closureMaterial' || field === 'task') return material
    if (field === 'photo') return fc.constant('data:image/jpeg;base64,AAAA')
    return Object.hasOwn(IDS, field) ? IDS[field as keyof typeof IDS] : undefined
  })
  const fact = type === 'reading' ? fc.tuple(made, reading).map(([own, read]) => Object.assign({}, own, read)) : made
  return { weight: WEIGHT[type] ?? 1, arbitrary: fact as fc.Arbitrary<Fact> }
})
const anyFact = fc.oneof(...facts)

const begun = fc.record({
  volumeL: fc.constantFrom(0, 0.3, 1, 5, 23, 220, 90_000),
  stream: fc.constantFrom('fresh', 'frozen', 'juice', 'kit', 'test', 'blend'),
  style: fc.constantFrom('red', 'rose', 'white')
})
/** Lots that begin as lots do, so that what follows meets something. */
const starts = fc.array(begun, { minLength: 1, maxLength: LOTS }).map((lots) =>
  lots.map((lot, n) => {
    const about = { type: 'lot-started', lotId: `lot-wild-${n}`, name: `Wild ${n}`, varieties: [], at: START }
    return { ...about, volumeIs: n % 2 ? 'expected' : 'measured', ...lot } as Draft<Fact>
  })
)
const INSTRUMENTS = ['refractometer', 'hydrometer', 'ph-meter', 'thermometer']
const things = fc.constant([
  ...INSTRUMENTS.map((kind, n) => ({ type: 'instrument-added', instrumentId: `instrument-wild-${n}`, name: kind, kind, at: START })),
  ...[0.5, 5, 25, 225].map((capacityL, n) => {
    const kind = n === 3 ? 'barrel' : 'demijohn'
    return { type: 'vessel-added', vesselId: `vessel-wild-${n}`, name: `V${n}`, kind, capacityL, at: START }
  })
] as Draft<Fact>[])

/** Instrument checks as the form writes them: an offset that follows from what was known and shown. */
const checked = fc
  .record({
    instrumentId: IDS.instrumentId,
    known: fc.constantFrom(0, 1, 4.01, 7, 20),
    off: fc.double({ min: -2, max: 2, noNaN: true }),
    adjusted: fc.boolean(),
    at: when
  })
  .map(({ known, off, ...more }): Draft<Fact> => {
    const standard = { known, shown: known + off }
    return { type: 'instrument-checked', ...checkAgainst([standard]), standards: [standard], ...more }
  })

const correction = fc.record({ target: fc.nat(), replacement: fc.option(anyFact, { nil: null, freq: 2 }), at: when })

/** Entries of a wild cellar, each of which the schema accepts. */
export const wildCellar = (maxLength = 40): fc.Arbitrary<Entry[]> =>
  fc
    .tuple(
      things,
      starts,
      fc.array(fc.oneof({ weight: 9, arbitrary: anyFact }, { weight: 1, arbitrary: checked }), { maxLength, size: 'max' }),
      fc.array(correction, { maxLength: 3 })
    )
    .map(([given, lots, happened, corrections]) => {
      const id = (kind: string, n: number) => `${kind}-wild-${String(n).padStart(5, '0')}`
      const made = [...given, ...lots, ...happened].map((fact, n) => ({ device: 'wild', written: fact.at, ...fact, id: id('entry', n) }))
      const struck = corrections.map(({ target, replacement, at }, n) => {
        const about = { id: id('correction', n), device: 'wild', at, written: at, type: 'correction', reason: '' }
        return { ...about, targetId: made[target % made.length]!.id, replacement }
      })
      return [...made, ...struck].flatMap((entry) => {
        const parsed = entrySchema.safeParse(entry)
        return parsed.success ? [parsed.data] : []
      })
    })
