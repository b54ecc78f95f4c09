import { judgeInoculation, noteActs } from '../acts'
import { becomes, isMust, isWine } from '../facets'
import { freeSo2Consumed } from '../free-so2'
import { holdsSugar } from '../sugar-left'
import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'
import { consume } from './stock'

/** Yeast begins the ferment and uses up what sulphite is free; bacteria begin malolactic. */
export const inoculation: EntryKind<'inoculation'> = {
  type: 'inoculation',
  touches: (e) => ofLot(e, { materials: [e.cardKey ?? e.organism] }),
  apply(folding, pitched) {
    const lot = lotOf(folding, pitched)
    if (!lot) return
    consume(folding, pitched, lot)
    noteActs(lot, pitched, judgeInoculation(lot, pitched, folding.cellar.cards))
    if (pitched.organism === 'bacteria') {
      if (lot.bacteriaAt !== undefined) lot.bacteriaAgainAt = pitched.at
      lot.bacteriaAt ??= pitched.at
      lot.bacteria = { name: pitched.culture, ...(pitched.cardKey && { cardKey: pitched.cardKey }) }
      return
    }
    lot.staged = new Map()
    if (lot.inoculatedAt && !isMust(lot)) lot.repitchedAt = pitched.at
    lot.inoculatedAt ??= pitched.at
    lot.yeast = { name: pitched.culture, ...(pitched.cardKey && { cardKey: pitched.cardKey }) }
    // In a wine that holds sugar it ferments on: what was read of its end, and what a test found in it, says nothing any more.
    const again = isWine(lot) && holdsSugar(lot)
    if (again) {
      lot.unsettledAt = pitched.at
      const { sugar: _, ...others } = lot.others
      lot.others = others
    }
    if (!again && !isMust(lot)) return
    becomes(lot, 'active', pitched.at)
    freeSo2Consumed(lot, pitched.at, pitched.id)
  }
}
