import { DRY_SUGAR_G_PER_L, type LotView, holdsSugar, isFermenting, isHeld, isMust, sugarLeftOf } from '../../ledger'
import { MALIC_END, USUAL_CONDITIONS } from '../../malolactic'
import { hadBacteria, isSorbated } from '../finishing'
import { faultOf } from '../smelt'

/**
 * What one wine brings into another that harms it: bad smells that stay (sorbate and bacteria make geranium), sulphite on bacteria at
 * work, malic acid or sugar into what is through, a fault into a sound wine. Craft 3.9, 3.12 and 6.
 */
export type MeetingTrouble = 'geranium' | 'bacteria-stopped' | 'malic-again' | 'sugar-again' | 'fault'

export interface Meeting {
  code: MeetingTrouble
  /** The wine that brings it, and the one that suffers. */
  fromId: string
  intoId: string
  /** For good, and no taste or test takes it back. */
  never: boolean
}

/** So much of a wine is to meet the others. */
export interface Part {
  lot: LotView
  litres: number
}

/** Malic acid of a wine that kept it and was never tested, g/L: 1.3 to 3.5 is usual, as in `core/acids/usual.ts`. */
const USUAL_MALIC_G_PER_L = 2.4

const WORKING: ReadonlySet<LotView['malolactic']> = new Set(['under-way', 'nearly'])

/**
 * What goes wrong when wines come together in these amounts, whichever comes into which; what is lost for good stands first. A cup that
 * brings less than what counts as none (malic acid and sugar by their own ends, free SO₂ by what bacteria bear) harms nothing: only
 * sorbate and a fault are told by any amount.
 * @param parts what is to meet; musts and ferments have nothing to lose here and are left out
 * @param now ISO, UTC
 */
export function meetings(parts: readonly Part[], now: string): Meeting[] {
  const whole = parts.reduce((sum, p) => sum + p.litres, 0)
  const settled = parts.filter(({ lot, litres }) => litres > 0 && isHeld(lot) && !isMust(lot) && !isFermenting(lot))
  const found = settled.flatMap((from) =>
    settled
      .filter((into) => into.lot.id !== from.lot.id)
      .flatMap((into) =>
        troublesOf(from.lot, into.lot, from.litres / whole, now).map((code) => ({
          code,
          fromId: from.lot.id,
          intoId: into.lot.id,
          never: code === 'geranium'
        }))
      )
  )
  return found.sort((a, b) => Number(b.never) - Number(a.never))
}

/** @param share of the giving wine in the blend */
function troublesOf(from: LotView, into: LotView, share: number, now: string): MeetingTrouble[] {
  const found: MeetingTrouble[] = []
  if (isSorbated(from) && hadBacteria(into)) found.push('geranium')
  if (WORKING.has(into.malolactic) && (from.freeSo2?.value ?? 0) * share > USUAL_CONDITIONS.freeMgPerL) found.push('bacteria-stopped')
  if (into.malolactic === 'done' && malicOf(from) * share > MALIC_END.nearly) found.push('malic-again')
  if (!holdsSugar(into) && holdsSugar(from) && (sugarLeftOf(from)?.mid ?? 0) * share > DRY_SUGAR_G_PER_L) found.push('sugar-again')
  if (faultOf(from, now) && !faultOf(into, now)) found.push('fault')
  return found
}

/** g/L: none in what went through it; what was read, else what is usual, in what never did. Bacteria at work take their own course. */
const malicOf = (lot: LotView): number =>
  lot.malolactic === 'not-wanted' || lot.malolactic === 'to-come' ? (lot.others.malic?.value ?? USUAL_MALIC_G_PER_L) : 0
