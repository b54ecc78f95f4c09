import type { Draft, EntryOf, LotView } from '../ledger'
import { fact } from './fact'

interface Part { lotId: string, name: string, stream: 'blend' | 'kit' }

/**
 * The start of a part that goes on as a lot of its own, of the same fruit. It begins empty: what is moved into it brings what is known of
 * the wine.
 */
export const partOfLot = (of: LotView, { lotId, name, stream }: Part): Draft<EntryOf<'lot-started'>> =>
  fact('lot-started', {
    lotId,
    name,
    stream,
    style: of.style,
    varieties: [...of.varieties],
    vintage: of.vintage,
    origin: of.origin,
    massKg: undefined,
    volumeL: 0,
    volumeIs: 'measured',
    onSkins: undefined,
    vesselId: undefined,
    // Packets that are still to go in stay with the lot.
    kit: stream === 'kit' && of.kit ? { ...of.kit, packets: [] } : undefined,
    arrivalId: undefined
  })
