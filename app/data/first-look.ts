import { isEqual } from 'ohash/utils'
import { type StandingFact, upkeepDay } from '~~/core/ledger'
import type { CellarStorage } from './cellar-storage'
import type { Change, Opened } from './told'

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

/** Kept with the facts about a copy of the cellar, under this key. */
export const FIRST_LOOK = 'first-look'
/** Below so many facts the ledger itself opens as fast; and it is kept once nothing was written for so long, ms. Ours. */
const WHEN = { worthFacts: 2000, quietMs: 4000 } as const

/** The worker's file is named by its content in what is built: another build reads the ledger for itself. */
const codeName = (): string => (typeof location === 'undefined' ? 'here' : location.pathname)

interface Extent { rows: number, lastWrittenMs: number }
/** Entries are added and never changed: their number and the latest instant of writing tell one ledger from another. */
export const markOf = ({ rows, lastWrittenMs }: Extent): string => `${rows} ${lastWrittenMs}`

/** Keeps a cellar's first look beside its entries, and finds it again. */
export class FirstLooks {
  private quiet: ReturnType<typeof setTimeout> | undefined
  /** Resolves when what was to be kept last is stored. */
  stored: Promise<void> = Promise.resolve()

  constructor(private readonly when: { worthFacts: number, quietMs: number } = WHEN) {}

  /** The one that is still true of this cellar, or none. */
  async of(db: CellarStorage): Promise<FirstLook | undefined> {
    const look = (await db.getMeta(FIRST_LOOK)) as FirstLook | undefined
    return look?.code === codeName() && look.mark === markOf(await db.extent()) ? look : undefined
  }

  /** Stores it once it is quiet. Nothing depends on it: where there is no room for it, the ledger is read as ever. */
  keep(db: CellarStorage, opened: Opened, what: () => Extent & { newest: StandingFact[] }): void {
    this.drop()
    if (opened.trouble || opened.factCount < this.when.worthFacts) return
    this.stored = new Promise((done) => {
      this.quiet = setTimeout(() => {
        const { newest, ...extent } = what()
        const look: FirstLook = { mark: markOf(extent), code: codeName(), opened, newest }
        void db.setMeta(FIRST_LOOK, look).catch(() => {}).then(done)
      }, this.when.quietMs)
    })
  }

  /** What was to be kept and is not stored yet is not. */
  drop(): void {
    clearTimeout(this.quiet)
  }

  forget(db: CellarStorage): Promise<void> {
    return db.setMeta(FIRST_LOOK, undefined).catch(() => {})
  }
}

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

/** What differs from what was shown, or nothing. @param read what the ledger says, with its newest facts */
export function newsBetween(look: FirstLook, read: Opened & { newest: readonly StandingFact[] }): Change | undefined {
  const [shown, fresh] = [look.opened.change, read.change]
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
  // Another tab may have written between the look and the reading.
  const before = new Set(look.newest.map((f) => f.original.id))
  const facts = read.newest.filter((f) => !before.has(f.original.id)).slice(0, Math.max(0, read.factCount - look.opened.factCount))
  if (lots.length + gone.length + facts.length === 0 && isEqual(shown.rest, fresh.rest)) return undefined
  const told = new Set(lots.map((lot) => lot.id))
  return {
    lots,
    gone,
    corrections: fresh.corrections.filter(([id]) => told.has(id)),
    upkeep: { now: fresh.upkeep.now, of: fresh.upkeep.of.filter(([id]) => told.has(id)) },
    rest: fresh.rest,
    facts
  }
}
