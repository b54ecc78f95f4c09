import { looks, measured, sulphited } from './looks'
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
  measured(ago, 266, lotId, ['brix', '26.2', 18], 3.58, 6.1)
  sulphited(ago, 265, lotId, 1.9)
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
