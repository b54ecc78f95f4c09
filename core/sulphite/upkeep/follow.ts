import { within } from '../../units'
import { TYPICAL_BOUND_SHARE } from '../dose'
import { TYPICAL_DECAY_PER_DAY } from '../learn'

/** A free SO₂ reading, on any scale of days. */
export interface FreeReading {
  days: number
  freeMgPerL: number
}
/** Sulphite that went in, as the SO₂ that it brought. */
export interface FreeDose {
  days: number
  addMgPerL: number
}

/** Another wine, or water, that came in: this part of the blend is the wine that was there. */
export interface FreeMix {
  days: number
  share: number
  /** Free SO₂ of what came in, and how well it is known, mg/L. */
  broughtMgPerL: number
  broughtSd: number
}

/** One way that a wine may lose and bind its sulphite, and where its free level would stand by it. */
export interface Course {
  decayPerDay: number
  boundShare: number
  /** mg/L at the last reading or dose. */
  freeMgPerL: number
  varianceAtEnd: number
  weight: number
}

/** A pair this much less likely than the best, as a logarithm, is left out: one in four thousand. */
const RULED_OUT = 8.3
/** Spread of the decay between wines, as a factor; of the bound share; common practice, no source. */
const DECAY = { middle: TYPICAL_DECAY_PER_DAY, lnSpread: 0.74, steps: 25 } as const
const BOUND = { middle: TYPICAL_BOUND_SHARE, spread: 0.13, steps: 17, max: 0.8 } as const
/** A home titration of free SO₂, mg/L: its standard deviation. Common practice, no source. */
export const READING_SD = 3
/** A racking, a warm week, a vessel opened: the level wanders by this part of itself in a day. */
const WANDERS_PER_ROOT_DAY = 0.0145
/** A dose is weighed and stirred in to about this part of itself. */
const DOSE_SD = 0.05
/** What is free before anything was read: nothing that counts, mg/L. */
const UNREAD_SD = 3

/**
 * What a lot's readings and doses say of its decay and its binding: every pair on a grid is weighed by how well a level that decays, takes
 * the free part of each dose, and wanders a little, explains the readings (a Kalman filter for each).
 * @param readings free SO₂, in any order
 * @param doses SO₂ that went in, in any order
 * @param mixes what else came in, in any order: it changes the level and tells nothing of the wine's own habits
 * @returns the pairs with weights that add up to one, and the last instant that is known
 * @throws LimitError
 */
export function coursesOf(
  readings: readonly FreeReading[],
  doses: readonly FreeDose[],
  mixes: readonly FreeMix[] = []
): { courses: Course[], lastDay: number } {
  const events: Event[] = [
    ...readings.map((r) => ({ days: day(r.days), read: within('freeMgPerL', r.freeMgPerL, 0, 500) })),
    // Of one hour the reading comes first: it says what the dose went by.
    ...doses.map((d) => ({ days: day(d.days), dose: within('addMgPerL', d.addMgPerL, 0, 500) })),
    ...mixes.map((m) => ({
      days: day(m.days),
      mix: { share: within('share', m.share, 0, 1), brought: within('broughtMgPerL', m.broughtMgPerL, 0, 500), sd: m.broughtSd }
    }))
  ].sort((a, b) => a.days - b.days)
  const courses: (Course & { ln: number })[] = []
  for (let i = 0; i < DECAY.steps; i++) {
    const z = (2 * i) / (DECAY.steps - 1) - 1
    const decayPerDay = DECAY.middle * Math.exp(z * 3 * DECAY.lnSpread)
    for (let j = 0; j < BOUND.steps; j++) {
      const boundShare = (BOUND.max * j) / (BOUND.steps - 1)
      const prior = -((z * 3) ** 2) / 2 - ((boundShare - BOUND.middle) / BOUND.spread) ** 2 / 2
      const followed = follow(events, decayPerDay, boundShare)
      courses.push({ decayPerDay, boundShare, ...followed, ln: prior + followed.ln, weight: 0 })
    }
  }
  const best = Math.max(...courses.map((c) => c.ln))
  // What is all but ruled out costs as much to follow as what is likely, and moves no band.
  const likely = courses.filter((c) => c.ln > best - RULED_OUT)
  const total = likely.reduce((sum, c) => sum + Math.exp(c.ln - best), 0)
  return {
    courses: likely.map(({ ln, ...c }) => ({ ...c, weight: Math.exp(ln - best) / total })),
    lastDay: events.at(-1)?.days ?? 0
  }
}

const day = (days: number) => within('days', days, -4000, 4000)
type Event = { days: number, read?: number, dose?: number, mix?: { share: number, brought: number, sd: number } }

/** The level by one pair: where it stands at the end, how sure, and how well the readings agree with it. */
function follow(events: readonly Event[], decayPerDay: number, boundShare: number) {
  let [level, variance, ln] = [0, UNREAD_SD ** 2, 0]
  let before: number | undefined
  for (const { days, read, dose, mix } of events) {
    if (before !== undefined) {
      const left = Math.exp(-decayPerDay * (days - before))
      variance = variance * left ** 2 + wander(level, days - before)
      level *= left
    }
    else if (read !== undefined) {
      // The first reading says where it begins; nothing was known.
      ;[level, variance, before] = [read, READING_SD ** 2, days]
      continue
    }
    // What came in before anything was known of it says nothing of where it stands.
    else if (mix) continue
    before = days
    if (mix) {
      level = mix.share * level + (1 - mix.share) * mix.brought
      variance = mix.share ** 2 * variance + ((1 - mix.share) * mix.sd) ** 2
    }
    if (dose !== undefined) {
      level += dose * (1 - boundShare)
      variance += (DOSE_SD * dose) ** 2
    }
    if (read !== undefined) {
      const spread = variance + READING_SD ** 2
      const off = read - level
      ln -= off ** 2 / (2 * spread) + Math.log(spread) / 2
      level = Math.max(0, level + (variance / spread) * off)
      variance *= 1 - variance / spread
    }
  }
  return { freeMgPerL: level, varianceAtEnd: variance, ln }
}

/** Variance that so many days add to a level. */
export const wander = (level: number, days: number): number => (WANDERS_PER_ROOT_DAY * level) ** 2 * days
