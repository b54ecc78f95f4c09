import type { Finding, WayOut } from '../../findings'
import { type LotView, isFermenting, standsOf, sugarLeftOf } from '../../ledger'
import { leaveSweet } from '../leave-sweet'
import { type CellarView, hoursSince } from '../stage'
import { bandOfLot, fermentStart } from './ask'
import { believedTemperatures } from './doubted'
import type { FermentSays } from './says'

type Task = Finding<FermentSays>

/** Yeast that shows nothing after so long has not taken, h; and a look counts as one from here on. Common practice, no source. */
const NOT_BEGUN = { hours: 60, lookFromH: 36, fallSg: 0.0035 } as const
/** A temperature speaks for the wine for so long, h. */
const WARMTH_H = 36
/** What was answered is not asked again before this, days. */
const [WARMED_DAYS, WAIT_DAYS, RESTART_DAYS] = [5, 3, 7] as const

/**
 * A ferment that does not move, as a decision with its ways out: it never began; it stands where no gravity tells whether it is dry; or it
 * is stuck. Only where the gravity has stood for two days.
 */
export function standstill(lot: LotView, cellar: CellarView, now: string): Task[] {
  const about = { task: true, lotId: lot.id, minutes: 15 } as const
  const sg = lot.series.sg ?? []
  const startAt = lot.repitchedAt ?? fermentStart(lot)
  const since = startAt === undefined ? undefined : sg.filter((p) => hoursSince(startAt, p.at) >= NOT_BEGUN.lookFromH)
  const original = lot.originalSg?.value
  const idle = since?.at(-1)
  if (
    isFermenting(lot) && startAt !== undefined && idle && original !== undefined && lot.repitchedAt === undefined
    && hoursSince(startAt, now) >= NOT_BEGUN.hours && original - idle.value < NOT_BEGUN.fallSg
  )
    return [
      {
        code: 'not-begun',
        key: 'not-begun',
        hours: hoursSince(startAt, now),
        urgency: 'now',
        evidence: [idle.entryId],
        ...about,
        waysOut: [
          ...warming(lot, cellar, now),
          { code: 'repitch', action: { to: 'yeast', lotId: lot.id, again: true } },
          { code: 'wait', days: 1 }
        ]
      }
    ]
  const standing = standsOf(lot)
  if (!standing?.proven || (startAt !== undefined && standing.since <= startAt)) return []
  const evidence = standing.agreeing.slice(-3).map((p) => p.entryId)
  const left = sugarLeftOf(lot)
  const told = { sg: standing.sg, hours: hoursSince(standing.since, now), sugarLow: left?.low ?? 0, sugarHigh: left?.high ?? 0 }
  if (standing.fits === 'unclear')
    return [
      {
        code: 'tell-if-dry',
        key: `tell-if-dry:${standing.sg.toFixed(3)}`,
        ...told,
        urgency: 'now',
        evidence,
        ...about,
        action: { to: 'measure', lotId: lot.id, what: 'sugar' },
        waysOut: [
          { code: 'sugar-test', action: { to: 'measure', lotId: lot.id, what: 'sugar' } },
          { code: 'dry-for-this-wine', drafts: [{ type: 'lot-amended', lotId: lot.id, alcoholic: 'dry' }] },
          ...warming(lot, cellar, now),
          { code: 'restart', action: { to: 'restart', lotId: lot.id }, days: RESTART_DAYS },
          { code: 'wait', days: WAIT_DAYS }
        ]
      }
    ]
  if (standing.fits !== 'sweet') return []
  return [
    {
      code: 'stuck',
      key: `stuck:${standing.sg.toFixed(3)}`,
      ...told,
      urgency: 'now',
      evidence,
      ...about,
      minutes: 60,
      action: { to: 'restart', lotId: lot.id },
      waysOut: [
        ...warming(lot, cellar, now),
        { code: 'restart', action: { to: 'restart', lotId: lot.id }, days: RESTART_DAYS },
        { code: 'sugar-test', action: { to: 'measure', lotId: lot.id, what: 'sugar' } },
        leaveSweet(lot),
        { code: 'wait', days: WAIT_DAYS }
      ]
    }
  ]
}

/** Cold is mended before anything else is tried. */
function warming(lot: LotView, cellar: CellarView, now: string): WayOut[] {
  const last = believedTemperatures(lot).at(-1)
  const { min } = bandOfLot(lot, cellar.cards)
  const cold = last !== undefined && hoursSince(last.at, now) <= WARMTH_H && last.value < min
  return cold ? [{ code: 'warm-it', drafts: [{ type: 'operation', lotId: lot.id, what: 'warm' }], days: WARMED_DAYS }] : []
}
