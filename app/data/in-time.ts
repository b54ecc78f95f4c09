import { StorageError } from './cellar-storage'

/** A storage that has not answered by then is taken for one that stores nothing, ms. Ours. */
export const PATIENCE_MS = 8000

/** Waits for a storage so long, or as long as it takes. @throws StorageError of the problem 'blocked' */
export async function inTime<T>(work: Promise<T>, operation: string, patienceMs?: number): Promise<T> {
  if (patienceMs === undefined) return work
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new StorageError(operation, 'blocked', new Error('no answer'))), patienceMs)
  })
  try {
    return await Promise.race([work, late])
  }
  finally {
    clearTimeout(timer)
  }
}
