import type { Draft, EntryOf } from '../ledger'
import { type Open, said } from './said'

type Transfer = EntryOf<'transfer'>
interface Moved extends Open<Pick<Transfer, 'at' | 'purpose' | 'air'>> {
  from: { lotId: string, vesselId?: string | undefined }
  to: { lotId: string, vesselId?: string | undefined }
  /** Litres that left, and of these what the lees kept. */
  outL: number
  leesL?: number | undefined
}

/** Wine moved. Into another lot it is a blend, within its own a racking, unless the purpose is said. */
export function transfer({ from, to, outL, leesL = 0, purpose, air, at }: Moved): Draft<Transfer> {
  return said({
    type: 'transfer' as const,
    purpose: purpose ?? (from.lotId === to.lotId ? ('rack' as const) : ('blend' as const)),
    from: said(from),
    to: said(to),
    outL,
    inL: Math.max(0, outL - leesL),
    air,
    at
  }) as Draft<Transfer>
}
