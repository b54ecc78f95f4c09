import { becomes } from '../facets'
import { restsOn } from '../rests-on'
import { type EntryKind, ofLot } from './kind'
import { cameSulphited, lotOf } from './lot-started'
import { emptyOut } from './transfer'

/** A new name, where the ferment really stands, or the end of a lot that was poured away. */
export const lotAmended: EntryKind<'lot-amended'> = {
  type: 'lot-amended',
  touches: (e) => ofLot(e),
  apply(folding, amended) {
    const lot = lotOf(folding, amended)
    if (!lot) return
    if (amended.name !== undefined) lot.name = amended.name
    if (amended.alcoholic !== undefined) becomes(lot, amended.alcoholic, amended.at)
    if (amended.alcoholic === 'dry') lot.saidDryAt = amended.at
    else if (amended.alcoholic !== undefined) delete lot.saidDryAt
    if (amended.sulphited) cameSulphited(lot, amended.sulphited, amended.sulphitedMgPerL, { id: amended.id, at: lot.startedAt })
    if (amended.packets && lot.kit) lot.kit = { ...lot.kit, packets: amended.packets }
    if (amended.ended) {
      emptyOut(folding, lot, amended.at)
      lot.volume = {
        ...lot.volume,
        value: 0,
        uncertainty: 0,
        origin: 'measured',
        at: amended.at,
        from: restsOn(lot.volume.from, amended.id)
      }
    }
  }
}
