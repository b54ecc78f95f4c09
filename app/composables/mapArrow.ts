import { type AcidMove, MOVE_SIZES } from '~~/core/acids'
import type { MapArrow } from './useAcidMap'

/** What one press of a key, or the least pull of a finger, changes. */
const STEPS: Record<AcidMove, number> = { tartaric: 0.1, 'potassium-bicarbonate': 0.1, water: 5, malolactic: 50, cold: 22 }
const KEYS: Record<string, number> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 5, PageDown: -5 }

type Path = MapArrow['path']

/** The tip of an arrow at a size, between the points of its path. */
export function pointAt(path: Path, size: number): Path[number] | undefined {
  const i = path.findIndex((p) => p.size >= size)
  if (i <= 0) return i === 0 ? path[0] : path.at(-1)
  const [a, b] = [path[i - 1]!, path[i]!]
  const share = (size - a.size) / (b.size - a.size)
  return { ...a, size, ph: a.ph + (b.ph - a.ph) * share, taGPerL: a.taGPerL + (b.taGPerL - a.taGPerL) * share }
}

/** A size in whole steps, within what the move can be. */
export const inSteps = (move: AcidMove, size: number): number =>
  Math.min(MOVE_SIZES[move].max, Math.max(0, Number((Math.round(size / STEPS[move]) * STEPS[move]).toFixed(2))))

/** The size on a path nearest to a finger; `x` and `y` draw a point of the path. */
export function sizeNear(path: Path, finger: { x: number, y: number }, x: (ph: number) => number, y: (ta: number) => number): number {
  let best = { distance: Infinity, size: 0 }
  for (let i = 1; i < path.length; i++) {
    const [a, b] = [path[i - 1]!, path[i]!]
    const [ax, ay, bx, by] = [x(a.ph), y(a.taGPerL), x(b.ph), y(b.taGPerL)]
    const squared = (bx - ax) ** 2 + (by - ay) ** 2
    const share = squared === 0 ? 0 : Math.min(1, Math.max(0, ((finger.x - ax) * (bx - ax) + (finger.y - ay) * (by - ay)) / squared))
    const distance = Math.hypot(finger.x - ax - share * (bx - ax), finger.y - ay - share * (by - ay))
    if (distance < best.distance) best = { distance, size: a.size + share * (b.size - a.size) }
  }
  return best.size
}

/** The size that a key asks for, in steps; none for keys that are not the slider's. */
export function sizeByKey(move: AcidMove, size: number, key: string): number | undefined {
  if (key === 'Home') return 0
  if (key === 'End') return MOVE_SIZES[move].max
  const steps = KEYS[key]
  return steps === undefined ? undefined : inSteps(move, size + steps * STEPS[move])
}
