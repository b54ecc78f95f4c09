import { type CellarState, type Entry, type History, type LotState, type LotUpkeep, type StandingFact, upkeepOf } from '~~/core/ledger'
import { correctionOf } from '~~/core/stages'
import type { TargetResult } from '~~/core/must'
import { clockNow } from './clock'
import type { StorageProblem } from './cellar-storage'

/** What went wrong with the storage, in a form that crosses from worker to page. */
export interface Trouble {
  operation: string
  problem: StorageProblem
}

/** What a page is told after a change: only what differs from what it has. */
export interface Change {
  /** Lots that are new or changed, and what the finder would do with those that are musts. */
  lots: LotState[]
  corrections: [string, TargetResult | undefined][]
  /** What the wines among them say of their sulphite, on the day of that instant. */
  upkeep: { now: string, of: [string, LotUpkeep | undefined][] }
  gone: string[]
  rest: Omit<CellarState, 'lots'>
  /** New or changed, in their latest version. */
  facts: StandingFact[]
}
export interface Opened {
  change: Change
  damaged: number
  trouble?: Trouble
  factCount: number
}

/** What differs between two histories, of which the second has some entries more. */
export function changeBetween(before: History, after: History, more: readonly Entry[]): Change {
  const lots = [...after.cellar.lots.values()].filter((lot) => before.cellar.lots.get(lot.id) !== lot)
  const ids = new Set(more.map((e) => (e.type === 'correction' ? e.targetId : e.id)))
  const now = clockNow()
  const { lots: _lots, ...rest } = after.cellar
  return {
    lots: lots.map(plainLot),
    corrections: lots.map((lot) => [lot.id, whatCan(() => correctionOf(lot))]),
    upkeep: { now, of: lots.map((lot) => [lot.id, whatCan(() => upkeepOf(lot, now))]) },
    gone: [...before.cellar.lots.keys()].filter((id) => !after.cellar.lots.has(id)),
    rest,
    facts: ids.size === 0 ? [] : after.facts.filter((f) => ids.has(f.original.id))
  }
}

/** The composition is worked out when it is asked for; what crosses to a page is plain. What cannot be worked out is not known. */
function plainLot(lot: LotState): LotState {
  const { acids, ...rest } = lot
  if (!acids) return lot
  const composition = whatCan(() => acids.composition)
  return composition ? { ...rest, acids: { ...acids, composition } } : rest
}

/** What is derived never stops what is stored: the stages say what of a lot cannot be told. */
function whatCan<T>(work: () => T): T | undefined {
  try {
    return work()
  }
  catch {
    return undefined
  }
}
