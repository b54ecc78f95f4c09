import {
  type AcidsFinding,
  type Band,
  type Course,
  READING_UNCERTAINTY,
  type ReadingUncertainty,
  type WineStyle,
  applyChanges,
  bandOf,
  fitAcids,
  possibilities,
  runCourse,
  runToWine,
  usualCourse
} from '../acids'
import { potentialAlcohol, sgFromBrix } from '../hydrometry'
import { cardOf } from '../materials'
import { LimitError, within } from '../units'
import { type Needs, type Scope, type Windows, acidSide, deadZone, needsAt, sugarSide } from './correction'
import { ACID_MATERIALS, type Amounts, CARBONATE_MATERIALS, type Material, type Prospect, acidsOf, changesOf, lookAhead } from './prospect'
import { type Stage, staged } from './sweeten-or-thin'
import { type Reason, reasonsFor } from './verdict'
import { EDGE, MUST_WINDOWS, type MustQuantity, type Range } from './windows'

const MATERIALS_OF_A_MUST: readonly Material[] = [...ACID_MATERIALS, ...CARBONATE_MATERIALS, 'water', 'sucrose']
/** Most of each that is sensible in one must, g/L (water L/L), by its card: common practice, no source. */
export const ADDITION_LIMITS = Object.fromEntries(MATERIALS_OF_A_MUST.map((m) => [m, cardOf(m)!.limit!.perL])) as Record<Material, number>

export interface TargetRequest {
  must: {
    /** Absent, or below 5, for a wine: its sugar is no concern of a must's window. */
    brix?: number
    ph: number
    taGPerL: number
    malicGPerL?: number
    lacticGPerL?: number
    /** % vol that it has; for a must above 15 °Brix the alcohol that it is expected to reach. */
    abv?: number
    endPointPh?: number
  }
  style?: WineStyle
  /** Those of the style when left out. */
  windows?: Windows
  /** Whether it will have malolactic, and a winter or weeks of cold: the usual of the style when left out, neither without a style. */
  malolactic?: boolean
  cold?: boolean
  /** What the person has, with a limit of their own (g/L, water L/L) or the usual one. */
  available: Partial<Record<Material, number | true>>
  /** What of each went in already, for a litre: it counts against the limits. */
  given?: Partial<Record<Material, number>>
  volumeL: number
  /** Of the readings, 80 % half-widths. */
  uncertainty?: ReadingUncertainty
  /** False leaves the bands out: many lots at once only need the amounts. */
  withBands?: boolean
}

export interface Miss {
  quantity: MustQuantity
  value: number
  window: Range
  by: number
}
export interface TargetAddition {
  material: Material
  /** g per litre of the must as it stands; litres for water. */
  perLitre: number
  /** For the whole volume: g, or L of water. */
  total: number
  unit: 'g' | 'L'
  stages: Stage[]
}
export interface TargetProposal {
  additions: TargetAddition[]
  /** As it would be measured then; no sugar for a wine. */
  predicted: { brix?: number, sg?: number, ph: number, taGPerL: number }
  /** Where it will stand after malolactic and cold, if they are planned, on the scale of a must (see runCourse). */
  course: { ph: Band, taGPerL: Band }
  /** What the meter will show in the finished wine, the ferment's own acids and alcohol included. */
  asWine: { ph: Band, taGPerL: Band }
  /** What ends further outside its window than its forecast leaves open. */
  missed: Miss[]
}
export interface TargetResult extends TargetProposal {
  verdict: 'add' | 'leave'
  reasons: Reason[]
  /** Where TA forbids more acid while the pH is still high: what pH first would cost. Shown, not proposed. */
  trade?: TargetProposal
  findings: AcidsFinding[]
}

/** °Brix above which a lot counts as a must that has not fermented. */
const MUST_FROM_BRIX = 15

/**
 * What to add to a must, or to a wine, so that it stands in its windows where it will end: water or sugar to the near edge,
 * then acid or carbonate, never both. Judged after malolactic and cold where they are planned; nothing that stands in its
 * window is moved out of it, nothing outside is moved further out, and leaving it is an answer.
 * @param request readings (Brix to 40, pH and TA as in fitAcids), windows, what is planned, materials, volume
 * @returns the proposal in stages with its reasons, where it will end, and what it still misses
 * @throws LimitError
 */
export function findTargets(request: TargetRequest): TargetResult {
  const { volumeL } = request
  within('volumeL', volumeL, 0.1, 100_000)
  const windows = windowsOf(request)
  const { readings, brix, course } = layOut(request)
  const fit = fitAcids(readings)
  const look = lookAhead(fit.composition, brix, course)
  const scope: Scope = {
    look,
    windows,
    limits: limitsOf(request.available, request.given ?? {}),
    planned: course.malolactic || course.cold,
    malolactic: course.malolactic
  }
  const start = look({})
  const wanted = needsAt(start, start, scope)
  const amounts = chosen(start, wanted, scope)
  const end = look(amounts)
  const possible = request.withBands === false ? [] : possibilities(readings, fit, request.uncertainty ?? READING_UNCERTAINTY)
  const proposal = (a: Amounts, at: Prospect): TargetProposal => ({
    additions: additionsOf(a, volumeL),
    predicted: { ...(at.now.brix !== undefined && { brix: at.now.brix, sg: sgFromBrix(at.now.brix) }), ph: at.now.ph, taGPerL: at.now.ta },
    course: bandsOf(at.end, a, scope.planned ? runCourse : (c) => c),
    asWine: bandsOf(acidsOf(runToWine(at.composition, course)), a, runToWine),
    missed: missesOf(at, windows)
  })
  const bandsOf = (mid: { ph: number, ta: number }, a: Amounts, run: typeof runCourse): { ph: Band, taGPerL: Band } => {
    const changes = changesOf(a)
    const ends = possible.map((p) => acidsOf(run(applyChanges(p.composition, changes).composition, course, p.luck)))
    return {
      ph: bandOf(
        mid.ph,
        ends.map((e) => e.ph),
        possible
      ),
      taGPerL: bandOf(
        mid.ta,
        ends.map((e) => e.ta),
        possible
      )
    }
  }
  const main = proposal(amounts, end)
  const daring = tradeOf(start, wanted, scope, amounts, end)
  return {
    ...main,
    verdict: main.additions.length > 0 ? 'add' : 'leave',
    reasons: reasonsFor({ start, end, wanted, amounts, scope }),
    findings: [...fit.findings, ...end.findings],
    ...(daring && { trade: proposal(daring, look(daring)) })
  }
}

function windowsOf({ windows, style }: TargetRequest): Windows {
  const own = windows ?? (style ? MUST_WINDOWS[style] : undefined)
  if (!own) throw new LimitError('windows', Number.NaN, 0, 0)
  for (const [quantity, range] of Object.entries(own)) {
    if (range && !(range.min <= range.max)) throw new LimitError(`windows.${quantity}.min`, range.min, 0, range.max)
  }
  return own
}

/** A must's alcohol is what its sugar can give, or what was said; a wine's is what it has. */
function layOut({ must, style, malolactic, cold }: TargetRequest) {
  const { abv = 0, brix: typed, ...acids } = must
  within('abv', abv, 0, 18)
  if (typed !== undefined) within('brix', typed, abv > 1 ? -6 : 5, 40)
  const isMust = typed !== undefined && typed >= MUST_FROM_BRIX
  const present = isMust ? 0 : abv
  const possible = typed === undefined ? 0 : potentialAlcohol(Math.max(0, typed)).abv
  const usual = style ? usualCourse(style) : { malolactic: false, cold: false }
  const course: Course = {
    malolactic: malolactic ?? usual.malolactic,
    cold: cold ?? usual.cold,
    finalAbv: Math.min(17, isMust && abv > 0 ? abv : present + possible),
    style: style ?? 'white'
  }
  const readings = { ...acids, abv: present, ...(style && { style }), ...(isMust && { brix: typed }) }
  return { readings, brix: present > 1 ? undefined : typed, course }
}

/** What is left of each limit after what went in; what is at its limit is not offered again. */
const limitsOf = (available: TargetRequest['available'], given: NonNullable<TargetRequest['given']>): Scope['limits'] =>
  Object.fromEntries(
    Object.entries(available).flatMap(([m, own]) => {
      const material = m as Material
      const left = (typeof own === 'number' ? own : ADDITION_LIMITS[material]) - (given[material] ?? 0)
      return own === 0 || left <= ADDITION_LIMITS[material] * TRIFLE ? [] : [[material, left]]
    })
  )

/** Water or sugar first, acid or carbonate on top; less water where it would push something out that cannot be brought back. */
function chosen(start: Prospect, wanted: Needs, scope: Scope): Amounts {
  const sugar = sugarSide(start, wanted, scope)
  const whole = (share: number): Amounts => {
    const base = Object.fromEntries(Object.entries(sugar).map(([m, a]) => [m, a * share])) as Amounts
    return { ...base, ...acidSide(base, needsAt(scope.look(base), start, scope), scope) }
  }
  const harmless = (amounts: Amounts) => pushedOut(start, scope.look(amounts), scope.windows) < 1e-3
  const all = whole(1)
  // Sugar thins a must by two hundredths at the most, which no titration tells; only water is held back.
  if (!sugar.water || harmless(all)) return all
  let [low, high] = [0, 1]
  for (let i = 0; i < 12; i++) {
    const middle = (low + high) / 2
    if (harmless(whole(middle))) low = middle
    else high = middle
  }
  return whole(low)
}

/**
 * How far something is pushed out of its window, now and at the end, beyond half of what no instrument tells. What stands
 * outside already may be thinned by twice as much as it is out, so that nothing jumps at the edge.
 */
function pushedOut(start: Prospect, end: Prospect, windows: Windows): number {
  const out = (value: number, window: Range | undefined) => (window ? Math.max(0, window.min - value, value - window.max) : 0)
  const further = (from: number, to: number, window: Range | undefined) => out(to, window) - 3 * out(from, window)
  const worse = (q: 'ph' | 'ta') =>
    Math.min(further(start.now[q], end.now[q], windows[q]), further(start.end[q], end.end[q], windows[q])) - EDGE[q] / 2
  return Math.max(0, worse('ph'), worse('ta'))
}

function tradeOf(start: Prospect, wanted: Needs, scope: Scope, amounts: Amounts, end: Prospect): Amounts | undefined {
  const { ph, ta } = scope.windows
  if (!ph || !ta || end.end.ph <= ph.max + deadZone('ph', end.now.ph, end.end.ph)) return undefined
  const base: Amounts = { ...(amounts.water && { water: amounts.water }), ...(amounts.sucrose && { sucrose: amounts.sucrose }) }
  const daring = { ...base, ...acidSide(base, needsAt(scope.look(base), start, scope), scope, false) }
  return scope.look(daring).end.ph < end.end.ph - 0.02 ? daring : undefined
}

function missesOf(at: Prospect, windows: Windows): Miss[] {
  return (['brix', 'ph', 'ta'] as const).flatMap((quantity): Miss[] => {
    const window = windows[quantity]
    const now = at.now[quantity]
    if (!window || now === undefined) return []
    const end = quantity === 'brix' ? now : at.end[quantity]
    // A fall that is still to come makes nothing too low: the trade's windows of a must reckon with it.
    const high = Math.max(0, end - window.max)
    const low = Math.max(0, window.min - Math.max(now, end))
    const value = high > 0 ? end : Math.max(now, end)
    return Math.max(high, low) > deadZone(quantity, now, end) ? [{ quantity, value, window, by: high - low }] : []
  })
}

/** Less than this share of a material's limit is not worth weighing. */
const TRIFLE = 0.004

function additionsOf(amounts: Amounts, volumeL: number): TargetAddition[] {
  return Object.entries(amounts).flatMap(([m, perLitre]): TargetAddition[] => {
    const material = m as Material
    if (perLitre < ADDITION_LIMITS[material] * TRIFLE) return []
    const total = perLitre * volumeL
    return [{ material, perLitre, total, unit: material === 'water' ? 'L' : 'g', stages: staged(total) }]
  })
}
