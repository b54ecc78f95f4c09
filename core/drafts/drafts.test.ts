import { describe, expect, it } from 'vitest'
import { type Draft, type Entry, type Fact, foldCellar, isFermenting } from '../ledger'
import { entrySchema } from '../ledger/schema'
import { addition, correction, fact, inoculation, ladle, reading, titration, transfer } from '.'

const lotId = 'lot-draft-1'
const written = { id: 'draft-00001', device: 'test', at: '2026-10-01T08:00:00.000Z', written: '2026-10-01T08:00:00.000Z' }
const valid = (draft: object) => entrySchema.parse({ ...written, ...draft })

describe('the makers of entries', () => {
  it.each([
    [
      'a gravity with its sample',
      reading({ lotId, quantity: 'sg', typed: ' 1.092 ', value: 1.092, sampleC: 18, calibrationC: 20 }),
      { typed: '1.092', sampleC: 18, calibrationC: 20 }
    ],
    [
      'a pH has no sample temperature',
      reading({ lotId, quantity: 'ph', typed: '3.5', value: 3.5, sampleC: 18, calibrationC: 20 }),
      { value: 3.5 }
    ],
    [
      'a titration',
      titration(lotId, { sampleMl: 15, titrantMl: 6, normality: 0.2 }),
      { quantity: 'ta', typed: '6 mL', value: expect.closeTo(6.003, 3) }
    ],
    [
      'acid goes in by weight',
      addition({ lotId, material: 'tartaric', planned: 38.12345, actual: 38 }),
      { unit: 'g', planned: 38.12, actual: 38 }
    ],
    ['the finder’s sucrose is the ledger’s sugar', addition({ lotId, material: 'sucrose', actual: 500 }), { material: 'sugar', unit: 'g' }],
    ['water in litres', addition({ lotId, material: 'water', actual: 2.5 }), { unit: 'L' }],
    ['sulphite brings its SO₂', addition({ lotId, material: 'sodium-metabisulphite', actual: 2 }), { so2Share: expect.closeTo(0.674, 3) }],
    // 10 g in 100 mL: 1.5 g are 15 mL, and each mL brings a tenth of 0.576 g.
    [
      'sulphite by its stock solution',
      addition({ lotId, material: 'potassium-metabisulphite', planned: 1.5, actual: 15, byStock: true }),
      { material: 'sulphite-stock', unit: 'mL', planned: 15, actual: 15, so2Share: expect.closeTo(0.0576, 4) }
    ],
    [
      'another powder by its stock solution is logged in grams',
      addition({ lotId, material: 'citric', planned: 1.5, actual: 15, byStock: true }),
      { material: 'citric', unit: 'g', planned: 1.5, actual: 1.5 }
    ],
    ['yeast', inoculation({ lotId, organism: 'yeast', culture: ' Neutral ', grams: 19 }), { culture: 'Neutral', grams: 19 }],
    [
      'a racking with its lees',
      transfer({ from: { lotId, vesselId: 'vessel-0001' }, to: { lotId, vesselId: 'vessel-0002' }, outL: 20, leesL: 0.8 }),
      { purpose: 'rack', inL: 19.2 }
    ],
    [
      'into another lot it is a blend',
      transfer({ from: { lotId, vesselId: undefined }, to: { lotId: 'lot-draft-2' }, outL: 5 }),
      { purpose: 'blend', from: { lotId }, inL: 5 }
    ],
    ['an observation', fact('observation', { lotId, what: 'smell', text: 'bread', photo: undefined }), { text: 'bread' }],
    ['a correction', correction('draft-00000', null, ' misread '), { reason: 'misread', replacement: null }]
  ])('%s', (_name, draft, wanted) => {
    const entry = valid(draft)
    expect(entry).toMatchObject(wanted)
    expect(Object.values(entry)).not.toContain(undefined)
  })
  it('what is not said is not there', () => {
    expect(Object.keys(reading({ lotId, quantity: 'ph', typed: '3.5', value: 3.5, instrumentId: '', at: undefined })).sort()).toEqual([
      'lotId',
      'quantity',
      'type',
      'typed',
      'value'
    ])
  })
  it('a jug of working must: what was poured leaves its lot, and the other ferments from then on', () => {
    let hour = 0
    const entry = (draft: Draft<Fact>): Entry => {
      const at = new Date(Date.UTC(2026, 9, 1, hour++)).toISOString()
      return entrySchema.parse({ ...written, id: `draft-1${hour}`.padEnd(12, '0'), at, written: at, ...draft })
    }
    const start = (of: string) =>
      entry(fact('lot-started', {
        lotId: of, name: of, stream: 'fresh', style: 'red', varieties: [], volumeL: 50, volumeIs: 'measured',
        vintage: undefined, origin: undefined, massKg: undefined, onSkins: undefined,
        vesselId: undefined, kit: undefined, arrivalId: undefined
      }))
    const [first, next] = ['lot-draft-a', 'lot-draft-b']
    const before = [
      start(first), start(next),
      entry(reading({ lotId: first, quantity: 'sg', typed: 'sg', value: 1.09 })),
      entry(reading({ lotId: next, quantity: 'sg', typed: 'sg', value: 1.095 })),
      entry(inoculation({ lotId: first, organism: 'yeast', culture: 'Y' })),
      entry(reading({ lotId: first, quantity: 'sg', typed: 'sg', value: 1.04 }))
    ]
    const { lots } = foldCellar(before)
    const after = foldCellar([...before, ...ladle(lots.get(first)!, lots.get(next)!, 2.5).map(entry)])
    expect(after.problems).toEqual([])
    const [poured, got] = [after.lots.get(first)!, after.lots.get(next)!]
    expect([poured.volume.value, got.volume.value]).toEqual([47.5, 52.5])
    expect([poured, got].map((l) => isFermenting(l))).toEqual([true, true])
    // By the sugar of both, less what has become alcohol: 50 L at 1.095 and 2.5 L at 1.040.
    expect(got.sg!.value).toBeCloseTo((50 * 1.095 + 2.5 * 1.04) / 52.5, 3)
    // It begins when the jug went in, not when that ferment began.
    expect(got.inoculatedAt! > poured.inoculatedAt!).toBe(true)
    expect(poured.rackings).toEqual([])
  })
})
