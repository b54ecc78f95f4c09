import { type LotView, type SugarLeft, isFermenting, sugarLeftOf } from '../../ledger'
import { leaveSweet } from '../leave-sweet'
import { hoursSince, later } from '../stage'
import { type Says, WAIT_DAYS, noMalolactic } from './ways'

/** What two sugar tests of one wine differ by, g/L: common practice, no source. */
const TESTS_DIFFER = 3
/** Bacteria on so much sugar make vinegar of it, g/L: craft 3.9, common practice. */
const MOST_SUGAR = 4
/** A restart has so many days before it is asked about again: common practice, no source. */
const RESTART_DAYS = 7

/** Sugar that no ferment is taking, as far as a test or its gravity says. */
export function sugarInTheWay(lot: LotView): boolean {
  const left = isFermenting(lot) ? undefined : sugarLeftOf(lot)
  // What somebody says of it holds until a test says otherwise.
  const said = lot.saidDryAt !== undefined && !(left?.by === 'test' && left.at > lot.saidDryAt)
  return left !== undefined && left.mid > MOST_SUGAR && !said
}

/** Before bacteria go in it is known that no sugar waits for them. */
export function tellSugar(lot: LotView, now: string): Says {
  const left = sugarLeftOf(lot)!
  // A restart has its week before it is asked about again.
  const restarted = lot.repitchedAt !== undefined && hoursSince(lot.repitchedAt, now) < RESTART_DAYS * 24
  const tested = left.by === 'test'
  const inVain = tested && didNotHelp(lot)
  if (tested && goesOn(lot, now)) return testAgain(lot, left, now)
  const restart = { code: 'restart', action: { to: 'restart', lotId: lot.id }, days: RESTART_DAYS } as const
  return {
    code: 'sugar-before-bacteria',
    key: tested ? 'sugar-before-bacteria:tested' : 'sugar-before-bacteria',
    sugarHigh: left.high,
    ...(tested && { tested: left.mid }),
    ...(inVain && { inVain: true as const }),
    urgency: tested && restarted ? 'wait' : 'soon',
    task: true,
    lotId: lot.id,
    minutes: 15,
    evidence: left.from,
    action: tested && !inVain ? { to: 'restart', lotId: lot.id } : { to: 'measure', lotId: lot.id, what: 'sugar' },
    waysOut: tested
      ? [...(inVain ? [leaveSweet(lot), restart] : [restart, leaveSweet(lot)]), noMalolactic(lot), { code: 'wait', days: WAIT_DAYS }]
      : [
          { code: 'sugar-test', action: { to: 'measure', lotId: lot.id, what: 'sugar' } },
          { code: 'dry-for-this-wine', drafts: [{ type: 'lot-amended', lotId: lot.id, alcoholic: 'dry' }] },
          noMalolactic(lot)
        ]
  }
}
/** The last grams of a ferment take up to so long, days, and a test tells nothing new before a week: common practice, no source. */
const [TAIL_DAYS, TEST_AGAIN_DAYS] = [21, 7] as const

/** It was a ferment until lately, nobody restarted it, and no two tests a week apart say that it has stopped: the yeast may do it. */
function goesOn(lot: LotView, now: string): boolean {
  const [before, last] = (lot.series.sugar ?? []).slice(-2)
  const stopped = before !== undefined && last !== undefined
    && hoursSince(before.at, last.at) >= (TEST_AGAIN_DAYS - 1) * 24 && before.value - last.value < TESTS_DIFFER
  return lot.repitchedAt === undefined && !stopped && hoursSince(lot.wineSince ?? lot.startedAt, now) < TAIL_DAYS * 24
}

/** A week more, and another test: before that neither new yeast nor giving up is worth it. */
function testAgain(lot: LotView, left: SugarLeft, now: string): Says {
  const due = later(left.at, TEST_AGAIN_DAYS * 24)
  return {
    code: 'sugar-before-bacteria',
    key: 'sugar-before-bacteria:goes-on',
    sugarHigh: left.high,
    tested: left.mid,
    goesOn: true,
    urgency: now >= due ? 'soon' : 'wait',
    window: { due },
    task: true,
    lotId: lot.id,
    minutes: 15,
    evidence: left.from,
    action: { to: 'measure', lotId: lot.id, what: 'sugar' },
    waysRound: [
      { code: 'restart', action: { to: 'restart', lotId: lot.id }, days: RESTART_DAYS }, leaveSweet(lot), noMalolactic(lot)
    ]
  }
}

/** It was restarted, and tested before and since: what went is less than two tests are off by. */
function didNotHelp({ repitchedAt, series }: LotView): boolean {
  const tests = series.sugar ?? []
  const before = tests.findLast((p) => repitchedAt !== undefined && p.at < repitchedAt)
  return before !== undefined && before.value - tests.at(-1)!.value < TESTS_DIFFER && tests.at(-1)!.at > repitchedAt!
}
