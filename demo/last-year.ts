import type { Draft, Fact, ReadingQuantity } from '../core/ledger'
import type { Put } from './put'

type Looks = readonly (readonly [day: number, sg: number])[]
/** What the three have in common: their start, their ferment, their figures. */
function started(
  put: Put,
  lotId: string,
  start: { name: string, style: 'red' | 'white', volumeL: number, vintage: number },
  looks: Looks
): void {
  const { name, ...rest } = start
  const day = looks[0]![0] + 3
  put(day, 10, {
    type: 'lot-started',
    lotId,
    name,
    stream: start.style === 'red' ? 'fresh' : 'juice',
    varieties: [{ name, share: 1 }],
    volumeIs: 'measured',
    ...rest
  })
  put(day - 1, 9, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Neutral high-tolerance yeast', grams: 7 })
  for (const [ago, sg] of looks)
    put(ago, 18, { type: 'reading', lotId, quantity: 'sg', typed: sg.toFixed(3), value: sg, instrumentId: 'inst-hydrometer' })
}
const read = (lotId: string, quantity: ReadingQuantity, typed: string): Draft<Fact> => ({
  type: 'reading',
  lotId,
  quantity,
  typed,
  value: Number(typed)
})
const sulphite = (lotId: string, actual: number): Draft<Fact> => ({
  type: 'addition',
  lotId,
  material: 'potassium-metabisulphite',
  unit: 'g',
  planned: actual,
  actual,
  so2Share: 0.576
})

/** A white of last year in its bottles: tasted twice, a few gone, what it cost written down. */
export function loureiro(put: Put, vintage: number): void {
  const lotId = 'lot-loureiro'
  started(put, lotId, { name: 'Loureiro', style: 'white', volumeL: 24, vintage }, [
    [418, 1.086],
    [414, 1.05],
    [408, 1.008],
    [402, 0.993],
    [397, 0.993]
  ])
  put(421, 11, { type: 'cost', lotId, what: 'fruit', amount: 54, note: '38 kg' })
  put(396, 10, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 24, inL: 22.6 })
  put(396, 11, sulphite(lotId, 2.2))
  put(320, 11, { type: 'addition', lotId, material: 'bentonite', unit: 'g', planned: 11, actual: 11 })
  put(300, 10, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 22.6, inL: 21.8 })
  // In the cold of January: what it did stands against what was foretold.
  put(299, 18, read(lotId, 'ph', '3.27'))
  put(299, 18, read(lotId, 'ta', '7.5'))
  put(298, 10, { type: 'operation', lotId, what: 'chill', note: 'on the north balcony' })
  put(275, 18, read(lotId, 'temperature', '-3'))
  for (const [quantity, typed] of [
    ['ph', '3.24'],
    ['ta', '6.9'],
    ['freeSo2', '34'],
    ['totalSo2', '92']
  ] as const)
    put(241, 18, read(lotId, quantity, typed))
  put(240, 11, { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count: 28 }], closure: 'cork', place: 'Rack by the door' })
  put(240, 12, { type: 'cost', lotId, what: 'bottles', amount: 21 })
  put(190, 20, { type: 'tasting', lotId, nose: 'closed, lemon peel', palate: 'sharp, thin yet', verdict: 'wait', rating: 5 })
  put(110, 20, { type: 'tasting', lotId, nose: 'bay leaf, white peach', palate: 'rounder, lively', verdict: 'opens up', rating: 7 })
  put(110, 21, { type: 'bottle-taken', lotId, sizeMl: 750, count: 4, what: 'drunk' })
  put(
    24,
    20,
    { type: 'tasting', lotId, nose: 'peach, wet stone', palate: 'long, fresh', verdict: 'best so far', rating: 8, faults: ['crystals'] }
  )
  put(24, 21, { type: 'bottle-taken', lotId, sizeMl: 750, count: 3, what: 'given', note: 'the neighbours' })
}

/** A white that ferments a second time, in bottles that hold it; nobody has opened one yet. */
export function macabeo(put: Put, vintage: number): void {
  const lotId = 'lot-macabeo'
  started(put, lotId, { name: 'Macabeo', style: 'white', volumeL: 12, vintage }, [
    [418, 1.078],
    [414, 1.04],
    [408, 1.004],
    [402, 0.992],
    [397, 0.992]
  ])
  put(396, 10, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 12, inL: 11 })
  put(396, 11, sulphite(lotId, 0.6))
  put(38, 9, { type: 'lot-planned', lotId, sparkling: true })
  for (const [quantity, typed] of [
    ['ph', '3.08'],
    ['ta', '7.6'],
    ['freeSo2', '7'],
    ['sugar', '0.8']
  ] as const)
    put(37, 18, read(lotId, quantity, typed))
  put(36, 10, { type: 'addition', lotId, material: 'sugar', unit: 'g', planned: 242, actual: 242, purpose: 'for pressure in the bottle' })
  put(36, 11, {
    type: 'bottling',
    lotId,
    bottles: [{ sizeMl: 750, count: 15, material: 'sparkling-bottle-750' }],
    closure: 'crown',
    place: 'Cold corner, in a closed box'
  })
}

/** A white that was sweetened after its ladder, and is held by sorbate with sulphite. */
export function moscatel(put: Put, vintage: number): void {
  const lotId = 'lot-moscatel'
  started(put, lotId, { name: 'Moscatel', style: 'white', volumeL: 14, vintage }, [
    [418, 1.09],
    [413, 1.052],
    [406, 1.012],
    [399, 0.994],
    [394, 0.994]
  ])
  put(393, 10, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 14, inL: 13.2 })
  put(393, 11, sulphite(lotId, 1.3))
  put(262, 9, { type: 'lot-planned', lotId, finish: 'sweet' })
  for (const [quantity, typed] of [
    ['ph', '3.36'],
    ['ta', '6.3'],
    ['freeSo2', '41'],
    ['totalSo2', '108']
  ] as const)
    put(262, 18, read(lotId, quantity, typed))
  put(261, 20, { type: 'observation', lotId, what: 'taste', text: 'Ladder: 18 g/L balances its acid, 25 is too much' })
  put(260, 10, { type: 'addition', lotId, material: 'sugar', unit: 'g', planned: 238, actual: 240, purpose: 'to 18 g/L, by taste' })
  put(
    260,
    10,
    { type: 'addition', lotId, material: 'potassium-sorbate', unit: 'g', planned: 2.7, actual: 2.7, purpose: 'to hold it sweet' }
  )
  put(259, 11, {
    type: 'bottling',
    lotId,
    bottles: [
      { sizeMl: 750, count: 16, material: 'bottle-750' },
      { sizeMl: 375, count: 3, material: 'bottle-375' }
    ],
    closure: 'screw',
    place: 'Rack by the door'
  })
  put(150, 20, { type: 'tasting', lotId, nose: 'orange blossom', palate: 'sweet, light', verdict: 'for dessert', rating: 7 })
  put(150, 21, { type: 'bottle-taken', lotId, sizeMl: 375, count: 1, what: 'drunk' })
  put(40, 20, { type: 'tasting', lotId, nose: 'muscat, honey', palate: 'rounder, fresh at the end', verdict: 'keep some', rating: 7 })
  put(40, 21, { type: 'bottle-taken', lotId, sizeMl: 750, count: 4, what: 'given', note: 'for the feast' })
}

interface Through {
  pressed: [outL: number, inL: number]
  /** L that arrive. */
  racked: number
  bacteriaG: number
  malic: string
  sulphiteG: number
}
/** A red through its malolactic: pressed, given bacteria, racked off them and sulphited. */
function throughMalolactic(
  put: Put,
  lotId: string,
  { pressed, racked, bacteriaG, malic, sulphiteG }: Through
): void {
  const [outL, inL] = pressed
  put(403, 10, { type: 'transfer', purpose: 'press', from: { lotId }, to: { lotId }, outL, inL })
  put(398, 10, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'Malolactic culture', grams: bacteriaG })
  put(340, 18, read(lotId, 'malic', malic))
  put(338, 10, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: inL, inL: racked })
  put(338, 11, sulphite(lotId, sulphiteG))
}

/** A few litres of a red that were grown for the blend, and went into it. */
export function graciano(put: Put, vintage: number): void {
  const lotId = 'lot-graciano'
  started(put, lotId, { name: 'Graciano', style: 'red', volumeL: 7, vintage }, [
    [416, 1.088],
    [412, 1.05],
    [408, 1.012],
    [403, 0.995],
    [398, 0.994]
  ])
  throughMalolactic(put, lotId, { pressed: [7, 5.6], racked: 5, bacteriaG: 0.1, malic: '0.06', sulphiteG: 0.4 })
  put(70, 18, read(lotId, 'ph', '3.44'))
  put(70, 18, read(lotId, 'ta', '6.6'))
  put(63, 10, {
    type: 'transfer',
    purpose: 'blend',
    from: { lotId },
    to: { lotId: 'lot-carignan' },
    outL: 5,
    inL: 4.8
  })
}

/** A red in an old barrel, blended before it went there, with staves for the wood that the barrel has no more. */
export function carignan(put: Put, vintage: number): void {
  const lotId = 'lot-carignan'
  const vesselId = 'vessel-old-oak'
  put(430, 9, { type: 'vessel-added', vesselId, name: 'Old oak', kind: 'barrel', capacityL: 30, material: 'oak', fillsBefore: 4 })
  started(put, lotId, { name: 'Carignan', style: 'red', volumeL: 29, vintage }, [
    [418, 1.091],
    [415, 1.06],
    [411, 1.014],
    [405, 0.995],
    [400, 0.994]
  ])
  throughMalolactic(put, lotId, { pressed: [29, 26.6], racked: 26, bacteriaG: 0.3, malic: '0.08', sulphiteG: 2 })
  put(70, 18, read(lotId, 'ph', '3.62'))
  put(70, 18, read(lotId, 'ta', '5.3'))
  put(64, 20, { type: 'observation', lotId, what: 'taste', text: 'In glasses, by letters: a sixth of Graciano, for its acid and colour' })
  put(62, 10, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId, vesselId }, outL: 30.8, inL: 29.8 })
  put(62, 11, sulphite(lotId, 3))
  for (const [quantity, typed] of [
    ['ph', '3.58'],
    ['ta', '5.6'],
    ['freeSo2', '46']
  ] as const)
    put(12, 18, read(lotId, quantity, typed))
  put(40, 11, { type: 'addition', lotId, material: 'oak-staves', unit: 'g', planned: 80, actual: 80 })
  put(16, 20, { type: 'observation', lotId, what: 'taste', text: 'a little toast, still green' })
}
