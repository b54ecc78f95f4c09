import { type Draft, type EntryOf, type LotState, mainVesselOf } from '../ledger'
import { inoculation } from './inoculation'
import { transfer } from './transfer'

type Source = Pick<LotState, 'id' | 'name' | 'contents'>

/** Must of a lot that is fermenting, poured into another as its yeast: it is moved, and it brings its yeast. */
export const ladle = (
  from: Source,
  into: Pick<LotState, 'id' | 'contents'>,
  litres: number
): [Draft<EntryOf<'transfer'>>, Draft<EntryOf<'inoculation'>>] => [
  transfer({
    from: { lotId: from.id, vesselId: mainVesselOf(from) },
    to: { lotId: into.id, vesselId: mainVesselOf(into) },
    outL: litres,
    purpose: 'blend'
  }),
  inoculation({ lotId: into.id, organism: 'yeast', culture: `Must of ${from.name}` })
]

/** The lees of a lot, as the yeast of another. */
export const lees = (from: Source, into: Pick<LotState, 'id'>): Draft<EntryOf<'inoculation'>> => ({
  ...inoculation({ lotId: into.id, organism: 'yeast', culture: `Lees of ${from.name}` }),
  leesOf: from.id
})
