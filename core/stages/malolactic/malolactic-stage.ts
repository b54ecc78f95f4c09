import type { Finding, Urgency } from '../../findings'
import { type LotView, freeFor, isFermenting, isHeld, isWine } from '../../ledger'
import { LEAST_FREE } from '../../sulphite'
import { isOnSkins } from '../skins'
import { type CellarView, type Stage, hoursSince, later } from '../stage'
import { conditionsOf, malolacticCourseOf, malolacticEndedAt } from './of-lot'
import type { MalolacticSays } from './says'

type Says = Finding<MalolacticSays>

/** Malic acid is looked at so often while bacteria work, and near their end, h (craft 3.9, common practice). */
const LOOK_H = { far: 7 * 24, near: 4 * 24 } as const
/** Sulphite goes in within days of the end, h: craft 3.9. */
const AFTER_H = { due: 3 * 24, late: 10 * 24 } as const
/** Below this what holds them up is worth a word. */
const POOR = 0.6
/** With the yeast: a day after it, craft 3.9; on the skins: when the sugar is nearly gone. Common practice, no source. */
const [WITH_YEAST_H, ON_SKINS_SG] = [24, 1.005] as const
/** mg/L molecular that keeps bacteria from beginning; how cold it is kept for that, °C. Common practice, no source. */
const [BLOCKING_MOLECULAR, BLOCKING_C] = [0.8, 12] as const

/** Nothing is sulphited before or during a malolactic that is wanted: it is asked for, followed, ended, and then sulphited. */
export const malolacticStage: Stage<MalolacticSays> = {
  code: 'malolactic',
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && (isOpen(lot) || unprotected(lot) || isBlocked(lot)),
  tasks(lot, cellar, now): Says[] {
    if (lot.malolactic === 'done') return unprotected(lot) ? [sulphiteAfter(lot, now)] : []
    if (lot.malolactic === 'to-come') return [start(lot, cellar)]
    return lot.bacteriaAt === undefined ? [] : [follow(lot, cellar, now, lot.bacteriaAt)]
  },
  findings(lot, cellar): Says[] {
    if (isBlocked(lot)) return [blocked(lot)]
    if (lot.malolactic === 'done' || lot.malolactic === 'not-wanted') return []
    const found = conditionsOf(lot, cellar.cards)
    const course = malolacticCourseOf(lot, cellar.cards)
    return [
      ...(course?.findings ?? []).map((wrong) => about(lot, `malolactic:${wrong.code}`, 'soon', { code: 'malolactic-course', wrong })),
      ...(found && found.score < POOR ? found.findings : [])
        .filter((by) => by.code !== 'others-thrive')
        .map((by) => about(lot, `held-up:${by.code}`, 'soon', { code: 'malolactic-held-up', by, score: found!.score })),
      ...(found?.findings ?? [])
        .filter((by) => by.code === 'others-thrive')
        .map((by) => about(lot, 'held-up:others-thrive', 'note', { code: 'malolactic-held-up', by, score: found!.score }))
    ]
  }
}

/** Bacteria that go in with the yeast or on the skins are asked for beside what the ferment asks for. */
export const malolacticEarlyStage: Stage<MalolacticSays> = {
  code: 'malolactic-early',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && timeIsNow(lot),
  tasks: (lot, cellar) => [start(lot, cellar)],
  findings: () => []
}

const isOpen = (lot: LotView): boolean => ['to-come', 'under-way', 'nearly'].includes(lot.malolactic)

const about = (lot: LotView, key: string, urgency: Urgency, says: MalolacticSays): Says => ({
  ...says,
  key,
  urgency,
  task: false,
  lotId: lot.id,
  evidence: lot.others.malic?.from ?? lot.ph?.from ?? [],
  action: { to: 'malolactic', lotId: lot.id }
})

/** It is to have its bacteria while it still ferments, and it is time. */
function timeIsNow(lot: LotView): boolean {
  if (!isFermenting(lot) || lot.alcoholic === 'stuck' || lot.bacteriaAt !== undefined || lot.malolactic !== 'to-come') return false
  if (lot.plan.malolactic === 'with-yeast') return lot.inoculatedAt !== undefined && hoursSince(lot.inoculatedAt, lot.asOf) >= WITH_YEAST_H
  return lot.plan.malolactic === 'on-skins' && isOnSkins(lot) && lot.sg !== undefined && lot.sg.value <= ON_SKINS_SG
}

/** Over, and not sulphited since; not of those who keep it without. */
function unprotected(lot: LotView): boolean {
  const ended = malolacticEndedAt(lot)
  if (ended === undefined || lot.plan.sulphite === 'none') return false
  const known = lot.freeSo2?.origin === 'measured' && lot.freeSo2.at > ended ? lot.freeSo2.value : 0
  return !(lot.lastSulphiteAt !== undefined && lot.lastSulphiteAt > ended) && known < LEAST_FREE
}

function start(lot: LotView, cellar: CellarView): Says {
  const found = conditionsOf(lot, cellar.cards)
  return {
    code: 'start-malolactic',
    key: 'start-malolactic',
    ...(found && { score: found.score, ...(found.limiting && { limiting: found.limiting }) }),
    urgency: 'soon',
    task: true,
    lotId: lot.id,
    minutes: 20,
    evidence: lot.sg?.from ?? [],
    action: { to: 'malolactic', lotId: lot.id }
  }
}

function follow(lot: LotView, cellar: CellarView, now: string, bacteriaAt: string): Says {
  const looks = [lot.others.malic?.at, lot.paper?.at, bacteriaAt].filter((at) => at !== undefined && at >= bacteriaAt)
  const looked = looks.sort().at(-1)!
  const course = malolacticCourseOf(lot, cellar.cards)
  const nearly = lot.malolactic === 'nearly'
  const every = nearly || (course && course.malicNow.mid < 0.5) ? LOOK_H.near : LOOK_H.far
  const hours = hoursSince(looked, now)
  const left = (days: number) => Math.max(0, days - (course?.days ?? 0))
  return {
    code: 'follow-malolactic',
    key: 'follow-malolactic',
    weeksSince: hours / 168,
    nearly,
    ...(course && { endInDays: { low: left(course.endDays.low), high: left(course.endDays.high) } }),
    urgency: hours >= every ? 'soon' : 'wait',
    task: true,
    lotId: lot.id,
    minutes: 15,
    evidence: lot.others.malic?.from ?? [],
    window: { from: later(looked, every), due: later(looked, every) },
    action: { to: 'malolactic', lotId: lot.id }
  }
}

function sulphiteAfter(lot: LotView, now: string): Says {
  const ended = malolacticEndedAt(lot)!
  const hours = hoursSince(ended, now)
  const measured = lot.ph?.origin === 'measured' && lot.ph.at >= ended
  return {
    code: 'sulphite-after-malolactic',
    key: 'sulphite-after-malolactic',
    daysSince: hours / 24,
    ...(lot.ph && { ph: lot.ph.value }),
    phMeasured: measured,
    urgency: hours > AFTER_H.due ? 'now' : 'soon',
    window: { due: later(ended, AFTER_H.due), late: later(ended, AFTER_H.late) },
    task: true,
    lotId: lot.id,
    minutes: 20,
    evidence: lot.others.malic?.from ?? [],
    // Without its new pH the dose is a guess: it is measured first.
    action: { to: measured ? 'sulphite' : 'measure', lotId: lot.id }
  }
}

const isBlocked = (lot: LotView): boolean => lot.plan.malolactic === 'blocked' && lot.bacteriaAt === undefined && lot.malolactic !== 'done'

function blocked(lot: LotView): Says {
  const ph = lot.ph?.value ?? 3.5
  const level = freeFor(BLOCKING_MOLECULAR, ph)
  const filtered = lot.worked.has('filter')
  const free = (lot.freeSo2?.value ?? 0) >= level - 3
  const racked = lot.rackedAt !== undefined && lot.rackedAt > (lot.inoculatedAt ?? lot.startedAt)
  const cold = lot.temperature !== undefined && lot.temperature.value <= BLOCKING_C
  return about(lot, `malolactic-blocked:${[free, racked, cold, filtered].map(Number).join('')}`, free && racked ? 'note' : 'soon', {
    code: 'malolactic-blocked',
    free,
    racked,
    cold,
    filtered
  })
}
