import { within } from '../units'
import type { EntryOf } from './entry'
import type { InstrumentState } from './state'

/** A known value, and what the instrument showed for it. */
export interface Standard {
  known: number
  shown: number
}

/** A meter whose slope is further from one wants a new probe, not arithmetic: common practice, no source. */
const SLOPE = { min: 0.8, max: 1.2 } as const

/**
 * Offset and slope from one or two standards: shown = slope × true + offset. One standard gives an offset only.
 * @param standards one, or two that differ (distilled water and a known sugar, two buffers, ice and boiling water), in the
 * instrument's unit
 * @returns the offset, and the slope when two were given
 * @throws LimitError when the slope is no instrument's any more, or the two standards are one
 * @example checkAgainst([{ known: 4.01, shown: 4.05 }, { known: 7, shown: 6.94 }]) // slope 0.967, offset 0.174
 */
export function checkAgainst(standards: readonly [Standard, ...Standard[]]): { offset: number, slope?: number } {
  const [a, b] = standards
  if (!b) return { offset: tidy(a.shown - a.known) }
  const slope = tidy(within('slope', (b.shown - a.shown) / (b.known - a.known), SLOPE.min, SLOPE.max))
  return { offset: tidy(a.shown - slope * a.known), slope }
}

/** Free of the tail that binary fractions leave. */
const tidy = (value: number): number => Number(value.toPrecision(10))

/**
 * What an instrument should have shown when a reading was made. A check speaks for the time since the one before it: a
 * refractometer found half a degree off today was off for the readings since its last zero. After the last check what it
 * found stays, unless the instrument was set right then.
 * @param instrument with its checks, oldest first
 * @param shown the reading, in the instrument's unit
 * @param at when it was made
 * @returns (shown − offset) ÷ slope; the reading itself when it was never checked
 */
export function trueValue(instrument: InstrumentState | undefined, shown: number, at: string): number {
  const check = instrument && standingCheck(instrument, at)
  return check ? (shown - check.offset) / (check.slope ?? 1) : shown
}

function standingCheck(instrument: InstrumentState, at: string): EntryOf<'instrument-checked'> | undefined {
  const next = instrument.checks.find((check) => check.at >= at)
  if (next) return next
  const last = instrument.checks.at(-1)
  return last?.adjusted ? undefined : last
}
