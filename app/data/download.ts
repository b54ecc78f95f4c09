import type { Entry } from '~~/core/ledger'
import { toCellarFile } from './to-cellar-file'

/** Hands a text to the browser as a file to keep. */
export function downloadText(text: string, fileName: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }))
  const link = Object.assign(document.createElement('a'), { href: url, download: fileName })
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** The whole cellar as one JSON file, named for the cellar and the day. */
export function downloadCellar(name: string, entries: readonly Entry[], now = new Date()): void {
  const safe =
    name
      .toLowerCase()
      .normalize('NFD')
      .replace(/[\u0300-\u036f]/g, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'cellar'
  downloadText(
    JSON.stringify(toCellarFile(name, entries, now.toISOString()), null, 1),
    `${safe}-${now.toISOString().slice(0, 10)}.presk.json`,
    'application/json'
  )
}
