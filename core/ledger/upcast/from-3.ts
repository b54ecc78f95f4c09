import type { RawCellar, Upcast } from '.'

type Loose = Record<string, unknown>

/**
 * Version 4 knows cards of one's own and amended lots, and refuses a transfer in which more arrives than left: until then
 * such a line was taken, and the more was a slip of the pen.
 */
export const fromVersion3: Upcast = (older: RawCellar) => ({
  ...older,
  version: 4,
  ...(Array.isArray(older.entries) && { entries: older.entries.map(entryFrom3) })
})

/** One entry of version 3 or older, as it also stands on the disk of a device. */
export function entryFrom3(entry: unknown): unknown {
  if (typeof entry !== 'object' || entry === null) return entry
  const e = entry as Loose
  if (e.type === 'correction') return { ...e, replacement: entryFrom3(e.replacement) }
  return e.type === 'transfer' && typeof e.outL === 'number' && typeof e.inL === 'number' && e.inL > e.outL ? { ...e, inL: e.outL } : e
}
