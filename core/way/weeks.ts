import { DAY_MS } from '../units'
import type { LotView, VesselState, WayStepCode } from '../ledger'
import type { WayStep } from './way'

/** Minutes that a step takes, at once and for each litre; nothing where it comes by itself. Common practice, no source. */
export const STEP_WORK: Partial<Record<WayStepCode, { once: number, perL: number, heavy?: boolean }>> = {
  'pitched': { once: 45, perL: 0 },
  'pressed': { once: 90, perL: 1.5, heavy: true },
  'off-lees': { once: 40, perL: 0.6, heavy: true },
  'malolactic': { once: 20, perL: 0 },
  'sulphited': { once: 20, perL: 0 },
  'stable': { once: 30, perL: 0 },
  'sweetened': { once: 45, perL: 0.2 },
  // Two minutes a bottle, with washing and corks.
  'bottled': { once: 60, perL: 2.7, heavy: true },
  'laid-down': { once: 10, perL: 0 },
  'tasted': { once: 20, perL: 0 }
}
/** Wine that leaves its vessel wants an empty one. */
const WANTS_A_VESSEL: ReadonlySet<WayStepCode> = new Set(['pressed', 'off-lees'])
const BOTTLE_L = 0.75

export interface WeekJob {
  lotId: string
  code: WayStepCode
  /** When it is likely, ISO UTC. */
  likely: string
  minutes: number
  heavy: boolean
}
export interface Week {
  /** Its first midnight, ISO UTC. */
  from: string
  jobs: WeekJob[]
  minutes: number
  /** Heavy jobs that fall on one day. */
  crowded: WeekJob[]
  /** Lots for whose wine there is not enough room in this week, and how much is missing, L. */
  homeless: { lotId: string, litres: number }[]
}

export interface WeeksAsked {
  ways: readonly { lot: Pick<LotView, 'id' | 'volume'>, steps: readonly WayStep[] }[]
  vessels: Iterable<Pick<VesselState, 'id' | 'kind' | 'capacityL' | 'lotId'>>
  /** The first midnight of the first week where the person is, ISO UTC. */
  from: string
  weeks: number
}

/**
 * The coming weeks: what is likely to be done in each, how long it takes, and where two jobs want one day or one vessel.
 */
export function weeksOf({ ways, vessels, from, weeks }: WeeksAsked): Week[] {
  const first = Date.parse(from)
  const jobs = ways.flatMap(({ lot, steps }) => steps.flatMap((s): (WeekJob & { week: number })[] => {
    const work = STEP_WORK[s.code]
    if (s.doneAt || !work) return []
    const minutes = Math.round((work.once + work.perL * Math.max(0, lot.volume.value)) / 5) * 5
    const week = Math.floor((Date.parse(s.likely) - first) / (7 * DAY_MS))
    return [{ lotId: lot.id, code: s.code, likely: s.likely, minutes, heavy: work.heavy === true, week }]
  }))
  const byDay = jobs
    .filter((j) => WANTS_A_VESSEL.has(j.code) && j.week >= 0 && j.week < weeks)
    .sort((a, b) => (a.likely < b.likely ? -1 : 1))
  const homeless = homelessOf(byDay, ways, vessels)
  return Array.from({ length: weeks }, (_, i): Week => {
    const own = jobs.filter((j) => j.week === i).sort((a, b) => (a.likely < b.likely ? -1 : 1)).map(({ week: _week, ...job }) => job)
    const heavy = own.filter((j) => j.heavy)
    const dayOf = (job: WeekJob) => Math.floor((Date.parse(job.likely) - first) / DAY_MS)
    const crowded = heavy.filter((j) => heavy.some((k) => k !== j && dayOf(k) === dayOf(j)))
    return {
      from: new Date(first + i * 7 * DAY_MS).toISOString(),
      jobs: own,
      minutes: own.reduce((sum, j) => sum + j.minutes, 0),
      crowded,
      homeless: homeless.filter((h) => h.week === i).map(({ lotId, litres }) => ({ lotId, litres }))
    }
  })
}

/**
 * Wines that find no room on their day: each takes the smallest free vessel that holds it, else the largest ones until it is in, and what
 * it was in is washed and free for the next. Open bins and pails take no wine.
 */
function homelessOf(
  moves: readonly { lotId: string, week: number }[], ways: WeeksAsked['ways'], vessels: WeeksAsked['vessels']
): { lotId: string, litres: number, week: number }[] {
  const closed = [...vessels].filter((v) => v.kind !== 'bin' && v.kind !== 'pail')
  const holds = new Map(closed.map((v) => [v.id, v.lotId]))
  const told = new Set<string>()
  return moves.flatMap(({ lotId, week }) => {
    const litres = ways.find(({ lot }) => lot.id === lotId)!.lot.volume.value
    const own = closed.filter((v) => holds.get(v.id) === lotId)
    const free = closed.filter((v) => holds.get(v.id) === undefined).sort((a, b) => a.capacityL - b.capacityL)
    let left = litres
    while (left > BOTTLE_L && free.length > 0) {
      const fits = free.findIndex((v) => v.capacityL >= left)
      const [into] = free.splice(fits < 0 ? free.length - 1 : fits, 1)
      holds.set(into!.id, lotId)
      left -= into!.capacityL
    }
    if (left <= BOTTLE_L) {
      for (const v of own) holds.set(v.id, undefined)
      return []
    }
    // Once is enough: what is missing at the press is missing at the first racking as well.
    if (told.has(lotId)) return []
    told.add(lotId)
    return [{ lotId, litres: Math.round(left * 10) / 10, week }]
  })
}
