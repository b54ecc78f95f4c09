import type { Finding } from '~~/core/findings'
import type { LotView } from '~~/core/ledger'

/** A finding in words. Its action says where it leads; the label of the button is here. */
export interface FindingWords {
  title: string
  reason: string
  action?: string
  /** What the button says that logs it in one tap. */
  did?: string
}

/** What findings need to show figures in the person's units. */
export interface SayFormat {
  temperature: (celsius: number) => { text: string, unit: string }
  volume: (litres: number) => { text: string, unit: string }
  powder: (grams: number) => { text: string, unit: string }
  words: (shown: { text: string, unit: string }) => string
  material: (key: string) => string
}

/** A table of words over all codes of a stage: one that is missing does not compile. */
export type WordsFor<Says extends { code: string }> = {
  [Code in Says['code']]: (finding: Finding<Extract<Says, { code: Code }>>, lot: LotView, f: SayFormat) => FindingWords
}

export const days = (n: number): string => (Math.floor(n) <= 1 ? 'a day' : `${Math.floor(n)} days`)
export const weeks = (n: number): string => (Math.floor(n) <= 1 ? 'a week' : `${Math.floor(n)} weeks`)
export const months = (n: number): string => (n < 1.5 ? 'a month' : `${Math.round(n)} months`)
export const hours = (n: number): string => (n < 1.5 ? 'an hour' : `${Math.round(n)} hours`)
/** With a capital letter first, but for pH, which is written so everywhere. */
export const capital = (words: string): string => (words.startsWith('pH') ? words : words.charAt(0).toUpperCase() + words.slice(1))
/** An amount as it is weighed: more digits of less. */
export const grams = (g: number): string => `${g < 10 ? g.toFixed(1) : g.toFixed(0)} g`
