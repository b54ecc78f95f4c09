import { CO2_PER_G, bottlePressure, co2Left, freeBesideSorbate } from '../../finishing'
import type { Finding } from '../../findings'
import { type Bottled, type LotView, drynessOf, isFermenting, isHeld, isWine, malicSettledOf, sugarLeftOf, usedPh } from '../../ledger'
import { type OwnCards, cardOf } from '../../materials'
import { TOLD_WITHIN } from '../../sulphite'
import type { CellarView, Stage } from '../stage'
import { JUDGES, hadBacteria, isSorbated } from './conditions'

export type FinishingSays =
  /** Sorbate and malolactic bacteria in one wine: nothing takes out what they make. */
  | { code: 'geraniums' }
  | { code: 'sorbate-in-ferment' }
  | { code: 'sorbate-unprotected', freeMgPerL: number, neededMgPerL: number }
  /** A wine with sugar in it that nothing keeps yeast from; it lies in its vessel. */
  | { code: 'sweet-unheld', sugarLow: number, sugarHigh: number }
  /** They were filled sweet to be held by heat, and have not had it. */
  | { code: 'pasteurise-bottles', left: number, sugarHigh: number }
  /** Still bottles of a sweet wine that nothing keeps yeast from. */
  | { code: 'sweet-bottles', left: number, sugarHigh: number }
  /** Still bottles with malic acid that nothing keeps bacteria from. */
  | { code: 'malic-bottles', left: number, freeMgPerL?: number, wantedMgPerL?: number }
  /** A wine that ferments again, in bottles or under closures that are made for still wine. */
  | { code: 'weak-bottles', left: number }
  /** More pressure than its bottles may be taken for, where it is warmest. */
  | { code: 'over-pressure', left: number, bar: number, ratedBar: number, celsius: number }
type Says = Finding<FinishingSays>

/** As warm as bottles ever lie in a house in summer, °C. Common practice, no source. */
const WARMEST_C = 25
/** A tenth of what a bottle is rated for is left: filled by hand, sugar lies unevenly. As in `priming`. */
const OF_RATING = 0.9
/** Sugar at most that a still bottle may hold with nothing against it, g/L (craft 3.7). */
const MOST_SUGAR = 4

/** All but those that are made for pressure: a crown cap stands on bottles of both kinds. */
const isStill = (b: Bottled, cards?: OwnCards): boolean => !(b.closure === 'wired' || ratedBar(b.material, cards))
/** What a bottle may be taken for, bar; undefined where nobody said which it is. */
const ratedBar = (material: string | undefined, cards?: OwnCards): number | undefined =>
  material === undefined ? undefined : cardOf(material, cards)?.bottle?.ratedBar
const countOf = (bottles: readonly Bottled[]): number => bottles.reduce((sum, b) => sum + b.left, 0)

/**
 * Of a wine that is to sparkle: bottles for still wine, or under cork or screw, that were filled after sugar went into the dry wine. What
 * was filled before it is still wine.
 */
function weakBottles(lot: LotView, cards?: OwnCards): number {
  const sugarAt = [...lot.putIn].flatMap(([key, at]) => (cardOf(key, cards)?.kind === 'sugar' ? [at] : [])).sort().at(-1)
  const dry = drynessOf(lot)?.first
  if (!lot.plan.sparkling || !sugarAt || !dry || sugarAt < dry) return 0
  const weak = (b: Bottled) => ratedBar(b.material, cards) === 0 || b.closure === 'cork' || b.closure === 'screw'
  return countOf(lot.bottled.filter((b) => b.at >= sugarAt && weak(b)))
}

/** What finishing must not have done, found in the ledger however it was logged. */
export const finishingStage: Stage<FinishingSays> = {
  code: 'finishing',
  beside: true,
  appliesTo: (lot) => lot.stream !== 'test' && (isSorbated(lot) || isWine(lot) || lot.bottled.some((b) => b.left > 0)),
  tasks: (lot, cellar, now) => toPasteurise(lot, cellar, now),
  findings: (lot, cellar, now) => [...sorbated(lot, now), ...unheld(lot, now), ...inBottles(lot, cellar, now)]
}

function sorbated(lot: LotView, now: string): Says[] {
  if (!isSorbated(lot)) return []
  const about = { task: false, lotId: lot.id } as const
  const found: Says[] = []
  const { evidence } = JUDGES['no-malolactic-with-sorbate'](lot, now)
  if (hadBacteria(lot)) found.push({ code: 'geraniums', key: 'geraniums', urgency: 'soon', evidence, ...about })
  if (isHeld(lot) && isFermenting(lot))
    found.push({
      code: 'sorbate-in-ferment',
      key: 'sorbate-in-ferment',
      urgency: 'soon',
      evidence: lot.sg?.from ?? [],
      action: { to: 'measure', lotId: lot.id, what: 'sg' },
      ...about
    })
  // What was never given is none.
  const freeMgPerL = lot.freeSo2?.value ?? 0
  const neededMgPerL = freeBesideSorbate(usedPh(lot).value, lot.style)
  if (isHeld(lot) && freeMgPerL < neededMgPerL - TOLD_WITHIN)
    found.push({
      code: 'sorbate-unprotected',
      key: 'sorbate-unprotected',
      urgency: 'now',
      freeMgPerL,
      neededMgPerL,
      evidence: lot.freeSo2?.from ?? [],
      action: { to: 'sulphite', lotId: lot.id, aim: 'level' },
      ...about
    })
  return found
}

/** Sugar that went into a wine, or stayed in one that stopped, with neither sorbate and sulphite nor heat against its yeast. */
function unheld(lot: LotView, now: string): Says[] {
  if (!isHeld(lot) || !isWine(lot) || lot.plan.sparkling) return []
  const left = sugarLeftOf(lot)
  const sweetened = lot.changedSugarAt !== undefined && lot.wineSince !== undefined && lot.changedSugarAt >= lot.wineSince
  if (!left || left.low <= MOST_SUGAR || !(sweetened || lot.alcoholic === 'stopped')) return []
  const held = JUDGES['sweetness-held'](lot, now)
  if (held.state === 'met') return []
  return [
    {
      code: 'sweet-unheld',
      key: `sweet-unheld:${Math.round(left.mid / 10)}`,
      sugarLow: left.low,
      sugarHigh: left.high,
      urgency: 'soon',
      task: false,
      lotId: lot.id,
      evidence: left.from,
      action: { to: 'sweeten', lotId: lot.id }
    }
  ]
}

/** A test or its gravity said so when the bottle was filled. */
const isSweet = (b: Bottled): boolean => (b.sugarMid ?? 0) > MOST_SUGAR

/** Bottles that were filled sweet by a plan to heat them: the same day, before yeast wakes. */
function toPasteurise(lot: LotView, cellar: CellarView, now: string): Says[] {
  if (lot.plan.sparkling || lot.plan.hold !== 'heat') return []
  const sugar = JUDGES['sweetness-held'](lot, now).because === 'heat-planned'
  // Malic acid that nothing else settles waits for the same heat, until it has had it.
  const heated = lot.worked.get('pasteurise')?.at ?? ''
  const malic = (b: Bottled) => heated < b.at && JUDGES['malic-settled'](lot, now).because === 'heat-planned'
  const sweet = lot.bottled.filter((b) => b.left > 0 && isStill(b, cellar.cards) && ((sugar && isSweet(b)) || malic(b)))
  return sweet.length === 0
    ? []
    : [
        {
          code: 'pasteurise-bottles',
          key: `pasteurise-bottles:${sweet.at(-1)!.at}`,
          left: countOf(sweet),
          sugarHigh: Math.max(...sweet.map((b) => b.sugarHigh ?? 0)),
          urgency: 'now',
          task: true,
          lotId: lot.id,
          minutes: 90,
          evidence: [],
          logs: [{ type: 'operation', lotId: lot.id, what: 'pasteurise' }],
          action: { to: 'lot', lotId: lot.id, log: 'operation', what: 'pasteurise' }
        }
      ]
}

/** What was closed up with the wine: sugar, malic acid, and more pressure than the glass bears. */
function inBottles(lot: LotView, cellar: CellarView, now: string): Says[] {
  const about = { urgency: 'stop', task: false, lotId: lot.id, evidence: [] } as const
  const found: Says[] = []
  const filled = lot.bottled.filter((b) => b.left > 0)
  if (filled.length === 0) return found
  const weak = weakBottles(lot, cellar.cards)
  if (weak > 0) found.push({ code: 'weak-bottles', key: 'weak-bottles', left: weak, ...about })
  const still = lot.plan.sparkling ? [] : filled.filter((b) => isStill(b, cellar.cards))
  const held = JUDGES['sweetness-held'](lot, now)
  const sweet = held.state === 'met' && held.because !== 'dry' ? [] : still.filter(isSweet)
  if (sweet.length > 0)
    found.push({
      code: 'sweet-bottles',
      key: 'sweet-bottles',
      left: countOf(sweet),
      sugarHigh: Math.max(...sweet.map((b) => b.sugarHigh ?? 0)),
      ...about
    })
  const { settled, by, wantedMgPerL } = malicSettledOf(lot)
  // What locks it counts as it was when the bottle was filled.
  const open = (b: Bottled) => lot.malolactic !== 'not-wanted' || (b.freeMgPerL ?? 0) < wantedMgPerL - MARGIN
  const malic = settled && by !== 'sulphite' ? [] : still.filter(open)
  if (malic.length > 0)
    found.push({
      code: 'malic-bottles',
      key: 'malic-bottles',
      left: countOf(malic),
      ...(lot.malolactic === 'not-wanted' && { freeMgPerL: malic[0]!.freeMgPerL ?? 0, wantedMgPerL }),
      ...about,
      urgency: lot.malolactic === 'not-wanted' ? 'soon' : 'stop'
    })
  for (const b of filled) {
    const rated = ratedBar(b.material, cellar.cards)
    if (!rated || b.sugarHigh === undefined) continue
    const gas = Math.min(200, co2Left(WARMEST_C) + b.sugarHigh * CO2_PER_G.hexose)
    const bar = bottlePressure(gas, WARMEST_C)
    if (lot.plan.sparkling && bar > rated * OF_RATING)
      found.push({ code: 'over-pressure', key: `over-pressure:${b.at}`, left: b.left, bar, ratedBar: rated, celsius: WARMEST_C, ...about })
  }
  return found
}
/** A titration at home is good for no more, mg/L. */
const MARGIN = 5
