import type { Finding } from '../../findings'
import { DRY_PROOF_H, DRY_SG, type LotView, drynessOf, isFermenting, isHeld } from '../../ledger'
import { type Stage, hoursSince, later } from '../stage'

export type FermentSays =
  | { code: 'read-ferment', daysSince: number }
  | { code: 'stuck', sg: number, hours: number }
  /** One dry reading is no proof. */
  | { code: 'confirm-dryness', hoursLeft: number }
  /** Nobody has looked for weeks: it is over one way or another. */
  | { code: 'left-alone', days: number }

/** A ferment is looked at daily, morning or evening: common practice (craft 3.7). */
const READ_AGAIN_H = 14.4

/** From the yeast to a wine that is known to be dry. */
export const fermentStage: Stage<FermentSays> = {
  code: 'ferment',
  appliesTo: (lot) => isHeld(lot) && (isFermenting(lot) || needsProof(lot) !== undefined || leftAlone(lot)),
  tasks(lot, _cellar, now): Finding<FermentSays>[] {
    const measure = {
      task: true,
      lotId: lot.id,
      minutes: 5,
      evidence: lot.sg?.from ?? [],
      action: { to: 'measure', lotId: lot.id }
    } as const
    if (leftAlone(lot)) {
      const days = hoursSince(lot.series.sg?.at(-1)?.at ?? lot.startedAt, now) / 24
      return [{ code: 'left-alone', key: 'left-alone', days, urgency: 'soon', ...measure }]
    }
    const dryAt = needsProof(lot)
    if (dryAt !== undefined) {
      const hoursLeft = DRY_PROOF_H - hoursSince(dryAt, now)
      return [
        {
          code: 'confirm-dryness',
          key: 'confirm-dryness',
          hoursLeft: Math.max(0, hoursLeft),
          urgency: hoursLeft > 0 ? 'wait' : 'soon',
          window: { from: later(dryAt, DRY_PROOF_H), due: later(dryAt, DRY_PROOF_H) },
          ...measure
        }
      ]
    }
    // Read today: it asks again tomorrow, and a reading in the evening does not push the next morning's away.
    const last = lot.sg?.at ?? lot.startedAt
    const hours = hoursSince(last, now)
    return [
      {
        code: 'read-ferment',
        key: 'read-ferment',
        daysSince: hours / 24,
        urgency: hours >= READ_AGAIN_H ? 'now' : 'wait',
        window: { from: later(last, READ_AGAIN_H), due: later(last, 24), late: later(last, 48) },
        ...measure
      }
    ]
  },
  findings(lot, _cellar, now): Finding<FermentSays>[] {
    const last = lot.series.sg?.at(-1)
    if (lot.alcoholic !== 'stuck' || !last) return []
    const standing = lot.series.sg!.findLast((p) => p.value > last.value + 0.002)
    return [
      {
        code: 'stuck',
        key: `stuck:${last.entryId}`,
        sg: last.value,
        hours: hoursSince(standing?.at ?? last.at, now),
        urgency: 'now',
        task: false,
        lotId: lot.id,
        evidence: lot.series.sg!.slice(-3).map((p) => p.entryId),
        action: { to: 'lot', lotId: lot.id }
      }
    ]
  }
}

/** It was fermenting when it was last looked at, and that is long ago. */
const leftAlone = (lot: LotView): boolean =>
  lot.alcoholic === 'stopped' &&
  lot.series.sg !== undefined &&
  lot.series.sg.at(-1)!.value > DRY_SG &&
  !lot.bacteriaAt &&
  !lot.freeSo2?.value &&
  lot.plan.finish !== 'sweet' &&
  lot.endedTasks.get('left-alone')?.outcome !== 'done'

/** When it was first read dry, while a second reading is wanting and nobody has gone on already. */
function needsProof(lot: LotView): string | undefined {
  if (lot.alcoholic !== 'dry') return undefined
  const dryness = drynessOf(lot)
  if (!dryness || dryness.proven) return undefined
  const goneOn = [lot.lastSulphiteAt, lot.freeSo2?.at, lot.bacteriaAt].some((at) => at !== undefined && at > dryness.since)
  return goneOn ? undefined : dryness.since
}
