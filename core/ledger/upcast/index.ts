import { fromVersion1 } from './from-1'
import { fromVersion2 } from './from-2'
import { entryFrom3, fromVersion3 } from './from-3'
import { fromVersion4 } from './from-4'
import { fromVersion5 } from './from-5'
import { fromVersion6 } from './from-6'
import { fromVersion7 } from './from-7'
import { fromVersion8 } from './from-8'
import { fromVersion9 } from './from-9'

/** A document as it was read, before its schema has seen it. */
export interface RawCellar {
  version: number
  entries?: unknown
  [key: string]: unknown
}
/** One step from an older form to the next. */
export type Upcast = (older: RawCellar) => RawCellar

const STEPS: readonly Upcast[] = [fromVersion1, fromVersion2, fromVersion3, fromVersion4, fromVersion5, fromVersion6, fromVersion7,
  fromVersion8, fromVersion9]

/**
 * Brings a cellar of any older form to today's, a version at a time. A form that is stored is never changed; a new one gets a
 * step here and a fixture of the old one beside it.
 * @param raw with the version it says of itself; what is newer or unknown comes back as it is, and the schema refuses it
 */
export function upcast(raw: RawCellar): RawCellar {
  let cellar = raw
  while (Number.isInteger(cellar.version) && cellar.version >= 1 && cellar.version <= STEPS.length)
    cellar = STEPS[cellar.version - 1]!(cellar)
  return cellar
}

/** An entry as it stands on a device, whichever version wrote it, in today's form; the schema judges it then. */
export const upcastEntry = (raw: unknown): unknown => entryFrom3(raw)
