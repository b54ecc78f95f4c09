import { daysBetween } from '../units'
import { woodShare } from '../cellar'
import type { Folding } from './fold/folding'
import type { LotState } from './state'

/** What of a lot stands in wood: how much the barrel holds, and since when its loss has not been taken off yet. */
export type InWood = ReadonlyMap<string, { capacityL: number, since: string }>

/** Of what wood has taken nobody knows more than this: half of it either way, common practice, no source. */
const UNSURE = 0.5
/** A volume known to this part of it still counts as measured: what a scale on a vessel tells, and a little. Ours. */
const STILL_MEASURED = 0.03

/**
 * A lot less what wood has drunk of it up to an instant. What is dissolved stays as strong as it was: water and alcohol both go, and which
 * goes faster depends on how damp the cellar is.
 * @returns undefined where nothing stands in wood
 */
export function afterWood(
  lot: Pick<LotState, 'contents' | 'inWood' | 'volume'>,
  now: string
): Pick<LotState, 'contents' | 'volume'> | undefined {
  if (!lot.inWood) return undefined
  let lost = 0
  const contents = new Map(lot.contents)
  for (const [vesselId, { capacityL, since }] of lot.inWood) {
    const days = Math.min(10_000, daysBetween(since, now))
    const litres = contents.get(vesselId) ?? 0
    if (days <= 0 || litres <= 0) continue
    const gone = litres * woodShare(Math.max(1, capacityL), days)
    contents.set(vesselId, litres - gone)
    lost += gone
  }
  if (lost === 0) return undefined
  const { volume } = lot
  const value = [...contents.values()].reduce((sum, litres) => sum + litres, 0)
  // What is not known of one stretch is not known of the next in the same direction: so it adds up, however the time is cut.
  const uncertainty = volume.uncertainty + UNSURE * lost
  return { contents, volume: { ...volume, value, uncertainty, origin: uncertainty > STILL_MEASURED * value ? 'estimated' : volume.origin } }
}

/** Takes off what wood has drunk of lots before something happens to them. */
export function drinkUntil(folding: Folding, lotIds: readonly string[], at: string): void {
  for (const id of lotIds) {
    const known = folding.cellar.lots.get(id)
    const after = known && afterWood(known, at)
    if (!after) continue
    const lot = folding.lot(id)!
    lot.contents = after.contents
    lot.volume = after.volume
    lot.inWood = new Map([...lot.inWood!].map(([vesselId, wood]) => [vesselId, { ...wood, since: at }]))
  }
}

/** Notes what of lots stands in wood after something happened to them. */
export function noteWood(folding: Folding, lotIds: readonly string[], at: string): void {
  for (const id of lotIds) {
    const known = folding.cellar.lots.get(id)
    if (!known) continue
    const barrels = [...known.contents.keys()].filter((vesselId) => folding.cellar.vessels.get(vesselId)?.kind === 'barrel')
    const same = barrels.length === (known.inWood?.size ?? 0) && barrels.every((vesselId) => known.inWood!.has(vesselId))
    if (same) continue
    const lot = folding.lot(id)!
    if (barrels.length === 0) delete lot.inWood
    else
      lot.inWood = new Map(
        barrels.map((vesselId) => {
          const capacityL = folding.cellar.vessels.get(vesselId)!.capacityL
          return [vesselId, { capacityL, since: known.inWood?.get(vesselId)?.since ?? at }]
        })
      )
  }
}
