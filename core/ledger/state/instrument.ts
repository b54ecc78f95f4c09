import type { EntryOf } from '../entry'

export interface InstrumentState {
  id: string
  name: string
  kind: EntryOf<'instrument-added'>['kind']
  calibrationC?: number
  step?: number
  /** Of a floating hydrometer the lot it floats in, of a thermometer the vessel it hangs beside; and which simulated one it is. */
  follows?: { lotId?: string | undefined, vesselId?: string | undefined, seed: number }
  checks: EntryOf<'instrument-checked'>[]
}
