import type { LotView } from '../../../ledger'
import { type LotForecast, hoursSince } from '../../stage'
import { goneShare } from '../gone'
import type { Found } from './says'

/** A yeast that shows nothing after so long has not taken: common practice, no source. */
const NOT_BEGUN = { hours: 60, fallSg: 0.0035 } as const
/** Two gravities no further apart are one to a home hydrometer. */
const SAME_SG = 0.002
/** Behind what is usual by less than this is within what musts differ. */
const SLOW_H = 30
/** So likely to stop sweet is worth a word. */
const MAY_STOP = 0.35

/** Stuck, not begun, slow, or likely to end sweet. One of them, the worst. */
export function pace(lot: LotView, now: string, known?: LotForecast): Found[] {
  const sg = lot.series.sg ?? []
  const last = sg.at(-1)
  const evidence = sg.slice(-3).map((p) => p.entryId)
  const original = lot.originalSg?.value
  const idle = last && original !== undefined && original - last.value < NOT_BEGUN.fallSg && known && hoursSince(known.startAt, now)
  if (idle && idle > NOT_BEGUN.hours && !lot.repitchedAt)
    return [{ code: 'not-begun', key: 'not-begun', hours: idle, urgency: 'now', evidence }]
  const said = known?.forecast.findings.find((f) => f.code === 'stuck')
  if (last && (lot.alcoholic === 'stuck' || said)) {
    // It stands since the first look that was as low.
    const standing = sg[sg.findLastIndex((p) => p.value > last.value + SAME_SG) + 1]
    const probability = said && 'probability' in said ? said.probability : undefined
    return [
      {
        code: 'stuck',
        key: `stuck:${last.entryId}`,
        sg: last.value,
        hours: hoursSince(standing?.at ?? last.at, now),
        ...(probability !== undefined && { probability }),
        urgency: 'now',
        evidence
      }
    ]
  }
  if (!known) return []
  const { forecast, usual } = known
  if (forecast.stopsSweet > MAY_STOP && sg.length > 1)
    return [{ code: 'may-stop-sweet', key: 'may-stop-sweet', probability: forecast.stopsSweet, urgency: 'soon', evidence }]
  const behind = (forecast.dry?.midHours ?? 0) - (usual.dry?.highHours ?? Infinity)
  return behind > SLOW_H && goneShare(lot, known) > 0.05
    ? [{ code: 'slow', key: 'slow', daysBehind: behind / 24, urgency: 'soon', evidence }]
    : []
}
