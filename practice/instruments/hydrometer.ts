import { seeded } from '../../core/units'

/** A hydrometer's stem as it is seen through the jar's wall: lengths in drawing units, y downwards. */
export interface Stem {
  /** The flat surface of the wine, where it is read. */
  surfaceY: number
  /** The wine climbs the stem by so much above it. */
  meniscus: number
  ticks: { y: number, sg: number, length: 'long' | 'middle' | 'short', label?: string }[]
  bubbles: { x: number, y: number, r: number }[]
  height: number
}

const HEIGHT = 300
/** Drawing units of one point of gravity (0.001): marks at every 0.002 stand 10 apart, which a thumb's width on a phone shows. */
const PER_POINT = 5
const SHOWS_POINTS = HEIGHT / PER_POINT
const MENISCUS = 6

/**
 * A stem that floats at a gravity. Its scale grows downwards: the lighter the wine, the deeper it sinks.
 * @param sg what it floats at, 0.98 to 1.18, its own error in it
 * @param seed where in the window the surface is, and the bubbles
 */
export function stemOf(sg: number, seed: number, gassy = false): Stem {
  const random = seeded(seed * 53 + 11)
  const surfaceY = HEIGHT * (0.38 + 0.24 * random())
  const yOf = (points: number) => surfaceY + (points - sg * 1000) * PER_POINT
  const first = Math.ceil((sg * 1000 - SHOWS_POINTS) / 2) * 2
  const ticks = Array.from({ length: SHOWS_POINTS + 2 }, (_, i) => first + i * 2).flatMap((points): Stem['ticks'] => {
    const y = yOf(points)
    if (y < 0 || y > HEIGHT) return []
    const length = points % 10 === 0 ? 'long' : points % 10 === 4 || points % 10 === 6 ? 'short' : 'middle'
    return [{ y, sg: points / 1000, length, ...(points % 10 === 0 && { label: (points / 1000).toFixed(3) }) }]
  })
  const bubbles = gassy
    ? Array.from({ length: 14 }, () => {
        const y = surfaceY + 4 + random() * (HEIGHT - surfaceY - 8)
        return { x: random() * 56 - 28, y, r: 1.5 + random() * 3 }
      })
    : []
  return { surfaceY, meniscus: MENISCUS, ticks, bubbles, height: HEIGHT }
}

/** Read off the drawing, between the two marks that the surface lies between: what a person with a ruler would read. */
export function readStem({ surfaceY, ticks }: Pick<Stem, 'surfaceY' | 'ticks'>): number {
  const above = ticks.filter((t) => t.y <= surfaceY).at(-1)
  const below = ticks.find((t) => t.y > surfaceY)
  if (!above || !below) return (above ?? below)?.sg ?? Number.NaN
  return above.sg + ((surfaceY - above.y) / (below.y - above.y)) * (below.sg - above.sg)
}
