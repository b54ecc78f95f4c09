import type { CellarState } from '../state'
import { afterWood } from '../wood'

/**
 * The cellar at an instant: vessels of wood hold less by what they drank since something was last written of their lots.
 * @param now ISO UTC
 * @returns the same cellar where nothing stands in wood
 */
export function cellarAt(cellar: CellarState, now: string): CellarState {
  const vessels = new Map(cellar.vessels)
  let changed = false
  for (const lot of cellar.lots.values()) {
    const after = afterWood(lot, now)
    if (!after) continue
    changed = true
    for (const vesselId of lot.inWood!.keys())
      vessels.set(vesselId, { ...vessels.get(vesselId)!, litres: after.contents.get(vesselId) ?? 0 })
  }
  return changed ? { ...cellar, vessels } : cellar
}
