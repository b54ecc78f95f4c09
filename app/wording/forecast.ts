import { HOUR_MS } from '~~/core/units'
import type { Hours80 } from '~~/core/fermentation'
import { counted } from './count'
import { sayDayOf } from './days'

/** How many readings a forecast rests on. */
export const sayHours = (readings: number): string => (readings === 0 ? 'usual values' : counted(readings, 'gravity', 'gravities'))

const part = (ms: number): string => {
  const hour = new Date(ms).getHours()
  return hour < 5 ? 'at night' : hour < 11 ? 'in the morning' : hour < 14 ? 'at noon' : hour < 18 ? 'in the afternoon' : 'in the evening'
}

/**
 * An instant that is forecast, as a person would say it: by parts of the day when it is near, by days when it is not.
 * @param nowH hours from the start to now
 */
export function sayIn(band: Hours80, nowH: number, startAt: string): { mid: string, band: string } {
  const at = (h: number) => Date.parse(startAt) + h * HOUR_MS
  const width = band.highHours - band.lowHours
  const [low, high] = [sayDayOf(at(band.lowHours)), sayDayOf(at(band.highHours))]
  const near = width < 30 && Math.abs(band.midHours - nowH) < 60
  return {
    mid: near ? `${sayDayOf(at(band.midHours))}, ${part(at(band.midHours))}` : sayDayOf(at(band.midHours)),
    band: near
      ? `give or take ${Math.max(2, Math.round(width / 2))} h`
      : low === high ? '' : `${low} to ${high}`
  }
}
