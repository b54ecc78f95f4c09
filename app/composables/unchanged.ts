import { type ComputedRef, computed } from 'vue'

/**
 * A computed value of plain data that stays the very same object as long as it says the same: what shows it is not drawn anew.
 * @param get makes it; no functions in it
 */
export function unchanged<T extends object | undefined>(get: () => T): ComputedRef<T> {
  let said = ''
  return computed<T>((before) => {
    const now = get()
    const says = JSON.stringify(now)
    if (before && says === said) return before
    said = says
    return now
  })
}

/** The same for the members of a list, each by its key. */
export function unchangedEach<T extends object>(): (key: string, now: T) => T {
  const known = new Map<string, { says: string, is: T }>()
  return (key, now) => {
    const says = JSON.stringify(now)
    const before = known.get(key)
    if (before?.says === says) return before.is
    known.set(key, { says, is: now })
    return now
  }
}
