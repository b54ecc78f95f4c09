import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate'
import { hash } from 'ohash'
import type { Entry } from '~~/core/ledger'

/**
 * A few entries carried from one screen to another by a run of QR codes: each says which run it is of, which one of how many, and holds
 * a part of the packed text. They may be read in any order, and as often as one likes.
 */
/** Characters of the packed text in a code: a phone reads the dots of such a code from a laptop's screen at arm's length. Ours. */
const PART = 480
/** More codes than these try a person's patience: a file is the better way. Ours. */
export const MOST_CODES = 60

/** The texts of a run of codes. */
export function codesOf(text: string): string[] {
  const packed = toText(deflateSync(strToU8(text), { level: 9 }))
  const of = Math.ceil(packed.length / PART)
  const run = hash(packed).replace(/\W/g, '').slice(0, 8)
  return Array.from({ length: of }, (_, i) => ['presk1', run, i + 1, of, packed.slice(i * PART, (i + 1) * PART)].join(' '))
}

/** What can go that way: pictures are too large for it, and the entries that hold one go by file. */
export const forTheAir = (entries: readonly Entry[]): Entry[] => entries.filter((e) => !('photo' in e && e.photo))

/** base64 of bytes: letters and digits that every reader of codes gives back as they were. */
const toText = (bytes: Uint8Array): string => btoa(strFromU8(bytes, true))
const toBytes = (text: string): Uint8Array => strToU8(atob(text), true)

/** Why no picture comes; `insecure`: a browser gives its camera to https and to this machine only. */
export type CameraProblem = 'insecure' | 'not-allowed' | 'none' | 'other'

export type Heard =
  | { is: 'part', have: number, of: number }
  /** No code of Presk's, or one that is damaged. */
  | { is: 'nothing' }
  | { is: 'whole', text: string }
  | { is: 'damaged' }

/** Puts a run together from the codes as a camera reads them; a code of another run begins anew. */
export class Gathering {
  private run = ''
  private of = 0
  private readonly parts = new Map<number, string>()

  hear(code: string): Heard {
    const [, run, n, of, part] = /^presk1 (\w{1,8}) (\d{1,3}) (\d{1,3}) ([A-Za-z0-9+/=]+)$/.exec(code) ?? []
    if (run === undefined || Number(n) < 1 || Number(n) > Number(of) || Number(of) > MOST_CODES) return { is: 'nothing' }
    if (run !== this.run || Number(of) !== this.of) this.parts.clear()
    this.run = run
    this.of = Number(of)
    this.parts.set(Number(n), part!)
    if (this.parts.size < this.of) return { is: 'part', have: this.parts.size, of: this.of }
    const packed = Array.from({ length: this.of }, (_, i) => this.parts.get(i + 1)).join('')
    if (hash(packed).replace(/\W/g, '').slice(0, 8) === run) {
      try {
        return { is: 'whole', text: strFromU8(inflateSync(toBytes(packed))) }
      }
      catch { /* As below. */ }
    }
    this.parts.clear()
    return { is: 'damaged' }
  }
}
