import type { ReadingQuantity } from '../ledger'
import { quantityTyped } from '../quantities'
import { readNumber, toCelsius } from '../units'
import type { Reading, Step } from './line'
import { OWN_UNITS, UNIT_OF_READING } from './words'

/** A quantity by its name: "free 28", "ta 0.75 %", "volume 18 L". */
export const named: Step = (reading) => {
  const { cursor, found } = reading
  const quantity = quantityTyped(cursor.here)
  const next = cursor.past(cursor.at + 1)
  const number = quantity && cursor.number(next)
  if (!number) return false
  const litres = quantity === 'volume' ? cursor.amount(next) : undefined
  if (litres?.of === 'volume') {
    found.readings.push({ quantity, value: litres.value, typed: litres.typed })
    cursor.at = next + litres.used
    return true
  }
  // The word behind it is its unit only where it is one: "temp 24 stiff" is no °F.
  const unit = number.joined || (OWN_UNITS.test(number.next) ? number.next : '')
  take(reading, quantity, number.digits, unit)
  cursor.at = next + (unit && !number.joined ? 2 : 1)
  return true
}

/** A number with its unit, or alone: a gravity shows itself by its size and decimals, a second number is its temperature. */
export const number: Step = (reading) => {
  const { cursor, found, context } = reading
  const split = cursor.number(cursor.at)
  const value = split && readNumber(split.digits)
  if (!split || !value?.ok) return false
  const unit = split.joined || split.next
  const quantity = UNIT_OF_READING[unit]
  if (quantity) take(reading, quantity, split.digits, unit)
  else if (split.joined) found.unclear.push(cursor.typed[cursor.at]!)
  else if (looksLikeGravity(value)) take(reading, 'sg', split.digits, '')
  else if (wantsTemperature(reading)) take(reading, 'temperature', split.digits, context.temperature)
  else found.unclear.push(split.digits)
  cursor.at += quantity && !split.joined ? 2 : 1
  return true
}

const looksLikeGravity = ({ value, decimals }: { value: number, decimals: number }): boolean =>
  (value >= 0.98 && value <= 1.2 && decimals >= 3) || (decimals === 0 && value >= 980 && value <= 1200)

/** A gravity stands there, and no temperature yet. */
function wantsTemperature({ found: { readings } }: Reading): boolean {
  const has = (...quantities: ReadingQuantity[]) => readings.some((r) => quantities.includes(r.quantity))
  return has('sg', 'brix') && !has('temperature')
}

function take({ found, context }: Reading, quantity: ReadingQuantity, typed: string, unit: string): void {
  const number = readNumber(typed)
  if (number.ok) found.readings.push({ quantity, typed, value: inOwnUnit(number.value, quantity, unit, context.temperature) })
}

function inOwnUnit(value: number, quantity: ReadingQuantity, unit: string, temperature: '°C' | '°F'): number {
  switch (quantity) {
    case 'temperature': {
      const letter = /[cf]$/i.exec(unit)?.[0].toLowerCase()
      return toCelsius(value, letter === 'f' || (letter === undefined && temperature === '°F') ? '°F' : '°C')
    }
    case 'sg':
      return value > 900 ? value / 1000 : value
    case 'ta':
      return unit === '%' ? value * 10 : value
    default:
      return value
  }
}
