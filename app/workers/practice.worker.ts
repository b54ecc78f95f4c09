import { DAY_MS, daysBetween, hoursBetween } from '~~/core/units'
import { expose } from 'comlink'
import { type Draft, type Entry, lotAt, standingFacts } from '~~/core/ledger'
import {
  type Decided,
  type HandReads,
  type Mishap,
  type Senses,
  type Truth,
  type Verdict,
  World,
  beginsAt,
  blindly,
  decisionsOf,
  handReads,
  offsetsOf,
  openingEntries,
  scenarioOf,
  senses,
  truthOf,
  verdictOf,
  without
} from '~~/practice/season'
import type { Acids } from '~~/simulator'
import { holdForLife } from './supervised'

/** Which season it is. */
export interface SeasonKey {
  scenario: string
  seed: number
  /** Instant of its first hour. */
  start: string
}
export interface SeasonSeen {
  now: string
  mishaps: Mishap[]
}
/** What an instrument is held in. */
export interface Sample {
  truth: Truth
  offsets: { sg: number, ph: number, titration: number }
  senses: Senses
  acids: Acids
  colour: 'red' | 'white'
  seed: number
}

/** What was true of a lot at an instant, and what the ledger took it for. */
export interface TruePoint {
  at: string
  sg: number
  celsius: number
  freeSo2: number
  ph: number
  believed: { sg?: number | undefined, freeSo2?: number | undefined, ph?: number | undefined }
}

let world: World | undefined
const known = ({ scenario, seed, start }: SeasonKey): World => {
  const found = scenarioOf(scenario)
  if (!found) throw new Error(`no scenario ${scenario}`)
  if (world?.scenario !== found || world.seed !== seed || world.start !== start) world = new World(found, seed, start)
  return world
}
const at = (key: SeasonKey, entries: readonly Entry[], until: string): World => (world = known(key).to(entries, until))

/** The simulated cellar of Practice: its truth, and what is seen of it. */
const practice = {
  hold: holdForLife,
  /** What the ledger holds at first, and when the person comes to it. */
  opening: (key: SeasonKey): { drafts: Draft[], beginsAt: string } => {
    const { scenario } = known(key)
    return { drafts: openingEntries(scenario, key.start), beginsAt: beginsAt(scenario, key.start) }
  },
  to: (key: SeasonKey, entries: readonly Entry[], until: string): SeasonSeen => {
    const w = at(key, entries, until)
    return { now: w.now, mishaps: w.mishaps }
  },
  sample: (key: SeasonKey, entries: readonly Entry[], until: string, lotId: string): Sample | undefined => {
    const w = at(key, entries, until)
    const kept = w.kept.get(lotId)
    const sensed = senses(w, lotId)
    if (!kept || !sensed) return undefined
    return {
      truth: truthOf(kept, w.roomOf(lotId)), offsets: offsetsOf(key.seed), senses: sensed, acids: { ...kept.wine.acids },
      colour: kept.wine.must.colour === 'red' ? 'red' : 'white',
      seed: key.seed + Math.round(hoursBetween(key.start, w.now))
    }
  },
  read: (key: SeasonKey, entries: readonly Entry[], until: string, lotId: string, what: readonly HandReads[]) => {
    const w = at(key, entries, until)
    return what.flatMap((quantity) => {
      const value = handReads(w, lotId, quantity)
      return value === undefined ? [] : [{ quantity, value }]
    })
  },
  /** How each lot ended, what was true of it day by day, and how many decisions it had. */
  ending: (key: SeasonKey, entries: readonly Entry[], until: string) => {
    const end = at(key, entries, until)
    const facts = standingFacts(entries).filter((f) => !f.struck).map((f) => f.fact)
    const ids = [...end.kept.keys()].filter((id) => end.scenario.households.some((_, i) => id === `lot-practice-${i + 1}`))
    const points: (TruePoint & { lotId: string })[] = []
    let along = new World(end.scenario, key.seed, key.start)
    const days = Math.max(1, Math.ceil(daysBetween(key.start, until)))
    const step = Math.max(1, Math.round(days / 160))
    for (let day = 0; day <= days; day += step) {
      const instant = new Date(Math.min(Date.parse(until), Date.parse(key.start) + day * DAY_MS)).toISOString()
      along = along.to(entries, instant)
      for (const lotId of ids) {
        const kept = along.kept.get(lotId)
        if (!kept || kept.wine.litres < 0.1) continue
        const { sg, celsius, freeSo2, ph } = truthOf(kept, 0)
        const lot = along.lot(lotId)
        const view = lot && lotAt(lot, instant)
        const believed = { sg: view?.sg?.value, freeSo2: view?.freeSo2?.value, ph: view?.ph?.value }
        points.push({ at: instant, lotId, sg, celsius, freeSo2, ph, believed })
      }
    }
    return ids.flatMap((lotId) => {
      const verdict = verdictOf(end, lotId, entries)
      const own = points.filter((p) => p.lotId === lotId)
      return verdict ? [{ lotId, verdict, points: own, decisions: decisionsOf(facts, lotId).length }] : []
    })
  },
  /** One decision, by living the season without it. */
  decided: (key: SeasonKey, entries: readonly Entry[], until: string, lotId: string, index: number): Decided | undefined => {
    const end = at(key, entries, until)
    const facts = standingFacts(entries).filter((f) => !f.struck).map((f) => f.fact)
    const group = decisionsOf(facts, lotId)[index]
    return group && without(end, entries, lotId, group)
  },
  /** How it would have ended for somebody who only did what Presk asked. */
  blindly: (key: SeasonKey, lotId: string): Verdict | undefined => blindly(known(key).scenario, key.seed, lotId)
}
export type Practice = typeof practice

expose(practice)
