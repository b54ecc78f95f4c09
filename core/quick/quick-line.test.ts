import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foldCellar, lotAt } from '../ledger'
import { type MaterialCard, MATERIALS } from '../materials'
import { example } from './quick.fixture'
import { type QuickContext, quickDrafts, readQuickLine } from '.'
import { instantOf, whenSaid } from './when'

// Wednesday, 25 November 2026, half past two, wherever the test is run.
const now = new Date(2026, 10, 25, 14, 30)
const own = { key: 'own-neutral', kind: 'yeast', name: 'Cellar neutral', unit: 'g', aliases: [] } as unknown as MaterialCard
const context: QuickContext = {
  lots: [
    { id: 'lot-t', name: 'Tempranillo' },
    { id: 'lot-a', name: 'Albariño' },
    { id: 'lot-b', name: 'Barbera kit' },
    { id: 'lot-g1', name: 'Grenache' },
    { id: 'lot-g2', name: 'Grenache' }
  ],
  vessels: [
    { id: 'v-c3', name: 'C3', lotId: 'lot-b' },
    { id: 'v-g1', name: 'Big pail', lotId: 'lot-g1' },
    { id: 'v-g2', name: 'Small pail', lotId: 'lot-g2' },
    { id: 'v-new', name: 'Glass 2' }
  ],
  instruments: [
    { id: 'i-h', name: 'Long hydrometer', kind: 'hydrometer' },
    { id: 'i-r', name: 'Pocket prism', kind: 'refractometer' }
  ],
  cards: new Map([['own-neutral', own]]),
  temperature: '°C',
  gallon: 'US',
  salt: 'potassium-metabisulphite',
  now
}
const read = (line: string, more: Partial<QuickContext> = {}) => readQuickLine(line, { ...context, ...more })
const local = (iso: string | undefined) => iso && new Date(iso).toLocaleString('sv-SE').slice(0, 16)

describe('what is counted instead of weighed', () => {
  // A level teaspoon of potassium metabisulphite is about 5.6 g, of tartaric acid 5 g: from memory, as on the cards.
  it.each([
    ['¼ tsp sulphite in tempranillo', 'potassium-metabisulphite', 5.6 / 4],
    ['1/4 tsp sulphite in tempranillo', 'potassium-metabisulphite', 5.6 / 4],
    ['1 1/2 teaspoons of tartaric in tempranillo', 'tartaric', 1.5 * MATERIALS.tartaric.spoonG!],
    ['2½ tbsp tartaric in tempranillo', 'tartaric', 7.5 * MATERIALS.tartaric.spoonG!],
    ['2 tablets in tempranillo', 'potassium-metabisulphite', 0.88],
    ['2 tablets of sulphite in tempranillo', 'potassium-metabisulphite', 0.88]
  ] as const)('“%s”', (line, key, amount) => {
    const { additions, unclear } = read(line)
    expect(unclear).toEqual([])
    expect(additions).toMatchObject([{ material: key }])
    expect(additions[0]!.amount).toBeCloseTo(amount, 6)
  })
  it.each([
    ['2/3 packet yeast in tempranillo', 10 / 3],
    ['half a packet of cellar neutral in tempranillo', 2.5],
    ['pitched 2 packets tempranillo', 10]
  ] as const)('“%s”', (line, grams) => {
    const { pitched, unclear } = read(line)
    expect([pitched.length, unclear]).toEqual([1, []])
    expect(pitched[0]!.grams).toBeCloseTo(grams, 6)
  })
  it('a spoon that was weighed here counts before the usual one; of a packet of anything else nobody knows the grams', () => {
    expect(read('1 tsp sulphite tempranillo', { spoons: { 'potassium-metabisulphite': 6.1 } }).additions[0]!.amount).toBeCloseTo(6.1, 9)
    expect(read('1 packet of bentonite tempranillo')).toMatchObject({ additions: [], unclear: ['1 packet bentonite'] })
  })
  it('what looks like a fraction and is a date stays a date', () =>
    expect(local(read('3/11 tempranillo 1.012').at)).toBe('2026-11-03 12:00'))
})

describe('a line for two lots', () => {
  it.each([
    ['¼ tsp sulphite in albariño, half a packet of yeast in tempranillo', ['lot-a'], 'Tempranillo'],
    ['2 g sulphite in tempranillo and barbera kit', ['lot-t'], 'Barbera kit'],
    ['tempranillo 1.012 smells of albariño', ['lot-t'], undefined],
    ['2 g sulphite in tempranillo', ['lot-t'], undefined]
  ] as const)('“%s”', (line, lotIds, second) => {
    expect(read(line)).toMatchObject({ lotIds })
    expect(read(line).secondLot).toBe(second)
  })
})

describe('which lot', () => {
  it.each([
    ['tempranillo 1.012', ['lot-t']],
    ['c3 1.012', ['lot-b']],
    ['albarino 1.012', ['lot-a']],
    ['temp 75f', ['lot-t']],
    ['grenache 1.012', ['lot-g1', 'lot-g2']],
    ['grenache small pail 1.012', ['lot-g2']],
    ['grenache in big pail 1.012', ['lot-g1']],
    ['small pail 1.012', ['lot-g2']],
    ['2 g sulphite in tempranillo', ['lot-t']],
    ['yesterday barbera kit 1.012', ['lot-b']],
    ['merlot 1.012', []]
  ])('%s', (line, lotIds) => expect(read(line).lotIds).toEqual(lotIds))
})

describe('readings', () => {
  it.each([
    ['tempranillo 12.4 brix 26C smells fine', { brix: 12.4, temperature: 26 }],
    ['c3 1.012 24.5', { sg: 1.012, temperature: 24.5 }],
    ['albarino ph 3,18 ta 8.4 g/l', { ph: 3.18, ta: 8.4 }],
    ['barbera kit 1012 free 28 mg/l', { sg: 1.012, freeSo2: 28 }],
    ['tempranillo ta 0.62 %', { ta: 6.2 }],
    ['tempranillo 75f', { temperature: 23.9 }],
    ['tempranillo temp 24 f', { temperature: -4.44 }],
    ['tempranillo volume 5 gal malic 0.4', { volume: 18.93, malic: 0.4 }]
  ])('%s', (line, wanted) => {
    const found = read(line)
    expect(
      Object.fromEntries(found.readings.map((r) => [r.quantity, Number(r.value.toPrecision(r.quantity === 'volume' ? 4 : 3))]))
    ).toEqual(Object.fromEntries(Object.entries(wanted).map(([q, v]) => [q, Number(v.toPrecision(q === 'volume' ? 4 : 3))])))
    expect([found.unclear, found.unknown]).toEqual([[], []])
  })
  it('a word behind a temperature is its unit only where it is one', () => {
    expect(read('tempranillo temp 24 stiff')).toMatchObject({ readings: [{ value: 24 }], unknown: ['stiff'] })
    expect(read('tempranillo temp 72 basic', { temperature: '°F' }).readings[0]!.value).toBeCloseTo(22.22, 2)
    expect(read('tempranillo 1.012 72', { temperature: '°F' }).readings[1]!.value).toBeCloseTo(22.22, 2)
  })
  it('the instrument that is named, by its name or its kind', () => {
    expect(read('tempranillo 1.012 with long hydrometer')).toMatchObject({ instrumentId: 'i-h', unknown: [] })
    expect(read('tempranillo refractometer 12.4 brix')).toMatchObject({ instrumentId: 'i-r', readings: [{ quantity: 'brix' }] })
    expect(read('tempranillo 3.4 meter').unclear).toEqual(['3.4', 'meter'])
  })
})

describe('what went in', () => {
  it.each([
    ['tempranillo 6.2 g tartaric', [['tartaric', 6.2]]],
    ['tempranillo 2 g of sulphite', [['potassium-metabisulphite', 2]]],
    ['tempranillo sulphited 2g', [['potassium-metabisulphite', 2]]],
    ['tempranillo sodium metabisulphite 1,5 g', [['sodium-metabisulphite', 1.5]]],
    ['tempranillo 15 ml sulphite stock', [['potassium-metabisulphite', 15]]],
    [
      'tempranillo 2 l water and 10 g nutrient',
      [
        ['water', 2],
        ['complex-nutrient', 10]
      ]
    ],
    ['tempranillo 1 lb sugar', [['sugar', 453.59]]]
  ] as const)('%s', (line, wanted) => {
    const found = read(line)
    expect(found.additions.map((a) => [a.material, Number(a.amount.toFixed(2))])).toEqual(wanted.map(([m, n]) => [m, n]))
    expect([found.unclear, found.unknown]).toEqual([[], []])
  })
  it.each([
    ['tempranillo yeast in', { organism: 'yeast', culture: 'yeast' }],
    ['tempranillo pitched 8 g cellar neutral', { organism: 'yeast', culture: 'Cellar neutral', cardKey: 'own-neutral', grams: 8 }],
    ['tempranillo 8 g yeast', { organism: 'yeast', culture: 'yeast', grams: 8 }],
    ['tempranillo malolactic started', { organism: 'bacteria', culture: 'bacteria' }]
  ])('%s', (line, wanted) => expect(read(line).pitched).toEqual([wanted]))
})

describe('work, moves and what is not understood', () => {
  it.each([
    [
      'tempranillo punched down 6.2 g tartaric smells of plum',
      { operations: ['punch-down'], observations: [{ what: 'smell', text: 'of plum' }] }
    ],
    ['albarino settling 1.2 g enzyme', { operations: ['settle'], additions: [{ material: 'pectic-enzyme', amount: 1.2 }] }],
    ['tempranillo malolactic done', { operations: ['malolactic-over'] }],
    ['tempranillo racked to glass 2 18 L leaving 0.5 L', { move: { purpose: 'rack', toVesselId: 'v-new', litres: 18, leesL: 0.5 } }],
    ['tempranillo pressed 12 l into glass 2', { move: { purpose: 'press', toVesselId: 'v-new', litres: 12 } }],
    ['tempranillo 42', { unclear: ['42'] }],
    ['tempranillo sulphite', { unclear: ['sulphite'] }],
    ['tempranillo 2 ml tartaric', { unclear: ['2 ml tartaric'] }],
    ['tempranillo 18 L', { unclear: ['18 l'] }],
    ['tempranillo 1.012 wobbled Gently', { readings: [{ quantity: 'sg' }], unknown: ['wobbled', 'Gently'] }]
  ])('%s', (line, wanted) => expect(read(line)).toMatchObject({ lotIds: [expect.any(String)], ...wanted }))
  it('whatever stands in whatever order: no word is dropped, none is read twice', () => {
    const known = [
      '1.012',
      '24c',
      'ph 3.4',
      '2 g tartaric',
      'sulphite 1.5 g',
      '15 ml sulphite stock',
      'stirred',
      'yesterday',
      '8:30',
      'yeast in',
      '3 L water'
    ]
    const strange = ['blorp', 'xyzzy', 'fnord', '42']
    fc.assert(
      fc.property(fc.shuffledSubarray([...known, ...strange], { minLength: 1 }), (parts) => {
        const found = read(`tempranillo ${parts.join(' ')}`)
        expect(found.lotIds).toEqual(['lot-t'])
        for (const word of strange) {
          const kept = [...found.unknown, ...found.unclear.flatMap((u) => u.split(' ')), ...found.readings.map((r) => r.typed)]
          expect(kept.filter((k) => k === word).length, word).toBe(parts.includes(word) ? 1 : 0)
        }
        const said = (part: string) => parts.includes(part)
        expect(found.additions.length).toBe(['2 g tartaric', 'sulphite 1.5 g', '15 ml sulphite stock', '3 L water'].filter(said).length)
        expect([found.operations.length, found.pitched.length]).toEqual([Number(said('stirred')), Number(said('yeast in'))])
      }),
      { numRuns: 500 }
    )
  })
})

describe('when it was', () => {
  it.each([
    ['yesterday', '2026-11-24 12:00'],
    ['yesterday 8:15', '2026-11-24 08:15'],
    ['2 days ago', '2026-11-23 12:00'],
    ['monday', '2026-11-23 12:00'],
    ['wed 8pm', '2026-11-18 20:00'],
    ['24 nov', '2026-11-24 12:00'],
    ['nov 24', '2026-11-24 12:00'],
    ['24/11', '2026-11-24 12:00'],
    ['24.11.', '2026-11-24 12:00'],
    ['24.11.25', '2025-11-24 12:00'],
    ['24 dec', '2025-12-24 12:00'],
    ['2026-11-02', '2026-11-02 12:00'],
    ['8:30', '2026-11-25 08:30'],
    ['today', '2026-11-25 14:30']
  ])('%s', (said, wanted) => {
    const found = read(`tempranillo ${said} 1.012`)
    expect([local(found.at), found.readings.length, found.unknown, found.unclear]).toEqual([wanted, 1, [], []])
  })
  it('what is no day stays what it is', () => {
    expect(whenSaid(['30', 'feb'], now)).toBeUndefined()
    expect(whenSaid(['25:10'], now)).toBeUndefined()
    expect(read('tempranillo 24.11 brix').readings).toMatchObject([{ value: 24.11 }])
    expect(instantOf({}, now)).toBeUndefined()
  })
})

describe('what is logged', () => {
  const { entries, lotId, toVesselId, fromVesselId } = example
  const cellar = foldCellar(entries)
  const lot = lotAt(cellar.lots.get(lotId)!, '2026-11-25T12:00:00.000Z')
  const logged = (line: string) =>
    quickDrafts(
      read(`${lot.name} ${line}`, {
        lots: [{ id: lotId, name: lot.name }],
        vessels: [...cellar.vessels.values()],
        instruments: [...cellar.instruments.values()]
      }),
      lot,
      cellar
    )
  it('a gravity has its sample’s temperature; unknown words become a note', () =>
    expect(logged('1.012 24 wobbled').drafts).toMatchObject([
      { type: 'reading', quantity: 'sg', value: 1.012, sampleC: 24 },
      { type: 'reading', quantity: 'temperature' },
      { type: 'observation', what: 'note', text: 'wobbled' }
    ]))
  it('a move goes from the one vessel the lot is in, or says what it wants', () => {
    expect(logged('racked to glass 2 18 L leaving 0.5 L')).toMatchObject({
      drafts: [{ type: 'transfer', purpose: 'rack', from: { vesselId: fromVesselId }, to: { vesselId: toVesselId }, outL: 18.5, inL: 18 }]
    })
    expect(logged('racked')).toEqual({ drafts: [], moveWants: 'vessel' })
    expect(logged('racked to glass 2')).toEqual({ drafts: [], moveWants: 'litres' })
  })
})
