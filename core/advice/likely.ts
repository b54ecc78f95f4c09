import type { ReadingQuantity } from '../ledger'

/** What a typed reading looks like before it is believed. */
export type Likelihood =
  | { verdict: 'fine' }
  | { verdict: 'ask', min: number, max: number, suggestions: number[] }
  | { verdict: 'refuse', min: number, max: number, suggestions: number[] }

interface Limits { min: number, max: number, likelyMin: number, likelyMax: number }

/** Outside min…max it cannot be; outside the likely range it is asked about. Common practice, no source. */
export const READING_LIMITS: Record<ReadingQuantity, Limits> = {
  sg: { min: 0.98, max: 1.2, likelyMin: 0.988, likelyMax: 1.14 },
  brix: { min: -5, max: 45, likelyMin: -3, likelyMax: 32 },
  ph: { min: 2.5, max: 4.5, likelyMin: 2.8, likelyMax: 4.1 },
  ta: { min: 0.5, max: 25, likelyMin: 3, likelyMax: 14 },
  temperature: { min: -10, max: 60, likelyMin: 0, likelyMax: 38 },
  freeSo2: { min: 0, max: 300, likelyMin: 0, likelyMax: 100 },
  totalSo2: { min: 0, max: 500, likelyMin: 0, likelyMax: 250 },
  malic: { min: 0, max: 15, likelyMin: 0, likelyMax: 8 },
  volume: { min: 0.1, max: 100_000, likelyMin: 0.5, likelyMax: 5000 },
  yan: { min: 0, max: 1000, likelyMin: 20, likelyMax: 500 },
  sugar: { min: 0, max: 600, likelyMin: 0, likelyMax: 400 },
  abv: { min: 0, max: 25, likelyMin: 0, likelyMax: 17 }
}

/**
 * Whether a typed reading can be, and what was likely meant when it cannot: a slipped point (pH 35), a TA in per cent
 * (0.62), swapped digits in a gravity (1890). Nothing is ever changed; the person chooses.
 * @param quantity what was read
 * @param value in the quantity's own unit
 */
export function likely(quantity: ReadingQuantity, value: number): Likelihood {
  const { min, max, likelyMin, likelyMax } = READING_LIMITS[quantity]
  if (value >= likelyMin && value <= likelyMax) return { verdict: 'fine' }
  const suggestions = candidates(quantity, value).filter(v => v >= likelyMin && v <= likelyMax)
  return { verdict: value < min || value > max ? 'refuse' : 'ask', min, max, suggestions: [...new Set(suggestions)].slice(0, 2) }
}

function candidates(quantity: ReadingQuantity, value: number): number[] {
  if (quantity === 'sg') return swappedDigits(value)
  return quantity === 'ph' || quantity === 'ta' || quantity === 'brix' ? [tidy(value / 10), tidy(value * 10)] : []
}

const tidy = (value: number): number => Number(value.toPrecision(6))

/** The gravities that have the same three decimals in another order, nearest to a must first. */
function swappedDigits(sg: number): number[] {
  const [a, b, c] = Math.round((sg % 1) * 1000).toString().padStart(3, '0').split('')
  return [[c, a, b], [b, c, a], [c, b, a], [a, c, b], [b, a, c]].map(d => Number(`1.${d.join('')}`)).filter(v => v >= 1.03 && v <= 1.13)
}
