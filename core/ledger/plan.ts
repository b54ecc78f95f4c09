import { MALIC_END, readPaper } from '../malolactic'
import type { EntryOf, Stream, Style } from './entry'
import { isWine } from './facets'
import type { LotState } from './state'

/** What a lot is to become, and by which methods (craft 5). */
type Said = EntryOf<'plan-kept'>['plan']
export type LotPlan = { [K in keyof Said]-?: Exclude<Said[K], undefined> }

/**
 * The usual for a stream and style, which holds until somebody says otherwise: common practice (craft 3.9, 5). Kits have no
 * malolactic: they are acid-adjusted and often sulphited.
 */
export function usualPlan(style: Style, stream: Stream): LotPlan {
  const concentrate = stream === 'kit'
  return {
    malolactic: style === 'red' && !concentrate ? 'after-pressing' : 'none',
    cold: !concentrate,
    finish: 'dry',
    hold: 'sorbate',
    clarity: 'wait',
    proof: 'test',
    sparkling: false,
    oak: false,
    oakReady: 'straight',
    lees: 'rack',
    heated: false,
    sulphite: 'by-ph',
    yeast: concentrate ? 'sprinkle' : 'rehydrate',
    nutrient: concentrate ? 'none' : 'by-nitrogen',
    press: 'at-dryness'
  }
}

/** What of a plan is not the usual for its style and stream. */
export function unusualIn(plan: Partial<LotPlan>, style: Style, stream: Stream): Partial<LotPlan> {
  const usual: Partial<LotPlan> = usualPlan(style, stream)
  return Object.fromEntries(Object.entries(plan).filter(([key, value]) => value !== undefined && value !== usual[key as keyof LotPlan]))
}

/** A lot's plan: what was said of it, and the usual for the rest. */
export const planOf = (lot: Pick<LotState, 'style' | 'stream' | 'planned'>): LotPlan => ({
  ...usualPlan(lot.style, lot.stream),
  ...lot.planned
})

export type Malolactic = 'not-wanted' | 'to-come' | 'under-way' | 'nearly' | 'done'

/** Bacteria were given, and after that somebody said that they are not wanted any more. */
function isGivenUp(lot: LotState): boolean {
  const given = lot.bacteriaAgainAt ?? lot.bacteriaAt
  const { malolactic } = planOf(lot)
  const without = malolactic === 'none' || malolactic === 'blocked'
  return without && given !== undefined && lot.malolacticSaidAt !== undefined && lot.malolacticSaidAt > given
}

/** A test once read it as gone: one a little higher after that is the test's own error, and bacteria do not make malic acid. */
function wasGone(lot: LotState): boolean {
  const since = lot.bacteriaAt ?? lot.wineSince
  return since !== undefined && (lot.series.malic ?? []).some((p) => p.at > since && p.value <= MALIC_END.complete)
}

/** Where a wine's malolactic stands, by what was read and what is planned. */
export function malolacticOf(lot: LotState): Malolactic {
  const malic = lot.others.malic
  // By the method that waits: somebody said so, and no reading since says otherwise.
  const said = lot.worked.get('malolactic-over')
  if (said && !(malic && malic.at > said.at && malic.value > MALIC_END.nearly)) return 'done'
  const fermented = isWine(lot) || lot.bacteriaAt !== undefined
  if (malic && fermented && (malic.value <= MALIC_END.complete || (malic.value <= MALIC_END.nearly && wasGone(lot)))) return 'done'
  // Paper speaks for a wine until a test that is later says otherwise; it tells nothing of what never fermented.
  const paper = lot.paper && fermented && !(malic && malic.at > lot.paper.at) ? readPaper(lot.paper.malic, lot.paper.lactic) : undefined
  if (paper === 'complete') return 'done'
  if (isGivenUp(lot)) return 'not-wanted'
  if (paper === 'nearly' && lot.bacteriaAt !== undefined) return 'nearly'
  if (lot.bacteriaAt !== undefined) return malic && malic.at > lot.bacteriaAt && malic.value <= MALIC_END.nearly ? 'nearly' : 'under-way'
  const { malolactic } = planOf(lot)
  return malolactic === 'none' || malolactic === 'blocked' ? 'not-wanted' : 'to-come'
}
