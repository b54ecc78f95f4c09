import { type Gallon, type Unit, readNumber, toCelsius } from '../units'
import { quantityTyped } from '../quantities'
import type { EntryOf, ReadingQuantity } from './entry'

export interface QuickReading {
  quantity: ReadingQuantity
  value: number
  typed: string
}
export interface QuickLine {
  /** The lots that the first words can mean; one is what it should be. */
  lotIds: string[]
  readings: QuickReading[]
  additions: { material: string, grams: number }[]
  operations: EntryOf<'operation'>['what'][]
  observations: { what: EntryOf<'observation'>['what'], text: string }[]
  /** Numbers that could be anything. */
  unclear: string[]
}
export interface QuickContext {
  lots: readonly { id: string, name: string }[]
  /** Also names of vessels, which stand for the lot in them. */
  vessels: readonly { name: string, lotId?: string }[]
  temperature: '°C' | '°F'
  gallon?: Gallon | undefined
}

const AFTER: Record<string, ReadingQuantity> = {
  brix: 'brix',
  '°brix': 'brix',
  bx: 'brix',
  sg: 'sg',
  c: 'temperature',
  '°c': 'temperature',
  f: 'temperature',
  '°f': 'temperature',
  'g/l': 'ta'
}
const OPERATIONS: Record<string, EntryOf<'operation'>['what']> = {
  punched: 'punch-down',
  punch: 'punch-down',
  pumped: 'pump-over',
  stirred: 'stir',
  stir: 'stir',
  degassed: 'degas',
  degas: 'degas',
  filtered: 'filter',
  settling: 'settle',
  settle: 'settle',
  soaking: 'cold-soak',
  soak: 'cold-soak',
  thawing: 'thaw',
  thaw: 'thaw'
}
const OBSERVATIONS: Record<string, EntryOf<'observation'>['what']> = {
  smells: 'smell',
  smell: 'smell',
  tastes: 'taste',
  taste: 'taste',
  looks: 'clarity',
  bubbles: 'bubbles',
  cap: 'cap',
  note: 'note'
}
const MATERIALS: Record<string, string> = {
  tartaric: 'tartaric',
  malic: 'malic',
  citric: 'citric',
  bicarbonate: 'potassium-bicarbonate',
  sugar: 'sugar',
  enzyme: 'pectic-enzyme'
}

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')

/**
 * Understands a typed line: a lot (or the vessel it is in), then readings, additions and work done in any order, then what
 * was smelled or tasted. Nothing is logged here; what was understood is shown first.
 * @param line as typed
 * @param context the lots and vessels there are, and the person's units
 * @returns what was understood, and what was not
 * @example readQuickLine('tempranillo 12.4 brix 26C smells fine', context).readings // brix 12.4, temperature 26
 */
export function readQuickLine(line: string, context: QuickContext): QuickLine {
  const found: QuickLine = { lotIds: [], readings: [], additions: [], operations: [], observations: [], unclear: [] }
  const words = line
    .trim()
    .split(/\s+/)
    .filter((w) => w !== '')
  const { lotIds, used } = lotNamed(words, context)
  found.lotIds = lotIds
  for (let i = used; i < words.length; i++) {
    const word = plain(words[i]!).replace(/[,;]$/, '')
    const next = plain(words[i + 1] ?? '').replace(/[,;]$/, '')
    if (OBSERVATIONS[word]) {
      found.observations.push({ what: OBSERVATIONS[word], text: words.slice(i + 1).join(' ') || words[i]! })
      break
    }
    if (OPERATIONS[word]) {
      found.operations.push(OPERATIONS[word])
      if (next === 'down' || next === 'over') i++
      continue
    }
    const named = quantityTyped(word)
    if (named && readNumber(next).ok) {
      takeReading(found, named, next, '')
      i++
      if (/^(mg\/l|ppm|g\/l|c|f)$/.test(plain(words[i + 1] ?? ''))) i++
      continue
    }
    const split = /^([-+]?\d[\d.,]*)(.*)$/.exec(word)
    if (!split) continue
    const unit = split[2] || next
    const grams = unit === 'g' ? MATERIALS[plain(words[i + (split[2] ? 1 : 2)] ?? '')] : undefined
    if (grams) {
      const amount = readNumber(split[1]!)
      if (amount.ok) found.additions.push({ material: grams, grams: amount.value })
      i += split[2] ? 1 : 2
    }
    else if (AFTER[unit]) {
      takeReading(found, AFTER[unit], split[1]!, unit)
      if (!split[2]) i++
    }
    else takeBare(found, split[1]!, context.temperature)
  }
  return found
}

function lotNamed(words: string[], context: QuickContext): { lotIds: string[], used: number } {
  const candidates = [
    ...context.lots.map((l) => ({ name: plain(l.name), id: l.id })),
    ...context.vessels.flatMap((v) => (v.lotId ? [{ name: plain(v.name), id: v.lotId }] : []))
  ]
  for (let used = Math.min(4, words.length); used > 0; used--) {
    const start = plain(words.slice(0, used).join(' '))
    const exact = candidates.filter((c) => c.name === start)
    const hits = exact.length > 0 ? exact : candidates.filter((c) => c.name.startsWith(start))
    if (hits.length > 0) return { lotIds: [...new Set(hits.map((h) => h.id))], used }
  }
  return { lotIds: [], used: 0 }
}

function takeReading(found: QuickLine, quantity: ReadingQuantity, typed: string, unit: string): void {
  const number = readNumber(typed)
  if (!number.ok) return
  const asUnit: Unit = unit.endsWith('f') ? '°F' : '°C'
  const value =
    quantity === 'temperature'
      ? toCelsius(number.value, asUnit)
      : quantity === 'sg' && number.value > 900
        ? number.value / 1000
        : number.value
  found.readings.push({ quantity, value, typed })
}

/** A number alone: a gravity shows itself by its size and its decimals, a second number after it is the temperature. */
function takeBare(found: QuickLine, typed: string, temperature: '°C' | '°F'): void {
  const number = readNumber(typed)
  if (!number.ok) return
  const looksLikeGravity =
    (number.value >= 0.98 && number.value <= 1.2 && number.decimals >= 3) ||
    (number.decimals === 0 && number.value >= 980 && number.value <= 1200)
  const gravityKnown = found.readings.some((r) => r.quantity === 'sg' || r.quantity === 'brix')
  const temperatureKnown = found.readings.some((r) => r.quantity === 'temperature')
  if (looksLikeGravity) takeReading(found, 'sg', typed, '')
  else if (gravityKnown && !temperatureKnown) takeReading(found, 'temperature', typed, temperature === '°F' ? 'f' : 'c')
  else found.unclear.push(typed)
}
