import type { AcidMove } from '~~/core/acids'
import type { MapWindow } from '~/composables/useAcidMap'
import { STYLE } from './terms'

/** Moves on the map in the words of the bench; no chemistry is needed to read them. */
export const MOVE: Record<AcidMove, { name: string, size: (n: number) => string }> = {
  'tartaric': { name: 'tartaric acid', size: n => `${trim(n)} g/L` },
  'potassium-bicarbonate': { name: 'carbonate', size: n => `${trim(n)} g/L` },
  'water': { name: 'water', size: n => `${Math.round(n)} mL/L` },
  'malolactic': { name: 'malolactic', size: n => n >= 99 ? 'to its end' : `${Math.round(n)} % of it` },
  'cold': { name: 'weeks of cold', size: n => n >= 21 ? 'at −2 °C' : `${Math.round(20 - n)} °C` }
}
const trim = (n: number) => String(Number(n.toFixed(2)))

/** Where a must stands beside its window, and which way helps. */
export function sayWhere(ph: number, ta: number, window: MapWindow, moved = false): string {
  const style = STYLE[window.style].toLowerCase()
  // What no instrument tells is not said.
  const [left, right, above, below] = [ph < window.ph.min - 0.01, ph > window.ph.max + 0.01, ta > window.ta.max + 0.05, ta < window.ta.min - 0.05]
  if (moved && !left && !right && !above && !below) return `There it would stand in the window for a ${style}.`
  if (moved) return `There it would still stand ${[right && 'right of', left && 'left of', above && 'above', below && 'below'].filter(Boolean).join(' and ')} the window for a ${style}.`
  if (!left && !right && !above && !below) return `It stands in the window for a ${style}: nothing needs to be done, so taste it.`
  if (right && above) return `It stands right of and above the window for a ${style}: a high pH and much acid at once, which much potassium does. Acid brings the pH down and tastes hard; cold takes some of it out later. A hard choice: pH first.`
  if (left && below) return `It stands left of and below the window for a ${style}: sharp by its pH and yet little acid. Leave it, or blend.`
  if (right) return `It stands right of the window for a ${style}${below ? ', and below it' : ''}: too little acid to be safe. Tartaric acid moves it left and up.`
  if (left) return `It stands left of the window for a ${style}${above ? ', and above it' : ''}: sharp. Malolactic and cold will move it down later; carbonate does it now.`
  return above ? `Its pH is right for a ${style}, its acid tastes hard. Malolactic and cold will lower it later.` : `Its pH is right for a ${style}, its acid is low. It may taste flat: taste before adding.`
}
