import { BELIEVED_C, type LotView, type Point } from '../../ledger'
import { type LotForecast, hoursSince } from '../stage'

/** Looks closer than this went into the forecast as one, h. */
const ONE_LOOK_H = 4
/** And lie no further apart in it, SG. */
const ONE_LOOK_SG = 0.002

/** A gravity that no ferment joins, with what belongs in its place. */
export interface Doubted { point: Point, expectedSg: number }

/** The readings of a lot that its forecast leaves out, oldest first. */
export function doubtedReadings(lot: Pick<LotView, 'series'>, known: LotForecast | undefined): Doubted[] {
  if (!known) return []
  return known.forecast.findings.flatMap((f): Doubted[] => {
    if (f.code !== 'reading-doubtful') return []
    const point = lot.series.sg?.find(
      (p) => Math.abs(hoursSince(known.startAt, p.at) - f.hours) < ONE_LOOK_H && Math.abs(p.value - f.sg) < ONE_LOOK_SG
    )
    return point ? [{ point, expectedSg: f.expectedSg }] : []
  })
}

/** "It was right after all" holds on to this. */
export const doubtfulKey = (entryId: string): string => `doubtful:${entryId}`

const wasRight = (lot: Pick<LotView, 'endedTasks'>, entryId: string): boolean =>
  lot.endedTasks.get(doubtfulKey(entryId))?.outcome === 'seen'
const believable = (celsius: number): boolean => celsius >= BELIEVED_C.min && celsius <= BELIEVED_C.max

/** Temperatures of a lot that can be, and that somebody said were right. */
export const believedTemperatures = (lot: Pick<LotView, 'series' | 'endedTasks'>): Point[] =>
  (lot.series.temperature ?? []).filter((p) => believable(p.value) || wasRight(lot, p.entryId))
export const doubtedTemperatures = (lot: Pick<LotView, 'series' | 'endedTasks'>): Point[] =>
  (lot.series.temperature ?? []).filter((p) => !believable(p.value) && !wasRight(lot, p.entryId))

/** The last gravity that is believed: measured and not doubted, or what the ledger works out after sugar and water. */
export function believedSg(lot: Pick<LotView, 'series' | 'sg'>, known: LotForecast | undefined): number | undefined {
  if (lot.sg?.origin === 'estimated') return lot.sg.value
  const doubted = new Set(doubtedReadings(lot, known).map((d) => d.point.entryId))
  return lot.series.sg?.findLast((p) => !doubted.has(p.entryId))?.value ?? lot.sg?.value
}
