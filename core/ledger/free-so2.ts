import { daysBetween } from '../units'
import { TYPICAL_DECAY_PER_DAY } from '../sulphite'
import type { Figure, LotState } from './state'
import { restsOn } from './rests-on'

/** How far the decay itself is uncertain, as a part of what it took. */
const DECAY_SPREAD = 0.6
/** After this many days a reading is no longer called measured. */
const FRESH_DAYS = 3

/**
 * Free SO₂ at a later instant: it falls by oxidation and slow binding. Within three days a reading stands as it is.
 * @param figure as last measured or estimated
 * @param at the later instant, ISO UTC
 * @returns the figure then, with a band that grows
 */
export function freeSo2At(figure: Figure, at: string): Figure {
  const days = daysBetween(figure.at, at)
  if (!(days > FRESH_DAYS)) return figure
  const value = figure.value * Math.exp(-TYPICAL_DECAY_PER_DAY * days)
  return { ...figure, value, origin: 'estimated', uncertainty: figure.uncertainty + (figure.value - value) * DECAY_SPREAD }
}

/** A ferment uses up what is free: acetaldehyde binds it, and the gas carries some away. */
export function freeSo2Consumed(lot: LotState, at: string, entryId: string): void {
  if (!lot.freeSo2) return
  lot.freeSo2 = { value: 0, origin: 'estimated', at, uncertainty: 5, from: restsOn(lot.freeSo2.from, entryId) }
  lot.pendingDose = undefined
}
