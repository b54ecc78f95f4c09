import type { AcidMove } from '~~/core/acids'
import { EDGE } from '~~/core/must'
import type { MapWindow } from '~/composables/useAcidMap'
import { STYLE } from './terms'

/** Moves on the map in the words of the bench; no chemistry is needed to read them. */
export const MOVE: Record<AcidMove, { name: string, size: (n: number) => string }> = {
  tartaric: { name: 'tartaric acid', size: (n) => `${trim(n)} g/L` },
  'potassium-bicarbonate': { name: 'carbonate', size: (n) => `${trim(n)} g/L` },
  water: { name: 'water', size: (n) => `${Math.round(n)} mL/L` },
  malolactic: { name: 'malolactic', size: (n) => (n >= 99 ? 'completely' : `${Math.round(n)} % of it`) },
  cold: { name: 'weeks of cold', size: (n) => (n >= 21 ? 'at −2 °C' : `${Math.round(20 - n)} °C`) }
}
/** A move with how much of it is tried. */
export const sayMove = (move: AcidMove, size: number): string => `${MOVE[move].name}${size > 0 ? ` ${MOVE[move].size(size)}` : ''}`
const trim = (n: number) => String(Number(n.toFixed(2)))

/** A must compared with what is usual for its style; what to do about it comes from the finder. */
export function sayWhere(ph: number, ta: number, window: MapWindow, moved = false): string {
  const style = STYLE[window.style].toLowerCase()
  // What no instrument tells is not said.
  const high = { ph: ph > window.ph.max + EDGE.ph, ta: ta > window.ta.max + EDGE.ta }
  const low = { ph: ph < window.ph.min - EDGE.ph, ta: ta < window.ta.min - EDGE.ta }
  const usual = `where a ${style} usually is`
  if (!high.ph && !low.ph && !high.ta && !low.ta) return moved ? `It would be ${usual}.` : `It is ${usual}.`
  const is = (what: 'ph' | 'ta') => (high[what] ? 'high' : low[what] ? 'low' : undefined)
  const [itsPh, itsAcid] = [is('ph'), is('ta')]
  if (moved)
    return `For a ${style} `
      + `${[itsPh && `its pH would still be ${itsPh}`, itsAcid && `its acid still ${itsAcid}`].filter(Boolean).join(', ')}.`
  if (!itsPh) return `Its pH is right for a ${style}, its acid ${high.ta ? 'tastes hard' : 'is low'}.`
  return `For a ${style} its pH is ${itsPh}${itsAcid ? `, and its acid ${itsAcid}` : ''}.`
}
