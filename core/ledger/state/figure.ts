import type { Composition } from '../../acids'

/** A figure of a lot, with where it comes from. */
export interface Figure {
  value: number
  origin: 'measured' | 'estimated'
  /** When it was measured, or the last entry an estimate rests on. */
  at: string
  /** Half-width of the band it lies in, same unit. */
  uncertainty: number
  /** The entries it was computed from, oldest first. */
  from: string[]
}

/** What is dissolved in the wine, by mass balance, g/L: carried through the ferment, water, sugar and blends. */
export interface Balance {
  /** Sugar and all else that is dissolved, as sucrose. */
  extractGPerL: number
  ethanolGPerL: number
  /** The part of the extract that no yeast takes. */
  sugarFreeGPerL: number
}

/** Where a wine comes from; the shares of a lot add up to one. */
export interface Source {
  /** Variety, vintage and origin in one: what is the same is counted together. */ key: string
  variety: string
  vintage?: number
  origin?: string
  share: number
}

/** The acids as last measured, and what was done since. */
export interface AcidTrack {
  /** Fitted when it is first asked for. */
  readonly composition: Composition
  /** What was known to be in it before this pair was read, with all that was done since. */
  carried?: Composition
  /** Malic acid stands on a reading. */
  malicMeasured: boolean
  at: string
  /** The readings it rests on, and the additions since. */
  from: string[]
  changed: boolean
}

export interface Point {
  at: string
  value: number
  entryId: string
}
