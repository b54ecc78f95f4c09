import type { Problem, Source } from './problem'

/** What a solver of mixed-integer programmes answers, in the form of HiGHS. */
export interface Solved {
  Status: string
  ObjectiveValue: number
  Columns: Record<string, { Primal?: number }>
}
export type Solver = (lp: string, options: { time_limit: number }) => Solved

/** Wine that goes from where it stands into a vessel. */
export interface Arc {
  source: number
  vessel: number
  litres: number
}

/** Where all wine stands afterwards, and what has to be moved for it. */
export interface Assignment {
  arcs: Arc[]
  /** L that stay where they are, by source. */
  stays: number[]
  /** L without a vessel, by source. */
  left: number[]
}

export interface Cut {
  terms: readonly (readonly [name: string, factor: number])[]
  atLeast: number
}

export const arcName = (source: number, vessel: number): string => `y${source}_${vessel}`
const flow = (s: number, v: number) => `f${s}_${v}`
const holds = (v: number, w: number) => `x${v}_${w}`
export const EXTRA = 'extra'

export interface Only {
  /** What can be done in some order with each move once: no wines that wait for each other in a ring. */
  ordered?: boolean
  /** The vessels that each wine may stand in. */
  chosen?: readonly (readonly number[])[]
}

type Goal = 'without' | 'air' | 'moves'
export interface Bounds {
  without?: number
  air?: number
}

/** Each step is held to within this of the best, L: what the solver's own tolerance is good for. */
const SLACK = 1e-5

/**
 * A racking day as a mixed-integer programme in the LP format. For each source: what stays, what goes where, what has no place. A vessel
 * holds one wine unless two may mix; air is what is free in vessels that hold wine. Who must go first is not in it: that is looked at
 * afterwards, and comes back as cuts.
 */
export function modelOf(p: Problem, goal: Goal, bounds: Bounds, cuts: readonly Cut[], more: Only = {}): string {
  const { sources, vessels, wines } = p
  const usable = vessels.flatMap((v, i) => (v.usable ? [i] : []))
  const within = (s: Source, v: number) => more.chosen === undefined || more.chosen[s.wine]!.includes(v)
  const targets = (s: Source) => usable.filter((v) => within(s, v) && (v !== s.vessel || wines[s.wine]!.offLees === true))
  const canStay = (s: Source) =>
    s.vessel !== undefined && vessels[s.vessel]!.usable && !wines[s.wine]!.offLees && within(s, s.vessel)
  const rows: string[] = []
  const [bins, whole]: [string[], string[]] = [[], []]
  const into = new Map<string, string[]>()
  for (const s of sources) {
    const goes = targets(s)
    const parts = [...goes.map((v) => flow(s.index, v)), ...(canStay(s) ? [`s${s.index}`] : []), `d${s.index}`]
    rows.push(`${parts.join(' + ')} = ${n(s.litres)}`)
    for (const v of goes) {
      rows.push(`${flow(s.index, v)} - ${n(Math.min(s.litres, vessels[v]!.capacityL))} ${arcName(s.index, v)} <= 0`)
      bins.push(arcName(s.index, v))
      push(into, holds(v, s.wine), flow(s.index, v))
      // Of one wine a vessel gives or takes, not both.
      const own = sources.find((o) => o.vessel === v && o.wine === s.wine && o !== s)
      if (own && !wines[s.wine]!.offLees)
        for (const t of targets(own)) rows.push(`${arcName(s.index, v)} + ${arcName(own.index, t)} <= 1`)
    }
    if (canStay(s)) push(into, holds(s.vessel!, s.wine), `s${s.index}`)
  }
  const air: string[] = []
  const [stored, used]: [string[], string[]] = [[], []]
  for (const v of usable) {
    const here = wines.flatMap((_, w) => (into.has(holds(v, w)) ? [w] : []))
    if (here.length === 0) continue
    const all = here.flatMap((w) => into.get(holds(v, w))!)
    const cap = vessels[v]!.capacityL
    rows.push(`${all.join(' + ')} - ${n(cap)} u${v} <= 0`)
    bins.push(`u${v}`)
    for (const w of here) {
      bins.push(holds(v, w))
      rows.push(`${into.get(holds(v, w))!.join(' + ')} - ${n(Math.min(cap, wines[w]!.litres))} ${holds(v, w)} <= 0`)
      for (const o of here) if (o > w && !p.mixes(w, o)) rows.push(`${holds(v, w)} + ${holds(v, o)} <= 1`)
    }
    used.push(`${n(cap)} u${v}`)
    stored.push(...all)
  }
  air.push(...used, ...stored.map((x) => `- ${x}`))
  const left = sources.map((s) => `d${s.index}`)
  const airSum = air.join(' + ').replaceAll('+ -', '-') || '0 u0'
  if (bounds.without !== undefined) rows.push(`${left.join(' + ')} <= ${n(bounds.without + SLACK)}`)
  if (bounds.air !== undefined) rows.push(`${airSum} <= ${n(bounds.air + SLACK)}`)
  for (const cut of cuts)
    rows.push(`${cut.terms.map(([name, k]) => `${k < 0 ? '-' : '+'} ${n(Math.abs(k))} ${name}`).join(' ')} >= ${n(cut.atLeast)}`)
  if (more.ordered) rows.push(...orderRows(p, targets))
  whole.push(EXTRA)
  const arcs = bins.filter((b) => b.startsWith('y'))
  const objective = goal === 'without' ? left.join(' + ') : goal === 'air' ? airSum : [...arcs, EXTRA].join(' + ')
  return [
    'Minimize', ` obj: ${objective || '0 extra'}`, 'Subject To', ...rows.map((r, i) => ` c${i}: ${r}`),
    'Bounds', ` 0 <= ${EXTRA} <= 1000`, 'Binary', ...bins.map((b) => ` ${b}`), 'General', ...whole.map((w) => ` ${w}`), 'End'
  ].join('\n')
}

/** A vessel that takes another wine is emptied before: the time at which each is empty grows along the moves. */
function orderRows(p: Problem, targets: (s: Source) => number[]): string[] {
  const many = p.vessels.length + 1
  return p.sources.flatMap((s) =>
    targets(s).flatMap((v) => {
      const there = p.sources.find((o) => o.vessel === v)
      if (!there || (there.wine === s.wine && !p.wines[s.wine]!.offLees)) return []
      const y = arcName(s.index, v)
      if (s.vessel === v) return [`${y} <= 0`]
      return s.vessel === undefined ? [] : [`t${s.vessel} - t${v} - ${many} ${y} >= ${1 - many}`]
    })
  )
}

const n = (x: number): string => String(Number(x.toPrecision(12)))
function push(map: Map<string, string[]>, key: string, value: string) {
  map.set(key, [...(map.get(key) ?? []), value])
}

/** What the solver found, read back. Arcs that carry nothing are none. */
export function assignmentOf(p: Problem, { Columns }: Solved): Assignment {
  const value = (name: string) => Columns[name]?.Primal ?? 0
  const arcs = p.sources.flatMap((s) =>
    p.vessels.flatMap((_, v) => {
      const litres = value(flow(s.index, v))
      return litres > 1e-4 ? [{ source: s.index, vessel: v, litres }] : []
    })
  )
  return { arcs, stays: p.sources.map((s) => value(`s${s.index}`)), left: p.sources.map((s) => value(`d${s.index}`)) }
}
