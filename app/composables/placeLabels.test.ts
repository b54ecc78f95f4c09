import { describe, expect, it } from 'vitest'
import { placeLabels } from './placeLabels'

const BOUNDS = { width: 400, height: 300 }
const boxOf = (s: ReturnType<typeof placeLabels>[number], text: string) => {
  const width = text.length * 7.8
  const left = s.anchor === 'start' ? s.x : s.anchor === 'end' ? s.x - width : s.x - width / 2
  return { left, right: left + width, top: s.y - 13, bottom: s.y + 4 }
}
describe('labels on the map', () => {
  it('go where they would like to when nothing is there', () => {
    const [east] = placeLabels([{ x: 200, y: 150, text: 'water', gap: 12, towards: 0 }], [], BOUNDS)
    expect(east).toMatchObject({ anchor: 'start', x: 212 })
  })
  it('two of one point do not cover each other', () => {
    const wishes = ['carbonate', 'malolactic', 'weeks of cold'].map((text) => ({ x: 200, y: 150, text, gap: 12, towards: 0 }))
    const boxes = placeLabels(wishes, [], BOUNDS).map((s, i) => boxOf(s, wishes[i]!.text))
    for (const [i, a] of boxes.entries())
      for (const b of boxes.slice(i + 1)) expect(a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom).toBe(false)
  })
  it('stay within the frame', () => {
    const [edge] = placeLabels([{ x: 395, y: 150, text: 'tartaric acid', gap: 12, towards: 0 }], [], BOUNDS)
    expect(boxOf(edge!, 'tartaric acid').right).toBeLessThanOrEqual(400)
  })
})
