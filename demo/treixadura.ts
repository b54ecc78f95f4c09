import { looks, measured, sulphited } from './looks'
import type { Ago } from './put'

/** A white that runs cool and slow, as it should; yesterday it smelt of rotten egg. */
export function treixadura(ago: Ago): void {
  const lotId = 'lot-treixadura'
  ago(290, {
    type: 'lot-started',
    lotId,
    name: 'Treixadura',
    stream: 'juice',
    style: 'white',
    varieties: [{ name: 'Treixadura', share: 1 }],
    origin: 'Pressed by the neighbours',
    volumeL: 25,
    volumeIs: 'measured',
    vesselId: 'vessel-steel-30'
  })
  measured(ago, 288, lotId, ['sg', '1.087', 14], 3.21, 7.6)
  sulphited(ago, 287, lotId, 1.3)
  ago(262, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Cool aromatic white yeast', cardKey: 'cool-white', grams: 7 })
  looks(ago, lotId, [
    [238, 1.086, 14],
    [214, 1.083, 15],
    [190, 1.077, 15],
    [166, 1.07, 15],
    [118, 1.055, 14],
    [94, 1.048, 14],
    [70, 1.041, 14],
    [46, 1.035, 14],
    [21, 1.029, 14]
  ])
  ago(236, { type: 'addition', lotId, material: 'complex-nutrient', unit: 'g', planned: 10, actual: 10 })
  ago(21, { type: 'observation', lotId, what: 'smell', text: 'A little rotten egg over the pears.', smells: ['fruit', 'rotten-egg'] })
}
