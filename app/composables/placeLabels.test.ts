import { describe, expect, it } from 'vitest'
import { type Spot, placeLabels } from './placeLabels'

const BOUNDS = { width: 400, height: 300 }
const boxOf = (s: Spot, text: string) => {
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
    const boxes = placeLabels(wishes, [], BOUNDS).map((s, i) => boxOf(s!, wishes[i]!.text))
    for (const [i, a] of boxes.entries())
      for (const b of boxes.slice(i + 1)) expect(a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom).toBe(false)
  })
  it('stay within the frame', () => {
    const [edge] = placeLabels([{ x: 395, y: 150, text: 'tartaric acid', gap: 12, towards: 0 }], [], BOUNDS)
    expect(boxOf(edge!, 'tartaric acid').right).toBeLessThanOrEqual(400)
  })
  it('a name that nobody needs is left out where it finds no room, and a needed one never is', () => {
    const crowd = Array.from(
      { length: 30 },
      (_, i) => ({ x: 150 + (i % 6) * 16, y: 100 + Math.floor(i / 6) * 16, text: `Lot ${i}`, gap: 10 })
    )
    const points = crowd.map(({ x, y }) => ({ x, y, r: 9 }))
    const spots = placeLabels(crowd.map((wish, i) => ({ ...wish, optional: i > 0 })), points, BOUNDS)
    expect(spots[0]).toBeDefined()
    const kept = spots.flatMap((s, i) => (i > 0 && s ? [boxOf(s, crowd[i]!.text)] : []))
    expect(kept.length).toBeLessThan(29)
    for (const a of kept)
      for (const p of points) {
        const dx = Math.min(a.right, p.x + p.r) - Math.max(a.left, p.x - p.r)
        const dy = Math.min(a.bottom, p.y + p.r) - Math.max(a.top, p.y - p.r)
        expect(dx <= 0 || dy <= 0 || dx * dy <= 24).toBe(true)
      }
  })
})
