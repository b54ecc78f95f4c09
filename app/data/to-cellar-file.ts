import { CELLAR_FORMAT, CELLAR_VERSION, type CellarFile, type Entry } from '~~/core/ledger'

/** The whole cellar as one document. */
export function toCellarFile(name: string, entries: readonly Entry[], exportedAt: string): CellarFile {
  return { format: CELLAR_FORMAT, version: CELLAR_VERSION, exportedAt, name, entries: [...entries].sort((a, b) => (a.id < b.id ? -1 : 1)) }
}
