import type { Put } from './put'

/** Two blocks before their harvest. */
export function blocks(put: Put): void {
  const hillside = 'block-hillside'
  put(20, 9, { type: 'block-added', blockId: hillside, name: 'Hillside rows, Graciano', style: 'red', variety: 'Graciano', expectKg: 64 })
  for (const [day, brix, ph, ta, taste] of [
    [13, 18.4, 3.46, 9.8, 'Green seeds, skins thin'],
    [9, 19.3, 3.55, 8.9, 'Plums at last; seeds still green'],
    [5, 20.2, 3.63, 8.2, 'Skins give colour'],
    [1, 20.9, 3.71, 7.6, 'Seeds brown at the tips']
  ] as const) {
    put(day, 8, { type: 'block-sampled', blockId: hillside, berries: 50, brix, ph, ta, taste })
  }
  put(1, 18, { type: 'block-noted', blockId: hillside, about: 'weather', leans: 'pick', text: 'Rain is forecast for the end of the week' })
  put(3, 18, { type: 'block-noted', blockId: hillside, about: 'hands', leans: 'wait', text: 'Four pickers on Saturday, nobody before' })
  const orchard = 'block-orchard'
  put(12, 9, { type: 'block-added', blockId: orchard, name: 'Orchard edge, Godello', style: 'white', variety: 'Godello', expectKg: 40 })
  put(6, 8, { type: 'block-sampled', blockId: orchard, berries: 45, brix: 18.6, ph: 3.12, ta: 10.4 })
  put(2, 8, { type: 'block-sampled', blockId: orchard, berries: 50, brix: 19.5, ph: 3.17, ta: 9.6, taste: 'Grapefruit' })
}
