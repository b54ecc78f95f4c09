import { type FermentAsked, targetBand } from '../../fermentation'
import { gravityOf } from '../../hydrometry'
import { type LotView, isFermenting, isHeld, isWine } from '../../ledger'
import type { OwnCards } from '../../materials'
import { YEASTS, type YeastCard, yeastOf } from '../../yeast'
import { hoursSince } from '../stage'
import { believedTemperatures, doubtfulKey } from './doubted'

/** The card of the yeast that a lot was given, where it has one. */
export function yeastOfLot(lot: Pick<LotView, 'yeast'>, cards: OwnCards): YeastCard | undefined {
  const key = lot.yeast?.cardKey
  if (key === undefined) return YEASTS.find((y) => y.name === lot.yeast?.name)
  const own = cards.get(key)
  return own ? yeastOf(own) : YEASTS.find((y) => y.key === key)
}

/** The band in which it is to ferment, °C. */
export const bandOfLot = (lot: LotView, cards: OwnCards): { min: number, max: number } =>
  targetBand(lot.style, yeastOfLot(lot, cards)?.temperatureC)

/** When its ferment began: with its yeast, or, where it began by itself, with the last reading before the first fall. */
export function fermentStart(lot: LotView): string | undefined {
  if (lot.inoculatedAt) return lot.inoculatedAt
  const sg = lot.series.sg ?? []
  const fall = sg.findIndex((p, i) => i > 0 && sg[i - 1]!.value - p.value > 0.003)
  return fall > 0 ? sg[fall - 1]!.at : undefined
}

/** A wine that was dry so long ago is no ferment any more, h. */
const PAST_H = 21 * 24
const [LOWEST, HIGHEST] = [1.03, 1.17]
/** Sugar to alcohol: Balling. */
const EXTRACT_PER_ETHANOL = 2.0665

/** When sugar or water changed a must that had begun to ferment. */
const sugarChangedAt = (lot: LotView, startAt: string): string | undefined =>
  lot.changedSugarAt !== undefined && lot.changedSugarAt > startAt ? lot.changedSugarAt : undefined

/**
 * The gravity that a lot would have had from its start with all the sugar and water that went in since: of the must as it was read,
 * or, once something was added to the ferment, of what is left and what became alcohol. Undefined without any gravity.
 */
export function wholeOriginalSg(lot: LotView): number | undefined {
  const startAt = fermentStart(lot)
  const { balance } = lot
  return startAt && balance && sugarChangedAt(lot, startAt)
    ? gravityOf(balance.extractGPerL + EXTRACT_PER_ETHANOL * balance.ethanolGPerL, 0)
    : lot.originalSg?.value
}

/**
 * What the forecast of a lot is asked with; undefined for what does not ferment, or of which no gravity is known. After sugar or water the
 * original gravity is that of all sugar together, and only what was read since counts.
 */
export function askForecast(lot: LotView, cards: OwnCards, now: string): { startAt: string, asked: FermentAsked } | undefined {
  const startAt = lot.repitchedAt ?? fermentStart(lot)
  const fermenting = isFermenting(lot) || (isWine(lot) && startAt !== undefined && hoursSince(startAt, now) < PAST_H)
  return fermenting && isHeld(lot) ? fermentAsked(lot, cards, now) : undefined
}

/** The same of any lot that ever fermented, with what was read until an instant. */
export function fermentAsked(lot: LotView, cards: OwnCards, now: string): { startAt: string, asked: FermentAsked } | undefined {
  const startAt = lot.repitchedAt ?? fermentStart(lot)
  if (!startAt || !lot.originalSg) return undefined
  const changed = sugarChangedAt(lot, startAt)
  const originalSg = wholeOriginalSg(lot)!
  if (originalSg < LOWEST || originalSg > HIGHEST) return undefined
  const since = changed ?? startAt
  const before = lot.repitchedAt ? lot.series.sg?.findLast((p) => p.at <= lot.repitchedAt!) : undefined
  const at = (instant: string) => hoursSince(startAt, instant)
  const band = bandOfLot(lot, cards)
  const temperatures = believedTemperatures(lot).filter((p) => p.at >= startAt && p.at <= now && at(p.at) <= LONGEST_H)
  const yeast = yeastOfLot(lot, cards)
  return {
    startAt,
    asked: {
      originalSg,
      style: lot.style,
      readings: (lot.series.sg ?? [])
        .filter((p) => p.at > since && p.at <= now && at(p.at) <= LONGEST_H && p.value >= SG_LIMITS.min && p.value <= SG_LIMITS.max)
        .map((p) => ({
          hours: at(p.at),
          sg: p.value,
          ...(lot.endedTasks.get(doubtfulKey(p.entryId))?.outcome === 'seen' && { trusted: true })
        })),
      temperatures: temperatures.map((p) => ({ hours: at(p.at), celsius: Math.min(HOTTEST_C, Math.max(0, p.value)) })),
      expectedCelsius: temperatures.length > 0 ? middleOf(temperatures.slice(-4).map((p) => p.value)) : (band.min + band.max) / 2,
      // A slip may have it above the gravity that it began with.
      ...(before && { restartSg: Math.min(originalSg, Math.max(LOWEST_RESTART_SG, before.value)) }),
      ...(lot.others.yan && { yanMgPerL: Math.min(1000, lot.others.yan.value) }),
      ...(lot.nitrogenGiven && { nitrogenGivenMgPerL: Math.min(1000, lot.nitrogenGiven.value) }),
      ...(yeast && { toleranceAbv: Math.min(22, Math.max(8, yeast.toleranceAbv)) })
    }
  }
}

/** What a forecast reckons with: hours from the start, SG, and SG of what is pitched again. */
const LONGEST_H = 3000
const SG_LIMITS = { min: 0.97, max: 1.2 } as const
const LOWEST_RESTART_SG = 0.985
/** What a forecast reckons with, °C: no yeast lives beyond. */
const HOTTEST_C = 45
const middleOf = (values: readonly number[]): number =>
  Math.min(HOTTEST_C, Math.max(0, values.reduce((a, b) => a + b, 0) / values.length))
