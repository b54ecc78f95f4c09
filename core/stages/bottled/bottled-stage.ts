import { reckonedPh } from '../../ledger'
import type { Finding } from '../../findings'
import { drinkWindow } from '../../finishing'
import type { LotView } from '../../ledger'
import { type Stage, hoursSince, later } from '../stage'

export type BottledSays =
  /** A bottle is opened now and then, to know how it goes. */
  | { code: 'taste-bottle', left: number, monthsIn: number, lastRating?: number }
  /** Under cork: upright while it takes hold, then on their side so that it stays wet. */
  | { code: 'lay-down', left: number, upright: boolean }
  | { code: 'drink-up', left: number, untilMonths: number, monthsIn: number }

const MONTH_H = 30.4 * 24
/** A bottle is opened every so many months: common practice, no source. */
const TASTE_MONTHS = 4
/** A driven cork takes hold in so many days, and is dry and lets air in after so many; nobody is asked about older bottles. Craft 3.13. */
const LAY_DOWN_D = { from: 3, late: 14, forgotten: 45 } as const

export const bottlesLeft = (lot: Pick<LotView, 'bottled'>): number => lot.bottled.reduce((sum, b) => sum + b.left, 0)

/** When a bottled wine is likely good, by its last bottling; undefined while none is left. */
export function drinkWindowOf(lot: LotView, now: string) {
  const last = lot.bottled.findLast((b) => b.left > 0)
  if (!last) return undefined
  const ph = lot.ph && reckonedPh(lot.ph.value)
  // What was read or given before the bottle counts, not what is left of it by now.
  const read = lot.series.freeSo2?.at(-1)?.value ?? 0
  const sulphited = lot.plan.sulphite !== 'none' && (lot.lastSulphiteAt !== undefined || read > 5)
  const window = drinkWindow({ style: lot.style, ph, sulphited, closure: last.closure })
  return { ...window, bottledAt: last.at, monthsIn: Math.max(0, hoursSince(last.at, now) / MONTH_H) }
}

/** Bottles in the store: one is opened now and then, and none is forgotten. */
export const bottledStage: Stage<BottledSays> = {
  code: 'bottled',
  beside: true,
  appliesTo: (lot) => bottlesLeft(lot) > 0,
  tasks(lot, _cellar, now): Finding<BottledSays>[] {
    const window = drinkWindowOf(lot, now)!
    const { monthsIn, untilMonths, fromMonths, bottledAt } = window
    const left = bottlesLeft(lot)
    const about = { task: true, lotId: lot.id, evidence: lot.tastings.slice(-2).map((t) => t.entryId), minutes: 15 } as const
    const action = { to: 'lot', lotId: lot.id, log: 'tasting' } as const
    const lying = layDown(lot, now)
    if (lying) return [{ ...lying, ...about, evidence: [], minutes: 10 }]
    if (monthsIn >= untilMonths.low)
      return [
        {
          code: 'drink-up',
          key: 'drink-up',
          left,
          monthsIn,
          untilMonths: untilMonths.mid,
          urgency: monthsIn >= untilMonths.mid ? 'soon' : 'wait',
          window: { due: later(bottledAt, untilMonths.mid * MONTH_H) },
          ...about,
          action
        }
      ]
    const last = lot.tastings.findLast((t) => t.at > bottledAt)
    const due = last ? later(last.at, TASTE_MONTHS * MONTH_H) : later(bottledAt, fromMonths * MONTH_H)
    return [
      {
        code: 'taste-bottle',
        key: 'taste-bottle',
        left,
        monthsIn,
        ...(last && { lastRating: last.rating }),
        urgency: now >= due ? 'soon' : 'wait',
        window: { due },
        ...about,
        action
      }
    ]
  },
  findings: () => []
}

type LayDown = Pick<Finding<Extract<BottledSays, { code: 'lay-down' }>>, 'code' | 'key' | 'left' | 'upright' | 'urgency' | 'window'>
/** Bottles that were corked these days: once it is done or the time has passed, nothing is said of it. */
function layDown(lot: LotView, now: string): LayDown | undefined {
  const corked = lot.bottled.filter((b) => b.left > 0 && b.closure === 'cork')
  const at = corked.at(-1)?.at
  const ended = lot.endedTasks.get('lay-down')
  if (!at || hoursSince(at, now) > LAY_DOWN_D.forgotten * 24 || (ended?.outcome === 'done' && ended.at >= at)) return undefined
  const due = later(at, LAY_DOWN_D.from * 24)
  const upright = now < due
  const window = { from: due, due, late: later(at, LAY_DOWN_D.late * 24) }
  return {
    code: 'lay-down',
    key: 'lay-down',
    left: corked.reduce((sum, b) => sum + b.left, 0),
    upright,
    urgency: upright ? 'wait' : 'soon',
    window
  }
}
