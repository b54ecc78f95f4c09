/** A folder that the person chose once. On disk it is the browser's; in tests a stand-in. */
export interface Folder {
  names(): Promise<string[]>
  /** Undefined for what is not there. */
  read(name: string): Promise<string | undefined>
  /** Whole or not at all: what was there before stays until all of it is written. */
  write(name: string, text: string): Promise<void>
  remove(name: string): Promise<void>
}

type Handle = FileSystemDirectoryHandle & {
  keys(): AsyncIterable<string>
  queryPermission?(asked: { mode: 'readwrite' }): Promise<PermissionState>
  requestPermission?(asked: { mode: 'readwrite' }): Promise<PermissionState>
}
type Picker = { showDirectoryPicker?: (asked: { mode: 'readwrite', id: string }) => Promise<Handle> }

/** Whether this browser lets a page keep files in a folder. */
export const hasFolders = (): boolean => typeof (globalThis as Picker).showDirectoryPicker === 'function'

const isMissing = (error: unknown): boolean => (error as { name?: string } | undefined)?.name === 'NotFoundError'

export function folderOf(handle: FileSystemDirectoryHandle): Folder {
  const h = handle as Handle
  return {
    async names() {
      const all: string[] = []
      for await (const name of h.keys()) all.push(name)
      return all.sort()
    },
    async read(name) {
      try {
        return await (await (await h.getFileHandle(name)).getFile()).text()
      }
      catch (error) {
        if (isMissing(error)) return undefined
        throw error
      }
    },
    async write(name, text) {
      // Written beside it, and put in its place when closed.
      const out = await (await h.getFileHandle(name, { create: true })).createWritable()
      await out.write(text)
      await out.close()
    },
    async remove(name) {
      await h.removeEntry(name).catch((error: unknown) => {
        if (!isMissing(error)) throw error
      })
    }
  }
}

/** Where the chosen folder is remembered: a handle goes into a database, and into nothing else. */
const remembered = async () => {
  const { default: Dexie } = await import('dexie')
  const db = new Dexie('presk-folder')
  db.version(1).stores({ folders: 'key' })
  return db
}
export async function chooseFolder(): Promise<Folder> {
  const handle = await (globalThis as Picker).showDirectoryPicker!({ mode: 'readwrite', id: 'presk' })
  try {
    const db = await remembered()
    await db.table('folders').put({ key: 'own', handle })
    db.close()
  }
  catch {
    // A private window keeps no handles: the folder then lasts as long as the tab.
  }
  return folderOf(handle)
}
export async function forgetFolder(): Promise<void> {
  const db = await remembered()
  await db.table('folders').clear()
  db.close()
}
/**
 * The folder of before, if the browser still lets us in.
 * @param ask whether to ask the person again: only on a tap
 */
export async function knownFolder(ask: boolean): Promise<{ folder?: Folder, state: 'none' | 'asks' | 'open' }> {
  const db = await remembered()
  const handle = ((await db.table('folders').get('own')) as { handle?: Handle } | undefined)?.handle
  db.close()
  if (!handle) return { state: 'none' }
  const mode = { mode: 'readwrite' } as const
  const now = (await handle.queryPermission?.(mode)) ?? 'granted'
  const allowed = now === 'granted' || (ask && (await handle.requestPermission?.(mode)) === 'granted')
  return allowed ? { state: 'open', folder: folderOf(handle) } : { state: 'asks' }
}
