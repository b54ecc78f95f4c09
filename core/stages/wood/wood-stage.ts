import { woodTime } from '../../cellar'
import type { Finding } from '../../findings'
import { type LotView, isHeld, isWine } from '../../ledger'
import { type CellarView, type Stage, hoursSince } from '../stage'
import { steeping } from '../steeping'

export type WoodSays =
  | { code: 'taste-wood', vessel: string, weeksIn: number, outInWeeks: number }
  | { code: 'out-of-wood', vessel: string, weeksIn: number, weeks: number }

const WEEK = 168

/** In its barrels: since when, and for how long such a barrel may hold it. Neutral wood is not among them. */
export function inWoodOf(lot: LotView, cellar: Pick<CellarView, 'vessels'>, now: string) {
  return [...(lot.inWood?.keys() ?? [])].flatMap((vesselId) => {
    const vessel = cellar.vessels.get(vesselId)
    if (!vessel?.filledAt) return []
    // Not said how often it was used: taken as new, for which the wine comes out soonest.
    const time = woodTime(Math.max(1, vessel.capacityL), (vessel.fillsBefore ?? 0) + (vessel.fills ?? 1) - 1)
    return time
      ? [{ ...time, vesselId, vessel: vessel.name, since: vessel.filledAt, weeksIn: hoursSince(vessel.filledAt, now) / WEEK }]
      : []
  })
}

/** While a wine stands in wood that still gives: tasted toward its time, and taken out by then. Stands beside what else it asks for. */
export const woodStage: Stage<WoodSays> = {
  code: 'wood',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.inWood !== undefined,
  tasks(lot, cellar, now): Finding<WoodSays>[] {
    return inWoodOf(lot, cellar, now).map((wood): Finding<WoodSays> => {
      const { vesselId, vessel, since, weeksIn, weeks, tasteFromWeeks, tasteEveryWeeks } = wood
      const about = { task: true, lotId: lot.id, vesselId, evidence: lot.volume.from } as const
      const time = { since, hours: weeks * WEEK, firstH: tasteFromWeeks * WEEK, againH: () => tasteEveryWeeks * WEEK }
      const { over, taste } = steeping(lot, time, now)
      if (over)
        return {
          code: 'out-of-wood',
          key: `out-of-wood:${vesselId}`,
          vessel,
          weeksIn,
          weeks,
          action: { to: 'move', lotId: lot.id },
          ...over,
          ...about
        }
      return { code: 'taste-wood', key: `taste-wood:${vesselId}`, vessel, weeksIn, outInWeeks: weeks - weeksIn, ...taste, ...about }
    })
  },
  findings: () => []
}
