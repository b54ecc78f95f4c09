import type { Entry } from '~~/core/ledger'

/**
 * The part of a cellar's ledger that tells one lot's whole story: its own entries, the lots that were blended into it with
 * theirs, the vessels and instruments they name, and every correction of these.
 */
export function entriesOfLot(entries: readonly Entry[], lotId: string): Entry[] {
  const lots = new Set([lotId])
  for (let grown = true; grown;) {
    grown = false
    for (const e of entries) {
      if (e.type === 'transfer' && lots.has(e.to.lotId) && !lots.has(e.from.lotId)) {
        lots.add(e.from.lotId)
        grown = true
      }
    }
  }
  const own = entries.filter((e) =>
    e.type === 'transfer' ? lots.has(e.from.lotId) && lots.has(e.to.lotId) : 'lotId' in e && lots.has(e.lotId)
  )
  const named = new Set(
    own.flatMap((e) => [
      ...(e.type === 'reading' && e.instrumentId ? [e.instrumentId] : []),
      ...(e.type === 'lot-started' && e.vesselId ? [e.vesselId] : []),
      ...(e.type === 'transfer' ? [e.from.vesselId, e.to.vesselId] : [])
    ])
  )
  const kept = new Set<Entry>([
    ...own,
    ...entries.filter(
      (e) =>
        ('vesselId' in e && e.type !== 'lot-started' && named.has(e.vesselId)) ||
        ('instrumentId' in e && e.type !== 'reading' && named.has(e.instrumentId))
    )
  ])
  const ids = new Set([...kept].map((e) => e.id))
  return entries.filter((e) => kept.has(e) || (e.type === 'correction' && ids.has(e.targetId)))
}
