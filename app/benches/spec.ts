import type { Bench, BenchContext, BenchValues } from '~~/core/benches'
import type { CellarState, Draft, Fact, LotView } from '~~/core/ledger'
import type { Gate } from '~~/core/stages'
import { type FieldSpec, type FormContext, type OwnUnits, inTemperature, inVolume } from '~/forms/spec'

/** What is done on most benches: something goes in. */
export const WENT_IN = 'went-in'
interface Place {
  /** Beside what is put in: what belongs to one act, as what really went in, or, as `apart`, what its page draws by itself. */
  part?: string
  /** Of the house and not of the lot: typed once, it stays for the next. */
  stays?: true
  /** Of one choice: another choice there begins it anew. */
  per?: string
  /** What its number is called in a sentence, where the label is too long for one. */
  called?: string
}
/** A field of a bench, in the form's own terms: beside what is put in, or with what really went in. */
export type BenchField<N extends string, C extends object> = FieldSpec & Place & { key: N | (keyof C & string) }

/** What a bench looks like: its fields and its words. What it calculates and logs is in `core/benches`. */
export interface BenchForm<N extends string, C extends object, A> {
  /** Its page's address, and the name under which what is typed there is kept. */
  code: string
  title: string
  bench: Bench<N, C, A>
  /** It leans on the forecast of a ferment. */
  foretells?: true
  /** Shown for what was chosen; a hidden field does not count. */
  fields: (choices: Readonly<C>, context: FormContext) => readonly BenchField<N, C>[]
  /** What is said knowingly, against what the ledger says: asked again each time, and never kept. */
  forgets?: readonly (keyof C & string)[]
  /** What has to be so of the wine before anything goes in; nothing, for what may always. */
  gate?: (lot: LotView | undefined, choices: Readonly<C>, cellar: CellarState) => Gate | undefined
  /** What the bench's figure is called, and how it is shown. */
  figure?: { name: string, show: (value: number, units: FormContext) => string }
  /** What a line of the ledger says in words. */
  note?: (values: BenchValues<N, C>, answer: A, context: BenchContext) => string
  /** Why nothing was written, by the code of the refusal. */
  refusals?: Readonly<Record<string, string>>
  /** What is said once it is written, and where that leads. */
  logged?: (lot: LotView, written: readonly Draft<Fact>[], act: string, answer: A) => { says: string, to?: string | undefined }
}
type More = Partial<Extract<FieldSpec, { as: 'quantity' }>> & Place
type Limits = readonly [min: number, max: number]
const field = <K extends string, T extends object>(key: K, label: string, rest: T) => ({ key, label, ...rest })

/** Litres or gallons of a wine. */
export const volumeField = (units: OwnUnits, label = 'Volume', more: More = {}) =>
  field('volume', label, { ...inVolume(units.volumeUnit), required: true, quantity: 'volume', ...more } as const)
/** Degrees, given in °C. */
export const degreesField = <K extends string>(units: OwnUnits, key: K, label: string, [min, max]: Limits, more: More = {}) =>
  field(key, label, {
    ...inTemperature(units.temperatureUnit),
    required: true,
    decimals: 1,
    limits: { min, max, words: units.own(`Between ${min} and ${max} °C.`.replace('-', '−')) },
    ...more
  } as const)
/** A number within its limits, needed unless it is said that it may stay empty. */
export const plainField = <K extends string>(key: K, label: string, [min, max]: Limits, words: string, more: More = {}) =>
  field(key, label, { as: 'quantity', measure: 'plain', unit: '', required: true, limits: { min, max, words }, ...more } as const)
export const phField = (more: More = {}) =>
  field('ph', 'pH', { as: 'quantity', measure: 'plain', unit: '', required: true, quantity: 'ph', decimals: 2, ...more } as const)
/** What really went in: empty while nothing did. */
export const wentInField = <K extends string>(key: K, label: string, unitLabel: string, more: More = {}) =>
  field(key, label, {
    as: 'quantity',
    measure: 'plain',
    unit: '',
    unitLabel,
    limits: { min: 0.001, max: 1e6, words: 'Enter how much went in.' },
    part: WENT_IN,
    ...more
  } as const)
