import { hoursBetween } from '../../units'
import { potentialAlcohol } from '../../hydrometry'
import type { OwnCards } from '../../materials'
import type { EntryOf } from '../entry'
import { isFermenting, isMust, isWine } from '../facets'
import { freeSo2At } from '../free-so2'
import { reckonedBrix } from '../reckoned'
import type { LotState } from '../state'
import type { Act } from './act'
import { ANY_YEAST, toleranceOf } from './judge-addition'

const hours = hoursBetween
/** Yeast is put to must that was sulphited at least so long ago, h; craft 3.5. */
const APART_H = 12
/** Less of it keeps no yeast from beginning, mg/L: common practice, no source. */
const FREE_COUNTS = 15
/** Yeast dies above, and hardly begins below, °C; and must and yeast are to be no further apart (craft 3.6). */
const MUST_C = { max: 35, min: 8 } as const
const APART_C = 6
/** A temperature speaks for the must for so long, h. */
const WARMTH_H = 12

/** Yeast or bacteria, judged when they went in. */
export function judgeInoculation(lot: LotState, pitched: EntryOf<'inoculation'>, cards: OwnCards): Act[] {
  if (pitched.organism === 'bacteria') return lot.added.has('potassium-sorbate') ? [{ code: 'bacteria-on-sorbate' }] : []
  const acts: Act[] = []
  const free = lot.freeSo2 && freeSo2At(lot.freeSo2, pitched.at)
  const sulphited = lot.lastSulphiteAt === undefined ? Infinity : hours(lot.lastSulphiteAt, pitched.at)
  if (isMust(lot) && sulphited >= 0 && sulphited < APART_H && (free?.value ?? 0) >= FREE_COUNTS)
    acts.push({ code: 'yeast-on-sulphite', hours: sulphited, mgPerL: free!.value })
  const read = lot.temperature && hours(lot.temperature.at, pitched.at) <= WARMTH_H ? lot.temperature.value : undefined
  const celsius = pitched.mustC ?? read
  if (celsius !== undefined && celsius > MUST_C.max) acts.push({ code: 'pitched-hot', celsius, limit: MUST_C.max })
  if (celsius !== undefined && celsius < MUST_C.min) acts.push({ code: 'pitched-cold', celsius, limit: MUST_C.min })
  if (celsius !== undefined && pitched.starterC !== undefined && Math.abs(pitched.starterC - celsius) > APART_C)
    acts.push({ code: 'yeast-shocked', apartC: Math.abs(pitched.starterC - celsius), limit: APART_C })
  const yeast = { name: pitched.culture, ...(pitched.cardKey && { cardKey: pitched.cardKey }) }
  const toleranceAbv = toleranceOf({ yeast }, cards) ?? ANY_YEAST
  const potentialAbv = lot.originalSg && potentialAlcohol(reckonedBrix(lot.originalSg.value)).abv
  if (isMust(lot) && potentialAbv !== undefined && potentialAbv > toleranceAbv)
    acts.push({ code: 'beyond-tolerance', potentialAbv, toleranceAbv })
  return acts
}

/** Wrung skins give more than this, L from a kg of fruit: common practice, no source (craft 3.3 has 0.60 to 0.70). */
const WRUNG_L_PER_KG = 0.74

/** A move, judged as it was made. @param pressedL all that came off the skins so far, this move included */
export function judgeMove(lot: LotState, move: EntryOf<'transfer'>, pressedL: number): Act[] {
  const acts: Act[] = []
  const smelt = lot.smelt && hours(lot.smelt.at, move.at) <= 14 * 24 && lot.smelt.smells.includes('rotten-egg')
  if (move.air === 'splashed' && isWine(lot) && !smelt) acts.push({ code: 'wine-splashed' })
  if (move.purpose === 'press' && lot.massKg && pressedL / lot.massKg > WRUNG_L_PER_KG)
    acts.push({ code: 'pressed-hard', litresPerKg: pressedL / lot.massKg })
  return acts
}

/** Alcohol by analysis may lie above what its sugar gives by no more, % vol: both have their error. Ours. */
const ABV_SLACK = 1
/** A wine so sour at such a pH, or so flat, is no wine that was measured right: common practice, no source. */
const TOGETHER = { sourFrom: 10, sourPh: 3.75, flatTo: 4, flatPh: 3.05 } as const
/** Gas of the ferment is in a wine for so long after its end, h. Common practice, no source. */
const GASSY_H = 14 * 24
/** Malic acid that fell by more than a test is off, g/L. */
const FELL = 0.6

/** A reading, judged beside what is known. @param before the lot without it */
export function judgeReading(before: LotState, after: LotState, read: EntryOf<'reading'>): Act[] {
  const acts: Act[] = []
  const whole = before.originalSg
  if (read.quantity === 'abv' && whole && before.changedSugarAt === undefined && before.cameIn.length === 0) {
    const most = potentialAlcohol(reckonedBrix(whole.value)).band.high + ABV_SLACK
    if (read.value > most) acts.push({ code: 'alcohol-beyond-sugar', abv: read.value, most })
  }
  if ((read.quantity === 'ph' || read.quantity === 'ta') && after.ph && after.ta && Math.abs(hours(after.ph.at, after.ta.at)) <= 24) {
    const [ph, ta] = [after.ph.value, after.ta.value]
    const odd = (ta >= TOGETHER.sourFrom && ph >= TOGETHER.sourPh) || (ta <= TOGETHER.flatTo && ph <= TOGETHER.flatPh)
    if (odd) acts.push({ code: 'acids-disagree', ph, taGPerL: ta })
  }
  if ((read.quantity === 'ta' || read.quantity === 'ph')
    && read.degassed === false) acts.push({ code: 'gassy-sample', quantity: read.quantity })
  else if (read.quantity === 'ta' && read.degassed === undefined
    && gassy(before, read.at)) acts.push({ code: 'gassy-sample', quantity: 'ta' })
  const malic = before.others.malic
  if (read.quantity === 'malic' && malic?.origin === 'measured' && isWine(before) && before.bacteriaAt === undefined
    && malic.value - read.value > FELL)
    acts.push({ code: 'malic-fell', from: malic.value, to: read.value })
  return acts
}

const gassy = (lot: LotState, at: string): boolean =>
  isFermenting(lot) || (lot.wineSince !== undefined && lot.worked.get('degas') === undefined && hours(lot.wineSince, at) < GASSY_H)
