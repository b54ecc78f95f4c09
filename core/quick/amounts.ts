import { type Gallon, readNumber, toKilograms, toLitres } from '../units'
import { AMOUNTS, COUNTED, FRACTIONS, HALVES } from './words'

/** How much of something, as it stands on a line. */
export interface Amount {
  /** g, L, level teaspoons, packets or tablets. */
  value: number
  of: 'mass' | 'volume' | 'spoons' | 'packets' | 'tablets'
  typed: string
  used: number
}

/** A number at a place, with what is written at its end: "2", "2g", "1/4", "1 1/2", "1½", "half a". */
function countAt(words: readonly string[], at: number): { value: number, rest: string, used: number } | undefined {
  const word = words[at] ?? ''
  const half = HALVES[word]
  if (half !== undefined) return { value: half, rest: '', used: words[at + 1] === 'a' || words[at + 1] === 'of' ? 2 : 1 }
  const fraction = fractionOf(word)
  if (fraction !== undefined) return { value: fraction, rest: '', used: 1 }
  const split = /^(\d[\d.,]*)?([¼½¾⅓⅔⅛⅜⅝⅞])?(.*)$/.exec(word)!
  const [, digits, part, rest = ''] = split
  if (digits === undefined && part === undefined) return undefined
  const whole = digits === undefined ? 0 : readNumber(digits)
  if (typeof whole !== 'number' && !whole.ok) return undefined
  const value = (typeof whole === 'number' ? whole : whole.value) + (part === undefined ? 0 : FRACTIONS[part]!)
  // "1 1/2": a fraction behind a whole number belongs to it.
  const more = rest === '' && part === undefined && /^\d+$/.test(digits!) ? fractionOf(words[at + 1] ?? '') : undefined
  return more === undefined ? { value, rest, used: 1 } : { value: value + more, rest: '', used: 2 }
}

/** "1/4", "2/3" and the signs for them; nothing else, as dates are written like that. */
function fractionOf(word: string): number | undefined {
  const split = /^([1-7])\/([2348])$/.exec(word)
  return split && Number(split[1]) < Number(split[2]) ? Number(split[1]) / Number(split[2]) : FRACTIONS[word]
}

/** An amount at a place of a line: "2 g", "2g", "1.5 L", "¼ tsp", "2/3 packet". A gallon only where the settings say which. */
export function amountAt(words: readonly string[], at: number, gallon: Gallon | undefined): Amount | undefined {
  const count = countAt(words, at)
  if (!count) return undefined
  const word = count.rest || words[at + count.used] || ''
  const used = count.rest ? count.used : count.used + 1
  const typed = [...words.slice(at, at + count.used).map((w) => (count.rest ? w.slice(0, -count.rest.length) : w)), word].join(' ')
  const counted = COUNTED[word]
  if (counted) return { value: count.value * counted.each, of: counted.of, typed, used }
  const unit = AMOUNTS[word]
  if (!unit || (unit === 'gal' && !gallon)) return undefined
  if (unit === 'mg' || unit === 'g' || unit === 'kg' || unit === 'oz' || unit === 'lb')
    return { value: toKilograms(count.value, unit) * 1000, of: 'mass', typed, used }
  return { value: toLitres(count.value, unit === 'gal' ? (gallon === 'US' ? 'US gal' : 'imp gal') : unit), of: 'volume', typed, used }
}
