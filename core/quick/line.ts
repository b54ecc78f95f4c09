import type { EntryOf, ReadingQuantity } from '../ledger'
import type { MaterialCard, OwnCards } from '../materials'
import type { Gallon } from '../units'
import type { Cursor } from './cursor'
import type { Named } from './lot-named'
import type { When } from './when'

export interface QuickLine {
  /** The lots that the words can mean; one is what it should be. */
  lotIds: string[]
  /** Another lot that the line names as well: what went into which is not told from one line. */
  secondLot?: string
  /** The instant that was said, ISO UTC; none is now. */
  at?: string
  readings: { quantity: ReadingQuantity, value: number, typed: string }[]
  instrumentId?: string
  /** In the card's unit, of a stock solution mL. */
  additions: { material: string, amount: number, stock: boolean }[]
  pitched: { organism: 'yeast' | 'bacteria', culture: string, cardKey?: string, grams?: number }[]
  operations: EntryOf<'operation'>['what'][]
  move?: { purpose: 'rack' | 'press', toVesselId?: string, litres?: number, leesL?: number }
  observations: { what: EntryOf<'observation'>['what'], text: string }[]
  /** What is understood in part only: numbers that could be anything, a material without its amount. */
  unclear: string[]
  /** Words that mean nothing here. */
  unknown: string[]
}

export interface QuickContext extends Named {
  instruments: readonly { id: string, name: string, kind: string }[]
  cards?: OwnCards
  temperature: '°C' | '°F'
  gallon?: Gallon | undefined
  /** What a bare "sulphite" means. */
  salt: 'potassium-metabisulphite' | 'sodium-metabisulphite'
  /** What a level teaspoon of a powder weighs here, g, by its key, where it was weighed. */
  spoons?: Readonly<Record<string, number>>
  now: Date
}

/** A line while it is read. */
export interface Reading {
  cursor: Cursor
  found: QuickLine
  when: When
  context: QuickContext
  /** What names a card. */
  materials: readonly { name: string, card: MaterialCard }[]
}

/** One thing that can stand on a line: takes its words and is true, or leaves them to the next. */
export type Step = (reading: Reading) => boolean
