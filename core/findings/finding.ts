import type { Draft, Fact } from '../ledger'

/** What a dose of sulphite has to last for: its level, the next round, the bottle with the air it takes in, or a lock on bacteria. */
export const SULPHITE_AIMS = ['level', 'next-round', 'bottle', 'lock'] as const
export type SulphiteAim = (typeof SULPHITE_AIMS)[number]

/** How pressing something is: harm now, due now, due soon, waits by itself, worth knowing. */
export const URGENCIES = ['stop', 'now', 'soon', 'wait', 'note'] as const
export type Urgency = (typeof URGENCIES)[number]

/** Where the person goes to act on it: a place of the interface, by a code that the app knows the address of. */
export type Action =
  | {
    to:
        | 'measure'
        | 'sulphite'
        | 'correct'
        | 'crush'
        | 'yeast'
        | 'lot'
        | 'press'
        | 'round'
        | 'restart'
        | 'heat'
        | 'feed'
        | 'malolactic'
        | 'racking'
        | 'move'
        | 'sweeten'
        | 'stability'
        | 'trial'
        | 'cold'
        | 'bottle'
    lotId: string
    log?: string
    /**
     * Of the measuring bench: which quantity. Of what is logged: which work, what was looked at, or which material by its key, and how
     * much of it in its card's unit.
     */
    what?: string
    amount?: number
    /** Of sulphite: what it is to be enough for. */
    aim?: SulphiteAim
    /** Of yeast: into a must that has some already. */
    again?: true
    /** Which step of crush day. */
    step?: 'packets'
    /** Of a must before its yeast: the bench leads back to crush day. */
    crush?: true
    /** How it is moved. */
    as?: 'rack' | 'top-up'
    /** Of a stability test: the cold one. */
    cold?: true
    /** Of bottling: with a second ferment in the bottle. */
    sparkling?: true
  }
  | { to: 'supplies' | 'cellar' }

/** So much of a material goes in. */
export interface Amount {
  material: string
  amount: number
  unit: 'g' | 'mL' | 'L' | 'pieces'
}

/** A way out of a decision: what it leads to, or what is written when it is taken. Its words stand in the app, by its code. */
export interface WayOut {
  code: WayOutCode
  action?: Action
  /** Entries that say so. Without any, and without an action, the task is ended with this code as the answer. */
  drafts?: readonly Draft<Fact>[]
  /** The answer holds for so many days; until something changes when left out. */
  days?: number
}

/** Every way out that is ever offered. */
export const WAYS_OUT = [
  'came-with',
  'came-without',
  'not-known',
  'sugar-test',
  'warm-glass',
  'dry-for-this-wine',
  'restart',
  'warm-it',
  'cool-it',
  'repitch',
  'leave-sweet',
  'keep-dry',
  'keep-still',
  'hold-by-sorbate',
  'hold-by-heat',
  'begin-malolactic',
  'bacteria-early',
  'bacteria-late',
  'malolactic-by-itself',
  'another-culture',
  'feed-bacteria',
  'block-malolactic',
  'no-malolactic',
  'test-malic',
  'accept-malic',
  'wait',
  'fine',
  'filter',
  'accept-haze',
  'accept-crystals',
  'chill',
  'bentonite',
  'stability-test',
  'another-vessel',
  'marbles',
  'gas-cover',
  'bought-wine',
  'nothing-at-hand',
  'press-now',
  'go-on-skins',
  'lower-ph',
  'no-instrument',
  'no-ph-meter',
  'no-acid-kit',
  'measure',
  'drink-it',
  'vinegar',
  'top-up-with-it',
  'pour-away',
  'bottle-anyway',
  'do-it',
  'done-otherwise',
  'much-later',
  'leave-it-out'
] as const
export type WayOutCode = (typeof WAYS_OUT)[number]

/**
 * One form for everything worth saying or doing. What it says is `code` with its values (of the stage that found it); the words
 * stand in the app.
 */
export type Finding<Says extends { code: string } = { code: string }> = Says & {
  /** Stable over time and between devices: done, not today, moved and "seen, leave it" hold on to it. */
  key: string
  urgency: Urgency
  /** Something to do, or something to know. */
  task: boolean
  /** Instants, ISO UTC: it may be done from, should be by, and is late after. */
  window?: { from?: string, due: string, late?: string }
  /** What it usually takes. */
  minutes?: number
  lotId?: string
  vesselId?: string
  /** "Done otherwise" holds for so long, h: of what comes again in a rhythm its rhythm. */
  againH?: number
  /** The entries that it rests on, oldest first. */
  evidence: readonly string[]
  action?: Action
  /** What one tap writes when it was done just as it says. */
  logs?: readonly Draft<Fact>[]
  /** What is to be weighed or measured out for it. */
  amounts?: readonly Amount[]
  /** It is a decision: the answers that there are, one of which is the person's. */
  waysOut?: readonly WayOut[]
  /** Besides the one thing that is asked for: what can be done, or said, in its place. */
  waysRound?: readonly WayOut[]
}

/** Most pressing first; of equal ones tasks before findings, then by when they are due. */
export function byUrgency(a: Finding, b: Finding): number {
  return (
    URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency) ||
    Number(b.task) - Number(a.task) ||
    (a.window?.due ?? '~').localeCompare(b.window?.due ?? '~')
  )
}
