import { StorageError } from './cellar-storage'

/** A storage that has not answered by then is taken for one that stores nothing, ms. Ours. */
const PATIENCE_MS = 8000

/** Waits for a storage, but not for ever. @throws StorageError of the problem 'blocked' */
export async function inTime<T>(work: Promise<T>, operation: string): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new StorageError(operation, 'blocked', new Error('no answer'))), PATIENCE_MS)
  })
  try {
    return await Promise.race([work, late])
  }
  finally {
    clearTimeout(timer)
  }
}
