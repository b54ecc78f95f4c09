import type { EntryOf } from '../entry'
import type { Point } from './figure'

export interface VesselState {
  id: string
  name: string
  kind: EntryOf<'vessel-added'>['kind']
  capacityL: number
  material?: EntryOf<'vessel-added'>['material']
  lotId?: string
  /** A lot has stood in it at some time. */
  used?: boolean
  /** Of a barrel: wines that stood in it before it came here. */
  fillsBefore?: number
  /** Wines that have stood in it here, the present one among them. */
  fills?: number
  /** Since when what is in it stands in it. */
  filledAt?: string
  /** What stood in it last, and when it came out. */
  lastHeld?: { name: string, until: string }
  /** Out of use since. */
  retiredAt?: string
  litres: number
  /** When it was last cleaned and sanitised; filling it ends both. */
  cleanedAt?: string
  sanitisedAt?: string
  /** Of wood: when it was last swelled with water, and last kept sweet with sulphur; filling it ends both. */
  swelledAt?: string
  sulphuredAt?: string
  /** How warm it was beside it, °C, oldest first. */
  air?: readonly Point[]
}
