import {
  BAR_PER,
  type ConcentrationUnit,
  KILOGRAMS_PER,
  LITRES_PER,
  type MassUnit,
  type PressureUnit,
  type TemperatureUnit,
  type VolumeUnit,
  toCelsius,
  toGramsPerLitre,
  toKilograms,
  toLitres
} from './factors'
import { type NumberProblem, readNumber } from './typed-number'

/** What a field asks for. The number that comes back is in the unit behind the arrow. */
export type QuantityKind =
  | 'volume' // → L
  | 'mass' // → kg
  | 'temperature' // → °C
  | 'concentration' // → g/L
  | 'sugar' // → SG 20/20 or °Brix, by unit
  | 'pressure' // → bar above the air's
  | 'plain' // → the number itself: pH, normality, a percentage

export type SugarUnit = 'SG' | '°Brix'
/** The third scale of many hydrometers, "potential alcohol": only a way to read them, a gravity comes of it. */
export const POTENTIAL = '% potential'
export type Unit = VolumeUnit | MassUnit | TemperatureUnit | ConcentrationUnit | SugarUnit | PressureUnit | typeof POTENTIAL | ''
export type Gallon = 'US' | 'imperial'

export type QuantityProblem =
  | NumberProblem
  | { code: 'unknown-unit', unit: string, known: string[] }
  | { code: 'which-gallon', value: number }
  | { code: 'too-few-digits', text: string }

export interface Quantity {
  ok: true
  /** In the kind's own unit: L, kg, °C, g/L; SG or °Brix as `unit` says. */
  value: number
  /** The unit as understood. */
  unit: Unit
  /** The number as typed, in `unit`. */
  typed: number
  /** True when the unit was typed and not taken from the field. */
  unitTyped: boolean
}

const NAMES: Record<Exclude<QuantityKind, 'plain'>, Record<string, Unit>> = {
  volume: {
    l: 'L',
    litre: 'L',
    litres: 'L',
    liter: 'L',
    liters: 'L',
    ml: 'mL',
    cc: 'mL',
    hl: 'hL',
    usgal: 'US gal',
    galus: 'US gal',
    usgallon: 'US gal',
    usgallons: 'US gal',
    impgal: 'imp gal',
    ukgal: 'imp gal',
    imperialgallon: 'imp gal',
    imperialgallons: 'imp gal',
    usqt: 'US qt',
    uspt: 'US pt',
    impqt: 'imp qt',
    imppt: 'imp pt',
    cup: 'US cup',
    cups: 'US cup',
    uscup: 'US cup',
    usfloz: 'US fl oz',
    impfloz: 'imp fl oz',
    ukfloz: 'imp fl oz'
  },
  mass: {
    kg: 'kg',
    kilo: 'kg',
    kilos: 'kg',
    g: 'g',
    gram: 'g',
    grams: 'g',
    mg: 'mg',
    lb: 'lb',
    lbs: 'lb',
    pound: 'lb',
    pounds: 'lb',
    oz: 'oz',
    ounce: 'oz',
    ounces: 'oz'
  },
  temperature: { c: '°C', '°c': '°C', '°': '°C', f: '°F', '°f': '°F' },
  concentration: {
    'g/l': 'g/L',
    gl: 'g/L',
    'mg/l': 'mg/L',
    mgl: 'mg/L',
    ppm: 'ppm',
    '%': '%',
    'g/hl': 'g/hL',
    'lb/1000gal': 'lb/1000 US gal',
    'lb/1000usgal': 'lb/1000 US gal'
  },
  pressure: { bar: 'bar', bars: 'bar', psi: 'psi' },
  sugar: {
    'sg': 'SG',
    'brix': '°Brix',
    '°brix': '°Brix',
    'bx': '°Brix',
    '°bx': '°Brix',
    '°': '°Brix',
    'b': '°Brix',
    '%': POTENTIAL,
    '%vol': POTENTIAL,
    '%abv': POTENTIAL,
    '%potential': POTENTIAL,
    '%potentialalcohol': POTENTIAL
  }
}
/** Words that mean one thing in US measures and another in imperial ones. */
const BY_GALLON: Record<string, Record<Gallon, VolumeUnit>> = {
  gal: { US: 'US gal', imperial: 'imp gal' },
  qt: { US: 'US qt', imperial: 'imp qt' },
  pt: { US: 'US pt', imperial: 'imp pt' },
  floz: { US: 'US fl oz', imperial: 'imp fl oz' }
}
const MEANS: Record<string, keyof typeof BY_GALLON> = {
  'gal': 'gal', 'gals': 'gal', 'gallon': 'gal', 'gallons': 'gal', 'g.': 'gal',
  'qt': 'qt', 'qts': 'qt', 'quart': 'qt', 'quarts': 'qt',
  'pt': 'pt', 'pts': 'pt', 'pint': 'pt', 'pints': 'pt',
  'floz': 'floz', 'fluidounce': 'floz', 'fluidounces': 'floz'
}

/**
 * Reads a quantity as typed, with or without its unit: "12,4", "3 US gal", "2 lb 4 oz", "68F", "1092".
 * A bare "gal" is only accepted when the person's settings say which gallon; it is never guessed.
 * An SG typed without its point ("1092") is read as 1.092; one with fewer than three decimals ("1,0") is refused,
 * because it does not say enough. Whether the value is *likely* is not judged here.
 * @param text what was typed
 * @param kind what the field asks for
 * @param unit the field's own unit, used when none is typed
 * @param gallon which gallon a bare "gal" means, from the settings; undefined when they do not say
 * @returns the quantity, or a precise complaint
 * @example readQuantity('2 lb 4 oz', 'mass', 'kg') // { ok: true, value: 1.0206, unit: 'lb', … }
 */
export function readQuantity(
  text: string,
  kind: QuantityKind,
  unit: Unit,
  gallon?: Gallon
): Quantity | { ok: false, problem: QuantityProblem } {
  const compound = kind === 'mass' ? /^(\d[\d.,]*)\s*(lbs?|pounds?)\s*(\d[\d.,]*)\s*(oz|ounces?)$/i.exec(text.trim()) : null
  if (compound) return readPoundsAndOunces(compound[1]!, compound[3]!)
  const match = /^([-+−–]?[\d.,'’\s\u00a0\u202f]*\d[.,]?)\s*([^\d\s].*)?$/u.exec(text.trim())
  if (!match) {
    return { ok: false, problem: text.trim() === '' ? { code: 'empty' } : { code: 'not-a-number', text: text.trim() } }
  }
  const number = readNumber(match[1]!)
  if (!number.ok) return number
  const asTyped = (match[2] ?? '').trim()
  const found = asTyped === '' ? unit : unitNamed(asTyped, kind, gallon)
  if (found === 'which-gallon') return { ok: false, problem: { code: 'which-gallon', value: number.value } }
  if (found === undefined) {
    return {
      ok: false,
      problem: { code: 'unknown-unit', unit: asTyped, known: kind === 'plain' ? [] : [...new Set(Object.values(NAMES[kind]))] }
    }
  }
  if (found === 'SG') return readGravity(number.value, number.decimals, text.trim(), asTyped !== '')
  if (found === POTENTIAL) {
    return { ok: true, value: 1 + number.value / ABV_PER_SG, unit: 'SG', typed: number.value, unitTyped: asTyped !== '' }
  }
  return { ok: true, value: toOwnUnit(number.value, found), unit: found, typed: number.value, unitTyped: asTyped !== '' }
}

/**
 * % vol for a fall of one in SG, and for a gravity one above water's where that is printed on a hydrometer: 13 beside 1.100. Makers print
 * 129 to 135. The usual factor, from memory; `actualAlcohol` reckons exactly.
 */
export const ABV_PER_SG = 131.25

function unitNamed(word: string, kind: QuantityKind, gallon?: Gallon): Unit | 'which-gallon' | undefined {
  const key = word.toLowerCase().replace(/[\s.]/g, '')
  if (kind === 'plain') return key === '%' ? '%' : undefined
  if (kind === 'volume' && Object.hasOwn(MEANS, key)) return gallon === undefined ? 'which-gallon' : BY_GALLON[MEANS[key]!]![gallon]
  return NAMES[kind][key]
}

function readGravity(
  value: number,
  decimals: number,
  text: string,
  unitTyped: boolean
): Quantity | { ok: false, problem: QuantityProblem } {
  const withoutPoint = decimals === 0 && value >= 900 && value < 10_000
  if (!withoutPoint && decimals < 3) return { ok: false, problem: { code: 'too-few-digits', text } }
  const sg = withoutPoint ? value / 1000 : value
  return { ok: true, value: sg, unit: 'SG', typed: sg, unitTyped }
}

function readPoundsAndOunces(pounds: string, ounces: string): Quantity | { ok: false, problem: QuantityProblem } {
  const lb = readNumber(pounds)
  const oz = readNumber(ounces)
  if (!lb.ok) return lb
  if (!oz.ok) return oz
  return {
    ok: true,
    value: lb.value * KILOGRAMS_PER.lb + oz.value * KILOGRAMS_PER.oz,
    unit: 'lb',
    typed: lb.value + oz.value / 16,
    unitTyped: true
  }
}

function toOwnUnit(value: number, unit: Unit): number {
  if (isVolume(unit)) return toLitres(value, unit)
  if (isMass(unit)) return toKilograms(value, unit)
  if (unit === '°C' || unit === '°F') return toCelsius(value, unit)
  if (unit === '' || unit === 'SG' || unit === '°Brix' || unit === POTENTIAL) return value
  if (unit === 'bar' || unit === 'psi') return value * BAR_PER[unit]
  return toGramsPerLitre(value, unit)
}

const isVolume = (unit: Unit): unit is VolumeUnit => unit in LITRES_PER
const isMass = (unit: Unit): unit is MassUnit => unit in KILOGRAMS_PER
