import type { LotView, VesselState } from '../ledger'
import type { RackingAsked } from '../racking'

/** Lost to lees at a racking: 2 to 5 %, more the first time (craft 3.10, common practice). */
export const LEES_SHARE = { first: 0.06, later: 0.03 } as const
/** How far an expected net volume may be off, as a share: common practice, no source. */
export const NET_SPREAD = 0.02

export const leesShareOf = (lot: LotView): number => (lot.rackedAt === undefined ? LEES_SHARE.first : LEES_SHARE.later)

export interface RackingDay {
  lots: readonly LotView[]
  vessels: ReadonlyMap<string, VesselState>
  /** What has been moved already on this day: vessels by lot. What stands there is off its lees. */
  moved: ReadonlyMap<string, ReadonlySet<string>>
  /** What is expected to stay behind, as a share of each lot. */
  lees: (lot: LotView) => number
  /** Not to be used. */
  barred: ReadonlySet<string>
  /** Pairs of lots that may come into one vessel. */
  mayMix?: readonly (readonly [string, string])[]
}

/** The part of a lot that has been moved counts as a wine of its own, that may be mixed with the rest and need not move again. */
const MOVED = '+'
/** The lot that a wine of the puzzle is. */
export const lotOfWine = (wineId: string): string => (wineId.endsWith(MOVED) ? wineId.slice(0, -1) : wineId)

/**
 * The puzzle of a racking day from the ledger as it stands: what is to come off its lees, net of them, the vessels that it may use, and
 * what has been moved already. Asked again after each move it plans the rest anew.
 */
export function askRacking({ lots, vessels, moved, lees, barred, mayMix: pairs = [] }: RackingDay): RackingAsked {
  const wines: { id: string, litres: number, offLees: boolean }[] = []
  const stands = new Map<string, { wineId: string, litres: number }>()
  const mayMix: [string, string][] = []
  for (const lot of lots) {
    const done = moved.get(lot.id)
    let [net, over] = [0, 0]
    for (const [vesselId, litres] of lot.contents) {
      const isDone = done?.has(vesselId) === true
      const counts = isDone ? litres : litres * (1 - lees(lot))
      if (isDone) over += counts
      else net += counts
      if (vesselId !== '') stands.set(vesselId, { wineId: isDone ? lot.id + MOVED : lot.id, litres: counts })
    }
    if (net > 0) wines.push({ id: lot.id, litres: net, offLees: true })
    if (over > 0) wines.push({ id: lot.id + MOVED, litres: over, offLees: false })
    if (net > 0 && over > 0) mayMix.push([lot.id, lot.id + MOVED])
  }
  // What of either has been moved already may be mixed like the rest.
  const parts = (id: string) => wines.filter((w) => lotOfWine(w.id) === id).map((w) => w.id)
  for (const [a, b] of pairs) for (const x of parts(a)) for (const y of parts(b)) mayMix.push([x, y])
  const chosen = new Set(lots.map((l) => l.id))
  const floor = [...vessels.values()]
    .filter((v) => !v.retiredAt)
    .filter((v) => v.lotId === undefined || v.litres <= 0.05 || chosen.has(v.lotId))
  return {
    wines,
    mayMix,
    vessels: floor.map((v) => ({ id: v.id, capacityL: v.capacityL, usable: !barred.has(v.id), ...within(v.capacityL, stands.get(v.id)) }))
  }
}

/** What was filled by eye may stand a little above the brim that was noted. */
const within = (capacityL: number, stands: { wineId: string, litres: number } | undefined) =>
  stands && { wineId: stands.wineId, litres: Math.min(stands.litres, capacityL) }
