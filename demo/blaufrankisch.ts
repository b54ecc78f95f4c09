import { looks, measured, sulphited } from './looks'
import type { Ago } from './put'

/** Frozen must on its skins, in the middle of its ferment: fed once, its cap worked, a third gone. */
export function blaufrankisch(ago: Ago): void {
  const lotId = 'lot-blaufrankisch'
  ago(150, {
    type: 'lot-started',
    lotId,
    name: 'Blaufränkisch',
    stream: 'frozen',
    style: 'red',
    varieties: [{ name: 'Blaufränkisch', share: 1 }],
    origin: 'Three pails from the freezer',
    onSkins: true,
    volumeL: 62,
    volumeIs: 'measured',
    vesselId: 'vessel-grey-bin'
  })
  ago(149, { type: 'operation', lotId, what: 'thaw' })
  measured(ago, 104, lotId, ['brix', '23.4', 15], 3.46, 6.9)
  ago(104, { type: 'reading', lotId, quantity: 'yan', typed: '128', value: 128 })
  sulphited(ago, 103, lotId, 3)
  ago(84, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Structured red yeast', cardKey: 'structured-red', grams: 16 })
  ago(60, { type: 'addition', lotId, material: 'complex-nutrient', unit: 'g', planned: 26, actual: 25 })
  for (const hours of [62, 50, 38, 26, 14]) ago(hours, { type: 'operation', lotId, what: 'punch-down' })
  looks(ago, lotId, [
    [62, 1.092, 22],
    [38, 1.072, 26],
    [14, 1.045, 28]
  ])
  ago(14, { type: 'observation', lotId, what: 'smell', text: 'Cherries, bread.', smells: ['bread', 'fruit'] })
}
