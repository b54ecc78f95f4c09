import { hoursBetween } from '../../units'
import { potentialAlcohol } from '../../hydrometry'
import { type MaterialCard, type OwnCards, cardOf } from '../../materials'
import { YEASTS } from '../../yeast'
import { abvOf } from '../balance'
import type { EntryOf } from '../entry'
import { isFermenting, isMust, isWine } from '../facets'
import { reckonedBrix } from '../reckoned'
import type { LotState } from '../state'
import type { Act } from './act'

/** SO₂ that is more than a rinse, mg/L. Ours. */
const COUNTS_MG = 8
/** Two thirds of its sugar gone: nutrient as salt is no use to yeast any more, and some to what spoils (craft 3.6). */
const LATE_SHARE = 2 / 3
const END_SG = 0.994
/** Hours after the yeast in which sulphite still keeps it from beginning, and before it in which what is free does: craft 3.5. */
const APART_H = 12
/** An amount like the last one, so soon, min. */
const TWICE = { minutes: 15, within: 0.02 } as const
/** So far from the plan it is asked about, as a factor: a scale, a spoon and a stirred bucket explain less. Ours. */
const FAR = { low: 0.5, high: 1.7 } as const
/** A wine or must outside of these was taken too far, pH. Common practice, no source. */
const PH_FAR = { min: 2.95, max: 4.05 } as const
const TA_MOST = 11
const hours = hoursBetween

/** What a lot was before something went in. */
export interface Before {
  lot: LotState
  cards: OwnCards
}

/**
 * An addition judged against its card and the moment that it fell into.
 * @param before the lot as it was, @param after as it is
 */
export function judgeAddition(before: LotState, after: LotState, added: EntryOf<'addition'>, cards: OwnCards, stepG?: number): Act[] {
  const card = cardOf(added.material, cards)
  const { actual, planned, unit, material, at } = added
  if (actual <= 0) return []
  const acts: Act[] = []
  const last = before.lastAdded
  const minutes = last === undefined ? Infinity : (Date.parse(at) - Date.parse(last.at)) / 60_000
  const same = last !== undefined && last.material === material && Math.abs(last.actual - actual) <= TWICE.within * actual
  if (same && minutes <= TWICE.minutes && !added.stage)
    acts.push({ code: 'twice', material, amount: actual, unit, minutes: Math.round(minutes) })
  if (planned !== undefined && planned > 0 && (actual / planned < FAR.low || actual / planned > FAR.high) && !added.stage)
    acts.push({ code: 'far-from-plan', material, actual, planned, unit })
  if (stepG !== undefined && unit === 'g' && actual < 10 * stepG && card?.kind === 'sulphite')
    acts.push({ code: 'below-scale', material, actual, stepG })
  const ofCard = card ? byCard(before, after, added, card) : []
  return [...acts, ...bySulphite(before, added), ...ofCard, ...bySugar(before, after, card, cards)]
}

function bySulphite(lot: LotState, { so2Share, actual, at }: EntryOf<'addition'>): Act[] {
  const mgPerL = so2Share && lot.volume.value > 0 ? (actual * so2Share * 1000) / lot.volume.value : 0
  if (mgPerL < COUNTS_MG) return []
  const acts: Act[] = []
  const since = lot.inoculatedAt === undefined ? undefined : hours(lot.inoculatedAt, at)
  if (since !== undefined && since >= 0 && since < APART_H) acts.push({ code: 'sulphite-on-yeast', mgPerL, hours: since })
  else if (isFermenting(lot)) acts.push({ code: 'sulphite-in-ferment', mgPerL })
  const enzyme = lot.putIn.get('pectic-enzyme')
  if (enzyme !== undefined && isMust(lot) && hours(enzyme, at) < 6) acts.push({ code: 'enzyme-beside-sulphite', hours: hours(enzyme, at) })
  return acts
}

function byCard(before: LotState, after: LotState, { material, at }: EntryOf<'addition'>, card: MaterialCard): Act[] {
  const acts: Act[] = []
  const gone = goneShare(before)
  if (material === 'ammonium-phosphate' && !isMust(before) && gone > LATE_SHARE)
    acts.push({ code: 'phosphate-late', gonePercent: gone * 100 })
  if (card.kind === 'enzyme') {
    const sulphited = before.lastSulphiteAt === undefined ? Infinity : hours(before.lastSulphiteAt, at)
    if (sulphited >= 0 && sulphited < 6) acts.push({ code: 'enzyme-beside-sulphite', hours: sulphited })
    if (before.added.has('bentonite')) acts.push({ code: 'enzyme-after-bentonite' })
  }
  // A kit's bentonite goes in before the yeast and ferments along.
  if (card.kind === 'fining' && isFermenting(before) && before.stream !== 'kit') acts.push({ code: 'fined-in-ferment', material })
  const gassy = before.gas !== undefined && (before.gas.is === 'puff' || before.gas.is === 'sigh') && !degassedSince(before)
  if (gassy && isWine(before) && (card.kind === 'stabiliser' || card.kind === 'fining')) acts.push({ code: 'powder-into-gas', material })
  if (material === 'potassium-sorbate') {
    if (before.bacteriaAt !== undefined) acts.push({ code: 'sorbate-on-bacteria' })
    if (isFermenting(before)) acts.push({ code: 'sorbate-in-ferment' })
  }
  const ph = after.ph?.value
  const ta = after.ta?.value
  if (ph !== undefined && card.kind === 'acid'
    && (ph < PH_FAR.min || (ta !== undefined && ta > TA_MOST && (before.ta?.value ?? 0) < TA_MOST)))
    acts.push({ code: 'acid-too-far', ph })
  if (ph !== undefined && card.kind === 'carbonate' && ph > PH_FAR.max) acts.push({ code: 'carbonate-too-far', ph })
  return acts
}

const degassedSince = (lot: LotState): boolean => (lot.worked.get('degas')?.at ?? '') > (lot.gas?.at ?? '')

/** Sugar, honey or concentrate beyond what the yeast in it, or what any yeast, bears. */
function bySugar(before: LotState, after: LotState, card: MaterialCard | undefined, cards: OwnCards): Act[] {
  if (card?.kind !== 'sugar' || isWine(before) || !after.balance) return []
  const whole = after.originalSg
  const made = abvOf(after.balance)
  const left = after.sg ? potentialAlcohol(reckonedBrix(after.sg.value)).abv : 0
  const potentialAbv = isMust(after) && whole ? potentialAlcohol(reckonedBrix(whole.value)).abv : made + left
  const toleranceAbv = toleranceOf(after, cards) ?? ANY_YEAST
  return potentialAbv > toleranceAbv ? [{ code: 'beyond-tolerance', potentialAbv, toleranceAbv }] : []
}
/** More than the hardiest wine yeasts bear, % vol: common practice, no source. */
export const ANY_YEAST = 17

/** % vol that the yeast of a lot bears; undefined where nobody said which it is. */
export function toleranceOf(lot: Pick<LotState, 'yeast'>, cards: OwnCards): number | undefined {
  if (!lot.yeast) return undefined
  const { cardKey, name } = lot.yeast
  const own = cardKey === undefined ? undefined : cards.get(cardKey)
  return own?.culture?.toleranceAbv ?? YEASTS.find((y) => y.key === cardKey || y.name === name)?.toleranceAbv
}

/** Share of the sugar that is gone, by the last gravity. */
export function goneShare(lot: Pick<LotState, 'sg' | 'originalSg'>): number {
  const [sg, whole] = [lot.sg?.value, lot.originalSg?.value]
  return sg === undefined || whole === undefined || whole <= END_SG ? 0 : Math.min(1, Math.max(0, (whole - sg) / (whole - END_SG)))
}
