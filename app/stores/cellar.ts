import { type CellarState, type Draft, type Entry, type Fact, type LedgerProblem, type LotState, type StandingFact, appendToCellar, foldCellar, refusalOf, standingFacts } from '~~/core/ledger'
import { CellarDb } from '~/data/cellar-db'
import { type CellarName, type CellarStorage, StorageError } from '~/data/cellar-storage'
import { MemoryCellar } from '~/data/memory-cellar'
import { newId } from '~/data/ids'

const WHICH = 'presk.cellar'
const DEVICE = 'presk.device'
/** More entries than this are folded together with all the others. */
const SMALL = 50
/** Entries that move wine, which can be impossible. */
const MOVES = new Set<Entry['type']>(['lot-started', 'transfer', 'correction'])

/** The ledger in memory, the state it tells, and the way in for new entries. Several tabs stay in step. */
export const useCellarStore = defineStore('cellar', () => {
  const which = ref<CellarName>('own')
  const entries = shallowRef<readonly Entry[]>([])
  const ready = ref(false)
  const problem = shallowRef<StorageError>()
  /** Why the last action could not be: an impossible move, said before anything is written. */
  const refused = shallowRef<LedgerProblem[]>([])
  /** Entries on disk that could not be read; they are left where they are. */
  const damaged = ref(0)
  const lastAction = shallowRef<Entry[]>([])
  let db: CellarStorage | undefined
  let channel: BroadcastChannel | undefined

  const state = shallowRef<CellarState>(foldCellar([]))
  let lastAt = ''
  let lastStamp = 0
  /** Every fact as it stands, newest first; worked out once for all that tell the story. */
  const facts = computed<StandingFact[]>(() => standingFacts(entries.value).reverse())
  const lots = computed<LotState[]>(() => [...state.value.lots.values()])
  const isDemo = computed(() => which.value === 'demo')

  /** All entries anew: opened, imported, or from another tab. */
  function takeAll(all: readonly Entry[]): void {
    entries.value = all
    state.value = foldCellar(all)
    lastAt = all.reduce((latest, e) => e.at > latest ? e.at : latest, '')
  }

  async function readAll(): Promise<void> {
    const read = await db!.all()
    damaged.value = read.damaged
    takeAll(read.entries)
  }

  /** A few more; where they only follow what is there, nothing is folded twice. */
  function takeMore(more: readonly Entry[]): void {
    const next = more.length <= SMALL ? appendToCellar(state.value, lastAt, more) : undefined
    entries.value = [...entries.value, ...more]
    state.value = next ?? foldCellar(entries.value)
    lastAt = more.reduce((latest, e) => e.at > latest ? e.at : latest, lastAt)
  }

  async function open(name: CellarName = remembered()): Promise<void> {
    ready.value = false
    which.value = name
    keep(WHICH, name)
    db?.close()
    channel?.close()
    db = new CellarDb(name)
    channel = new BroadcastChannel(`presk-${name}`)
    channel.onmessage = message => takeFromOtherTab(message.data)
    try {
      await readAll()
      if (name === 'demo' && entries.value.length === 0) await layOutDemo()
      problem.value = undefined
    }
    catch (error) {
      if (!(error instanceof StorageError)) throw error
      takeAll([])
      // Nothing can be stored here: the tab still works, and says that it forgets.
      if (error.problem === 'blocked') {
        db = new MemoryCellar()
        if (name === 'demo') await layOutDemo()
      }
      problem.value = error
    }
    ready.value = true
  }

  /** Fresh demo data, dated from today. */
  async function layOutDemo(): Promise<void> {
    const { demoCellar } = await import('~~/demo/scenario')
    const { cellarFileSchema } = await import('~~/core/ledger/schema')
    const file = cellarFileSchema.parse(demoCellar(new Date()))
    await db!.replaceAll(file.entries)
    takeAll(file.entries)
    channel?.postMessage({ reload: true })
  }

  /**
   * Writes what happened. All drafts of one action are stored together or not at all; the state changes after the commit.
   * @returns the entries as written, or undefined when they could not be stored (`problem` says why)
   */
  async function log(drafts: Draft[]): Promise<Entry[] | undefined> {
    // Two actions of one millisecond still follow each other: the order of the ledger goes by instant and id.
    const stamp = Math.max(Date.now(), lastStamp + 1)
    lastStamp = stamp + drafts.length
    const now = new Date(stamp).toISOString()
    const written = drafts.map((draft, i) => ({ id: newId(stamp + i), device: device(), at: now, written: now, ...draft }) as Entry)
    refused.value = drafts.some(d => MOVES.has(d.type)) ? refusalOf(entries.value, written, { cellar: state.value, lastAt }) : []
    if (refused.value.length > 0) return undefined
    const done = await add(written)
    if (done) lastAction.value = written
    return done ? written : undefined
  }

  /** Adds entries that carry their ids already, from a file. */
  async function add(written: readonly Entry[]): Promise<boolean> {
    try {
      // A copy free of Vue's proxies, as structured cloning wants it.
      const plain = JSON.parse(JSON.stringify(written)) as Entry[]
      await db!.append(plain)
      if (which.value === 'own') void askToStay()
      takeMore(plain)
      channel?.postMessage({ added: plain.map(e => e.id) })
      if (!(db instanceof MemoryCellar)) problem.value = undefined
      return true
    }
    catch (error) {
      if (!(error instanceof StorageError)) throw error
      problem.value = error
      return false
    }
  }

  /** Strikes entries out; they stay in the ledger, marked. */
  async function strike(ids: readonly string[], reason: string): Promise<boolean> {
    const done = await log(ids.map(targetId => ({ type: 'correction' as const, targetId, reason, replacement: null })))
    lastAction.value = []
    return done !== undefined
  }

  /** Takes a correction back by correcting to what stood before it. */
  const undoCorrection = async (before: Fact): Promise<boolean> => await log([{ type: 'correction', targetId: before.id, reason: 'Correction taken back', replacement: before }]) !== undefined

  async function takeFromOtherTab(message: { added?: string[], reload?: boolean }): Promise<void> {
    if (!db) return
    if (message.reload) await readAll()
    else if (message.added) {
      const known = new Set(entries.value.map(e => e.id))
      const news = await db.byIds(message.added.filter(id => !known.has(id)))
      if (news.length > 0) takeMore(news)
    }
  }

  /** Entries that the last export does not hold. */
  const writtenAfter = (instant: string): Promise<number> => db!.writtenAfter(instant)
  const meta = { get: (key: string) => db!.getMeta(key), set: (key: string, value: unknown) => db!.setMeta(key, value) }
  return { which, isDemo, ready, problem, damaged, refused, entries, facts, state, lots, lastAction, open, log, add, strike, undoCorrection, layOutDemo, writtenAfter, meta }
})

/** Asks the browser not to clear the cellar when space runs short; most grant it to a page that is used. */
async function askToStay(): Promise<void> {
  try {
    if (await navigator.storage?.persisted() === false) await navigator.storage.persist()
  }
  catch {
    // Some browsers lack it in private windows; the export remains.
  }
}

function remembered(): CellarName {
  try {
    return localStorage.getItem(WHICH) === 'demo' ? 'demo' : 'own'
  }
  catch {
    return 'own'
  }
}

function keep(key: string, value: string): void {
  try {
    localStorage.setItem(key, value)
  }
  catch {
    // Refused in some private windows: then it is asked again next time.
  }
}

/** A name for this device in the ledger, made once. */
function device(): string {
  try {
    const known = localStorage.getItem(DEVICE)
    if (known) return known
  }
  catch {
    return 'private-window'
  }
  const made = `device-${crypto.randomUUID().slice(0, 8)}`
  keep(DEVICE, made)
  return made
}
