import { freeBesideSorbate } from '../../finishing'
import type { Finding } from '../../findings'
import { type Bottled, type LotView, drynessOf, isFermenting, isHeld } from '../../ledger'
import { type OwnCards, cardOf } from '../../materials'
import { TOLD_WITHIN } from '../../sulphite'
import type { Stage } from '../stage'
import { JUDGES, hadBacteria, isSorbated } from './conditions'

export type FinishingSays =
  /** Sorbate and malolactic bacteria in one wine: nothing takes out what they make. */
  | { code: 'geraniums' }
  | { code: 'sorbate-in-ferment' }
  | { code: 'sorbate-unprotected', freeMgPerL: number, neededMgPerL: number }
  /** Still bottles of a sweet wine that nothing keeps yeast from. */
  | { code: 'sweet-bottles', left: number }
  /** A wine that ferments again, in bottles or under closures that are made for still wine. */
  | { code: 'weak-bottles', left: number }

/** All but those that are made for pressure: a crown cap stands on bottles of both kinds. */
const stillBottles = (lot: LotView, cards?: OwnCards): number =>
  lot.bottled.reduce((sum, b) => sum + (b.closure === 'wired' || ratedBar(b.material, cards) ? 0 : b.left), 0)
/** What a bottle may be taken for, bar; undefined where nobody said which it is. */
const ratedBar = (material: string | undefined, cards?: OwnCards): number | undefined =>
  material === undefined ? undefined : cardOf(material, cards)?.bottle?.ratedBar

/**
 * Of a wine that is to sparkle: bottles for still wine, or under cork or screw, that were filled after sugar went into the dry wine. What
 * was filled before it is still wine.
 */
function weakBottles(lot: LotView, cards?: OwnCards): number {
  const sugarAt = [...lot.putIn].flatMap(([key, at]) => (cardOf(key, cards)?.kind === 'sugar' ? [at] : [])).sort().at(-1)
  const dry = drynessOf(lot)?.first
  if (!lot.plan.sparkling || !sugarAt || !dry || sugarAt < dry) return 0
  const weak = (b: Bottled) => ratedBar(b.material, cards) === 0 || b.closure === 'cork' || b.closure === 'screw'
  return lot.bottled.reduce((sum, b) => sum + (b.at >= sugarAt && weak(b) ? b.left : 0), 0)
}

/** What finishing must not have done, found in the ledger however it was logged. */
export const finishingStage: Stage<FinishingSays> = {
  code: 'finishing',
  beside: true,
  appliesTo: (lot) => lot.stream !== 'test' && (isSorbated(lot) || lot.bottled.some((b) => b.left > 0)),
  tasks: () => [],
  findings(lot, cellar, now): Finding<FinishingSays>[] {
    const about = { task: false, lotId: lot.id } as const
    const found: Finding<FinishingSays>[] = []
    const held = isHeld(lot)
    if (isSorbated(lot)) {
      const { evidence } = JUDGES['no-malolactic-with-sorbate'](lot, now)
      if (hadBacteria(lot)) found.push({ code: 'geraniums', key: 'geraniums', urgency: 'soon', evidence, ...about })
      if (held && isFermenting(lot))
        found.push({
          code: 'sorbate-in-ferment',
          key: 'sorbate-in-ferment',
          urgency: 'soon',
          evidence: lot.sg?.from ?? [],
          action: { to: 'measure', lotId: lot.id },
          ...about
        })
      const { freeSo2: free, ph } = lot
      const needed = ph && freeBesideSorbate(ph.value)
      if (held && free && needed !== undefined && free.value < needed - TOLD_WITHIN)
        found.push({
          code: 'sorbate-unprotected',
          key: 'sorbate-unprotected',
          urgency: 'now',
          freeMgPerL: free.value,
          neededMgPerL: needed,
          evidence: free.from,
          action: { to: 'sulphite', lotId: lot.id },
          ...about
        })
    }
    const weak = weakBottles(lot, cellar.cards)
    if (weak > 0)
      found.push({ code: 'weak-bottles', key: 'weak-bottles', urgency: 'stop', left: weak, evidence: [], ...about })
    const left = stillBottles(lot, cellar.cards)
    const sweet = JUDGES['sweetness-held'](lot, now)
    if (left > 0 && sweet.state === 'not-met' && !lot.plan.sparkling)
      found.push({ code: 'sweet-bottles', key: 'sweet-bottles', urgency: 'stop', left, evidence: sweet.evidence, ...about })
    return found
  }
}
