import { DAY_MS, HOUR_MS } from '../units'
import { type LotView, WAY_STEPS, type WayStepCode, isWine } from '../ledger'
import { type Condition, type LotForecast, bottlingWindow, isOnSkins, monthsOfRest, readinessOf } from '../stages'
import { doneAt } from './done'
import { SPANS, type Span, wayKindOf } from './durations'
import { type Habit, type HabitCode, habitOf, spanBy } from './habits'

/** A step between here and the glass: when it was done, or when it may come. Instants, ISO UTC. */
export interface WayStep {
  code: WayStepCode
  doneAt?: string
  earliest: string
  likely: string
  latest: string
  /** The day that the person put it on, and when it would come by itself. */
  moved?: { day: string, earliest: string, latest: string }
  /** Its window leans on so many lots that were finished in this cellar. */
  learntFrom?: number
  /** What is still wanted before it, as far as that can be said by now. */
  open: readonly Condition['code'][]
}

/** Days. */
const MONTH = 30.4
/** Nobody is asked about older corks: as in the stage that asks for it. */
const FORGOTTEN = 45 * DAY_MS
type Window = readonly [earliest: number, likely: number, latest: number]
const plus = (window: Window, span: Span): Window =>
  [window[0] + span[0] * DAY_MS, window[1] + span[1] * DAY_MS, window[2] + span[2] * DAY_MS]
const at = (instant: string): Window => [Date.parse(instant), Date.parse(instant), Date.parse(instant)]
const later = (a: Window, b: Window): Window => [Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.max(a[2], b[2])]

/** A day is counted from its noon, which is the same day in nearly every zone. */
const noonOf = (day: string): number => Date.parse(`${day}T12:00:00.000Z`)

/** The steps that this lot has to take at all. */
function stepsOf(lot: LotView): WayStepCode[] {
  const { malolactic, sulphite, finish, sparkling } = lot.plan
  const bacteria = malolactic !== 'none' && malolactic !== 'blocked' && lot.stream !== 'kit'
  const skins = isOnSkins(lot) || lot.pressedAt !== undefined
  const corked = lot.bottled.length === 0 || lot.bottled.some((b) => b.closure === 'cork')
  const left: Partial<Record<WayStepCode, boolean>> = {
    pressed: skins,
    malolactic: bacteria,
    sulphited: sulphite !== 'none' && !sparkling,
    stable: lot.stream !== 'kit',
    sweetened: finish === 'sweet',
    'laid-down': corked && !sparkling
  }
  return WAY_STEPS.filter((code) => left[code] !== false)
}

/**
 * The way of a lot from where it is to the glass: each step with the window in which it comes. What was done stands with its day; what a
 * forecast or a reading says goes before what is usual; the rest follows from the step before.
 * @param now ISO UTC: nothing that is still to come lies before it
 * @param habits what this cellar's own lots say of the next
 */
export function wayOf(lot: LotView, now: string, known?: LotForecast, habits: readonly Habit[] = []): WayStep[] {
  const done = doneAt(lot)
  // What was not done before the bottle is done no more; nor are corks turned that have long been in.
  const corkedLong = done.bottled !== undefined && (done.tasted !== undefined || Date.parse(now) - Date.parse(done.bottled) > FORGOTTEN)
  const past = (code: WayStepCode) =>
    done.bottled !== undefined && !done[code]
      && (code === 'laid-down' ? corkedLong : WAY_STEPS.indexOf(code) < WAY_STEPS.indexOf('bottled'))
  const codes = stepsOf(lot).filter((code) => !past(code))
  const windows = new Map<WayStepCode, Window>()
  const of = (code: WayStepCode): Window | undefined => windows.get(code)
  const start = at(lot.startedAt)
  const foretold = known?.forecast.dry
  const kind = wayKindOf(lot)
  const here = (code: HabitCode, span: Span): Span => spanBy(habitOf(habits, code, kind), span)
  const rested = (): Window => {
    const months = monthsOfRest(lot).from * MONTH
    return isWine(lot) && !isOnSkins(lot) ? at(bottlingWindow(lot).from) : plus(of('off-lees') ?? start, [months, months, months])
  }
  const toBottle = (): Window => later(plus(rested(), SPANS.bottled[kind]), of('clear') ?? start)
  const usual: Record<WayStepCode, () => Window> = {
    pitched: () => plus(start, SPANS.pitched[lot.stream]),
    dry: () => {
      if (!foretold || !known) return plus(of('pitched') ?? start, here('dry', SPANS.dry[lot.style]))
      const hours = (h: number) => Date.parse(known.startAt) + (h + 48) * HOUR_MS
      return [hours(foretold.lowHours), hours(foretold.midHours), hours(foretold.highHours)]
    },
    pressed: () => plus(of('dry') ?? start, SPANS.pressed[lot.plan.press]),
    'off-lees': () => plus(later(of('dry') ?? start, of('pressed') ?? start), SPANS['off-lees']),
    malolactic: () => {
      const dueBy = lot.plan.malolactic === 'with-yeast' ? of('pitched') : later(of('dry') ?? start, of('pressed') ?? start)
      const from = lot.bacteriaAt ? at(lot.bacteriaAgainAt ?? lot.bacteriaAt) : (dueBy ?? start)
      return plus(from, here('malolactic', SPANS.malolactic[lot.plan.malolactic]))
    },
    sulphited: () => plus(of('malolactic') ?? of('off-lees') ?? start, SPANS.sulphited),
    clear: () => later(plus(of('off-lees') ?? start, here('clear', SPANS.clear[kind])), of('malolactic') ?? start),
    stable: () => plus(rested(), SPANS.stable[kind]),
    sweetened: () => plus(toBottle(), SPANS.sweetened),
    bottled: toBottle,
    'laid-down': () => plus(of('bottled') ?? start, SPANS['laid-down']),
    tasted: () => plus(of('bottled') ?? start, SPANS.tasted)
  }
  const present = Date.parse(now)
  const iso = (t: number) => new Date(t).toISOString()
  const gate = lot.plan.sparkling ? 'bottling-sparkling' : 'bottling-still'
  return codes.map((code): WayStep => {
    const did = done[code]
    const raw = did ? at(did) : usual[code]()
    // What has not come by now comes from now on; it is as late as it is.
    const itself: Window = did ? raw : [Math.max(present, raw[0]), Math.max(present, raw[1]), Math.max(present + DAY_MS, raw[2])]
    const day = did ? undefined : lot.movedSteps?.[code]
    // A day that has passed without it says nothing any more.
    const noon = day === undefined ? Number.NaN : noonOf(day)
    const isMoved = noon + DAY_MS / 2 > present
    const window: Window = isMoved ? [Math.max(present, noon), Math.max(present, noon), Math.max(present, noon) + DAY_MS] : itself
    windows.set(code, window)
    const moved = isMoved && { moved: { day: day!, earliest: iso(itself[0]), latest: iso(itself[2]) } }
    const [earliest, likely, latest] = window.map(iso) as [string, string, string]
    const leansOn = did || isMoved || (code === 'dry' && foretold) ? undefined : habitOf(habits, code, kind)?.lots.length
    const open = code === 'bottled' && !did && done.dry ? readinessOf(lot, gate, now).open.map((c) => c.code) : []
    return { code, ...(did && { doneAt: did }), earliest, likely, latest, ...moved, ...(leansOn && { learntFrom: leansOn }), open }
  })
}

/** What a day of the person's own does to a step: nothing, it cannot be done by then, or the wine suffers from the wait. */
export type Endangered = 'too-early' | 'too-late'
/** Steps that harm when they come late; the others are the person's own time. */
const HARMS_LATE: ReadonlySet<WayStepCode> = new Set(['pitched', 'pressed', 'off-lees', 'malolactic', 'sulphited', 'laid-down'])

/**
 * @param step with the window in which it comes by itself
 * @param day "2027-05-01"
 */
export function endangers({ code, earliest, latest, moved }: WayStep, day: string): Endangered | undefined {
  // The day is asked of whole: its evening is late enough, its morning early enough.
  const noon = noonOf(day)
  if (noon + DAY_MS / 2 < Date.parse(moved?.earliest ?? earliest)) return 'too-early'
  return noon - DAY_MS / 2 > Date.parse(moved?.latest ?? latest) && HARMS_LATE.has(code) ? 'too-late' : undefined
}
