import { type WayOut, isEnded } from '../../findings'
import type { LotView } from '../../ledger'
import { readPaper } from '../../malolactic'
import { type CellarView, hoursSince, later } from '../stage'
import { malolacticCourseOf } from './of-lot'
import { FRESH_H, HELPED_DAYS, type Says, WAIT_DAYS, block, culture, warm } from './ways'

/** Malic acid is looked at so often while bacteria work, and near their end, h (craft 3.9, common practice). */
const LOOK_H = { far: 14 * 24, near: 7 * 24 } as const
/** Warm enough for bacteria from here on, °C: craft 3.9, common practice. */
const LEAST_C = 18
/**
 * Nothing seen for so long decides, h: it takes about a week to begin and 3 to 8 weeks (craft 3.9), so one that shows nothing after six, or
 * is not over after twelve, is not waited for. Half a year without sulphite is the most: ours.
 */
const DECIDE_H = { unstarted: 6 * 168, unfinished: 12 * 168, atMost: 26 * 168 } as const
const STANDS = 'malolactic-stands'
/** So much between two tests is more than their error, g/L. Ours. */
const FALLS = 0.3
/** The method that waits: so long after the last sign it is taken for over, h (craft 3.9: a month). */
const QUIET_H = 30 * 24

/** Followed while it moves; one that never began, stalls, or has no end is decided on. */
export function goesOn(lot: LotView, cellar: CellarView, now: string, firstAt: string): Says {
  const bacteriaAt = lot.bacteriaAgainAt ?? firstAt
  const course = malolacticCourseOf(lot, cellar.cards)
  const hours = hoursSince(bacteriaAt, now)
  const malic = (lot.series.malic ?? []).filter((p) => p.at > bacteriaAt)
  const signs = [lot.bubbled?.at, lot.paper && readPaper(lot.paper.malic, lot.paper.lactic) !== 'not-begun' ? lot.paper.at : undefined]
  const sign = signs.some((at) => at !== undefined && at > bacteriaAt) || (malic.length > 1 && malic[0]!.value - malic.at(-1)!.value > 0.3)
  // Two tests, and the error of a home test between them: it moves, however long it takes.
  const [before, last] = malic.slice(-2)
  const moves = before !== undefined && last !== undefined && before.value - last.value > FALLS && hoursSince(last.at, now) <= FRESH_H
  const stalled = course?.findings.some((f) => f.code === 'stalled') === true
  const because: 'stalled' | 'not-begun' | 'long' | undefined = stalled
    ? 'stalled'
    : hours > DECIDE_H.unfinished ? 'long' : hours > DECIDE_H.unstarted && !sign && looksAt(lot, bacteriaAt).length > 0 ? 'not-begun'
      : undefined
  // What is decided rests on a look of these weeks; and what was answered is followed meanwhile.
  const fresh = looksAt(lot, bacteriaAt).some((at) => hoursSince(at, now) <= FRESH_H)
  const answered = isEnded({ key: STANDS }, lot.endedTasks, now)
  if (!because || moves || answered || !fresh) return follow(lot, cellar, now, bacteriaAt)
  return {
    code: 'malolactic-stands',
    key: STANDS,
    because,
    weeksIn: hours / 168,
    ...(malic.at(-1) && { malicGPerL: malic.at(-1)!.value }),
    urgency: 'soon',
    task: true,
    lotId: lot.id,
    minutes: 10,
    evidence: lot.others.malic?.from ?? [],
    action: { to: 'malolactic', lotId: lot.id },
    waysOut: helps(lot, firstAt, now)
  }
}

/**
 * What helps bacteria that have come to a stand, the likeliest first: warmth, then fresh ones, and where both were tried, or it has taken
 * half a year, no more waiting without sulphite.
 */
function helps(lot: LotView, firstAt: string, now: string): WayOut[] {
  const warmed = (lot.worked.get('warm')?.at ?? '') > firstAt
  const warmEnough = lot.temperature !== undefined && lot.temperature.value >= LEAST_C && hoursSince(lot.temperature.at, now) <= FRESH_H
  const again = lot.bacteriaAgainAt !== undefined && lot.bacteriaAgainAt > firstAt
  const tooLong = hoursSince(firstAt, now) > DECIDE_H.atMost
  const [warmth, fresh] = [!warmed && !warmEnough && !tooLong, !again && !tooLong]
  return [
    ...(warmth ? [warm(lot)] : []),
    ...(fresh ? [culture(lot)] : []),
    block(lot),
    { code: 'feed-bacteria', action: { to: 'malolactic', lotId: lot.id }, days: HELPED_DAYS },
    ...(warmth ? [] : [warm(lot)]),
    ...(fresh ? [] : [culture(lot)]),
    { code: 'test-malic', action: { to: 'malolactic', lotId: lot.id } },
    { code: 'wait', days: WAIT_DAYS }
  ]
}

/** When malic acid was looked at since, by test, paper or bubbles. */
const looksAt = (lot: LotView, since: string): string[] =>
  [...(lot.series.malic ?? []).map((p) => p.at), lot.paper?.at, lot.bubbled?.at].filter((at) => at !== undefined && at > since) as string[]

function follow(lot: LotView, cellar: CellarView, now: string, bacteriaAt: string): Says {
  const looks = [lot.others.malic?.at, lot.paper?.at, bacteriaAt].filter((at) => at !== undefined && at >= bacteriaAt)
  const looked = looks.sort().at(-1)!
  const course = malolacticCourseOf(lot, cellar.cards)
  const nearly = lot.malolactic === 'nearly'
  const noTest = cellar.equipment?.['malic-test'] === false || lot.plan.proof === 'wait'
  const every = noTest ? QUIET_H : nearly || (course && course.malicNow.mid < 0.5) ? LOOK_H.near : LOOK_H.far
  const hours = hoursSince(looked, now)
  const left = (days: number) => Math.max(0, days - (course?.days ?? 0))
  // By the method that waits it is over a month after the last sign, and not before it can have been.
  const quiet = noTest && hoursSince([lot.bubbled?.at ?? bacteriaAt, bacteriaAt].sort().at(-1)!, now) > QUIET_H
    && course !== undefined && course.days > course.endDays.mid
  return {
    code: 'follow-malolactic',
    key: 'follow-malolactic',
    weeksSince: hours / 168,
    nearly,
    ...(!(lot.temperature && hoursSince(lot.temperature.at, now) <= FRESH_H) && { warmthUnknown: true as const }),
    ...(course && { endInDays: { low: left(course.endDays.low), high: left(course.endDays.high) } }),
    urgency: quiet || hours >= every ? 'soon' : 'wait',
    task: true,
    lotId: lot.id,
    minutes: 15,
    evidence: lot.others.malic?.from ?? [],
    window: { from: later(looked, every), due: later(looked, every), late: later(looked, every + 14 * 24) },
    againH: every,
    action: { to: 'malolactic', lotId: lot.id },
    waysRound: [
      ...(quiet ? [{ code: 'accept-malic', drafts: [{ type: 'operation', lotId: lot.id, what: 'malolactic-over' }] } as const] : []),
      { code: 'no-instrument', drafts: [{ type: 'equipment-said', has: { 'malic-test': false } }] }
    ]
  }
}
