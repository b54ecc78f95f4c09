import type { Finding } from '../../findings'
import { type LotView, keptAt, malicSettledOf, usedPh } from '../../ledger'
import type { UpkeepFinding } from '../../sulphite'
import type { Measured } from '../measured-by'
import { sulphiteToCome } from '../packets'
import { type Stage, hoursSince, later } from '../stage'
import { doseFor, isKept } from '../sulphite-dose'

export type KeepingSays =
  | { code: 'measure-wine' }
  /** A dose went in and nobody has read what stayed free: that comes before any more of it. */
  | { code: 'measure-free', daysSince: number }
  | { code: 'sulphite-low', freeMgPerL: number, targetFreeMgPerL: number, assumed: ('ph' | 'free')[] }
  /** `belowAt`: when it falls below its level; `mayBe`: it may have already. */
  | { code: 'check-sulphite', weeksSince: number, belowAt?: { low: string, high: string, mayBe: boolean } }
  /** Its pH is so high that no sensible amount protects it. */
  | { code: 'ph-too-high', ph: number, wantedFreeMgPerL: number }
  | { code: 'sulphite-odd', wrong: UpkeepFinding }
  | { code: 'free-above-total', freeMgPerL: number, totalMgPerL: number }
type Says = Finding<KeepingSays>

/**
 * Free SO₂ is looked at every 4 to 6 weeks, craft 3.10 (common practice, no source), h. Sooner where it may be low before: a week after a
 * dose, and two after a reading that was high enough, as what a wine loses in a week is less than a titration at home can tell; after two
 * such readings it is known to keep it, and the month's round will do. Ours.
 */
const LOOK_H = { afterDose: 7 * 24, afterReading: 14 * 24, from: 4 * 7 * 24, due: 5 * 7 * 24, late: 6 * 7 * 24 } as const
/** mg/L below target that is worth an addition; a titration cannot tell less. */
const SLACK = 5
/** Read of one sample, h. */
const SAME_LOOK_H = 12
/** A dose that went in is not asked for again before it has bound, h: common practice, no source. */
const BINDS_H = 48
/** Who measures reads a dose within so long before more goes in by reckoning alone, h. Ours. */
const READ_WITHIN_H = 14 * 24

/** A wine that rests: its sulphite. Not before its malolactic has finished, nor for those who keep it without. */
export const keepingStage: Stage<KeepingSays> = {
  code: 'keeping',
  appliesTo: isKept,
  tasks(lot, cellar, now): Says[] {
    const about = { task: true, lotId: lot.id, urgency: 'soon' } as const
    const measure = (what: Measured) => ({ ...about, minutes: 15, action: { to: 'measure', lotId: lot.id, what } }) as const
    const tasks: Says[] = []
    if (!lot.ph && cellar.equipment?.['ph-meter'] !== false)
      tasks.push({
        code: 'measure-wine',
        key: 'measure-wine',
        evidence: [],
        ...measure('ph'),
        urgency: 'now',
        waysRound: [{ code: 'no-instrument', drafts: [{ type: 'equipment-said', has: { 'ph-meter': false } }] }]
      })
    // What a kit brings for this goes in first: both together would be too much.
    if (sulphiteToCome(lot) > 0) return tasks
    const level = keptAt(lot)
    const free = lot.freeSo2
    const dosed = lot.lastSulphiteAt !== undefined && hoursSince(lot.lastSulphiteAt, now) < BINDS_H
    if (!dosed && (free?.value ?? 0) < level - SLACK && isUnread(lot, now) && cellar.equipment?.['so2-kit'] !== false) {
      tasks.push({
        code: 'measure-free',
        key: 'measure-free',
        daysSince: hoursSince(lot.lastSulphiteAt!, now) / 24,
        evidence: free?.from ?? [],
        ...measure('freeSo2'),
        waysRound: [{ code: 'no-instrument', drafts: [{ type: 'equipment-said', has: { 'so2-kit': false } }] }]
      })
    }
    else if (!dosed && (free?.value ?? 0) < level - SLACK) {
      const dose = doseFor(lot, 'next-round')
      // Nothing that a limit leaves room for: what is odd about it is said beside.
      if (dose.grams > 0)
        tasks.push({
          code: 'sulphite-low',
          key: 'sulphite-low',
          freeMgPerL: dose.freeMgPerL,
          targetFreeMgPerL: level,
          assumed: dose.assumed,
          evidence: [...(lot.ph?.from ?? []), ...(free?.from ?? [])],
          minutes: 15,
          ...about,
          amounts: [{ material: 'potassium-metabisulphite', amount: dose.grams, unit: 'g' }],
          action: { to: 'sulphite', lotId: lot.id, aim: 'next-round' }
        })
    }
    else if (cellar.equipment?.['so2-kit'] !== false) tasks.push(look(lot, now))
    return tasks
  },
  findings: (lot) => [...highPh(lot), ...oddReadings(lot)]
}

/** A dose of these weeks that was not read since. */
function isUnread(lot: LotView, now: string): boolean {
  const { lastSulphiteAt } = lot
  const read = lot.series.freeSo2?.at(-1)?.at
  return lastSulphiteAt !== undefined && hoursSince(lastSulphiteAt, now) <= READ_WITHIN_H && !(read !== undefined && read > lastSulphiteAt)
}

/** Readings in a row, since the last dose, that were high enough. */
function heldSinceDose(lot: LotView): number {
  const since = (lot.series.freeSo2 ?? []).filter((p) => p.at > (lot.lastSulphiteAt ?? ''))
  const lastLow = since.findLastIndex((p) => p.value < keptAt(lot))
  return since.length - 1 - lastLow
}

/** The month's look at free SO₂: sooner than the round where it may be low before, but not at once after a look. */
function look(lot: LotView, now: string): Says {
  const { upkeep } = lot
  // The last look at it, or the last dose: by whichever its level is known.
  const read = lot.series.freeSo2?.at(-1)?.at
  const known = [read, lot.lastSulphiteAt].filter((x) => x !== undefined)
  const at = known.sort().at(-1) ?? lot.freeSo2?.at ?? lot.startedAt
  const monthOn = later(at, LOOK_H.from)
  // Where sulphite alone holds the bacteria back, it is looked at as often as before.
  const locks = malicSettledOf(lot).by === 'sulphite' || !malicSettledOf(lot).settled
  const keeps = !locks && heldSinceDose(lot) >= 2 && (upkeep?.belowAt?.mid ?? '') > monthOn
  const soonest = at !== read ? LOOK_H.afterDose : keeps ? LOOK_H.from : LOOK_H.afterReading
  const low = upkeep?.belowAt?.low ?? later(at, LOOK_H.due)
  const due = [later(at, soonest), [low, later(at, LOOK_H.due)].sort()[0]!].sort()[1]!
  return {
    code: 'check-sulphite',
    key: 'check-sulphite',
    weeksSince: hoursSince(at, now) / 168,
    ...(upkeep?.belowAt && { belowAt: { low: upkeep.belowAt.low, high: upkeep.belowAt.high, mayBe: upkeep.belowAt.low <= now } }),
    evidence: lot.freeSo2?.from ?? [],
    task: true,
    lotId: lot.id,
    minutes: 15,
    action: { to: 'measure', lotId: lot.id, what: 'freeSo2' },
    againH: LOOK_H.from,
    urgency: now >= due ? 'soon' : 'wait',
    window: { from: [later(at, LOOK_H.from), due].sort()[0]!, due, late: later(at, LOOK_H.late) },
    waysRound: [{ code: 'no-instrument', drafts: [{ type: 'equipment-said', has: { 'so2-kit': false } }] }]
  }
}

/** Where its pH would want more than is sensible the pH is mended first. */
function highPh(lot: LotView): Says[] {
  const dose = doseFor(lot, 'level')
  const ph = usedPh(lot)
  return dose.phTooHigh && ph.measured
    ? [
        {
          code: 'ph-too-high',
          key: 'ph-too-high',
          ph: ph.value,
          wantedFreeMgPerL: dose.levelMgPerL,
          urgency: 'soon',
          task: false,
          lotId: lot.id,
          evidence: lot.ph?.from ?? [],
          action: { to: 'correct', lotId: lot.id }
        }
      ]
    : []
}

function oddReadings(lot: LotView): Says[] {
  const about = { task: false, lotId: lot.id, action: { to: 'measure', lotId: lot.id, what: 'freeSo2' } } as const
  const [free, total] = [lot.series.freeSo2?.at(-1), lot.series.totalSo2?.at(-1)]
  const both = free && total && Math.abs(hoursSince(free.at, total.at)) <= SAME_LOOK_H && free.value > total.value + SLACK
  return [
    ...(lot.upkeep?.findings ?? []).map((wrong): Says => ({
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
