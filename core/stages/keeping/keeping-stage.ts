import type { Finding } from '../../findings'
import { keptAt } from '../../ledger'
import type { UpkeepFinding } from '../../sulphite'
import { type Stage, hoursSince, later } from '../stage'
import { isKept } from '../sulphite-round'

export type KeepingSays =
  | { code: 'measure-wine' }
  | { code: 'measure-free' }
  | { code: 'sulphite-low', freeMgPerL: number, targetFreeMgPerL: number }
  | { code: 'check-sulphite', weeksSince: number, /** When it falls below; `mayBe`: it may have already. */ belowAt?: { low: string, high: string, mayBe: boolean } }
  | { code: 'sulphite-odd', wrong: UpkeepFinding }
  | { code: 'free-above-total', freeMgPerL: number, totalMgPerL: number }

/** Free SO₂ is looked at every 4 to 6 weeks, craft 3.10 (common practice, no source), h. */
const LOOK_H = { soonest: 7 * 24, from: 4 * 7 * 24, due: 5 * 7 * 24, late: 6 * 7 * 24 } as const
/** mg/L below target that is worth an addition; a titration cannot tell less. */
const SLACK = 5
/** Read of one sample, h. */
const SAME_LOOK_H = 12

/** A wine that rests: its sulphite. Not before its malolactic is through, nor for those who keep it without. */
export const keepingStage: Stage<KeepingSays> = {
  code: 'keeping',
  appliesTo: isKept,
  tasks(lot, _cellar, now): Finding<KeepingSays>[] {
    const about = { task: true, lotId: lot.id, urgency: 'soon' } as const
    const measure = { ...about, minutes: 15, action: { to: 'measure', lotId: lot.id } } as const
    if (!lot.ph) return [{ code: 'measure-wine', key: 'measure-must', evidence: [], ...measure, urgency: 'now' }]
    if (!lot.freeSo2) return [{ code: 'measure-free', key: 'confirm-dry', evidence: [], ...measure }]
    const targetFreeMgPerL = keptAt(lot)
    const { upkeep } = lot
    const { value: freeMgPerL, from } = lot.freeSo2
    if (freeMgPerL < targetFreeMgPerL - SLACK) {
      return [
        {
          code: 'sulphite-low',
          key: 'sulphite-low',
          freeMgPerL,
          targetFreeMgPerL,
          evidence: [...lot.ph.from, ...from],
          minutes: 15,
          ...about,
          action: { to: 'sulphite', lotId: lot.id }
        }
      ]
    }
    // The last look at it, or the last dose: by whichever its level is known.
    const at = [lot.series.freeSo2?.at(-1)?.at, lot.lastSulphiteAt].filter((x) => x !== undefined).sort().at(-1) ?? lot.freeSo2.at
    const hours = hoursSince(at, now)
    // Sooner than the round of the month where it may be low before, but not within the week of a look.
    const low = upkeep?.belowAt?.low ?? later(at, LOOK_H.due)
    const due = [later(at, LOOK_H.soonest), [low, later(at, LOOK_H.due)].sort()[0]!].sort()[1]!
    return [
      {
        code: 'check-sulphite',
        key: 'check-sulphite',
        weeksSince: hours / 168,
        ...(upkeep?.belowAt && { belowAt: { low: upkeep.belowAt.low, high: upkeep.belowAt.high, mayBe: upkeep.belowAt.low <= now } }),
        evidence: from,
        ...measure,
        urgency: now >= due ? 'soon' : 'wait',
        window: { from: [later(at, LOOK_H.from), due].sort()[0]!, due, late: later(at, LOOK_H.late) }
      }
    ]
  },
  findings(lot): Finding<KeepingSays>[] {
    const about = { task: false, lotId: lot.id, action: { to: 'measure', lotId: lot.id } } as const
    const [free, total] = [lot.series.freeSo2?.at(-1), lot.series.totalSo2?.at(-1)]
    const both = free && total && Math.abs(hoursSince(free.at, total.at)) <= SAME_LOOK_H && free.value > total.value + SLACK
    return [
      ...(lot.upkeep?.findings ?? []).map((wrong): Finding<KeepingSays> => ({
        code: 'sulphite-odd',
        key: `sulphite-odd:${wrong.code}:${lot.series.freeSo2?.at(-1)?.entryId ?? ''}`,
        wrong,
        urgency: 'note',
        evidence: (lot.series.freeSo2 ?? []).slice(-2).map((p) => p.entryId),
        ...about
      })),
      ...(both
        ? [
            {
              code: 'free-above-total' as const,
              key: `free-above-total:${free.entryId}`,
              freeMgPerL: free.value,
              totalMgPerL: total.value,
              urgency: 'soon' as const,
              evidence: [free.entryId, total.entryId],
              ...about
            }
          ]
        : [])
    ]
  }
}
