import { sulphited } from './looks'
import type { Ago } from './put'

/** Two pails of frozen juice, thawed, sulphited and settling. */
export function albarino(ago: Ago): void {
  const lotId = 'lot-albarino'
  ago(31, {
    type: 'lot-started',
    lotId,
    name: 'Albariño',
    stream: 'frozen',
    style: 'white',
    varieties: [{ name: 'Albariño', share: 1 }],
    origin: 'Two pails from the freezer',
    volumeL: 40,
    volumeIs: 'measured',
    vesselId: 'vessel-steel-50'
  })
  ago(30.5, { type: 'operation', lotId, what: 'thaw' })
  ago(3.6, { type: 'reading', lotId, quantity: 'sg', typed: '1.089', value: 1.089, sampleC: 8, instrumentId: 'inst-hydrometer' })
  ago(3.5, { type: 'reading', lotId, quantity: 'ph', typed: '3.18', value: 3.18, instrumentId: 'inst-ph-meter' })
  ago(3.4, { type: 'reading', lotId, quantity: 'ta', typed: '8.4', value: 8.4 })
  sulphited(ago, 3, lotId, 2.0, 2.1, 'while thawing')
  ago(2.5, { type: 'operation', lotId, what: 'settle' })
}
