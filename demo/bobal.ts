import type { Put } from './put'

/** A red of early autumn, pressed and dry, in which bacteria work: a number, then a paper, and it is due for another look. */
export function bobal(put: Put, vintage: number): void {
  const lotId = 'lot-bobal'
  put(58, 10, {
    type: 'lot-started',
    lotId,
    name: 'Bobal',
    stream: 'fresh',
    style: 'red',
    varieties: [{ name: 'Bobal', share: 1 }],
    vintage,
    origin: 'Old bush vines',
    massKg: 44,
    volumeL: 29,
    volumeIs: 'measured'
  })
  for (const [quantity, typed] of [
    ['brix', '22.6'],
    ['ph', '3.38'],
    ['ta', '6.9']
  ] as const)
    put(58, 11, { type: 'reading', lotId, quantity, typed, value: Number(typed) })
  put(58, 12, {
    type: 'addition',
    lotId,
    material: 'potassium-metabisulphite',
    unit: 'g',
    planned: 1.5,
    actual: 1.5,
    so2Share: 0.576,
    purpose: 'first sulphite'
  })
  put(57, 9, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Robust red yeast', grams: 8 })
  for (const [day, sg] of [
    [55, 1.079],
    [53, 1.041],
    [51, 1.014],
    [48, 0.997],
    [45, 0.995]
  ] as const)
    put(day, 18, { type: 'reading', lotId, quantity: 'sg', typed: sg.toFixed(3), value: sg, instrumentId: 'inst-hydrometer' })
  put(45, 11, { type: 'transfer', purpose: 'press', from: { lotId }, to: { lotId, vesselId: 'vessel-old-glass' }, outL: 29, inL: 25.5 })
  put(43, 18, { type: 'reading', lotId, quantity: 'malic', typed: '2.1', value: 2.1 })
  put(43, 18, { type: 'reading', lotId, quantity: 'ph', typed: '3.44', value: 3.44, instrumentId: 'inst-ph-meter' })
  put(43, 18, { type: 'reading', lotId, quantity: 'ta', typed: '6.6', value: 6.6 })
  put(42, 10, {
    type: 'transfer',
    purpose: 'rack',
    from: { lotId, vesselId: 'vessel-old-glass' },
    to: { lotId, vesselId: 'vessel-steel-25' },
    outL: 25.5,
    inL: 24.4
  })
  put(42, 11, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'Malolactic culture', grams: 0.3 })
  put(28, 18, { type: 'reading', lotId, quantity: 'malic', typed: '1.7', value: 1.7 })
  put(18, 18, { type: 'reading', lotId, quantity: 'malic', typed: '0.9', value: 0.9 })
  put(18, 18, { type: 'reading', lotId, quantity: 'temperature', typed: '19', value: 19 })
  put(8, 18, {
    type: 'observation',
    lotId,
    what: 'chromatogram',
    text: 'malic spot weak, lactic strong',
    spots: { malic: 'faint', lactic: 'faint' }
  })
  put(8, 18, { type: 'observation', lotId, what: 'clarity', text: 'Hazy: the torch has a halo', clarity: 'hazy' })
}
