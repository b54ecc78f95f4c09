import type { Unit } from '../units'
import { QUANTITIES } from './register'

/** What a person may choose instead of what was typed. */
export interface Suggestion {
  value: number
  unit: Unit
}

const { temperature, sg, brix } = QUANTITIES
const FAHRENHEIT = (celsius: number) => (celsius * 9) / 5 + 32

/**
 * What a bare number must be when it was typed beside the wrong unit: a gravity (1090, 1.090) where °Brix is asked for, °Brix
 * (24.5) where a gravity is, °F (72) where °C is, and the other way round. Nothing is changed; the person chooses.
 * @param value as typed
 * @param decimals how many it was typed with: 1.090 is a gravity, 1.1 may be a wine's °Brix
 * @param unit of the field
 */
export function meant(value: number, decimals: number, unit: Unit): Suggestion[] {
  switch (unit) {
    case '°Brix': {
      const gravity = decimals === 0 ? value / 1000 : value
      const isGravity = (decimals === 0 || decimals >= 3) && gravity >= sg.min && gravity <= sg.max
      return isGravity ? [{ value: gravity, unit: 'SG' }] : []
    }
    case 'SG':
      if (decimals >= 3 || value <= sg.max || value > brix.likelyMax) return []
      // A nought was left out (1.23 for 1.023), or it is °Brix.
      return [
        ...(decimals === 2 && value < 2 ? [{ value: Number((1 + (value - 1) / 10).toFixed(3)), unit } as const] : []),
        { value, unit: '°Brix' }
      ]
    case '°C':
      return value > temperature.likelyMax && value <= FAHRENHEIT(temperature.likelyMax) ? [{ value, unit: '°F' }] : []
    case '°F':
      return value < FAHRENHEIT(temperature.likelyMin) && value >= temperature.likelyMin ? [{ value, unit: '°C' }] : []
    default:
      return []
  }
}
