import { isClear } from './clarity'
import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

export const observation: EntryKind<'observation'> = {
  type: 'observation',
  touches: (e) => ofLot(e),
  apply(folding, seen) {
    const lot = lotOf(folding, seen)
    if (!lot) return
    const by = { at: seen.at, entryId: seen.id }
    if (seen.what === 'smell' && seen.smells?.length) lot.smelt = { ...by, smells: seen.smells }
    if (seen.what === 'clarity' && seen.clarity)
      lot.clarity = { ...by, is: seen.clarity, ...(isClear(seen.clarity) && { clearSince: lot.clarity?.clearSince ?? seen.at }) }
    if (seen.what === 'chromatogram' && seen.spots) lot.paper = { ...by, ...seen.spots }
    if (seen.what === 'gas' && seen.gas) lot.gas = { ...by, is: seen.gas }
    if (seen.what === 'taste') lot.tastedAt = seen.at
    if (seen.what === 'heat-test' && seen.stable !== undefined) lot.heatTest = { ...by, stable: seen.stable }
    if (seen.what === 'cold-test' && seen.stable !== undefined) lot.coldTest = { ...by, stable: seen.stable }
    if (seen.what === 'warm-glass' && seen.stable !== undefined) lot.warmGlass = { ...by, stable: seen.stable }
    if (seen.what === 'bubbles') lot.bubbled = by
  }
}
