import 'fake-indexeddb/auto'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { chooseFolder, folderOf, forgetFolder, hasFolders, knownFolder } from './folder'

/** A folder as the browser gives it, in memory; a write is seen when it is closed. */
function handle(files = new Map<string, string>()): FileSystemDirectoryHandle {
  const missing = () => new DOMException('not there', 'NotFoundError')
  return {
    async* keys() {
      yield* files.keys()
    },
    async getFileHandle(name: string, { create = false } = {}) {
      if (!files.has(name) && !create) throw missing()
      let text = ''
      return {
        getFile: async () => ({ text: async () => files.get(name)! }),
        createWritable: async () => ({ write: async (part: string) => void (text += part), close: async () => void files.set(name, text) })
      }
    },
    async removeEntry(name: string) {
      if (!files.delete(name)) throw missing()
    }
  } as unknown as FileSystemDirectoryHandle
}
afterEach(() => vi.unstubAllGlobals())

describe('a folder that was chosen', () => {
  it('gives names in order, what was written, and nothing of what is not there', async () => {
    const folder = folderOf(handle())
    await folder.write('b.json', '{"b":1}')
    await folder.write('a.json', '{}')
    await folder.write('b.json', '{"b":2}')
    expect(await folder.names()).toEqual(['a.json', 'b.json'])
    expect(await folder.read('b.json')).toBe('{"b":2}')
    expect(await folder.read('c.json')).toBeUndefined()
    await folder.remove('a.json')
    await folder.remove('a.json')
    expect(await folder.names()).toEqual(['b.json'])
  })
  it('tells what went wrong beside a file that is missing', async () => {
    const locked = { ...handle(), getFileHandle: () => Promise.reject(new DOMException('no', 'NotAllowedError')),
      removeEntry: () => Promise.reject(new DOMException('no', 'NotAllowedError')) } as unknown as FileSystemDirectoryHandle
    await expect(folderOf(locked).read('a')).rejects.toThrow()
    await expect(folderOf(locked).remove('a')).rejects.toThrow()
  })
  it('is asked for once, and is not there before and after', async () => {
    expect(hasFolders()).toBe(false)
    expect(await knownFolder(false)).toEqual({ state: 'none' })
    const files = new Map<string, string>()
    // A database keeps handles but no functions: one that cannot be kept lasts as long as the tab.
    vi.stubGlobal('showDirectoryPicker', async () => handle(files))
    expect(hasFolders()).toBe(true)
    await (await chooseFolder()).write('x.json', '1')
    expect(files.get('x.json')).toBe('1')
    expect((await knownFolder(true)).state).toBe('none')
    await forgetFolder()
    expect(await knownFolder(true)).toEqual({ state: 'none' })
  })
})
