import type { Bounds, Solved, Solver } from './model'
import type { Problem } from './problem'

const SLACK = 1e-5

/** Vessels that are alike: of one size, and with the same wine in them now, or none. */
export interface Kind {
  capacityL: number
  /** By place; undefined where it is free. */
  wine: number | undefined
  vessels: number[]
}

export function kindsOf(p: Problem): Kind[] {
  const kinds = new Map<string, Kind>()
  for (const [i, v] of p.vessels.entries()) {
    if (!v.usable) continue
    const wine = p.sources.find((s) => s.vessel === i)?.wine
    const key = `${v.capacityL}|${wine}`
    const kind = kinds.get(key) ?? { capacityL: v.capacityL, wine, vessels: [] }
    kind.vessels.push(i)
    kinds.set(key, kind)
  }
  return [...kinds.values()]
}

/** Where nothing is mixed, whole vessels are counted by size: that is decided in a moment, for a cellar of any size. */
export const canCount = (p: Problem): boolean => p.wines.every((_, a) => p.wines.every((__, b) => a === b || !p.mixes(a, b)))

export interface Filling {
  bounds: Required<Bounds>
  sure: boolean
  /** Vessels by wine, as they were found. */
  chosen: number[][]
}

/**
 * The first two goals without how it gets there: least wine without a vessel, then least air. What is best here is the best of all, as long
 * as nothing is in the way.
 */
export function bestFilling(p: Problem, solve: Solver, time: () => number): Filling | undefined {
  const total = p.sources.reduce((sum, s) => sum + s.litres, 0)
  const first = solve(countModel(p, 'left'), { time_limit: time() })
  if (first.Status !== 'Optimal') return undefined
  const without = Math.max(0, first.ObjectiveValue)
  const second = solve(countModel(p, 'air', without), { time_limit: time() })
  if (!('n0_0' in second.Columns)) return undefined
  const air = second.ObjectiveValue - (total - without)
  return { bounds: { without, air: Math.max(0, air) }, sure: second.Status === 'Optimal', chosen: chosenOf(p, second) }
}

export interface FewTargets {
  /** Vessels by wine. */
  chosen: number[][]
  /** No plan has fewer moves. */
  least: number
}

/**
 * The filling with the fewest vessels to be filled, and those that are free before those that must be emptied first. Each source that
 * cannot stay takes a move, and each vessel that is filled takes one: no plan has fewer.
 */
export function fewTargets(p: Problem, bounds: Required<Bounds>, solve: Solver, time: () => number): FewTargets | undefined {
  const solved = solve(countModel(p, 'moves', bounds.without, bounds.air), { time_limit: time() })
  if (!('n0_0' in solved.Columns) || !Number.isFinite(solved.ObjectiveValue)) return undefined
  const least = p.wines.reduce((sum, _, w) => sum + Math.round(solved.Columns[`m${w}`]?.Primal ?? 0), 0)
  return { chosen: chosenOf(p, solved), least: solved.Status === 'Optimal' ? least : 0 }
}

function chosenOf(p: Problem, solved: Solved): number[][] {
  const chosen = p.wines.map((): number[] => [])
  for (const [k, kind] of kindsOf(p).entries()) {
    const free = [...kind.vessels]
    for (const [w] of p.wines.entries()) chosen[w]!.push(...free.splice(0, Math.round(solved.Columns[`n${k}_${w}`]?.Primal ?? 0)))
  }
  return chosen
}

/** A move weighs more than all preferences for free vessels together. */
const MOVE = 1000

function countModel(p: Problem, goal: 'left' | 'air' | 'moves', without?: number, air?: number): string {
  const kinds = kindsOf(p)
  const rows: string[] = []
  const whole: string[] = []
  const total = p.wines.map((_, w) => p.sources.reduce((sum, s) => sum + (s.wine === w ? s.litres : 0), 0))
  for (const [w] of p.wines.entries()) {
    rows.push(`${kinds.map((k, i) => `${n(k.capacityL)} n${i}_${w} + `).join('')}d${w} >= ${n(total[w]! - SLACK)}`)
    rows.push(`d${w} <= ${n(total[w]!)}`)
  }
  for (const [i, k] of kinds.entries()) {
    rows.push(`${p.wines.map((_, w) => `n${i}_${w}`).join(' + ')} <= ${k.vessels.length}`)
    whole.push(...p.wines.map((_, w) => `n${i}_${w}`))
  }
  const left = p.wines.map((_, w) => `d${w}`).join(' + ')
  const caps = kinds.flatMap((k, i) => p.wines.map((_, w) => `${n(k.capacityL)} n${i}_${w}`)).join(' + ') || '0 d0'
  if (without !== undefined) rows.push(`${left} <= ${n(without + SLACK)}`)
  if (without !== undefined && air !== undefined) rows.push(`${caps} <= ${n(air + total.reduce((a, b) => a + b, 0) - without + 1e-3)}`)
  if (goal === 'moves') {
    for (const [w, wine] of p.wines.entries()) {
      const stays = (k: Kind) => k.wine === w && !wine.offLees
      const filled = kinds.flatMap((k, i) => (stays(k) ? [] : [` - n${i}_${w}`])).join('')
      rows.push(`m${w}${filled} >= 0`)
      const must = p.sources.filter((s) => s.wine === w && (s.vessel === undefined || wine.offLees || !p.vessels[s.vessel]!.usable))
      // What is left without a vessel needs no move.
      rows.push(`m${w} >= ${without !== undefined && without > SLACK ? 0 : must.length}`)
      whole.push(`m${w}`)
    }
  }
  const others = (wine: number) => p.wines.flatMap((_, w) => (w === wine ? [] : [w]))
  const inTheWay = kinds.flatMap((k, i) => (k.wine === undefined ? [] : others(k.wine).map((w) => ` + 1 n${i}_${w}`))).join('')
  const objective = { left, air: caps, moves: `${p.wines.map((_, w) => `${MOVE} m${w}`).join(' + ')}${inTheWay}` }[goal]
  return [
    'Minimize',
    ` obj: ${objective}`,
    'Subject To',
    ...rows.map((r, i) => ` c${i}: ${r}`),
    'General',
    ...whole.map((b) => ` ${b}`),
    'End'
  ].join('\n')
}

const n = (x: number): string => String(Number(x.toPrecision(12)))
