import { findRoot } from '../units'
import { ACID_MATERIALS, type Amounts, CARBONATE_MATERIALS, type Look, type Material, type Prospect } from './prospect'
import { EDGE, type MustQuantity, type Range } from './windows'

export type Windows = Partial<Record<MustQuantity, Range>>
export interface Scope {
  look: Look
  windows: Windows
  /** Limit of each material that is at hand, g/L, water L/L. */
  limits: Partial<Record<Material, number>>
  /** Whether malolactic or cold are still to come. */
  planned: boolean
  malolactic: boolean
}

/** How far to move, and why; nought where nothing is to be moved. */
export interface Needs {
  acidForPh: number
  acidForTa: number
  carbonateForPh: number
  carbonateForTa: number
  water: number
  sugar: number
}

const above = (value: number, window: Range | undefined): number => (window ? Math.max(0, value - window.max) : 0)
const below = (value: number, window: Range | undefined): number => (window ? Math.max(0, window.min - value) : 0)

/**
 * What is a forecast counts less than what is measured: this part of the way that the course takes is left open before anything
 * is done about it. Ours.
 */
const LEFT_OPEN = 0.4
/** Distance to an edge that is not acted on. */
export const deadZone = (quantity: MustQuantity, now: number, end: number): number => EDGE[quantity] + LEFT_OPEN * Math.abs(end - now)

/**
 * How much of a distance to mend: nothing inside the dead zone, all of it from twice the dead zone on, and straight between,
 * so that no small change of a reading makes a large one in the advice.
 */
export const toMend = (distance: number, zone: number): number => (distance <= zone ? 0 : Math.min(distance, 2 * (distance - zone)))

/**
 * What should be moved, judged where the must will stand after what is planned. Water and sugar that were added count in full:
 * what they push out of a window is brought back.
 * @param at the must with its water or sugar
 * @param start the must as it is
 */
export function needsAt(at: Prospect, start: Prospect, { windows, planned }: Scope): Needs {
  const { ph, ta, brix } = windows
  const zone = (q: 'ph' | 'ta') => deadZone(q, at.now[q], at.end[q])
  const ownPh = Math.max(above(at.end.ph, ph) - above(start.end.ph, ph), above(at.now.ph, ph) - above(start.now.ph, ph))
  const ownTa = below(at.now.ta, ta) - below(start.now.ta, ta)
  const sugar = start.now.brix === undefined ? 0 : toMend(below(start.now.brix, brix), EDGE.brix)
  return {
    acidForPh: Math.max(toMend(above(at.end.ph, ph), zone('ph')), ownPh),
    // Malolactic and cold take acid from every must; only what is short already is made up.
    acidForTa: Math.max(toMend(Math.min(below(at.now.ta, ta), below(at.end.ta, ta)), EDGE.ta), ownTa),
    carbonateForPh: toMend(Math.min(below(at.now.ph, ph), below(at.end.ph, ph)), EDGE.ph),
    // No carbonate before malolactic or cold for the acid's sake: they take it by themselves (craft 4.5).
    carbonateForTa: planned ? 0 : toMend(above(at.now.ta, ta), EDGE.ta),
    water: start.now.brix === undefined ? 0 : toMend(above(start.now.brix, brix), EDGE.brix),
    sugar
  }
}

/** Smallest x from 0 to `limit` at which a rising function reaches nought. */
function reach(f: (x: number) => number, limit: number): number {
  if (limit <= 0 || f(0) >= 0) return 0
  if (f(limit) <= 0) return limit
  return findRoot(f, 0, limit, limit * 2e-4).x
}

/** Fills an amount from the first material at hand, then the next. */
function fill(materials: readonly Material[], limits: Scope['limits'], total: number): Amounts {
  const amounts: Amounts = {}
  let left = total
  for (const material of materials) {
    const part = Math.min(left, limits[material] ?? 0)
    if (part > 0) amounts[material] = part
    left -= part
  }
  return amounts
}

/** Malic and citric acid are eaten by malolactic bacteria, citric into vinegar: only tartaric before it. */
const acidsAtHand = ({ limits, malolactic }: Scope): Material[] =>
  ACID_MATERIALS.filter((m) => limits[m] !== undefined && (!malolactic || m === 'tartaric'))
const carbonatesAtHand = ({ limits }: Scope): Material[] => CARBONATE_MATERIALS.filter((m) => limits[m] !== undefined)

/** Water or sugar to the near edge of the sugar's window. */
export function sugarSide(start: Prospect, needs: Needs, { look, limits }: Scope): Amounts {
  const brix = start.now.brix
  if (brix === undefined) return {}
  if (needs.water > 0 && limits.water) return { water: reach((x) => brix - needs.water - look({ water: x }).now.brix!, limits.water) }
  if (needs.sugar > 0 && limits.sucrose)
    return { sucrose: reach((x) => look({ sucrose: x }).now.brix! - brix - needs.sugar, limits.sucrose) }
  return {}
}

/**
 * Acid or carbonate on top of water or sugar: as much as the need asks for, never past the room that the other window leaves.
 * A quantity that stands in its window is not moved out of it, one that stands outside is not moved further out.
 * @param keepTa false lets TA leave its window to bring the pH in: the trade that is shown beside, never the proposal
 */
export function acidSide(base: Amounts, needs: Needs, scope: Scope, keepTa = true): Amounts {
  const { look, windows, limits } = scope
  const at = look(base)
  const sum = (list: readonly Material[]) => list.reduce((s, m) => s + limits[m]!, 0)
  const acids = acidsAtHand(scope)
  if (needs.acidForPh > 0 || needs.acidForTa > 0) {
    const tried = (x: number) => look({ ...base, ...fill(acids, limits, x) })
    const limit = sum(acids)
    const forPh = reach((x) => at.end.ph - needs.acidForPh - tried(x).end.ph, limit)
    const forTa = reach((x) => tried(x).now.ta - at.now.ta - needs.acidForTa, limit)
    const need = Math.max(needs.acidForPh > 0 ? forPh : 0, needs.acidForTa > 0 ? forTa : 0)
    return fill(acids, limits, Math.min(need, roomForAcid(tried, limit, windows, keepTa)))
  }
  const carbonates = carbonatesAtHand(scope)
  if (needs.carbonateForPh > 0 || needs.carbonateForTa > 0) {
    const tried = (x: number) => look({ ...base, ...fill(carbonates, limits, x) })
    const limit = sum(carbonates)
    const rise = (p: Prospect) => Math.max(p.now.ph - at.now.ph, p.end.ph - at.end.ph)
    const forPh = reach((x) => rise(tried(x)) - needs.carbonateForPh, limit)
    const forTa = reach((x) => at.now.ta - needs.carbonateForTa - tried(x).now.ta, limit)
    const need = Math.max(needs.carbonateForPh > 0 ? forPh : 0, needs.carbonateForTa > 0 ? forTa : 0)
    return fill(carbonates, limits, Math.min(need, roomForCarbonate(tried, limit, windows)))
  }
  return {}
}

/** TA above its window that a must may carry until malolactic and cold take it, g/L. Ours. */
const SHARP_UNTIL_THEN = 1

function roomForAcid(tried: (x: number) => Prospect, limit: number, { ph, ta }: Windows, keepTa: boolean): number {
  const phRoom = ph ? reach((x) => ph.min - Math.min(tried(x).now.ph, tried(x).end.ph), limit) : limit
  const taRoom = ta && keepTa ? reach((x) => Math.max(tried(x).end.ta - ta.max, tried(x).now.ta - ta.max - SHARP_UNTIL_THEN), limit) : limit
  return Math.min(phRoom, taRoom)
}

function roomForCarbonate(tried: (x: number) => Prospect, limit: number, { ph, ta }: Windows): number {
  const phRoom = ph ? reach((x) => Math.max(tried(x).now.ph, tried(x).end.ph) - ph.max, limit) : limit
  const taRoom = ta ? reach((x) => ta.min - Math.min(tried(x).now.ta, tried(x).end.ta), limit) : limit
  return Math.min(phRoom, taRoom)
}
