import { isEqual } from 'ohash/utils'
import { type StandingFact, upkeepDay } from '~~/core/ledger'
import type { Change, Opened } from './ledger-engine'

/** Below so many facts the ledger itself opens as fast. */
export const WORTH_FACTS = 2000
/** Kept with the facts about a copy of the cellar, under this key. */
export const FIRST_LOOK = 'first-look'

/**
 * What a page is shown at once when a large cellar opens, as the ledger told it last. The ledger is read behind it, and what differs is
 * told. It counts only for the same entries (`mark`) read by the same code.
 */
export interface FirstLook {
  mark: string
  code: string
  opened: Opened
  /** The newest facts. */
  newest: StandingFact[]
}

/** The worker's file is named by its content in what is built: another build reads the ledger for itself. */
export const codeName = (): string => (typeof location === 'undefined' ? 'here' : location.pathname)

/** Entries are added and never changed: their number and the latest instant of writing tell one ledger from another. */
export const markOf = (rows: number, lastWrittenMs: number): string => `${rows} ${lastWrittenMs}`

/** What was told at the opening, with a later change taken in. */
export function withChange(opened: Opened, more: Change, factCount: number): Opened {
  const gone = new Set([...more.gone, ...more.lots.map((lot) => lot.id)])
  const of = <T>(before: [string, T][], after: [string, T][]): [string, T][] => [...before.filter(([id]) => !gone.has(id)), ...after]
  const { change } = opened
  // Another day's word on the sulphite is not passed off as today's.
  const sameDay = upkeepDay(change.upkeep.now) === upkeepDay(more.upkeep.now)
  const lots = new Map(change.lots.map((lot) => [lot.id, lot]))
  for (const id of more.gone) lots.delete(id)
  for (const lot of more.lots) lots.set(lot.id, lot)
  return {
    ...opened,
    factCount,
    change: {
      lots: [...lots.values()],
      corrections: of(change.corrections, more.corrections),
      upkeep: { now: more.upkeep.now, of: of(sameDay ? change.upkeep.of : [], more.upkeep.of) },
      gone: [],
      rest: more.rest,
      facts: []
    }
  }
}

/** What differs from what was shown, or nothing. */
export function newsBetween(shown: Change, fresh: Change): Change | undefined {
  const known = new Map(shown.lots.map((lot) => [lot.id, lot]))
  const said = new Map(shown.corrections)
  const kept = new Map(upkeepDay(shown.upkeep.now) === upkeepDay(fresh.upkeep.now) ? shown.upkeep.of : [])
  const corrections = new Map(fresh.corrections)
  const upkeep = new Map(fresh.upkeep.of)
  const lots = fresh.lots.filter((lot) =>
    !isEqual(known.get(lot.id), lot)
    || !isEqual(said.get(lot.id), corrections.get(lot.id))
    || !isEqual(kept.get(lot.id), upkeep.get(lot.id))
  )
  const ids = new Set(fresh.lots.map((lot) => lot.id))
  const gone = shown.lots.flatMap((lot) => (ids.has(lot.id) ? [] : [lot.id]))
  if (lots.length + gone.length === 0 && isEqual(shown.rest, fresh.rest)) return undefined
  const told = new Set(lots.map((lot) => lot.id))
  return {
    lots,
    gone,
    corrections: fresh.corrections.filter(([id]) => told.has(id)),
    upkeep: { now: fresh.upkeep.now, of: fresh.upkeep.of.filter(([id]) => told.has(id)) },
    rest: fresh.rest,
    facts: []
  }
}
