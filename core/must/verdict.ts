import { type Needs, type Scope, deadZone } from './correction'
import type { Amounts, Prospect } from './prospect'
import type { MustQuantity, Range } from './windows'

/** Why something is added, or left: `now` as measured, `end` where it will stand, `edge` of the window. */
export type Reason =
  | { code: 'in-windows' }
  /** Brought to the near edge. */
  | { code: 'brings-in', quantity: MustQuantity, side: 'high' | 'low', now: number, end: number, edge: number }
  /** Outside now, and what is planned brings it in by itself. */
  | { code: 'course-mends', quantity: 'ph' | 'ta', side: 'high' | 'low', now: number, end: number, edge: number }
  /** Outside by less than the reading and the forecast leave open. */
  | { code: 'too-near-to-tell', quantity: MustQuantity, side: 'high' | 'low', now: number, end: number, edge: number }
  /** Inside now, falls or rises a little past the edge later: the trade's windows of a must reckon with that. */
  | { code: 'usual-fall', quantity: 'ta', now: number, end: number, edge: number }
  /** What would mend one would harm the other. */
  | { code: 'would-harm', quantity: 'ph' | 'ta', other: 'ph' | 'ta' }
  | { code: 'low-ph-low-ta' }
  | { code: 'high-ph-high-ta' }
  | { code: 'nothing-at-hand', quantity: MustQuantity, side: 'high' | 'low' }

interface Case {
  start: Prospect
  end: Prospect
  wanted: Needs
  amounts: Amounts
  scope: Scope
}

const side = (value: number, window: Range): 'high' | 'low' | undefined =>
  value > window.max ? 'high' : value < window.min ? 'low' : undefined

/** The reasons for a proposal, most important first. */
export function reasonsFor(c: Case): Reason[] {
  const { windows } = c.scope
  const found: Reason[] = []
  const sides = { ph: windows.ph && side(c.start.end.ph, windows.ph), ta: windows.ta && side(c.start.end.ta, windows.ta) }
  const nowSides = { ph: windows.ph && side(c.start.now.ph, windows.ph), ta: windows.ta && side(c.start.now.ta, windows.ta) }
  if (nowSides.ph === 'low' && nowSides.ta === 'low') found.push({ code: 'low-ph-low-ta' })
  if (sides.ph === 'high' && sides.ta === 'high') found.push({ code: 'high-ph-high-ta' })
  found.push(...sugarReasons(c))
  for (const quantity of ['ph', 'ta'] as const) found.push(...acidReasons(c, quantity))
  return found.length > 0 ? found : [{ code: 'in-windows' }]
}

function sugarReasons({ start, wanted, amounts, scope }: Case): Reason[] {
  const window = scope.windows.brix
  const now = start.now.brix
  const where = window && now !== undefined && side(now, window)
  if (!window || now === undefined || !where) return []
  const about = { quantity: 'brix', side: where, now, end: now, edge: where === 'high' ? window.max : window.min } as const
  if (amounts.water || amounts.sucrose) return [{ code: 'brings-in', ...about }]
  return [
    wanted.water + wanted.sugar === 0 ? { code: 'too-near-to-tell', ...about } : { code: 'nothing-at-hand', quantity: 'brix', side: where }
  ]
}

function acidReasons({ start, end, amounts, scope }: Case, quantity: 'ph' | 'ta'): Reason[] {
  const window = scope.windows[quantity]
  if (!window) return []
  const [now, later] = [start.now[quantity], start.end[quantity]]
  const [nowSide, endSide] = [side(now, window), side(later, window)]
  const added = Object.keys(amounts).some((m) => m !== 'water' && m !== 'sucrose')
  if (!nowSide && !endSide) return []
  const where = (endSide ?? nowSide)!
  const about = { side: where, now, end: later, edge: where === 'high' ? window.max : window.min }
  if (nowSide && !endSide) return [{ code: 'course-mends', quantity, ...about }]
  const moved = Math.abs(end.end[quantity] - later) > deadZone(quantity, 0, 0) / 4
  if (added && moved && nearer(end.end[quantity], later, window)) return [{ code: 'brings-in', quantity, ...about }]
  if (Math.abs(later - about.edge) <= deadZone(quantity, now, later)) return [{ code: 'too-near-to-tell', quantity, ...about }]
  if (quantity === 'ta' && where === 'low' && !nowSide) return [{ code: 'usual-fall', quantity, now, end: later, edge: about.edge }]
  const helps =
    where === (quantity === 'ph' ? 'high' : 'low')
      ? ['tartaric', 'malic', 'citric']
      : ['potassium-bicarbonate', 'potassium-carbonate', 'calcium-carbonate']
  if (!helps.some((m) => scope.limits[m as 'tartaric'] !== undefined)) return [{ code: 'nothing-at-hand', quantity, side: where }]
  return [{ code: 'would-harm', quantity, other: quantity === 'ph' ? 'ta' : 'ph' }]
}

const nearer = (after: number, before: number, { min, max }: Range): boolean => {
  const out = (v: number) => Math.max(0, min - v, v - max)
  return out(after) < out(before)
}
