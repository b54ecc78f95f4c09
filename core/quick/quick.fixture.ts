import type { Entry } from '../ledger'

const [lotId, fromVesselId, toVesselId] = ['lot-quick-1', 'vessel-from', 'vessel-to']
const at = (hour: number) => {
  const instant = `2026-11-20T${String(hour).padStart(2, '0')}:00:00.000Z`
  return { device: 'd', at: instant, written: instant }
}

/** A young wine in one vessel, with an empty one beside it. */
export const example = {
  lotId,
  fromVesselId,
  toVesselId,
  entries: [
    { ...at(8), id: 'entry-q-1', type: 'vessel-added', vesselId: fromVesselId, name: 'Big pail', kind: 'bin', capacityL: 30 },
    { ...at(8), id: 'entry-q-2', type: 'vessel-added', vesselId: toVesselId, name: 'Glass 2', kind: 'demijohn', capacityL: 20 },
    {
      ...at(9),
      id: 'entry-q-3',
      type: 'lot-started',
      lotId,
      name: 'Quick red',
      stream: 'fresh',
      style: 'red',
      varieties: [],
      volumeL: 19,
      volumeIs: 'measured',
      vesselId: fromVesselId
    }
  ] as Entry[]
}
