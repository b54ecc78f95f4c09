import { proxy } from 'comlink'
import {
  type CellarState,
  type Draft,
  type Entry,
  type Fact,
  type LedgerProblem,
  type LotView,
  type Restatement,
  type StandingFact,
  cellarAt,
  emptyCellar,
  lotAt,
  rememberUpkeep
} from '~~/core/ledger'
import { rememberCorrection } from '~~/core/stages'
import { clockNow } from '~/data/clock'
import { type CellarName, StorageError } from '~/data/cellar-storage'
import { openCellar, thisDevice } from '~/data/device'
import { keptSeason } from '~/data/practice-season'
import { setPageClock, useNow } from '~/composables/useNow'
import { startEngine } from '~/workers/ledger-client'
import { onLedgerDeath } from '~/workers/start'
import { askToStay } from '~/data/ask-to-stay'
import type { Issue } from '~/data/draft-issues'
import type { Mapping } from '~/data/csv'
import type { Committed } from '~/data/engine-answers'
import type { Change, Opened, Trouble } from '~/data/told'
import { movedStarts, sameParts, withFacts } from '~/data/standing'
import { dayHere } from '~/wording/days'

/**
 * The cellar as the page sees it: what the ledger's engine tells, and the way to it. It holds state and passes actions on;
 * nothing is folded, checked or merged here.
 */
export const useCellarStore = defineStore('cellar', () => {
  const which = ref<CellarName>('own')
  const ready = ref(false)
  const problem = shallowRef<StorageError>()
  /** Why the last action could not be: an impossible move, said before anything is written. */
  const refused = shallowRef<LedgerProblem[]>([])
  /** What the schemas of the ledger say of the last action, by field. */
  const issues = shallowRef<Issue[]>([])
  /** Entries on disk that could not be read; they are left where they are. */
  const damaged = ref(0)
  const lastAction = shallowRef<Entry[]>([])
  /** As the ledger tells it, at its last entry. */
  const told = shallowRef<CellarState>(emptyCellar())
  /** Every fact in its latest version, newest first. */
  const facts = shallowRef<readonly StandingFact[]>([])
  const factCount = ref(0)
  const now = useNow()
  const today = computed(() => dayHere(now.value))
  /** As it is today: wood has drunk since. */
  const state = computed<CellarState>((before) => {
    const next = cellarAt(told.value, today.value)
    return before ? { ...next, ...sameParts(before, { vessels: next.vessels }) } : next
  })
  /** Every lot as it is now. */
  const lots = computed<LotView[]>(() => [...state.value.lots.values()].map((lot) => lotAt(lot, now.value)))
  const lotOf = (id: string): LotView | undefined => {
    const lot = state.value.lots.get(id)
    return lot && lotAt(lot, now.value)
  }
  const isDemo = computed(() => which.value === 'demo')
  const isPractice = computed(() => which.value === 'practice')
  let engine: ReturnType<typeof startEngine> | undefined
  const theEngine = () => (engine ??= startEngine())
  let forgets = false
  let opening = 0
  // What the worker held is on disk: it is read again, and the page goes on with it.
  onLedgerDeath(() => void reopen())
  async function reopen(): Promise<void> {
    if (which.value === undefined) return
    const trouble = new StorageError('reach its own background worker', 'worker', undefined)
    await open(which.value).catch(() => {})
    problem.value = trouble
  }

  async function open(asked: CellarName = openCellar.get()): Promise<void> {
    // A season of Practice that is gone leaves the person's own cellar.
    const name = asked === 'practice' && !keptSeason() ? 'own' : asked
    ready.value = false
    which.value = name
    openCellar.set(name)
    const turn = ++opening
    const e = await theEngine()
    const at = name === 'practice' ? keptSeason()?.at : undefined
    const clock = at === undefined ? undefined : Date.parse(at)
    setPageClock(clock)
    await e.setClock(clock)
    const held = () => {
      if (turn === opening) problem.value = new StorageError('open the cellar', 'held', undefined)
    }
    const opened = await (typeof Worker === 'undefined' ? e.open(name, take, held) : e.open(name, proxy(take), proxy(held)))
    if (turn !== opening) return
    await takeOpened(opened)
    if (name === 'demo' && factCount.value === 0) await layOutDemo()
    ready.value = true
  }

  async function takeOpened(opened: Opened): Promise<void> {
    facts.value = []
    told.value = emptyCellar()
    damaged.value = opened.damaged
    forgets = opened.trouble?.problem === 'blocked'
    problem.value = opened.trouble && errorOf(opened.trouble)
    factCount.value = opened.factCount
    take(opened.change)
    await readFacts(opened.factCount)
  }

  /** The ledger's lines come from the newest on; the first of them before the page is shown, the rest as there is time. */
  async function readFacts(count: number): Promise<void> {
    const e = await theEngine()
    const turn = opening
    const first = await e.factsFrom(0)
    facts.value = first
    const rest = async () => {
      const all = [...first]
      while (all.length < count) {
        const more = await e.factsFrom(all.length)
        if (more.length === 0 || turn !== opening) return
        all.push(...more)
        await new Promise((done) => setTimeout(done))
      }
      // What was logged while the older lines came in goes before them.
      const known = new Set(all.map((f) => f.original.id))
      facts.value = [...facts.value.filter((f) => !known.has(f.original.id)), ...all]
    }
    if (typeof Worker === 'undefined') await rest()
    else void rest()
  }

  /** Takes a change in: lots that differ, the small rest, and the lines that are new or changed. */
  function take(change: Change): void {
    const next = new Map(told.value.lots)
    for (const id of change.gone) next.delete(id)
    for (const lot of change.lots) next.set(lot.id, lot)
    for (const [id, correction] of change.corrections) rememberCorrection(next.get(id)!, correction)
    for (const [id, upkeep] of change.upkeep.of) rememberUpkeep(next.get(id)!, change.upkeep.now, upkeep)
    told.value = { ...sameParts(told.value, change.rest), lots: next }
    if (change.facts.length > 0) {
      const ids = new Set(change.facts.map((f) => f.original.id))
      const known = new Set(facts.value.map((f) => f.original.id))
      factCount.value += change.facts.filter((f) => f.corrections.length === 0 && !known.has(f.original.id)).length
      facts.value = withFacts(
        facts.value.filter((f) => !ids.has(f.original.id)),
        change.facts
      )
    }
  }

  /** Fresh demo data, dated from today. */
  async function layOutDemo(): Promise<void> {
    const e = await theEngine()
    const opened = await e.layOutDemo(new Date().toISOString())
    await takeOpened({
      ...opened,
      ...(problem.value && { trouble: { operation: problem.value.operation, problem: problem.value.problem } })
    })
  }

  /** A cellar laid out anew, for a season of Practice. */
  async function layOut(drafts: readonly Draft[]): Promise<void> {
    const e = await theEngine()
    await takeOpened(await e.replaceAll([]))
    await log([...drafts])
  }
  /** Sets the clock of the page and of the ledger: in Practice the person moves it. */
  async function setClock(at: string): Promise<void> {
    setPageClock(Date.parse(at))
    await (await theEngine()).setClock(Date.parse(at))
  }

  /** What was to be written last, for when it is refused and can be helped. */
  const lastAsked = shallowRef<Draft[]>([])
  const forgetRefused = (): void => {
    refused.value = []
  }
  /** What was dated before a lot's start was refused: the start is moved back to it, and all is written together. */
  async function logMovingStarts(): Promise<Entry[] | undefined> {
    const moved = movedStarts(lastAsked.value, state.value.starts, facts.value)
    return log([...moved, ...lastAsked.value])
  }

  const pending = new Map<string, Promise<Entry[] | undefined>>()
  /**
   * Writes what happened, all drafts of one action together. The same action asked for twice while the first is under way (a
   * double tap) is one.
   * @returns the entries as written, or undefined: `refused`, `issues` or `problem` say why
   */
  function log(drafts: Draft[]): Promise<Entry[] | undefined> {
    const key = JSON.stringify(drafts)
    const known = pending.get(key)
    if (known) return known
    // When it happened goes by the clock that the person sees; the order of writing is the engine's.
    const at = clockNow()
    const asked = (JSON.parse(key) as Draft[]).map((draft) => ({ at, ...draft }))
    lastAsked.value = asked
    // Its own drafts, not those of whatever is asked next while the engine starts.
    const work = commit(() => theEngine().then((e) => e.commit(JSON.parse(JSON.stringify(asked)) as Draft[], thisDevice())))
      .then((done) => done?.written)
      .finally(() => pending.delete(key))
    pending.set(key, work)
    return work
  }

  async function commit(work: () => Promise<Committed>): Promise<{ count: number, written: Entry[] } | undefined> {
    if (which.value.startsWith('own')) void askToStay()
    const done = await work().catch((error: unknown): Committed => {
      if (!(error instanceof StorageError)) throw error
      return { outcome: 'failed', trouble: { operation: error.operation, problem: error.problem } }
    })
    // What can be helped is asked again with its starts moved.
    if (done.outcome === 'refused' && done.drafts) lastAsked.value = [...done.drafts]
    refused.value = done.outcome === 'refused' ? done.problems : []
    issues.value = done.outcome === 'invalid' ? done.issues : []
    // Stopped is what was asked for, and no problem.
    if (done.outcome === 'failed' && done.trouble.problem !== 'stopped') problem.value = errorOf(done.trouble)
    if (done.outcome !== 'written') return undefined
    if (!forgets) problem.value = undefined
    if (done.restored) problem.value = new StorageError('keep the cellar', 'cleared', undefined)
    take(done.change)
    if (done.factCount !== undefined) {
      factCount.value = done.factCount
      await readFacts(done.factCount)
    }
    lastAction.value = done.written
    return done
  }

  /** Strikes entries out; they stay in the ledger, marked. */
  async function strike(ids: readonly string[], reason: string): Promise<boolean> {
    const done = await log(ids.map((targetId) => ({ type: 'correction' as const, targetId, reason, replacement: null })))
    if (done) lastAction.value = []
    return done !== undefined
  }

  /** Takes a correction back by correcting to what was there before it. */
  const undoCorrection = async (...before: Fact[]): Promise<boolean> =>
    (await log(before.map((b) => ({ type: 'correction', targetId: b.id, reason: 'Correction undone', replacement: b })))) !== undefined

  /** Takes back what was done last, if it was anything. */
  async function undoLast(): Promise<boolean> {
    const ids = lastAction.value.filter((e) => e.type !== 'correction').map((e) => e.id)
    return ids.length > 0 && (await strike(ids, 'Undone'))
  }

  const check = async (drafts: Draft[]): Promise<Issue[]> => (await theEngine()).check(drafts)
  /** What entries would make of lots and vessels, as it would be today. */
  async function preview(drafts: Draft[]) {
    const after = await (await theEngine()).preview(JSON.parse(JSON.stringify(drafts)) as Draft[])
    if (after.vessels.length === 0) return after
    const lots = new Map([...told.value.lots, ...after.lots.map((lot) => [lot.id, lot] as const)])
    const vessels = new Map(after.vessels.map((v) => [v.id, v]))
    return { ...after, vessels: [...cellarAt({ ...told.value, lots, vessels }, today.value).vessels.values()] }
  }
  const restate = async (draft: Draft<Fact>): Promise<Restatement> =>
    (await theEngine()).restate(JSON.parse(JSON.stringify(draft)) as Draft<Fact>)
  const review = async (text: string, fileName: string) => (await theEngine()).review(text, fileName)
  const takeReviewed = (without: readonly string[] = [], onStored: (stored: number, of: number) => void = () => {}) =>
    commit(async () => (await theEngine()).takeReviewed(without, typeof Worker === 'undefined' ? onStored : proxy(onStored)))
  const readTable = async (text: string) => (await theEngine()).readTable(text)
  const mapTable = async (mapping: Mapping, lotId: string) =>
    (await theEngine()).mapTable(JSON.parse(JSON.stringify(mapping)) as Mapping, lotId)
  const takeTable = () => commit(async () => (await theEngine()).takeTable(thisDevice()))
  const stopTaking = async () => (await theEngine()).stopTaking()
  /** All entries, for a file: they live with the engine. */
  const allEntries = async (): Promise<readonly Entry[]> => (await theEngine()).allEntries()
  /** All of it in a zip, with tables by file name. */
  const packed = async (name: string, tables: Record<string, string>) => (await theEngine()).packed(name, tables)
  /** Entries that the last export does not hold. */
  const writtenAfter = async (instant: string): Promise<number> => (await theEngine()).writtenAfter(instant)
  const meta = {
    get: async (key: string) => (await theEngine()).getMeta(key),
    set: async (key: string, value: unknown) => (await theEngine()).setMeta(key, value)
  }
  return {
    which,
    isDemo,
    isPractice,
    layOut,
    setClock,
    ready,
    problem,
    damaged,
    refused,
    issues,
    facts,
    factCount,
    state,
    lots,
    lotOf,
    lastAction,
    open,
    log,
    logMovingStarts,
    forgetRefused,
    check,
    strike,
    undoCorrection,
    undoLast,
    layOutDemo,
    preview,
    restate,
    review,
    takeReviewed,
    stopTaking,
    readTable,
    mapTable,
    takeTable,
    allEntries,
    packed,
    writtenAfter,
    meta
  }
})

const errorOf = ({ operation, problem }: Trouble): StorageError => new StorageError(operation, problem, undefined)
