import { describe, expect, it } from 'vitest'
import { readLimited } from './read-limited'

describe('a body is read up to its limit', () => {
  const pieces = (count: number, bytes: number) => {
    const taken = { count: 0 }
    async function* source() {
      for (let i = 0; i < count; i++) {
        taken.count++
        yield new Uint8Array(bytes).fill(97)
      }
    }
    return { taken, source: source() }
  }
  it('in one text, whatever pieces it comes in', async () => expect(await readLimited(pieces(3, 4).source, 12)).toBe('a'.repeat(12)))
  it('a little over is heard out and refused', async () => {
    const { taken, source } = pieces(10, 1024)
    expect(await readLimited(source, 4096)).toBeUndefined()
    expect(taken.count).toBe(10)
  })
  it('and is cut off where it goes on and on, not read to its end', async () => {
    const { taken, source } = pieces(100_000, 1024)
    expect(await readLimited(source, 64 * 1024)).toBeUndefined()
    expect(taken.count).toBeLessThan(1100)
  })
})
