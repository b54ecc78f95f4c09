/** Something half filled in, kept for this tab until it is done with: a reload, or the way back, finds it again. */
export function useKept<T extends object>(key: string) {
  const read = (): T | undefined => {
    try {
      return JSON.parse(sessionStorage.getItem(key) ?? 'null') ?? undefined
    }
    catch {
      return undefined
    }
  }
  const write = (value: T): void => {
    try {
      sessionStorage.setItem(key, JSON.stringify(value))
    }
    catch {
      // Full or refused: then it lasts as long as the page.
    }
  }
  const forget = (): void => {
    try {
      sessionStorage.removeItem(key)
    }
    catch {
      // Nothing was kept either.
    }
  }
  return { read, write, forget }
}
