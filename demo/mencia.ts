import { looks } from './looks'
import type { Ago } from './put'

/** Much sugar, little food, and a heater that somebody switched off: it is about to stick. */
export function mencia(ago: Ago, vintage: number): void {
  const lotId = 'lot-mencia'
  ago(268, {
    type: 'lot-started',
    lotId,
    name: 'Mencía',
    stream: 'fresh',
    style: 'red',
    varieties: [{ name: 'Mencía', share: 1 }],
    vintage,
    origin: 'Bought by the crate',
    massKg: 52,
    volumeL: 34,
    volumeIs: 'measured',
    vesselId: 'vessel-oak-bin'
  })
  ago(266, { type: 'reading', lotId, quantity: 'brix', typed: '26.2', value: 26.2, sampleC: 18, instrumentId: 'inst-hydrometer' })
  ago(266, { type: 'reading', lotId, quantity: 'ph', typed: '3.58', value: 3.58, instrumentId: 'inst-ph-meter' })
  ago(266, { type: 'reading', lotId, quantity: 'ta', typed: '6.1', value: 6.1 })
  ago(265, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', planned: 1.9, actual: 1.9, so2Share: 0.576, purpose: 'first sulphite' })
  ago(244, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Fruity red and rosé yeast', cardKey: 'fruity-red', grams: 9 })
  for (const hours of [220, 196, 172, 148, 124, 100, 76, 52]) ago(hours, { type: 'operation', lotId, what: 'punch-down' })
  looks(ago, lotId, [
    [220, 1.106, 21],
    [196, 1.09, 24],
    [172, 1.071, 26],
    [148, 1.056, 26],
    [124, 1.044, 25],
    [100, 1.036, 24],
    [76, 1.03, 23],
    [52, 1.027, 22],
    [16, 1.026, 16]
  ])
}
