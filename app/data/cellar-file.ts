import { DAY_MS } from '~~/core/units'
import { CELLAR_FORMAT, CELLAR_VERSION, type CellarFile, type Entry, type RawCellar, upcast } from '~~/core/ledger'
import { cellarFileSchema } from '~~/core/ledger/schema'
import { LARGEST_FILE_BYTES } from './limits'

export type FileProblem =
  | { code: 'too-large', bytes: number, limitBytes: number }
  | { code: 'not-json' }
  | { code: 'foreign' }
  | { code: 'newer', version: number }
  | { code: 'damaged', place: string, reason: string, count: number }

export interface Merge {
  fresh: Entry[]
  present: number
  /** Ids that both have, with different contents; the stored one is kept. */
  conflicts: string[]
}

/**
 * Reads a cellar file. It is taken whole or refused whole, with the place and the reason.
 * @param text the file's contents, @param now ms, for what cannot have happened yet
 */
export function parseCellarFile(
  text: string,
  now: number = Date.now()
): { ok: true, file: CellarFile } | { ok: false, problem: FileProblem } {
  if (text.length > LARGEST_FILE_BYTES)
    return { ok: false, problem: { code: 'too-large', bytes: text.length, limitBytes: LARGEST_FILE_BYTES } }
  let raw: unknown
  try {
    raw = JSON.parse(text)
  }
  catch {
    return { ok: false, problem: { code: 'not-json' } }
  }
  const head = raw as { format?: unknown, version?: unknown } | null
  if (typeof head !== 'object' || head?.format !== CELLAR_FORMAT) return { ok: false, problem: { code: 'foreign' } }
  if (typeof head.version === 'number' && head.version > CELLAR_VERSION)
    return { ok: false, problem: { code: 'newer', version: head.version } }
  const parsed = cellarFileSchema.safeParse(typeof head.version === 'number' ? upcast(raw as RawCellar) : raw)
  if (parsed.success) {
    const odd = parsed.data.entries.flatMap((entry, i) => {
      const reason = outOfTime(entry.at, now)
      return reason ? [{ place: `entries › ${i} › at`, reason }] : []
    })
    if (odd.length === 0) return { ok: true, file: parsed.data }
    return { ok: false, problem: { code: 'damaged', ...odd[0]!, count: odd.length } }
  }
  const first = parsed.error.issues[0]!
  return {
    ok: false,
    problem: { code: 'damaged', place: first.path.join(' › ') || 'the document', reason: first.message, count: parsed.error.issues.length }
  }
}

/** Nobody here made wine before, and no clock is more than a day ahead of another. */
const FIRST_YEAR = 1900
const AHEAD_MS = DAY_MS

/** Why an instant cannot be when something happened; undefined where it can. @param now ms */
export function outOfTime(at: string, now: number): string | undefined {
  const time = Date.parse(at)
  if (time < Date.UTC(FIRST_YEAR)) return `must be from ${FIRST_YEAR} on`
  return time > now + AHEAD_MS ? 'is in the future: check the clock of this device, or of the one that made the file' : undefined
}

/** What a file would bring: the union of the entries, by id. */
export function mergeEntries(stored: readonly Entry[], incoming: readonly Entry[]): Merge {
  const byId = new Map(stored.map((e) => [e.id, e]))
  const merge: Merge = { fresh: [], present: 0, conflicts: [] }
  for (const entry of incoming) {
    const known = byId.get(entry.id)
    if (!known) {
      merge.fresh.push(entry)
      byId.set(entry.id, entry)
    }
    else if (sameEntry(known, entry)) merge.present++
    else merge.conflicts.push(entry.id)
  }
  return merge
}

/** Equal in everything, whatever the order of the keys. */
function sameEntry(a: unknown, b: unknown): boolean {
  if (typeof a !== 'object' || a === null || typeof b !== 'object' || b === null) return a === b
  const keys = Object.keys(a)
  return (
    keys.length === Object.keys(b).length &&
    keys.every((k) => sameEntry((a as Record<string, unknown>)[k], (b as Record<string, unknown>)[k]))
  )
}
