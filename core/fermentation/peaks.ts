import { type Peak, type Problem, gravities, logLikely, lookSd, peakOf } from './fit'
import { type Look, standsSince } from './looks'

/** A reading so many spreads from the course is doubted. */
const DOUBTED = 5
/** So many of those that lie furthest off are tried without. */
const SUSPECTS = 3
/** So many go at the most: where more are wild it fits no ferment, and the work stays in proportion to the readings. Ours. */
const MOST_DROPPED = 12

export interface Peaks { used: Look[], doubted: (Look & { expectedSg: number })[], peaks: Peak[] }

/**
 * The best course through all looks, the best up to where it stands, and the looks that neither joins. One at a time goes, that without
 * which the rest fits best: a slip bends a course, so that its neighbours lie further off than it does. What then fits comes back.
 */
export function peaksFor(problem: Problem): Peaks {
  const limit = DOUBTED * lookSd()
  const doubtful = (m: Miss) => !m.look.trusted && Math.abs(m.miss) > limit
  let used = [...problem.looks]
  let peaks = peaksThrough(problem, used)
  for (let left = Math.min(MOST_DROPPED, Math.floor(used.length / 4) + 2); left > 0; left--) {
    const worst = missesOf(problem, peaks, used, used).sort((a, b) => Math.abs(b.miss) - Math.abs(a.miss))
    if (!worst.some(doubtful)) break
    const tried = worst
      .filter((m) => !m.look.trusted)
      .slice(0, SUSPECTS)
      .map(({ look }) => withoutOne(problem, used, look))
    ;({ used, peaks } = tried.reduce((best, one) => (one.likely > best.likely ? one : best)))
  }
  const doubted = missesOf(problem, peaks, used, problem.looks).filter(doubtful)
  const believed = problem.looks.filter((l) => !doubted.some((d) => d.look === l))
  if (believed.length !== used.length) peaks = peaksThrough(problem, believed)
  return { used: believed, doubted: doubted.map(({ look, miss }) => ({ ...look, expectedSg: look.sg - miss })), peaks }
}

/** The courses without one look, and how likely they make the rest. */
function withoutOne(problem: Problem, looks: readonly Look[], look: Look) {
  const used = looks.filter((l) => l !== look)
  const peaks = peaksThrough(problem, used)
  return { used, peaks, likely: missesOf(problem, peaks, used, used).reduce((sum, m) => sum + logLikely(m.miss), 0) }
}

function peaksThrough(problem: Problem, looks: readonly Look[]): Peak[] {
  const stands = standsSince(looks)
  const whole = peakOf({ ...problem, looks })
  return stands === undefined ? [whole] : [whole, peakOf({ ...problem, looks: looks.slice(0, stands + 1) })]
}

interface Miss { look: Look, miss: number }

/** How far each look lies from the nearer of the courses; the second of them stands from the look that the used ones stand since. */
function missesOf(problem: Problem, peaks: readonly Peak[], used: readonly Look[], looks: readonly Look[]): Miss[] {
  const stand = used[standsSince(used) ?? used.length]
  const courses = peaks.map((peak, which) => {
    const hours = (l: Look) => (which === 1 && stand ? Math.min(l.hours, stand.hours) : l.hours)
    return gravities({ ...problem, looks: looks.map((l) => ({ ...l, hours: hours(l) })) }, peak.z).sg
  })
  return looks.map((look, i) => {
    const all = courses.map((sg) => look.sg - sg[i]!)
    return { look, miss: all.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a)) }
  })
}
