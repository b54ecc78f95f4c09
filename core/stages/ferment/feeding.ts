import { type LotView, planOf, reckonedBrix } from '../../ledger'
import type { OwnCards } from '../../materials'
import { sugarScales } from '../../hydrometry'
import { ASSUMED_YAN, YAN_PER_SUGAR, nutrientsLeft } from '../../yeast'
import { type LotForecast, hoursSince, later } from '../stage'
import { fermentStart, yeastOfLot } from './ask'
import { mostGone } from './gone'

/** One part of the nutrient that is wanted: what to weigh, and when. */
export interface Feed {
  part: 1 | 2
  /** Nitrogen still wanting for this part, mg N/L. */
  mgPerL: number
  gifts: { nutrient: string, grams: number }[]
  from: string
  due: string
  late: string
}

/** The first half about a day after the yeast, the second when a third is gone, none after two thirds (craft 3.6, common practice). */
const FIRST_H = { from: 18, due: 24, late: 40 } as const
const THIRD = 1 / 3
/** No ferment takes nutrient so long after its yeast, h: common practice, no source. */
const LATEST_H = 12 * 24
/** Less than this is within the error of any nutrient's label, mg N/L. */
const WORTH_MG = 8

/** Nitrogen that this yeast needs in this must, less what is there without nutrient; mg N/L. */
export function wantingNitrogen(lot: LotView, cards: OwnCards): number {
  if (!lot.originalSg) return 0
  const need = yeastOfLot(lot, cards)?.nitrogenNeed ?? 'medium'
  const sugar = sugarScales(reckonedBrix(lot.originalSg.value), 'brix').fermentableGPerL
  return Math.max(0, sugar * YAN_PER_SUGAR[need] - (lot.others.yan?.value ?? ASSUMED_YAN))
}

/**
 * The next part of the nutrient of a lot that is fed by its nitrogen: it follows the ferment, and what was given counts.
 * @returns undefined where nothing is wanting, the method is another, or it is too late
 */
export function nextFeed(lot: LotView, cards: OwnCards, now: string, known?: LotForecast): Feed | undefined {
  const startAt = fermentStart(lot)
  if (planOf(lot).nutrient !== 'by-nitrogen' || !startAt || lot.volume.value < 0.5) return undefined
  // Nutrient goes by a gravity of today, or by the earliest that the ferment may have come to: late it feeds what spoils a wine.
  const gone = mostGone(lot, now, known)
  if (gone === undefined || gone >= 2 * THIRD || hoursSince(startAt, now) > LATEST_H) return undefined
  const wanting = wantingNitrogen(lot, cards)
  const given = lot.nitrogenGiven?.value ?? 0
  const hours = hoursSince(startAt, now)
  const third = known?.forecast.oneThirdGone
  const thirdH = third?.midHours ?? 60
  const twoThirdsH = Math.max(thirdH + 6, known?.forecast.twoThirdsGone?.lowHours ?? 110)
  const first = wanting / 2 - given
  if (first > WORTH_MG && gone < THIRD) {
    const from = Math.min(FIRST_H.from, thirdH)
    const due = Math.max(from, Math.min(FIRST_H.due, thirdH))
    const late = Math.max(due, Math.min(FIRST_H.late, thirdH))
    return { part: 1, ...giftsOf(lot, first), from: later(startAt, from), due: later(startAt, due), late: later(startAt, late) }
  }
  const second = wanting - given
  if (second <= WORTH_MG) return undefined
  // A third that is gone is gone now, whatever was forecast.
  const due = gone >= THIRD ? Math.min(thirdH, hours) : Math.max(thirdH, Math.min(hours, thirdH + 6))
  const late = Math.max(due, twoThirdsH)
  const from = Math.min(due, Math.max(FIRST_H.due, due - 6))
  return { part: 2, ...giftsOf(lot, second), from: later(startAt, from), due: later(startAt, due), late: later(startAt, late) }
}

/** What brings so much nitrogen, in the usual order of nutrients and within what their limits leave. */
function giftsOf(lot: LotView, mgPerL: number): Pick<Feed, 'mgPerL' | 'gifts'> {
  const volumeL = lot.volume.value
  const given = Object.fromEntries([...lot.added].map(([key, { actual }]) => [key, actual / volumeL]))
  let left = mgPerL
  const gifts = nutrientsLeft(given).flatMap(({ key, nitrogenMgPerG, limitGPerL }) => {
    const gPerL = Math.min(limitGPerL, left / nitrogenMgPerG)
    if (gPerL < 0.005) return []
    left -= gPerL * nitrogenMgPerG
    return [{ nutrient: key, grams: gPerL * volumeL }]
  })
  return { mgPerL, gifts }
}
