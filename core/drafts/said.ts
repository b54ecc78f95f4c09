/** A draft without what was left open: the ledger holds no empty fields. */
export function said<T extends object>(draft: T): { [K in keyof T]: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(draft).filter(([, value]) => value !== undefined && value !== '')) as {
    [K in keyof T]: Exclude<T[K], undefined>
  }
}

/** What may be left open in a draft, typed so. */
export type Open<T> = { [K in keyof T]?: T[K] | undefined }
