import { QUANTITIES, type QuantityName } from './register'

/** What a typed reading looks like before it is believed. */
export type Likelihood =
  | { verdict: 'fine' }
  | { verdict: 'ask', min: number, max: number, suggestions: number[] }
  | { verdict: 'refuse', min: number, max: number, suggestions: number[] }

/**
 * Whether a typed reading can be, and what was likely meant when it cannot: a slipped point (pH 35), a TA in per cent
 * (0.62), swapped digits in a gravity (1890). Nothing is ever changed; the person chooses.
 * @param quantity what was read
 * @param value in the quantity's own unit
 * @param concentrate it may be as sweet as a reading can be
 */
export function likely(quantity: QuantityName, value: number, concentrate = false): Likelihood {
  const { min, max, likelyMin, ...usual } = QUANTITIES[quantity]
  const likelyMax = concentrate && (quantity === 'sg' || quantity === 'brix') ? max : usual.likelyMax
  if (value >= likelyMin && value <= likelyMax) return { verdict: 'fine' }
  const suggestions = candidates(quantity, value).filter((v) => v >= likelyMin && v <= likelyMax)
  return { verdict: value < min || value > max ? 'refuse' : 'ask', min, max, suggestions: [...new Set(suggestions)].slice(0, 2) }
}

function candidates(quantity: QuantityName, value: number): number[] {
  if (quantity === 'sg') return swappedDigits(value)
  return quantity === 'ph' || quantity === 'ta' || quantity === 'brix' ? [tidy(value / 10), tidy(value * 10)] : []
}

const tidy = (value: number): number => Number(value.toPrecision(6))

/** The gravities that have the same three decimals in another order, nearest to a must first. */
function swappedDigits(sg: number): number[] {
  const [a, b, c] = Math.round((sg % 1) * 1000)
    .toString()
    .padStart(3, '0')
    .split('')
  return [
    [c, a, b],
    [b, c, a],
    [c, b, a],
    [a, c, b],
    [b, a, c]
  ]
    .map((d) => Number(`1.${d.join('')}`))
    .filter((v) => v >= 1.03 && v <= 1.13)
}
