import type { DosePair } from '../../sulphite'
import type { ReadingQuantity } from '../entry'
import type { InWood } from '../wood'
import type { AcidTrack, Balance, Figure, Point } from './figure'

/** How much there is of it, where, and what was measured or reckoned in it. */
export interface LotLiquid {
  /** L */
  volume: Figure
  /** Litres by vessel; '' holds what has no vessel. */
  contents: Map<string, number>
  /** Of what stands in wood: since when its loss has not been taken off yet. */
  inWood?: InWood
  /** SG 20/20, corrected for the sample's temperature and the instrument. */
  sg?: Figure
  /** The first gravity, before yeast. */
  originalSg?: Figure
  temperature?: Figure
  ph?: Figure
  /** g/L as tartaric */
  ta?: Figure
  /** mg/L */
  freeSo2?: Figure
  totalSo2?: Figure
  /** Mass balance of sugar and alcohol; from the first gravity on. */
  balance?: Balance
  /** % vol, by the mass balance or measured. */
  abv?: Figure
  acids?: AcidTrack
  /** Every reading, corrected for its instrument, by quantity: for curves. */
  series: Partial<Record<ReadingQuantity, Point[]>>
  /** Other measured figures by quantity. */
  others: Partial<Record<ReadingQuantity, Figure>>
}

/** Its sulphite, from which its binding is learnt. */
export interface LotSulphite {
  /** Additions of sulphite with the free SO₂ before and after, from which its binding is learnt. */
  doses: readonly DosePair[]
  pendingDose: { addedMgPerL: number, freeBeforeMgPerL: number, at: string } | undefined
  /** Share of sulphite that binds in this lot: learnt, or the usual one. */
  boundShare: number
  lastSulphiteAt?: string
  /** Sulphite given, as mg of SO₂ in a litre of what there was. */
  sulphited: readonly { at: string, mgPerL: number, entryId: string }[]
}
