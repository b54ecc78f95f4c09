import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ACIDS, type AcidName } from '../../acids'
import { type CellarState, type Draft, type Entry, type Fact, type LotState, foldCellar } from '..'
import { entrySchema } from '../schema'
import { SOLUTES } from '.'

/** The law of the house: whatever is dissolved is conserved over any chain of water, rackings, losses, splits and blends. */
let count = 0
const lots = ['lot-liquid-a', 'lot-liquid-b', 'lot-liquid-c'] as const
const at = (hour: number) => new Date(Date.UTC(2026, 9, 1) + hour * 3_600_000).toISOString()
const entry = (hour: number, draft: Draft<Fact>): Entry =>
  entrySchema.parse({ id: `liquid-${String(++count).padStart(6, '0')}`, device: 'test', at: at(hour), written: at(hour), ...draft })

const KNOWN = { sg: 1.09, ph: 3.4, ta: 7, malic: 2.4, yan: 180, sugar: 3, freeSo2: 24, totalSo2: 60 } as const
function known(lotId: string, factor: number): Entry[] {
  const read = Object.entries(KNOWN).map(([quantity, value]) => {
    const scaled = quantity === 'sg' || quantity === 'ph' ? value : value * factor
    return entry(1, { type: 'reading', lotId, quantity: quantity as 'sg', typed: String(scaled), value: scaled })
  })
  return [
    entry(0, {
      type: 'lot-started',
      lotId,
      name: lotId,
      stream: 'juice',
      style: 'red',
      varieties: [],
      volumeL: 40 * factor,
      volumeIs: 'measured'
    }),
    ...read,
    entry(2, { type: 'addition', lotId, material: 'ammonium-phosphate', unit: 'g', actual: 8 * factor })
  ]
}

/** What the whole cellar holds of everything, mass. */
function held(cellar: CellarState): Record<string, number> {
  const sum: Record<string, number> = {}
  const note = (key: string, lot: LotState, perLitre: number | undefined) => {
    sum[key] = (sum[key] ?? 0) + (perLitre ?? Number.NaN) * lot.volume.value
  }
  for (const lot of cellar.lots.values()) {
    if (lot.volume.value <= 0.06) continue
    for (const solute of SOLUTES) note(solute.name, lot, solute.get(lot)?.value)
    note('extract', lot, lot.balance?.extractGPerL)
    note('alcohol', lot, lot.balance?.ethanolGPerL)
    for (const acid of Object.keys(ACIDS) as AcidName[]) note(`acid ${acid}`, lot, lot.acids?.composition.acids[acid])
    note('strong ions', lot, lot.acids?.composition.strongIon)
    note('ammonium phosphate', lot, (lot.added.get('ammonium-phosphate')?.actual ?? 0) / lot.volume.value)
  }
  return sum
}

type Step = { kind: 'water', lot: number, litres: number } | { kind: 'move', from: number, to: number, share: number, lost: number }
const steps = fc.array(
  fc.oneof(
    fc.record({ kind: fc.constant('water' as const), lot: fc.nat(2), litres: fc.double({ min: 0.1, max: 6, noNaN: true }) }),
    fc.record({
      kind: fc.constant('move' as const),
      from: fc.nat(2),
      to: fc.nat(2),
      share: fc.double({ min: 0.05, max: 1, noNaN: true }),
      lost: fc.double({ min: 0, max: 0.1, noNaN: true })
    })
  ),
  { minLength: 1, maxLength: 12 }
)

it('a sweet wine that comes into a dry one of which nobody tested the sugar is not forgotten', () => {
  const [a, b] = ['lot-sweet-a', 'lot-dry-b']
  const dry = (lotId: string): Entry[] => [
    entry(
      0,
      { type: 'lot-started', lotId, name: lotId, stream: 'juice', style: 'white', varieties: [], volumeL: 20, volumeIs: 'measured' }
    ),
    entry(1, { type: 'reading', lotId, quantity: 'sg', typed: '1.085', value: 1.085 }),
    entry(2, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
    ...[400, 500].map((hour) => entry(hour, { type: 'reading', lotId, quantity: 'sg', typed: '0.992', value: 0.992 }))
  ]
  const sweetened = entry(600, { type: 'addition', lotId: a, material: 'sugar', unit: 'g', actual: 800 })
  const blend = (outL: number) => entry(700, { type: 'transfer', purpose: 'blend', from: { lotId: a }, to: { lotId: b }, outL, inL: outL })
  const sugar = (...more: Entry[]) => foldCellar([...dry(a), ...dry(b), sweetened, ...more]).lots.get(b)!.others.sugar?.value
  expect(sugar()).toBeUndefined()
  // 39 g/L in the sweet one; a fifth of the blend is of it.
  expect(sugar(blend(5))).toBeCloseTo(7.8, 0)
})

describe('everything dissolved', () => {
  it('is conserved over any chain of water, rackings, splits and blends, and what the lees keep is missing by just its share', () => {
    fc.assert(
      fc.property(steps, (chain: Step[]) => {
        const entries = lots.flatMap((lot, i) => known(lot, 1 + i * 0.3))
        let cellar = foldCellar(entries)
        let expected = held(cellar)
        chain.forEach((step, i) => {
          const lotId = lots[step.kind === 'water' ? step.lot : step.from]!
          const volume = cellar.lots.get(lotId)!.volume.value
          if (volume < 0.5) return
          if (step.kind === 'water')
            entries.push(entry(10 + i, { type: 'addition', lotId, material: 'water', unit: 'L', actual: step.litres }))
          else {
            const part = Math.min(volume, Math.max(0.2, volume * step.share))
            // A last cupful counts as nothing, so it goes along.
            const outL = volume - part < 0.06 ? volume : part
            const lostL = outL * step.lost
            const from = cellar.lots.get(lotId)!
            const lostShare = held({ ...cellar, lots: new Map([[lotId, { ...from, volume: { ...from.volume, value: volume } }]]) })
            for (const key of Object.keys(expected)) expected = { ...expected, [key]: expected[key]! - (lostShare[key]! * lostL) / volume }
            entries.push(
              entry(10 + i, {
                type: 'transfer',
                purpose: 'rack',
                from: { lotId },
                to: { lotId: lots[step.to]! },
                outL,
                inL: outL - lostL
              })
            )
          }
          cellar = foldCellar(entries)
          expect(cellar.problems).toEqual([])
          const now = held(cellar)
          for (const key of Object.keys(expected))
            expect(Math.abs(now[key]! - expected[key]!), `${key} after step ${i} ${step.kind}`).toBeLessThan(
              1e-5 * Math.abs(expected[key]!) + 1e-9
            )
          expected = now
        })
      }),
      { numRuns: 60 }
    )
  })
  it('water thins the malic acid and nitrogen measured, and a blend knows its bacteria, yeast and nutrient', () => {
    const [a, b] = [lots[0], lots[1]]
    const entries = [
      ...known(a, 1),
      ...known(b, 1),
      entry(5, { type: 'inoculation', lotId: a, organism: 'bacteria', culture: 'B' }),
      entry(5, { type: 'inoculation', lotId: a, organism: 'yeast', culture: 'Y' })
    ]
    const thinned = foldCellar([...entries, entry(6, { type: 'addition', lotId: b, material: 'water', unit: 'L', actual: 10 })]).lots.get(
      b
    )!
    expect(thinned.others.malic!.value).toBeCloseTo(2.4 * 0.8, 9)
    expect(thinned.others.yan!.value).toBeCloseTo(180 * 0.8, 9)
    const blend = foldCellar([
      ...entries,
      entry(6, { type: 'transfer', purpose: 'blend', from: { lotId: a }, to: { lotId: b }, outL: 20, inL: 20 })
    ]).lots.get(b)!
    expect(blend.bacteriaAt).toBe(at(5))
    expect(blend.inoculatedAt).toBe(at(5))
    expect(blend.added.get('ammonium-phosphate')!.actual).toBeCloseTo(12, 9)
  })
  it('half of a lot that is racked off takes half of what went in along: the limits in a litre stay', () => {
    const entries = [
      ...known(lots[0], 1),
      entry(1, {
        type: 'lot-started',
        lotId: lots[1],
        name: 'half',
        stream: 'blend',
        style: 'red',
        varieties: [],
        volumeL: 0,
        volumeIs: 'measured'
      })
    ]
    const { lots: after } = foldCellar([
      ...entries,
      entry(6, { type: 'transfer', purpose: 'split', from: { lotId: lots[0] }, to: { lotId: lots[1] }, outL: 20, inL: 19 })
    ])
    const perLitre = (id: string) => after.get(id)!.added.get('ammonium-phosphate')!.actual / after.get(id)!.volume.value
    expect(perLitre(lots[0])).toBeCloseTo(0.2, 9)
    expect(perLitre(lots[1])).toBeCloseTo(0.2, 9)
  })
})
