import type { Put } from './put'

/** A white that rests since autumn: its free SO₂ was read month by month, and it is low again. A little air over it. */
export function godello(put: Put, vintage: number): void {
  const lotId = 'lot-godello'
  put(104, 10, {
    type: 'lot-started',
    lotId,
    name: 'Godello',
    stream: 'juice',
    style: 'white',
    varieties: [{ name: 'Godello', share: 1 }],
    vintage,
    volumeL: 24,
    volumeIs: 'measured'
  })
  for (const [quantity, typed] of [['brix', '21.4'], ['ph', '3.22'], ['ta', '7.1']] as const)
    put(104, 11, { type: 'reading', lotId, quantity, typed, value: Number(typed) })
  put(103, 9, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Cool aromatic white yeast', grams: 7 })
  for (const [day, sg] of [
    [99, 1.07],
    [95, 1.044],
    [91, 1.016],
    [86, 0.994],
    [82, 0.993]
  ] as const)
    put(day, 18, { type: 'reading', lotId, quantity: 'sg', typed: sg.toFixed(3), value: sg, instrumentId: 'inst-hydrometer' })
  put(80, 10, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId, vesselId: 'vessel-green-glass' }, outL: 24, inL: 22.4 })
  put(80, 11, { type: 'reading', lotId, quantity: 'ph', typed: '3.27', value: 3.27, instrumentId: 'inst-ph-meter' })
  put(80, 11, { type: 'reading', lotId, quantity: 'freeSo2', typed: '3', value: 3 })
  const sulphite = (day: number, actual: number) =>
    put(day, 12, {
      type: 'addition',
      lotId,
      material: 'potassium-metabisulphite',
      unit: 'g',
      planned: actual,
      actual,
      so2Share: 0.576,
      purpose: 'for 0.8 mg/L molecular'
    })
  sulphite(80, 1.6)
  put(72, 18, { type: 'reading', lotId, quantity: 'freeSo2', typed: '29', value: 29 })
  put(45, 18, { type: 'reading', lotId, quantity: 'freeSo2', typed: '22', value: 22 })
  sulphite(45, 0.5)
  put(37, 18, { type: 'reading', lotId, quantity: 'freeSo2', typed: '30', value: 30 })
  put(9, 18, { type: 'reading', lotId, quantity: 'freeSo2', typed: '23', value: 23 })
  put(9, 18, { type: 'observation', lotId, what: 'clarity', text: 'Nearly clear: a thin veil', clarity: 'nearly-clear' })
  put(1, 19, { type: 'operation', lotId, what: 'cold-test', protocol: 'cold-3d' })
  put(60, 20, { type: 'observation', lotId, what: 'next-time', text: 'Pick three days sooner: it wants more acid. Press slower.' })
}
