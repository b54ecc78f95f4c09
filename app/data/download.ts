import type { Entry } from '~~/core/ledger'
import { fileSafe } from './file-safe'
import { toCellarFile } from './to-cellar-file'
import { dayHere } from '~/wording/days'

/** Hands bytes to the browser as a file to keep. */
export function downloadBytes(bytes: Uint8Array, name: string, ending: string, type: string): void {
  download(new Blob([bytes as BlobPart], { type }), `${fileSafe(name, 'presk')}.${ending}`)
}

/** Hands a text to the browser as a file to keep. */
export function downloadText(text: string, fileName: string, type: string): void {
  download(new Blob([text], { type }), fileName)
}

function download(blob: Blob, fileName: string): void {
  const url = URL.createObjectURL(blob)
  const link = Object.assign(document.createElement('a'), { href: url, download: fileName })
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** What a cellar's file is called: by its name and the day. */
export const fileNameOf = (name: string, now: Date): string => `${fileSafe(name, 'cellar')}-${dayHere(now)}.presk.json`

/** The whole cellar as one JSON file, named for the cellar and the day. */
export function downloadCellar(name: string, entries: readonly Entry[], now = new Date()): void {
  downloadText(JSON.stringify(toCellarFile(name, entries, now.toISOString()), null, 1), fileNameOf(name, now), 'application/json')
}
