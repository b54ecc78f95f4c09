import type { Draft, Entry, EntryOf, Fact, ReadingQuantity } from '../ledger'

/**
 * Entries of one lot, laid out by how long before an instant they were made.
 * @param now ms since 1970
 * @param unit ms: an hour or a day
 */
export function ledgerBefore(now: number, unit: number, lotId: string) {
  let count = 0
  const at = (ago: number) => new Date(now - ago * unit).toISOString()
  const entry = (ago: number, draft: Draft<Fact>) =>
    ({ id: `${lotId}-${String(++count).padStart(4, '0')}`, device: 't', at: at(ago), written: at(ago), ...draft }) as Entry
  const read = (ago: number, quantity: ReadingQuantity, value: number, of = lotId) =>
    entry(ago, { type: 'reading', lotId: of, quantity, typed: String(value), value })
  /** A white juice of 20 L, unless something else is said of it. */
  const start = (ago: number, more: Partial<Omit<EntryOf<'lot-started'>, 'type'>> = {}) =>
    entry(ago, {
      type: 'lot-started',
      lotId,
      name: 'W',
      stream: 'juice',
      style: 'white',
      varieties: [],
      volumeL: 20,
      volumeIs: 'measured',
      ...more
    })
  /** The same, fermented dry within a month, by two gravities that agree. */
  const dryWine = (begun = 200): Entry[] => [
    start(begun),
    read(begun - 1, 'sg', 1.085),
    entry(begun - 2, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 5 }),
    read(begun - 30, 'sg', 0.993),
    read(begun - 40, 'sg', 0.993)
  ]
  return { at, now: at(0), entry, read, start, dryWine }
}
export const HOUR = 3_600_000
export const DAY = 24 * HOUR
