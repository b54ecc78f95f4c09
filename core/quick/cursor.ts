import type { Gallon } from '../units'
import { type Amount, amountAt } from './amounts'
import { tidy } from './names'
import { JOINING } from './words'

/** A place on a line of words, which moves on as they are understood. */
export class Cursor {
  /** As they are looked up; `typed` as they stand. */
  readonly words: readonly string[]
  at = 0

  constructor(
    readonly typed: readonly string[],
    private readonly gallon: Gallon | undefined
  ) {
    this.words = typed.map(tidy)
  }

  get done(): boolean {
    return this.at >= this.words.length
  }

  get here(): string {
    return this.words[this.at] ?? ''
  }

  from(at: number): readonly string[] {
    return this.words.slice(at)
  }

  get ahead(): readonly string[] {
    return this.from(this.at)
  }

  /** The place of the next word that is not only a joint. */
  past(at: number): number {
    let next = at
    while (next < this.words.length && JOINING.has(this.words[next]!)) next += 1
    return next
  }

  amount(at: number): Amount | undefined {
    return amountAt(this.words, at, this.gallon)
  }

  /** A number and what stands at its end or behind it: "26c", "26 c", "26". */
  number(at: number): { digits: string, joined: string, next: string } | undefined {
    const split = /^([-+]?\d[\d.,]*)(.*)$/.exec(this.words[at] ?? '')
    return split ? { digits: split[1]!, joined: split[2]!, next: this.words[at + 1] ?? '' } : undefined
  }
}
