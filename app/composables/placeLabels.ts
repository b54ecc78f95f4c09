export interface Spot {
  x: number
  y: number
  anchor: 'start' | 'middle' | 'end'
}
interface Box {
  left: number
  right: number
  top: number
  bottom: number
}
export interface LabelWish {
  x: number
  y: number
  text: string
  /** Clear of the point, px. */ gap: number
  /** Where it would like to go, as an angle in radians; anywhere when left out. */ towards?: number
  /** Left out where it would cover something: its point says enough. */ optional?: boolean
}

/** Width of a letter and height of a line in the map's type, px; near enough for keeping apart. */
const LETTER = 7.8
const LINE = 17
/** So much of something else a name may touch, px². */
const ROOM = 24
/** Eight places around a point, and the same eight a line further off for where it is crowded. */
const AROUND = [0, 14].flatMap((off) => [0, 1, 2, 3, 4, 5, 6, 7].map((i) => ({ angle: (i * Math.PI) / 4, off })))

/**
 * Places labels beside their points so that they cover neither each other nor the points: of the places around each the one
 * with the least in its way, and among those the one nearest to where it would like to be.
 * @param wishes in the order of their importance
 * @param points that must stay in sight
 * @param bounds the frame; what is left of `left` is the axis
 * @returns a place for each; none for an optional one that finds no room
 */
export function placeLabels(
  wishes: readonly LabelWish[],
  points: readonly { x: number, y: number, r: number }[],
  bounds: { left?: number, width: number, height: number }
): (Spot | undefined)[] {
  const taken: Box[] = points.map((p) => ({ left: p.x - p.r, right: p.x + p.r, top: p.y - p.r, bottom: p.y + p.r }))
  return wishes.map((wish) => {
    const width = wish.text.length * LETTER
    const candidates = AROUND.map(({ angle, off }) => {
      const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
      const anchor = cos > 0.3 ? ('start' as const) : cos < -0.3 ? ('end' as const) : ('middle' as const)
      const x = wish.x + cos * (wish.gap + off)
      const y = wish.y + sin * (wish.gap + off + 4) + 5
      const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2
      const box = { left, right: left + width, top: y - LINE + 4, bottom: y + 4 }
      const { left: axis = 4, width: right, height: foot } = bounds
      const outside = box.left < axis || box.right > right - 4 || box.top < 4 || box.bottom > foot - 4 ? 1000 : 0
      const covered = taken.reduce((sum, t) => sum + overlap(box, t), 0)
      const away = wish.towards === undefined ? 0 : 1 - Math.cos(angle - wish.towards)
      return { spot: { x, y, anchor }, box, blocked: outside + covered, cost: outside + covered + away * 8 + off }
    })
    const best = candidates.reduce((a, b) => (b.cost < a.cost ? b : a))
    if (wish.optional && best.blocked > ROOM) return undefined
    taken.push(best.box)
    return best.spot
  })
}

const overlap = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a.right, b.right) - Math.max(a.left, b.left)) * Math.max(0, Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top))
