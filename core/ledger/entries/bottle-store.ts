import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

/** A bottle leaves the store: drunk, given or lost. More than there are is refused. */
export const bottleTaken: EntryKind<'bottle-taken'> = {
  type: 'bottle-taken',
  touches: (e) => ofLot(e),
  apply(folding, taken) {
    const lot = lotOf(folding, taken)
    if (!lot) return
    const there = lot.bottled.reduce((sum, b) => sum + (b.sizeMl === taken.sizeMl ? b.left : 0), 0)
    if (taken.count > there) {
      folding.problem({ code: 'more-bottles-than-there', entryId: taken.id, lotId: lot.id, count: taken.count, there })
      return
    }
    // The oldest go first.
    let open = taken.count
    lot.bottled = lot.bottled.map((b) => {
      if (b.sizeMl !== taken.sizeMl) return b
      const less = Math.min(open, b.left)
      open -= less
      return { ...b, left: b.left - less }
    })
  }
}

export const tasting: EntryKind<'tasting'> = {
  type: 'tasting',
  touches: (e) => ofLot(e),
  apply(folding, tasted) {
    const lot = lotOf(folding, tasted)
    if (!lot) return
    lot.tastedAt = tasted.at
    lot.tastings = [
      ...lot.tastings,
      { at: tasted.at, rating: tasted.rating, entryId: tasted.id, ...(tasted.faults?.length && { faults: tasted.faults }) }
    ]
  }
}
