import { type Finding, type Urgency, type WayOut, isEnded } from '../../findings'
import { potentialAlcohol } from '../../hydrometry'
import { type LotView, abvOf, isFermenting, isHeld, isWine, malicSettledOf, reckonedBrix, sugarLeftOf } from '../../ledger'
import { USUAL_CONDITIONS, readPaper } from '../../malolactic'
import { LEAST_FREE, TOLD_WITHIN } from '../../sulphite'
import { isOffLees, wineFrom } from '../off-lees'
import { isOnSkins } from '../skins'
import { faultOf } from '../smelt'
import { type CellarView, type Stage, hoursSince, later } from '../stage'
import { doseFor } from '../sulphite-dose'
import { conditionsOf, malolacticCourseOf, malolacticEndedAt } from './of-lot'
import type { MalolacticObstacle, MalolacticSays } from './says'

type Says = Finding<MalolacticSays>

/** Malic acid is looked at so often while bacteria work, and near their end, h (craft 3.9, common practice). */
const LOOK_H = { far: 14 * 24, near: 7 * 24, first: 14 * 24 } as const
/** Sulphite goes in within days of the end, h: craft 3.9. */
const AFTER_H = { due: 3 * 24, late: 10 * 24 } as const
/** Below this what holds them up is worth a word; and below this they hardly begin, and it is decided instead of waited for. */
const [POOR, HOPELESS] = [0.6, 0.2] as const
/** With the yeast: a day after it, craft 3.9; on the skins: when the sugar is nearly gone. Common practice, no source. */
const [WITH_YEAST_H, ON_SKINS_SG] = [24, 1.005] as const
/** A ferment with less alcohol than this is young; so much over what bacteria bear is worth a change of plan, % vol. Ours. */
const [YOUNG_ABV, STRONG_BY] = [5, 0.5] as const
/** How cold a wine is kept so that bacteria do not begin, °C. Common practice, no source. */
const BLOCKING_C = 12
/** Warm enough for bacteria from here on, °C: craft 3.9, common practice. */
const LEAST_C = 18
/** What two sugar tests of one wine differ by, g/L: common practice, no source. */
const TESTS_DIFFER = 3
/** Bacteria on so much sugar make vinegar of it, g/L: craft 3.9, common practice. */
const MOST_SUGAR = 4
/**
 * Nothing seen for so long decides, h: it takes about a week to begin and 3 to 8 weeks (craft 3.9), so one that shows nothing after six, or
 * is not over after twelve, is not waited for. Half a year without sulphite is the most: ours.
 */
const DECIDE_H = { unstarted: 6 * 168, unfinished: 12 * 168, neverBegun: 12 * 168, atMost: 26 * 168 } as const
/** What was decided holds for so many days. */
const [HELPED_DAYS, WAIT_DAYS, RESTART_DAYS] = [28, 28, 7] as const
const STANDS = 'malolactic-stands'
/** A look speaks for where malolactic is for so long, h; and so much between two tests is more than their error, g/L. Ours. */
const [FRESH_H, FALLS] = [21 * 24, 0.3] as const
/** The method that waits: so long after the last sign it is taken for over, h (craft 3.9: a month). */
const QUIET_H = 30 * 24

/** Nothing is sulphited before or during a malolactic that is wanted: it is asked for, followed, ended, and then sulphited. */
export const malolacticStage: Stage<MalolacticSays> = {
  code: 'malolactic',
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && (isOpen(lot) || unprotected(lot) || isBlocked(lot)),
  tasks(lot, cellar, now): Says[] {
    if (lot.malolactic === 'done') return unprotected(lot) ? [sulphiteAfter(lot, cellar, now)] : []
    if (lot.malolactic === 'to-come') return [begin(lot, cellar, now)]
    return lot.bacteriaAt === undefined || lot.malolactic === 'not-wanted' ? [] : [goesOn(lot, cellar, now, lot.bacteriaAt)]
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
  appliesTo: (lot) => isHeld(lot) && (timeIsNow(lot) || strongLater(lot) !== undefined),
  tasks: (lot, cellar) => (hopeless(lot, cellar) ? [] : [timeIsNow(lot) ? start(lot, cellar) : early(lot, strongLater(lot)!)]),
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

const fermentsBeforeBacteria = (lot: LotView): boolean =>
  isFermenting(lot) && lot.alcoholic !== 'stuck' && lot.bacteriaAt === undefined && lot.malolactic === 'to-come'

/** It is to have its bacteria while it still ferments, and it is time. */
function timeIsNow(lot: LotView): boolean {
  if (!fermentsBeforeBacteria(lot)) return false
  if (lot.plan.malolactic === 'with-yeast') return lot.inoculatedAt !== undefined && hoursSince(lot.inoculatedAt, lot.asOf) >= WITH_YEAST_H
  return lot.plan.malolactic === 'on-skins' && isOnSkins(lot) && lot.sg !== undefined && lot.sg.value <= ON_SKINS_SG
}

/** Its alcohol once it is dry, % vol, where that is more than most bacteria live in and there is little of it yet; else undefined. */
function strongLater(lot: LotView): number | undefined {
  if (!fermentsBeforeBacteria(lot) || lot.plan.malolactic === 'with-yeast' || !lot.sg || !lot.balance) return undefined
  const made = abvOf(lot.balance)
  const dry = made + potentialAlcohol(reckonedBrix(lot.sg.value)).abv
  return made < YOUNG_ABV && dry > USUAL_CONDITIONS.toleranceAbv + STRONG_BY ? Math.min(20, dry) : undefined
}

/** Over, and not sulphited since; not of those who keep it without. */
function unprotected(lot: LotView): boolean {
  const ended = malolacticEndedAt(lot)
  if (ended === undefined || lot.plan.sulphite === 'none') return false
  const known = lot.freeSo2?.origin === 'measured' && lot.freeSo2.at > ended ? lot.freeSo2.value : 0
  return !(lot.lastSulphiteAt !== undefined && lot.lastSulphiteAt > ended) && known < LEAST_FREE
}

/** Why bacteria would spoil it, or not live in it; what is asked then is whether malolactic is still wanted. */
function hopeless(lot: LotView, cellar: CellarView): MalolacticObstacle | undefined {
  if (lot.added.has('potassium-sorbate')) return 'sorbate'
  const fault = faultOf(lot, lot.asOf)
  // A wine that smells of vinegar is protected first: more bacteria are the last thing it wants.
  if (fault === 'vinegar' || fault === 'nail-varnish') return 'vinegar'
  const found = conditionsOf(lot, cellar.cards)
  return found && found.score < HOPELESS ? 'conditions' : undefined
}

/** Sugar that no ferment is taking, as far as a test or its gravity says. */
function sugarInTheWay(lot: LotView): boolean {
  const left = isFermenting(lot) ? undefined : sugarLeftOf(lot)
  // What somebody says of it holds until a test says otherwise.
  const said = lot.saidDryAt !== undefined && !(left?.by === 'test' && left.at > lot.saidDryAt)
  return left !== undefined && left.mid > MOST_SUGAR && !said
}

const benchOf = (lot: LotView) => ({ to: 'malolactic', lotId: lot.id }) as const
const block = (lot: LotView) =>
  ({ code: 'block-malolactic', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'blocked' }] }) as const
const warm = (lot: LotView) =>
  ({ code: 'warm-it', drafts: [{ type: 'operation', lotId: lot.id, what: 'warm' }], days: HELPED_DAYS }) as const
const culture = (lot: LotView) => ({ code: 'another-culture', action: { to: 'malolactic', lotId: lot.id }, days: HELPED_DAYS }) as const

/** Bacteria that go in with little alcohol in it get used to the rest; after pressing they would hardly begin. */
const early = (lot: LotView, abv: number): Says => ({
  code: 'malolactic-early',
  key: 'malolactic-early',
  abv,
  urgency: 'soon',
  task: true,
  lotId: lot.id,
  minutes: 5,
  evidence: lot.originalSg?.from ?? lot.sg?.from ?? [],
  action: benchOf(lot),
  waysOut: [
    { code: 'bacteria-early', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'with-yeast' }] },
    { code: 'bacteria-late' },
    { code: 'no-malolactic', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'none' }] }
  ]
})

/** Bacteria are asked for where they can work; where they cannot, or after weeks of silence, the question is whether they are wanted. */
function begin(lot: LotView, cellar: CellarView, now: string): Says {
  const obstacle = hopeless(lot, cellar)
  if (!obstacle && sugarInTheWay(lot)) return tellSugar(lot, now)
  const over = wineFrom(lot)
  const late = over !== undefined && hoursSince(over, now) > DECIDE_H.neverBegun
  if (!obstacle && !late) return start(lot, cellar)
  const found = conditionsOf(lot, cellar.cards)
  return {
    code: 'malolactic-wanted',
    key: `malolactic-wanted:${obstacle ?? 'late'}`,
    because: obstacle ?? 'late',
    ...(found && { score: found.score, ...(found.limiting && { limiting: found.limiting }) }),
    urgency: 'soon',
    task: true,
    lotId: lot.id,
    minutes: 5,
    evidence: lot.ph?.from ?? [],
    action: { to: 'malolactic', lotId: lot.id },
    waysOut: [
      ...(obstacle === 'sorbate' || obstacle === 'vinegar'
        ? []
        : [{ code: 'begin-malolactic', action: benchOf(lot), days: HELPED_DAYS } as const]),
      ...(found?.limiting === 'celsius' ? [warm(lot)] : []),
      { code: 'no-malolactic', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'none' }] },
      { code: 'wait', days: WAIT_DAYS }
    ]
  }
}

/** Before bacteria go in it is known that no sugar waits for them. */
function tellSugar(lot: LotView, now: string): Says {
  const left = sugarLeftOf(lot)!
  // A restart has its week before it is asked about again.
  const restarted = lot.repitchedAt !== undefined && hoursSince(lot.repitchedAt, now) < RESTART_DAYS * 24
  const tested = left.by === 'test'
  const inVain = tested && didNotHelp(lot)
  const restart = { code: 'restart', action: { to: 'restart', lotId: lot.id }, days: RESTART_DAYS } as const
  const leaveSweet = {
    code: 'leave-sweet',
    drafts: [
      { type: 'lot-planned', lotId: lot.id, finish: 'sweet', malolactic: 'none' },
      { type: 'lot-amended', lotId: lot.id, alcoholic: 'stopped' }
    ]
  } as const
  return {
    code: 'sugar-before-bacteria',
    key: tested ? 'sugar-before-bacteria:tested' : 'sugar-before-bacteria',
    sugarHigh: left.high,
    ...(tested && { tested: left.mid }),
    ...(inVain && { inVain: true as const }),
    urgency: tested && restarted ? 'wait' : 'soon',
    task: true,
    lotId: lot.id,
    minutes: 15,
    evidence: left.from,
    action: tested && !inVain ? { to: 'restart', lotId: lot.id } : { to: 'measure', lotId: lot.id, what: 'sugar' },
    waysOut: tested
      ? [...(inVain ? [leaveSweet, restart] : [restart, leaveSweet]), noMalolactic(lot), { code: 'wait', days: WAIT_DAYS }]
      : [
          { code: 'sugar-test', action: { to: 'measure', lotId: lot.id, what: 'sugar' } },
          { code: 'dry-for-this-wine', drafts: [{ type: 'lot-amended', lotId: lot.id, alcoholic: 'dry' }] },
          noMalolactic(lot)
        ]
  }
}
/** It was restarted, and tested before and since: what went is less than two tests are off by. */
function didNotHelp({ repitchedAt, series }: LotView): boolean {
  const tests = series.sugar ?? []
  const before = tests.findLast((p) => repitchedAt !== undefined && p.at < repitchedAt)
  return before !== undefined && before.value - tests.at(-1)!.value < TESTS_DIFFER && tests.at(-1)!.at > repitchedAt!
}
const noMalolactic = (lot: LotView) =>
  ({ code: 'no-malolactic', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'none' }] }) as const

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

/** Followed while it moves; one that never began, stalls, or has no end is decided on. */
function goesOn(lot: LotView, cellar: CellarView, now: string, firstAt: string): Says {
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

function sulphiteAfter(lot: LotView, cellar: CellarView, now: string): Says {
  const ended = malolacticEndedAt(lot)!
  const hours = hoursSince(ended, now)
  const measured = (lot.ph?.origin === 'measured' && lot.ph.at >= ended) || cellar.equipment?.['ph-meter'] === false
  const dose = doseFor(lot, 'next-round')
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
    ...(dose.grams > 0 && { amounts: [{ material: 'potassium-metabisulphite', amount: dose.grams, unit: 'g' as const }] }),
    // With its new pH the dose is exact; a wine that lies open for days is dosed by the old one rather than not at all.
    action: measured || hours > AFTER_H.due
      ? { to: 'sulphite', lotId: lot.id, aim: 'next-round' }
      : { to: 'measure', lotId: lot.id, what: 'ph' }
  }
}

const isBlocked = (lot: LotView): boolean => lot.plan.malolactic === 'blocked' && lot.malolactic === 'not-wanted'

function blocked(lot: LotView): Says {
  const { settled, by, wantedMgPerL, freeMgPerL = 0 } = malicSettledOf(lot)
  const racked = isOffLees(lot)
  const cold = lot.temperature !== undefined && lot.temperature.value <= BLOCKING_C
  const [free, filtered] = [freeMgPerL >= wantedMgPerL - TOLD_WITHIN, by === 'filter']
  return about(lot, `malolactic-blocked:${[free, racked, cold, filtered].map(Number).join('')}`, settled && racked ? 'note' : 'soon', {
    code: 'malolactic-blocked',
    free,
    racked,
    cold,
    filtered,
    wantedMgPerL
  })
}
