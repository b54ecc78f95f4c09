import type { Put } from './put'

const VESSELS = [
  ['vessel-blue-bin', 'Blue bin', 'bin', 150, 'plastic'],
  ['vessel-steel-50', 'Steel 50', 'tank', 50, 'steel'],
  ['vessel-white-pail', 'White pail', 'pail', 30, 'plastic'],
  ['vessel-grey-bin', 'Grey bin', 'bin', 90, 'plastic'],
  ['vessel-oak-bin', 'Low bin', 'bin', 60, 'plastic'],
  ['vessel-steel-30', 'Steel 30', 'tank', 30, 'steel'],
  ['vessel-big-glass', 'Big glass', 'demijohn', 34, 'glass'],
  ['vessel-small-glass', 'Gallon glass', 'demijohn', 5, 'glass'],
  ['vessel-spare-glass', 'Spare glass', 'demijohn', 23, 'glass'],
  ['vessel-old-glass', 'Old glass', 'demijohn', 27, 'glass'],
  ['vessel-steel-25', 'Steel 25', 'tank', 25, 'steel'],
  ['vessel-jug', 'Jug', 'demijohn', 3, 'glass'],
  ['vessel-green-glass', 'Green glass', 'demijohn', 23, 'glass'],
  ['vessel-ten', 'Ten', 'demijohn', 10, 'glass'],
  ['vessel-little-oak', 'Little oak', 'barrel', 20, 'oak']
] as const

/** Vessels and instruments of the Larkrise cellar. */
export function equipment(put: Put): void {
  for (const [vesselId, name, kind, capacityL, material] of VESSELS) {
    const wood = kind === 'barrel' && { fillsBefore: 0 }
    put(110, 9, { type: 'vessel-added', vesselId, name, kind, capacityL, material, ...wood })
  }
  put(110, 10, {
    type: 'instrument-added',
    instrumentId: 'inst-hydrometer',
    name: 'Long hydrometer',
    kind: 'hydrometer',
    calibrationC: 20,
    step: 0.001
  })
  put(110, 10, {
    type: 'instrument-added',
    instrumentId: 'inst-refractometer',
    name: 'Pocket refractometer',
    kind: 'refractometer',
    step: 0.2
  })
  put(110, 10, { type: 'instrument-added', instrumentId: 'inst-ph-meter', name: 'Pocket pH meter', kind: 'ph-meter', step: 0.01 })
  put(1, 8, { type: 'instrument-checked', instrumentId: 'inst-ph-meter', offset: 0.02, adjusted: true })
}
