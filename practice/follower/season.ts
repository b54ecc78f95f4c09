import type { LotView } from '../../core/ledger'
import { type StageFinding, findingsOf, tasksOf } from '../../core/stages'
import { wayOf } from '../../core/way'
import { DO, hour, molecularOf, roomAt } from '../../simulator'
import { knownAs } from './advice-rules'
import { answer } from './answer'
import { Hand, type Season } from './hand'
import { Household } from './household'
import { rack } from './moves'
import type { Scenario, SharedCellar } from './scenarios'

const FIRST_DAY_OF_YEAR = 263
const YEAR_DAYS = 420
/** Days on which the way is asked what comes. */
const FORETELL = new Set([1, 30, 75])

/** One lot through a season, by somebody who does what Presk says and nothing else. Deterministic from the scenario and the seed. */
export const season = (scenario: Scenario, seed: number): Season => run(new Hand(scenario, seed))

/** Several lots that share glass, a ledger and one pair of hands; each with a nature of its own. */
export function sharedSeason({ lots, glass }: SharedCellar, seed: number): Season[] {
  const house = new Household(15, glass)
  lots.forEach((scenario, n) => new Hand(scenario, seed + n * 101, house, n))
  return runAll(house)
}

/** A lot, and what was kept apart of it. */
export const seasons = (scenario: Scenario, seed: number): Season[] => runAll(new Hand(scenario, seed).house)

export const run = (hand: Hand): Season => runAll(hand.house)[0]!

function runAll(house: Household): Season[] {
  for (; house.day < YEAR_DAYS; house.day += 1) {
    const open = house.hands.filter((hand) => !isOver(hand))
    if (open.length === 0) break
    for (const hand of open) lookAfter(hand)
    // The next morning; until then one lot after the other.
    house.day = Math.floor(house.day)
    // With what was pressed apart today.
    for (const hand of house.hands) if (!isOver(hand)) pass(hand, 24)
  }
  return house.hands.map((hand) => ({ ...hand.season, history: hand.history, lot: hand.lot() }))
}

/** Bottles are looked after for a month more. */
const isOver = (hand: Hand): boolean => hand.lot().volume.value <= 0.05 && hand.day > (hand.season.bottledDay ?? 0) + 30

function lookAfter(hand: Hand): void {
  const lot = hand.lot()
  const today = Math.floor(hand.day)
  if (FORETELL.has(today)) hand.season.foretold.push({ day: today, steps: wayOf(lot, hand.now()) })
  const { away } = hand.scenario
  const there = !(away && hand.day >= away.from && hand.day < away.to)
  const busy = lot.alcoholic === 'active' || lot.standing === 'must' || lot.standing === 'fermenting' || hand.day < 25
  if (there && (busy || today % 3 === 0)) visit(hand)
}

function pass(hand: Hand, hours: number): void {
  const { mean, swing, heated } = { mean: 16, swing: 4, ...hand.scenario.room }
  const room = roomAt(FIRST_DAY_OF_YEAR + hand.day, mean, swing, hand.season.seed)
  const lot = hand.lot()
  const airL = hand.airL()
  hand.watch.dayPassed(hand.wine)
  for (let h = 0; h < hours; h++) hour(hand.wine, heated ? Math.max(18, room) : room, airL, hand.heldAt)
  const kept = lot.standing === 'wine' && (lot.malolactic === 'done' || lot.malolactic === 'not-wanted') && lot.plan.sulphite !== 'none'
  if (kept && hand.wine.gas < 1) {
    hand.season.keptDays += hours / 24
    if (molecularOf(hand.wine) < 0.3) hand.season.unprotectedDays += hours / 24
  }
}

/** Once through what is asked, most pressing first; what is done is done before the next is looked at. */
function visit(hand: Hand): void {
  hand.asked = new Set()
  hand.oak(hand.lot())
  lookOver(hand)
  for (let round = 0; round < 14; round++) {
    const lot = hand.lot()
    const { cellar } = hand.history
    const now = hand.now()
    const task = tasksOf(lot, cellar, now).find((t) => t.urgency !== 'wait' && !hand.asked.has(t.key) && (t.window?.from ?? now) <= now)
    if (!task) break
    hand.asked.add(task.key)
    hand.tally(task.code)
    hand.season.minutes += task.minutes ?? 0
    hand.watch.asked(knowing(hand), task)
    if (hand.isNagged(task)) hand.season.nagged.add(task.code)
    if (task.code === 'settle') hand.tally(`settle:${task.condition.code}:${task.condition.state}:${task.condition.because ?? ''}`)
    if (task.code === 'malolactic-stands') hand.tally(`stands:${task.because}`)
    answer(hand, task, lot)
    // A thing takes its minutes, and entries have an order.
    hand.day += 2 / 1440
  }
  const lot = hand.lot()
  if (lot.volume.value > 0.05) heed(hand, findingsOf(lot, hand.history.cellar, hand.now()), lot)
  hand.watch.visited(knowing(hand))
}

const knowing = (hand: Hand) => hand.watch.knows(hand.day, hand.wine, hand.lot(), hand.airL())

/** What is due and told before anything is done. */
function lookOver(hand: Hand): void {
  const [lot, now, { cellar }] = [hand.lot(), hand.now(), hand.history]
  const due = tasksOf(lot, cellar, now).filter((t) => t.urgency !== 'wait' && (t.window?.from ?? now) <= now).map(knownAs)
  const told = findingsOf(lot, cellar, now).filter((f) => f.urgency !== 'note').map((f) => `told:${f.code}`)
  hand.watch.due(hand.day, [...due, ...told])
}

function heed(hand: Hand, found: readonly StageFinding[], lot: LotView): void {
  const working = lot.malolactic === 'under-way' || lot.malolactic === 'nearly'
  hand.heldAt = hand.day < hand.warmUntil || (hand.warmForBacteria && working) ? 20 : undefined
  for (const f of found) {
    if (f.urgency === 'note') continue
    hand.watch.happened(hand.day, f.code)
    hand.watch.happened(hand.day, `told:${f.code}`)
    if (f.code === 'too-hot' || f.code === 'temperature-rises') hand.heldAt = f.code === 'too-hot' ? f.max - 4 : f.to - 4
    else if (f.code === 'too-cold') hand.heldAt = f.min + 3
    else if (f.code === 'malolactic-held-up' && f.by.code === 'too-cold') hand.warmForBacteria = true
    else if (f.code === 'wine-smells' && f.smell === 'rotten-egg' && !hand.asked.has(f.key)) rack(hand, lot, true)
    else if (f.code === 'wine-smells' && !hand.asked.has(f.key)) hand.sulphite(lot, 'level')
    else if (f.code === 'sorbate-unprotected') hand.sulphite(lot, 'level')
    else if (f.code === 'smells' && f.smell === 'rotten-egg') DO.aerate(hand.wine)
  }
}
