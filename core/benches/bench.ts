import type { CellarState, Draft, Fact, Figure, LotView } from '../ledger'
import type { LotForecast } from '../stages'
import type { SulphiteSalt } from '../sulphite'

/** What a bench is asked about: the wine, if there is one, its cellar and the hour. */
export interface BenchContext {
  lot?: LotView | undefined
  cellar: CellarState
  /** ISO UTC. */
  now: string
  /** Of a ferment that is under way. */
  forecast?: LotForecast | undefined
  /** The salt that the household doses with, and the step of its scale, g. */
  owns: { salt: SulphiteSalt, scaleStepG: number }
  /** What the person came for, as the address names it. */
  cameFor?: string | undefined
  /** A name for a lot that a bench makes: chance has no place in the core. */
  newId: () => string
}

/** Of what is written: its lot, and what a line says in words. */
export interface ActContext extends BenchContext { lot: LotView, note: string }

/** A number that a bench is filled with, in the unit of the core, and where it comes from. */
export interface Known {
  value: number
  origin: Figure['origin'] | 'forecast' | 'usual'
  /** Half-width of the band that it lies in, four times in five. */
  half?: number
}
export type Filled<N extends string> = { [K in N]?: Known | undefined }

/**
 * What is in the fields: numbers in the unit of the core, and what was chosen. A number is missing while its field is empty, or wrong and
 * needed. One that may stay empty and is wrong is NaN: no answer goes on as if nothing had been said.
 */
export type BenchValues<N extends string, C extends object> = { readonly [K in N]?: number | undefined } & Readonly<C>

/** Why nothing is logged: a code with its words in the bench's form. What one field lacks is said at that field. */
export interface Refusal {
  refused: string
}

/**
 * A bench without its screen: what fills it, what it answers, and what it writes. Pure: the same values of the same lot give the same.
 * A new one is a file here, one in `app/benches` with its fields and words, and a line in the list of each.
 */
export interface Bench<N extends string, C extends object, A> {
  /** What is chosen before anybody chose. */
  choices: (context: BenchContext) => C
  /** What is known for each number. It may follow from what was typed elsewhere on the bench: only what nobody typed is filled. */
  fill: (context: BenchContext, values: BenchValues<N, C>) => Filled<N>
  /** Parts that lack a number, or lie outside the limits of their relation, are missing. */
  answer: (values: BenchValues<N, C>, context: BenchContext) => A
  /** The one figure that the bench is for, to see what a measurement would make of it. */
  figure?: (answer: A) => number | undefined
  /** What a number that is not known at all may be, four times in five. */
  unknown?: (values: BenchValues<N, C>, context: BenchContext) => { [K in N]?: readonly [low: number, high: number] }
  /** What is written of the lot, of the act that was done where there are several; nothing for a bench that only reckons. */
  drafts?: (values: BenchValues<N, C>, answer: A, context: ActContext, act: string) => Draft<Fact>[] | Refusal
}

/** A figure of the lot as a field is filled with it. */
export const known = (figure: Figure | undefined): Known | undefined =>
  figure && { value: figure.value, origin: figure.origin, half: figure.uncertainty }
/** What is usual where nothing is known. */
export const usual = (value: number): Known => ({ value, origin: 'usual' })
