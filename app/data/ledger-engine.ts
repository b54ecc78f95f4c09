import {
  type Draft,
  type Entry,
  type Fact,
  type History,
  type Restatement,
  type StandingFact,
  extend,
  historyOf,
  propose,
  restatedBy
} from '~~/core/ledger'
import { CellarDb } from './cellar-db'
import { clockMs, clockNow, holdClock } from './clock'
import type { Committed, Preview, Reviewed } from './engine-answers'
import { type FileProblem, parseCellarFile } from './cellar-file'
import { type CellarName, type CellarStorage, StorageError, type Storing } from './cellar-storage'
import { type Issue, issuesOf } from './draft-issues'
import { type FirstLook, FirstLooks, newsBetween, withChange } from './first-look'
import { newId } from './ids'
import { inTime } from './in-time'
import { MOST_TOLD } from './limits'
import { MemoryCellar } from './memory-cellar'
import { reviewOf } from './review'
import { toCellarFile } from './to-cellar-file'
import type { Mapping } from './csv'
import { type TableMapped, type TableSeen, TableReader } from './table-reader'
import { type Change, type Opened, type Trouble, changeBetween } from './told'
import { holdForLife } from '~/workers/supervised'

type Listener = (change: Change) => void
type Whole = Awaited<ReturnType<CellarStorage['all']>>
/** So many facts cross to the page at once, so that none of them holds it up. */
const CHUNK = 1500
/** The first of them: as many as a first page shows, so that nothing more is waited for. */
const FIRST_FACTS = 300

/**
 * The ledger with all that is heavy about it: reading, checking, folding, restating, merging. It runs in a worker, and nothing of
 * size runs on the page; where there are no workers (tests) it runs where it is made.
 */
export class LedgerEngine {
  private db: CellarStorage | undefined
  private history: History = historyOf([])
  private lastStamp = 0
  private channel: BroadcastChannel | undefined
  private reviewed: { entries: Entry[] } | undefined
  private readonly tables = new TableReader()
  private listener: Listener | undefined
  /** As it was told to the page; what it opens with next time. */
  private told: Opened | undefined
  private damaged = 0
  private stopped = false
  /** While the ledger is read behind what the page was shown at once. */
  private firstLook: FirstLook | undefined
  private loaded: Promise<void> = Promise.resolve()

  /** @param patienceMs how long a storage may take to answer; as long as it likes where nothing is said */
  constructor(private readonly firstLooks = new FirstLooks(), private readonly patienceMs?: number) {}

  /** @param onElsewhere hears of what another tab wrote, @param onHeld that another tab has to be closed first */
  async open(name: CellarName, onElsewhere?: Listener, onHeld?: () => void): Promise<Opened> {
    this.listener = onElsewhere
    this.db?.close()
    this.channel?.close()
    this.channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(`presk-${name}`)
    if (this.channel) this.channel.onmessage = (message) => void this.takeFromOtherTab(message.data)
    const db = new CellarDb(name)
    this.db = db
    this.firstLooks.drop()
    this.firstLook = undefined
    this.loaded = Promise.resolve()
    try {
      const reading: Promise<FirstLook | Whole> = this.firstLooks.of(db).then(async (look) => look ?? db.all())
      const read = await inTime(reading, 'read the cellar', this.patienceMs).catch((error: unknown) => {
        // An older tab holds it: this goes on by itself once that one is closed.
        if (!db.held) throw error
        onHeld?.()
        return reading
      })
      if ('entries' in read) return this.opened(read.entries, read.damaged)
      this.firstLook = read
      this.loaded = this.loadBehind(db, read)
      return read.opened
    }
    catch (error) {
      if (!(error instanceof StorageError)) throw error
      // Nothing can be stored here: the tab still works, and says that it forgets.
      if (error.problem === 'blocked') this.db = new MemoryCellar()
      return this.opened([], 0, { operation: error.operation, problem: error.problem })
    }
  }

  /** Whether the page was shown what is kept for it, and the ledger is still being read. */
  get isFirstLook(): boolean {
    return this.firstLook !== undefined
  }

  /** Resolves when the ledger is read. What asks it for more than a first look waits for that. */
  whenLoaded(): Promise<void> {
    return this.loaded
  }

  private async loadBehind(db: CellarStorage, look: FirstLook): Promise<void> {
    try {
      const { entries, damaged } = await db.all()
      // Another cellar was opened meanwhile.
      if (this.db !== db) return
      const fresh = this.opened(entries, damaged)
      const news = newsBetween(look, { ...fresh, newest: this.newest(0) })
      if (news) this.listener?.(news)
    }
    catch (error) {
      if (this.db !== db) return
      // The worker ends of it: the page notices, starts another, and that one says what is wrong with the storage.
      await this.firstLooks.forget(db)
      setTimeout(() => {
        throw error
      })
    }
    finally {
      if (this.db === db) this.firstLook = undefined
    }
  }

  /** In Practice the person sets the clock. */
  setClock(at?: number): void {
    holdClock(at)
  }

  /** See `Supervised`: the page notices when the worker of this is no more. */
  hold(lock: string): Promise<boolean> {
    return holdForLife(lock)
  }

  /** Facts of the ledger from the newest on, a handful at a time. */
  async factsFrom(start: number): Promise<StandingFact[]> {
    if (this.firstLook && start === 0) return this.firstLook.newest
    await this.loaded
    return this.newest(start)
  }

  private newest(start: number): StandingFact[] {
    const newest = this.history.facts.length - start
    return this.history.facts.slice(Math.max(0, newest - (start === 0 ? FIRST_FACTS : CHUNK)), newest).reverse()
  }

  /**
   * Writes what happened. All drafts of one action are checked, folded and stored together or not at all; the state changes
   * after the commit.
   */
  async commit(drafts: readonly Draft[], device: string): Promise<Committed> {
    const written = this.stamped(drafts, device)
    const issues = written.flatMap((entry, draft) => issuesOf(entry, draft))
    if (issues.length > 0) return { outcome: 'invalid', issues }
    const { history, refused } = propose(this.history, written)
    if (refused.length > 0) return { outcome: 'refused', problems: refused }
    return this.write(written, history)
  }

  /** Checks drafts and writes nothing. */
  check(drafts: readonly Draft[]): Issue[] {
    return this.stamped(drafts, 'check').flatMap((entry, draft) => issuesOf(entry, draft))
  }

  /** What drafts would make of the cellar, and why they could not be written; nothing is. */
  preview(drafts: readonly Draft[]): Preview {
    const entries = this.stamped(drafts, 'preview')
    if (entries.some((entry, draft) => issuesOf(entry, draft).length > 0)) return { lots: [], vessels: [], refused: [] }
    const { history, refused } = propose(this.history, entries)
    const { lots, rest } = changeBetween(this.history, history, [])
    return { lots, vessels: [...rest.vessels.values()], refused }
  }

  /** What an entry would change for the past; nothing is written. */
  restate(draft: Draft<Fact>): Restatement {
    return restatedBy(this.history, this.stamped([draft], 'preview')[0]!)
  }

  /** Reads a file and says what it would bring; taking it in is a second step. */
  review(text: string, fileName: string): { ok: true, reviewed: Reviewed } | { ok: false, problem: FileProblem } {
    const parsed = parseCellarFile(text)
    if (!parsed.ok) return parsed
    const { name, exportedAt, entries } = parsed.file
    const review = reviewOf(this.history, entries)
    this.reviewed = { entries: review.fresh }
    return { ok: true, reviewed: { fileName, name, exportedAt, review: { ...review, fresh: [] } } }
  }

  /**
   * Takes in what was reviewed last, once, without what the person leaves out.
   * @param onStored hears how many of how many entries are stored
   */
  async takeReviewed(without: readonly string[] = [], onStored?: (stored: number, of: number) => void): Promise<Committed> {
    this.stopped = false
    const left = new Set(without)
    const known = new Set(this.history.entries.map((e) => e.id))
    const entries = (this.reviewed?.entries ?? []).filter((e) => !left.has(e.id) && !known.has(e.id))
    onStored?.(0, entries.length)
    const done = await this.write(entries, extend(this.history, entries), {
      stored: (stored) => onStored?.(stored, entries.length),
      isStopped: () => this.stopped
    })
    // What could not be stored can be asked for again.
    if (done.outcome === 'written') this.reviewed = undefined
    return done
  }

  /** A table of readings: read, mapped as often as the person likes, and written in one action. */
  readTable(text: string): TableSeen {
    return this.tables.read(text, this.history, clockNow())
  }

  mapTable(mapping: Mapping, lotId: string): TableMapped {
    return this.tables.map(mapping, lotId, this.history, clockNow())
  }

  async takeTable(device: string): Promise<Committed> {
    const done = await this.commit(this.tables.drafts, device)
    // What could not be stored can be asked for again.
    if (done.outcome === 'written') this.tables.forget()
    return done.outcome === 'refused' ? { ...done, drafts: this.tables.drafts } : done
  }

  /** Ends `takeReviewed` before it has stored all: then nothing of it is. */
  stopTaking(): void {
    this.stopped = true
  }

  /** The demo as of an instant, in place of all that is there. */
  async layOutDemo(now: string): Promise<Opened> {
    const { demoCellar } = await import('~~/demo')
    return this.replaceAll(demoCellar(new Date(now)).entries)
  }

  async replaceAll(entries: readonly Entry[]): Promise<Opened> {
    await this.db!.replaceAll(entries)
    this.channel?.postMessage({ reload: true })
    return this.opened(entries, 0)
  }

  allEntries(): readonly Entry[] {
    return this.history.entries
  }

  /** All of it in a zip, with these tables by file name: packed where the entries are, so that no page waits for it. */
  async packed(name: string, tables: Record<string, string>): Promise<Uint8Array> {
    const { cellarZip } = await import('./cellar-zip')
    const file = toCellarFile(name, this.history.entries, new Date().toISOString())
    return cellarZip(file, (id) => this.history.cellar.lots.get(id)?.name ?? '', tables)
  }

  writtenAfter(instant: string): Promise<number> {
    return this.db!.writtenAfter(instant)
  }

  getMeta(key: string): Promise<unknown> {
    return this.db!.getMeta(key)
  }

  setMeta(key: string, value: unknown): Promise<void> {
    return this.db!.setMeta(key, value)
  }

  private opened(entries: readonly Entry[], damaged: number, trouble?: Trouble): Opened {
    this.history = historyOf(entries)
    // Stamps only go forward, also when the clock was set back since: the last word stays the last.
    this.lastStamp = entries.reduce((latest, e) => Math.max(latest, Date.parse(e.written)), 0)
    this.damaged = damaged
    this.told = {
      change: changeBetween(historyOf([]), this.history, []),
      damaged,
      factCount: this.history.facts.length,
      ...(trouble && { trouble })
    }
    this.keepFirstLook()
    return this.told
  }

  /** A change more is taken into what was told, and nothing is worked out anew. */
  private keepFirstLook(more?: Change): void {
    if (this.told && more) this.told = withChange(this.told, more, this.history.facts.length)
    if (this.db && this.told)
      this.firstLooks.keep(this.db, this.told, () => ({
        rows: this.history.entries.length + this.damaged, lastWrittenMs: this.lastStamp, newest: this.newest(0)
      }))
  }

  private stamped(drafts: readonly Draft[], device: string): Entry[] {
    const stamp = Math.max(clockMs(), this.lastStamp + 1)
    const now = clockNow()
    return drafts.map(
      (draft, i) => ({ id: newId(stamp + i), device, at: now, written: new Date(stamp + i).toISOString(), ...draft }) as Entry
    )
  }

  private async write(written: readonly Entry[], history: History, storing?: Storing): Promise<Committed> {
    const asked = this.history
    // What is told is worked out before anything is written: nothing that is stored may be what a page cannot show.
    const change = changeBetween(asked, history, written)
    let restored = false
    try {
      restored = (await this.db!.append(written, asked.entries, storing)).restored
    }
    catch (error) {
      if (!(error instanceof StorageError)) throw error
      return { outcome: 'failed', trouble: { operation: error.operation, problem: error.problem } }
    }
    // Another tab may have written while this one waited for the disk.
    const before = this.history
    const alone = before === asked
    this.history = alone ? history : extend(before, written)
    this.lastStamp = written.reduce((latest, e) => Math.max(latest, Date.parse(e.written)), this.lastStamp)
    this.channel?.postMessage({ added: written.map((e) => e.id) })
    const told = alone ? change : changeBetween(before, this.history, written)
    this.keepFirstLook(told)
    const many = written.length > MOST_TOLD
    return {
      outcome: 'written',
      count: written.length,
      written: many ? [] : [...written],
      change: many ? { ...told, facts: [] } : told,
      ...(many && { factCount: this.history.facts.length }),
      ...(restored && { restored })
    }
  }

  private async takeFromOtherTab(message: { added?: string[], reload?: boolean }): Promise<void> {
    await this.loaded
    if (!this.db) return
    const before = this.history
    if (message.reload) this.history = historyOf((await this.db.all()).entries)
    else {
      const known = new Set(before.entries.map((e) => e.id))
      const news = await this.db.byIds((message.added ?? []).filter((id) => !known.has(id)))
      this.history = extend(
        this.history,
        news.filter((e) => !this.history.entries.some((k) => k.id === e.id))
      )
    }
    const news = this.history.entries.slice(message.reload ? 0 : before.entries.length)
    const told = changeBetween(before, this.history, news)
    this.keepFirstLook(told)
    this.listener?.(told)
  }
}
