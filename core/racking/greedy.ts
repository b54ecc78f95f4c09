import type { Problem, Source } from './problem'
import type { Step } from './sequence'
import type { Rounds } from './rounds'

/**
 * As one would do it without reckoning: wine after wine, the one that fits best first, into the free vessels that it fills, largest first;
 * what it comes out of is washed and free for the next. A reference to measure by, and what is left when a solver has no time.
 */
export function greedily(p: Problem): Rounds {
  const stands: Rounds['stands'] = []
  const steps: Step[] = []
  const free = new Set(p.vessels.flatMap((v, i) => (v.usable && !p.sources.some((s) => s.vessel === i) ? [i] : [])))
  const goes = (s: Source) => s.vessel === undefined || !p.vessels[s.vessel]!.usable || p.wines[s.wine]!.offLees === true
  for (const s of p.sources)
    if (!goes(s)) stands.push({ vessel: s.vessel!, wine: s.wine, litres: Math.min(s.litres, p.vessels[s.vessel!]!.capacityL) })
  let open = p.wines.flatMap((_, w) => (p.sources.some((s) => s.wine === w && goes(s)) ? [w] : []))
  while (open.length > 0) {
    const tries = open.map((w) => {
      const moving = p.sources.filter((s) => s.wine === w && goes(s))
      const litres = moving.reduce((sum, s) => sum + s.litres, 0)
      return { w, moving, into: fill(p, litres, free) }
    })
    // Nothing left over first, then the least air.
    const [best] = tries.sort((a, b) => a.into.over - b.into.over || a.into.air - b.into.air)
    const { w, moving, into } = best!
    pour(moving, into.parts, w, steps, stands)
    for (const part of into.parts) free.delete(part.vessel)
    for (const s of moving) if (s.vessel !== undefined && p.vessels[s.vessel]!.usable) free.add(s.vessel)
    open = open.filter((o) => o !== w)
  }
  return { steps, stands }
}

/** Largest vessels that it fills, then the smallest that takes the rest. */
function fill(p: Problem, litres: number, free: ReadonlySet<number>) {
  const sizes = [...free].sort((a, b) => p.vessels[b]!.capacityL - p.vessels[a]!.capacityL)
  const parts: { vessel: number, litres: number }[] = []
  let rest = litres
  for (const vessel of sizes) {
    const cap = p.vessels[vessel]!.capacityL
    if (cap > rest + 1e-6) continue
    parts.push({ vessel, litres: cap })
    rest -= cap
  }
  let air = 0
  const last = rest > 1e-6 ? sizes.findLast((v) => p.vessels[v]!.capacityL >= rest && !parts.some((o) => o.vessel === v)) : undefined
  if (last !== undefined) {
    parts.push({ vessel: last, litres: rest })
    air = p.vessels[last]!.capacityL - rest
    rest = 0
  }
  return { parts, air, over: Math.max(0, rest) }
}

/** From each in turn into each in turn. */
function pour(from: readonly Source[], parts: readonly { vessel: number, litres: number }[], wine: number, steps: Step[],
  stands: Rounds['stands']) {
  const left = from.map((s) => ({ vessel: s.vessel, litres: s.litres }))
  for (const part of parts) {
    let want = part.litres
    for (const s of left) {
      const litres = Math.min(want, s.litres)
      if (litres <= 1e-6) continue
      steps.push({ wine, from: s.vessel, to: part.vessel, litres, waits: false })
      s.litres -= litres
      want -= litres
    }
    stands.push({ vessel: part.vessel, wine, litres: part.litres - want })
  }
}
