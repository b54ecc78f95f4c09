import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import type { CellarFile, EntryOf } from '~~/core/ledger'
import { dayHere } from '~/wording/days'
import { fileSafe } from './file-safe'

/** The whole cellar in a zip: the plain export is all that is read back; pictures and tables are there to be looked at. */
export const CELLAR_IN_ZIP = 'cellar.presk.json'

/**
 * One open container with the cellar's file, each picture as a JPEG of its own, and its tables.
 * @param file the plain export; its pictures stay in it, so that it is whole by itself
 * @param tables by file name
 */
export function cellarZip(file: CellarFile, nameOf: (lotId: string) => string, tables: Record<string, string> = {}): Uint8Array {
  const pictures = file.entries.filter((e): e is EntryOf<'observation'> & { photo: string } => e.type === 'observation' && !!e.photo)
  return zipSync({
    [CELLAR_IN_ZIP]: strToU8(JSON.stringify(file, null, 1)),
    ...Object.fromEntries(pictures.map((e) => {
      const name = `${dayHere(e.at)}-${fileSafe(nameOf(e.lotId), 'lot')}-${e.id}.jpg`
      // A JPEG is packed already.
      return [`pictures/${name}`, [bytesOf(e.photo), { level: 0 }]] as const
    })),
    ...Object.fromEntries(Object.entries(tables).map(([name, text]) => [`tables/${name}`, strToU8(text)]))
  })
}

/** @param photo a data URL, base64 */
const bytesOf = (photo: string): Uint8Array => Uint8Array.from(atob(photo.slice(photo.indexOf(',') + 1)), (c) => c.charCodeAt(0))

/**
 * The cellar's file out of a zip; nothing else in it is unpacked.
 * @returns undefined where there is none, where it is damaged, or larger than is read
 */
export function cellarFromZip(bytes: Uint8Array, limitBytes: number): string | undefined {
  try {
    const inside = (name: string) => name === CELLAR_IN_ZIP || name.endsWith(`/${CELLAR_IN_ZIP}`)
    const found = Object.values(unzipSync(bytes, { filter: ({ name, originalSize }) => inside(name) && originalSize <= limitBytes }))[0]
    return found && found.length <= limitBytes ? strFromU8(found) : undefined
  }
  catch {
    return undefined
  }
}
