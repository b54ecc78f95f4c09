import { type LotView, isFermenting, isHeld, isMust, sugarOf } from '../../ledger'
import { USUAL_CONDITIONS } from '../../malolactic'
import { SWEET_SG, smeltOfAFault } from './topping-wines'

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

/** What the whole blend may hold before it counts, g/L: common practice, no source. */
const COUNTS = { malic: 0.3, sugar: 2 } as const
/** Malic acid of a wine that kept it and was never tested, g/L: common practice, no source. */
const USUAL_MALIC_G_PER_L = 2

const WORKING: ReadonlySet<LotView['malolactic']> = new Set(['under-way', 'nearly'])

/**
 * What goes wrong when wines come together in these amounts, whichever comes into which; what is lost for good stands first. A cup that
 * brings next to nothing harms nothing: only sorbate and a fault are told by any amount.
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
  const bacteria = into.bacteriaAt !== undefined || WORKING.has(into.malolactic) || into.malolactic === 'done'
  if (from.added.has('potassium-sorbate') && bacteria) found.push('geranium')
  if (WORKING.has(into.malolactic) && (from.freeSo2?.value ?? 0) * share > USUAL_CONDITIONS.freeMgPerL) found.push('bacteria-stopped')
  if (into.malolactic === 'done' && malicOf(from) * share > COUNTS.malic) found.push('malic-again')
  if (!hasSugar(into) && hasSugar(from) && sugarIn(from) * share > COUNTS.sugar) found.push('sugar-again')
  if (smeltOfAFault(from, now) && !smeltOfAFault(into, now)) found.push('fault')
  return found
}

/** g/L: none in what went through it; what was read, else what is usual, in what never did. Bacteria at work take their own course. */
const malicOf = (lot: LotView): number =>
  lot.malolactic === 'not-wanted' || lot.malolactic === 'to-come' ? (lot.others.malic?.value ?? USUAL_MALIC_G_PER_L) : 0

/** By a test where there is one, else by the balance. */
const sugarIn = (lot: LotView): number => lot.others.sugar?.value ?? (lot.balance ? sugarOf(lot.balance) : 0)
const hasSugar = (lot: LotView): boolean =>
  lot.others.sugar ? lot.others.sugar.value > COUNTS.sugar : (lot.sg?.value ?? 0) > SWEET_SG
