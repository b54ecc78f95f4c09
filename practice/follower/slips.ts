import { likely } from '../../core/quantities'
import type { ReadingQuantity } from '../../core/ledger'
import { oddGravity } from '../../core/stages'

/** TA of a sample whose gas was not driven out reads higher by so much, g/L. Common practice, no source. */
const GAS_IN_SAMPLE = 0.9

const swapped = (value: number, decimals: number): number => {
  const digits = value.toFixed(decimals)
  return Number(`${digits.slice(0, -2)}${digits.at(-1)}${digits.at(-2)}`)
}

/** What people type instead of what they read: two digits swapped, the point forgotten, a sample with its gas. */
function slipOf(quantity: ReadingQuantity, value: number, random: () => number): number {
  const other = random() < 0.5
  switch (quantity) {
    case 'sg':
      return swapped(value, 3)
    case 'ph':
      return other ? value * 10 : swapped(value, 2)
    case 'ta':
      return other ? value * 10 : value + GAS_IN_SAMPLE
    case 'freeSo2':
      return value < 10 ? value * 10 : swapped(value, 0)
    default:
      return value
  }
}

/**
 * A reading as it comes into the form. What the form asks about is looked at again and typed as it was read.
 * @param oneIn so many readings are typed wrong; none where nothing is said
 * @param last gravity that was read
 */
export function asTyped(quantity: ReadingQuantity, value: number, random: () => number, oneIn?: number, last?: number): number {
  if (oneIn === undefined || random() * oneIn > 1) return value
  const slip = slipOf(quantity, value, random)
  const asked = likely(quantity, slip).verdict !== 'fine' || (quantity === 'sg' && oddGravity(slip, last) !== undefined)
  return asked ? value : slip
}
