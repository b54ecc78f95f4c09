import type { Finding } from '../../findings'
import type { VesselState } from '../../ledger'
import { hoursSince, later } from '../stage'

export type VesselSays =
  /** What was emptied wants washing before the dregs dry. */
  | { code: 'wash-vessel', name: string, held?: string, daysSince: number }
  /** Empty wood turns sour: sulphur in it, or a holding solution, again and again. */
  | { code: 'sulphur-barrel', name: string, daysSince?: number }

const DAY = 24
/** A barrel that stands empty is sulphured again every 4 to 6 weeks: common practice, no source, days. */
const SULPHUR_DAYS = { from: 28, due: 42 } as const
/** Wood that has stood empty for so long leaks until it is swelled; so long swelled wood stays tight. Common practice, no source, days. */
const DRY_DAYS = 3
const TIGHT_DAYS = 7

/** Wood that would leak if it were filled now. */
export function wantsSwelling(vessel: VesselState, now: string): boolean {
  if (vessel.kind !== 'barrel' || vessel.lotId) return false
  if (vessel.swelledAt && hoursSince(vessel.swelledAt, now) <= TIGHT_DAYS * DAY) return false
  return !vessel.lastHeld || hoursSince(vessel.lastHeld.until, now) > DRY_DAYS * DAY
}

/** Empty, and not cleaned since something stood in it. */
export const wantsWashing = (vessel: VesselState): boolean =>
  vessel.used === true && !vessel.lotId && !vessel.retiredAt && !vessel.cleanedAt && !vessel.sanitisedAt

/** What empty vessels ask for, those that have waited longest first. */
export function vesselTasksOf(vessels: Iterable<VesselState>, now: string): Finding<VesselSays>[] {
  return [...vessels].filter((v) => !v.lotId && !v.retiredAt).flatMap((v) => [...washing(v, now), ...sulphuring(v, now)])
}

function washing(v: VesselState, now: string): Finding<VesselSays>[] {
  if (!wantsWashing(v)) return []
  const since = v.lastHeld?.until ?? now
  return [
    {
      code: 'wash-vessel',
      key: `wash-vessel:${v.id}`,
      name: v.name,
      ...(v.lastHeld && { held: v.lastHeld.name }),
      daysSince: Math.max(0, hoursSince(since, now) / DAY),
      urgency: 'soon',
      task: true,
      vesselId: v.id,
      evidence: [],
      minutes: 10,
      action: { to: 'cellar' }
    }
  ]
}

function sulphuring(v: VesselState, now: string): Finding<VesselSays>[] {
  // A new one is kept dry as it came.
  if (v.kind !== 'barrel' || !v.used || wantsWashing(v)) return []
  const since = v.sulphuredAt
  const days = since === undefined ? undefined : hoursSince(since, now) / DAY
  return [
    {
      code: 'sulphur-barrel',
      key: `sulphur-barrel:${v.id}`,
      name: v.name,
      ...(days !== undefined && { daysSince: days }),
      urgency: days === undefined || days >= SULPHUR_DAYS.from ? 'soon' : 'wait',
      ...(since !== undefined && { window: { from: later(since, SULPHUR_DAYS.from * DAY), due: later(since, SULPHUR_DAYS.due * DAY) } }),
      task: true,
      vesselId: v.id,
      evidence: [],
      minutes: 15,
      action: { to: 'cellar' }
    }
  ]
}
