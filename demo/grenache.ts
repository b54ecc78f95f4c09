import type { Put } from './put'

/** Last season's second lot: through malolactic, twice racked, and low on sulphite. */
export function grenache(put: Put, vintage: number): void {
  const lotId = 'lot-grenache'
  put(96, 11, {
    type: 'lot-started',
    lotId,
    name: 'Grenache',
    stream: 'fresh',
    style: 'red',
    varieties: [{ name: 'Grenache', share: 1 }],
    vintage,
    origin: 'Lower terrace',
    massKg: 60,
    volumeL: 39,
    volumeIs: 'measured'
  })
  put(96, 12, { type: 'reading', lotId, quantity: 'brix', typed: '23.8', value: 23.8, sampleC: 19 })
  put(96, 12, { type: 'reading', lotId, quantity: 'ph', typed: '3.49', value: 3.49, instrumentId: 'inst-ph-meter' })
  put(96, 12, { type: 'reading', lotId, quantity: 'ta', typed: '6.4', value: 6.4 })
  put(96, 13, {
    type: 'addition',
    lotId,
    material: 'potassium-metabisulphite',
    unit: 'g',
    planned: 2.7,
    actual: 2.7,
    so2Share: 0.576,
    purpose: 'first sulphite'
  })
  put(95, 10, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Neutral high-tolerance yeast', grams: 10 })
  for (const [day, sg, celsius] of [
    [93, 1.078, 25],
    [92, 1.055, 27],
    [91, 1.034, 27],
    [90, 1.017, 26],
    [88, 1.001, 24],
    [86, 0.994, 22],
    [84, 0.993, 21]
  ] as const) {
    put(day, 18, {
      type: 'reading',
      lotId,
      quantity: 'sg',
      typed: sg.toFixed(3),
      value: sg,
      sampleC: celsius,
      instrumentId: 'inst-hydrometer'
    })
    put(day, 18, { type: 'reading', lotId, quantity: 'temperature', typed: String(celsius), value: celsius })
  }
  put(88, 19, { type: 'operation', lotId, what: 'punch-down', note: 'last one; the cap is sinking' })
  put(87, 11, { type: 'transfer', purpose: 'press', from: { lotId }, to: { lotId }, outL: 39, inL: 39 })
  put(83, 11, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId, vesselId: 'vessel-big-glass' }, outL: 34, inL: 33.4 })
  put(83, 11, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId, vesselId: 'vessel-small-glass' }, outL: 5, inL: 4.8 })
  put(83, 12, { type: 'reading', lotId, quantity: 'malic', typed: '1.9', value: 1.9 })
  put(83, 12, { type: 'reading', lotId, quantity: 'ph', typed: '3.52', value: 3.52, instrumentId: 'inst-ph-meter' })
  put(83, 12, { type: 'reading', lotId, quantity: 'ta', typed: '6.2', value: 6.2 })
  put(82, 12, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'Malolactic culture' })
  put(41, 17, { type: 'reading', lotId, quantity: 'malic', typed: '0.08', value: 0.08 })
  put(41, 17, { type: 'reading', lotId, quantity: 'ph', typed: '3.58', value: 3.58, instrumentId: 'inst-ph-meter' })
  put(41, 18, {
    type: 'addition',
    lotId,
    material: 'potassium-metabisulphite',
    unit: 'g',
    planned: 4,
    actual: 4.1,
    so2Share: 0.576,
    purpose: 'after malolactic'
  })
  put(12, 18, { type: 'reading', lotId, quantity: 'freeSo2', typed: '21', value: 21 })
  put(12, 18, { type: 'observation', lotId, what: 'taste', text: 'Round, a little thin in the middle. Clear against the torch.' })
}
