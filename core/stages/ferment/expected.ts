import { hoursBetween } from '../../units'
import type { LotForecast } from '../stage'

/**
 * The gravity that a forecast expects at an instant, between its points: one answer for the day's list, the round and its sheet.
 * @param now ISO UTC
 * @returns SG in its band of four in five; undefined without a forecast, and beyond its points
 */
export function expectedAt(known: LotForecast | undefined, now: string): { low: number, mid: number, high: number } | undefined {
  if (!known) return undefined
  const hours = hoursBetween(known.startAt, now)
  const { expected } = known.forecast
  const i = expected.findIndex((e) => e.hours >= hours)
  const [a, b] = [expected[i - 1], expected[i]]
  if (!a || !b) return undefined
  const t = (hours - a.hours) / (b.hours - a.hours)
  const mix = (key: 'low' | 'mid' | 'high') => a.sg[key] + (b.sg[key] - a.sg[key]) * t
  return { low: mix('low'), mid: mix('mid'), high: mix('high') }
}
