import type { Draft, Entry, EntryOf, Fact, History } from '~~/core/ledger'
import { mergeEntries } from './cellar-file'

/** Something in a file that would change or contradict what is here. */
export type Doubt =
  /** The same id with other contents: what is here stays, whatever is chosen. */
  | { code: 'differs', entryId: string }
  /** A lot or a vessel that is here is begun, or added, a second time. */
  | { code: 'second-start', entryId: string, lotId: string, name: string }
  | { code: 'second-vessel', entryId: string, vesselId: string, name: string }
  /** It speaks of a lot that is neither here nor in the file. */
  | { code: 'unknown-lot', entryId: string, lotId: string }
  /** It corrects or strikes an entry of here. */
  | { code: 'corrects', entryId: string, targetId: string, change: Competing }

/** What a correction would make of an entry that is here. */
export interface Competing {
  /** As it reads here now. */
  here: Fact
  struckHere: boolean
  /** As it would read; null where it is struck. */
  becomes: Fact | null
  /** It was corrected here as well, at that instant: the later of the two counts. */
  ownAt?: string
  /** It is the one that counts: there is no other, or it is the later of two. */
  counts: boolean
}

export interface Review {
  fresh: Entry[]
  freshCount: number
  present: number
  lots: number
  doubts: Doubt[]
}

/**
 * What a file would bring to a cellar, and what in it would change or contradict what is there. Nothing is changed silently: the
 * doubtful entries are listed, and each is taken in or left as the person says.
 */
export function reviewOf(history: History, incoming: readonly Entry[]): Review {
  const { fresh, present, conflicts } = mergeEntries(history.entries, incoming)
  const here = new Map(history.facts.map((f) => [f.original.id, f]))
  const { starts, vessels } = history.cellar
  const started = new Set([...starts.keys(), ...fresh.flatMap((e) => (e.type === 'lot-started' ? [e.lotId] : []))])
  const doubts: Doubt[] = conflicts.map((entryId) => ({ code: 'differs', entryId }))
  for (const e of fresh) {
    if (e.type === 'lot-started' && starts.has(e.lotId)) doubts.push({ code: 'second-start', entryId: e.id, lotId: e.lotId, name: e.name })
    else if (e.type === 'vessel-added' && vessels.has(e.vesselId))
      doubts.push({ code: 'second-vessel', entryId: e.id, vesselId: e.vesselId, name: e.name })
    else if (e.type === 'correction') {
      const target = here.get(e.targetId)
      if (target) doubts.push({ code: 'corrects', entryId: e.id, targetId: e.targetId, change: changeBy(e, target) })
    }
    else {
      const lotId =
        e.type === 'transfer'
          ? [e.from.lotId, e.to.lotId].find((id) => !started.has(id))
          : 'lotId' in e && !started.has(e.lotId)
            ? e.lotId
            : undefined
      if (lotId !== undefined) doubts.push({ code: 'unknown-lot', entryId: e.id, lotId })
    }
  }
  return {
    fresh,
    freshCount: fresh.length,
    present,
    lots: new Set(incoming.flatMap((e) => (e.type === 'lot-started' ? [e.lotId] : []))).size,
    doubts
  }
}

function changeBy(correction: EntryOf<'correction'>, { fact, struck, corrections }: History['facts'][number]): Competing {
  const own = corrections.at(-1)
  return {
    here: fact,
    struckHere: struck,
    becomes: correction.replacement,
    ...(own && { ownAt: own.written }),
    counts: !own || own.written < correction.written || (own.written === correction.written && own.id < correction.id)
  }
}

/**
 * What takes an import back, as one action: what came is struck, and what it corrected reads as before.
 * @param written what was taken in, @param doubts of its review
 */
export function undoOf(written: readonly Entry[], doubts: readonly Doubt[]): Draft[] {
  const changes = new Map(doubts.flatMap((d) => (d.code === 'corrects' ? [[d.entryId, d] as const] : [])))
  return written.flatMap((e): Draft[] => {
    if (e.type !== 'correction') return [{ type: 'correction', targetId: e.id, reason: 'Import undone', replacement: null }]
    const known = changes.get(e.id)
    // What it corrected came with it, and is struck with it.
    if (!known) return []
    const { here, struckHere } = known.change
    return [{ type: 'correction', targetId: e.targetId, reason: 'Import undone', replacement: struckHere ? null : here }]
  })
}
