import type { EntryOf } from './entry'
import type { InstrumentState } from './state'

/**
 * What an instrument showed too much when a reading was made. A check speaks for the time since the one before it: a
 * refractometer found half a degree off today was off for the readings since its last zero. After the last check its offset
 * stays, unless it was set right then.
 * @param instrument with its checks, oldest first
 * @param at when the reading was made
 * @returns the offset in the instrument's unit, 0 when it was never checked
 */
export function offsetAt(instrument: InstrumentState | undefined, at: string): number {
  if (!instrument) return 0
  const next = instrument.checks.find(check => check.at >= at)
  if (next) return next.offset
  const last: EntryOf<'instrument-checked'> | undefined = instrument.checks.at(-1)
  return last && !last.adjusted ? last.offset : 0
}
