import type { AcidMove } from '~~/core/acids'
import { EDGE } from '~~/core/must'
import type { MapWindow } from '~/composables/useAcidMap'
import { STYLE } from './terms'

/** Moves on the map in the words of the bench; no chemistry is needed to read them. */
export const MOVE: Record<AcidMove, { name: string, size: (n: number) => string }> = {
  tartaric: { name: 'tartaric acid', size: (n) => `${trim(n)} g/L` },
  'potassium-bicarbonate': { name: 'carbonate', size: (n) => `${trim(n)} g/L` },
  water: { name: 'water', size: (n) => `${Math.round(n)} mL/L` },
  malolactic: { name: 'malolactic', size: (n) => (n >= 99 ? 'to its end' : `${Math.round(n)} % of it`) },
  cold: { name: 'weeks of cold', size: (n) => (n >= 21 ? 'at −2 °C' : `${Math.round(20 - n)} °C`) }
}
/** A move with how much of it is tried. */
export const sayMove = (move: AcidMove, size: number): string => `${MOVE[move].name}${size > 0 ? ` ${MOVE[move].size(size)}` : ''}`
const trim = (n: number) => String(Number(n.toFixed(2)))

/** Where a must stands beside its window; what is to be done about it, the finder says. */
export function sayWhere(ph: number, ta: number, window: MapWindow, moved = false): string {
  const style = STYLE[window.style].toLowerCase()
  // What no instrument tells is not said.
  const [left, right, above, below] = [
    ph < window.ph.min - EDGE.ph,
    ph > window.ph.max + EDGE.ph,
    ta > window.ta.max + EDGE.ta,
    ta < window.ta.min - EDGE.ta
  ]
  const within = !left && !right && !above && !below
  if (moved && within) return `There it would stand in the window for a ${style}.`
  if (moved)
    return `There it would still stand ${[right && 'right of', left && 'left of', above && 'above', below && 'below'].filter(Boolean).join(' and ')} the window for a ${style}.`
  if (within) return `It stands in the window for a ${style}.`
  if (right || left)
    return `It stands ${right ? 'right' : 'left'} of the window for a ${style}${below ? ', and below it' : above ? ', and above it' : ''}.`
  return above ? `Its pH is right for a ${style}, its acid tastes hard.` : `Its pH is right for a ${style}, its acid is low.`
}
