import { volumeUnitsFor } from '~/wording/volume-units'
import type { CellarState, Draft, EntryOf, Fact, LotView } from '~~/core/ledger'
import type { MaterialCard, MaterialKind } from '~~/core/materials'
import type { QuantityName } from '~~/core/quantities'
import { POTENTIAL, type QuantityKind, type Unit } from '~~/core/units'

/** The values of a form: texts, choices, switches and numbers by the key of their field. */
export type Values = Record<string, string | number | boolean | undefined>

/** The person's units, for fields and their words. */
export interface OwnUnits {
  volumeUnit: Unit
  massUnit: Unit
  temperatureUnit: Unit
  sugarUnit: Unit
  pressureUnit: Unit
  volume: (litres: number) => string
  /** An amount to weigh; none, where it is nothing. */
  powder: (grams: number) => string
  /** A text that names degrees Celsius and bar, in the person's. */
  own: (text: string) => string
}
/** What a form knows of its place. */
export interface FormContext extends OwnUnits {
  lot?: LotView | undefined
  cellar: CellarState
  /** Cards of some kinds, one's own among them, with their names. */
  materials: (...kinds: MaterialKind[]) => { value: string, label: string }[]
  card: (key: string) => MaterialCard | undefined
}

export type FieldSpec = { key: string, label: string, wide?: boolean, hint?: string | undefined } & (
  | { as: 'words', max?: number, placeholder?: string }
  | { as: 'choice', items: readonly { value: string | number | boolean, label: string, disabled?: boolean }[] }
  /** One of a few, all in sight. */
  | { as: 'tiles', items: readonly { value: string | number | boolean, label: string, hint?: string | undefined }[], least?: number }
  | { as: 'switch' }
  /** Something that is so or not. */
  | { as: 'tick' }
  /** Any of a few, kept as their values with commas between. */
  | { as: 'many', items: readonly { value: string, label: string }[] }
  | { as: 'day' }
  | { as: 'picture' }
  | {
    as: 'quantity'
    measure: QuantityKind
    unit: Unit
    units?: readonly Unit[]
    unitLabel?: string
    /** What the number is, to ask about an unlikely one. */
    quantity?: QuantityName
    limits?: { min: number, max: number, words: string }
    required?: boolean
    /** Shown of a number that is filled in; six figures where nothing is said. All of its digits are reckoned with. */
    decimals?: number
    /** Sizes that are usual, to tap; in the unit of the core. */
    usual?: readonly number[] | undefined
  }
)

/** Numbers in the person's unit, with the others that are understood. */
export const inMass = (unit: Unit) => ({ as: 'quantity', measure: 'mass', unit, units: ['kg', 'lb'] }) as const
export const inVolume = (unit: Unit) => ({ as: 'quantity', measure: 'volume', unit, units: volumeUnitsFor(unit) }) as const
export const inTemperature = (unit: Unit) => ({ as: 'quantity', measure: 'temperature', unit, units: ['°C', '°F'] }) as const
export const inSugar = (unit: Unit) => ({ as: 'quantity', measure: 'sugar', unit, units: ['SG', '°Brix', POTENTIAL] }) as const

/** What is wrong, at which field. */
export interface FieldProblem {
  field: string
  reason: string
}

/**
 * The form of one kind of entry, the same for logging and for correcting: its fields, how they are filled, and the draft that
 * they make. A new kind is one file here; `FORMS` asks for it.
 */
export interface EntryForm<T extends Fact['type']> {
  type: T
  /** What logging it is called, on a tab or a button. */
  title: string
  /** @param before the entry that is put right */
  fields: (values: Values, context: FormContext, before?: EntryOf<T>) => readonly FieldSpec[]
  blank: (context: FormContext) => Values
  /** From an entry that is to be put right. */
  from: (fact: EntryOf<T>, context: FormContext) => Values
  /** What else changes when a value does: what is usual for what was chosen. */
  follows?: (values: Values, key: string, value: Values[string]) => Values
  /** What is to be written: several where one form makes several. */
  draft: (values: Values, context: FormContext, before?: EntryOf<T>) => Draft<EntryOf<T>> | Draft<EntryOf<T>>[] | FieldProblem
}

export const isProblem = (made: object): made is FieldProblem => 'reason' in made && 'field' in made

/** Items of a choice from a table of words. */
export const choices = <K extends string>(words: Record<K, string>): { value: K, label: string }[] =>
  (Object.entries(words) as [K, string][]).map(([value, label]) => ({ value, label }))

export const text = (values: Values, key: string): string => String(values[key] ?? '').trim()
export const number = (values: Values, key: string): number | undefined => (typeof values[key] === 'number' ? values[key] : undefined)
/** What was tapped of a few. */
export const many = (values: Values, key: string): string[] => text(values, key).split(',').filter(Boolean)
/** What was left empty is not said. */
export const orNone = (words: string): string | undefined => (words === '' ? undefined : words)
export const lotOf = (context: FormContext): string => context.lot?.id ?? ''
export const wanting = (field: string, reason: string): FieldProblem => ({ field, reason })
