import { within } from '../units'

/** A cellar of so many degrees is what the risk is told for; each ten more double it: common practice, no source. */
const [CELLAR_C, DOUBLES_C] = [13, 10] as const
/** A neck of air: what no demijohn is without. */
const NECK_SHARE = 0.015
/** Share of air times months at which it wants doing, and at which the wine is likely to have suffered: common practice, no source. */
const WANTS = { some: 0.03, high: 0.12 } as const

export interface Headspace {
  /** L of air over the wine, its neck too. */
  airL: number
  /** Air as a share of the vessel, by months, in a cellar of 13 °C. */
  exposure: number
  risk: 'none' | 'some' | 'high'
}

/**
 * Air over a wine that lies still, as a risk that grows with time and warmth.
 * @param capacityL of the vessel, brim-full
 * @param litres in it
 * @param days since it stands so
 * @throws LimitError
 * @example headspace(25, 23, 30).risk // 'some': 6.5 % of air for a month
 */
export function headspace(capacityL: number, litres: number, days: number, celsius: number = CELLAR_C): Headspace {
  within('capacityL', capacityL, 0.1, 100_000)
  const share = Math.max(0, 1 - within('litres', litres, 0, 100_000) / capacityL - NECK_SHARE)
  const exposure = share * (within('days', days, 0, 10_000) / 30.4) * 2 ** ((within('celsius', celsius, -5, 45) - CELLAR_C) / DOUBLES_C)
  return {
    airL: Math.max(0, capacityL - litres),
    exposure,
    risk: exposure >= WANTS.high ? 'high' : exposure >= WANTS.some ? 'some' : 'none'
  }
}
