import { type Gallon, readNumber, toKilograms, toLitres } from '../units'
import { AMOUNTS } from './words'

/** How much of something, as it stands on a line. */
export interface Amount {
  /** g or L. */
  value: number
  of: 'mass' | 'volume'
  typed: string
  used: number
}

/** An amount at a place of a line: "2 g", "2g", "1.5 L". A gallon only where the person's settings say which. */
export function amountAt(words: readonly string[], at: number, gallon: Gallon | undefined): Amount | undefined {
  const split = /^(\d[\d.,]*)(.*)$/.exec(words[at] ?? '')
  const number = split && readNumber(split[1]!)
  const word = split ? split[2] || words[at + 1] || '' : ''
  const unit = AMOUNTS[word]
  if (!split || !number?.ok || !unit || (unit === 'gal' && !gallon)) return undefined
  const used = split[2] ? 1 : 2
  const typed = `${split[1]} ${word}`
  if (unit === 'mg' || unit === 'g' || unit === 'kg' || unit === 'oz' || unit === 'lb')
    return { value: toKilograms(number.value, unit) * 1000, of: 'mass', typed, used }
  return { value: toLitres(number.value, unit === 'gal' ? (gallon === 'US' ? 'US gal' : 'imp gal') : unit), of: 'volume', typed, used }
}
