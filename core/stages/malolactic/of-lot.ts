import { type LotView, drynessOf, reckonedPh } from '../../ledger'
import type { OwnCards } from '../../materials'
import type { ConditionScore, Limiting, MalicReading, MalolacticCourse } from '../../malolactic'
import { MALIC_END, malolacticConditions, malolacticCourse, readPaper } from '../../malolactic'
import { hoursSince } from '../stage'

/** What was read this long ago says how warm a wine is, h. */
const WARMTH_H = 30 * 24
/** Where nobody read it, °C: a room that people keep warm for it. */
const ROOM_C = 19
/** Of a wine that nobody measured, % vol. */
const USUAL_ABV = 12.5
const DAY = 24

export interface LotConditions extends ConditionScore {
  celsius: number
  /** What was not measured, and is taken as it usually is: a warm room, no sulphite, a usual alcohol. */
  taken: Limiting[]
}

/** How well bacteria can work in a lot; undefined while its pH is not known. */
export function conditionsOf(lot: LotView, cards: OwnCards): LotConditions | undefined {
  if (!lot.ph) return undefined
  const read = lot.temperature && hoursSince(lot.temperature.at, lot.asOf) < WARMTH_H ? lot.temperature.value : undefined
  const celsius = Math.min(60, Math.max(-5, read ?? ROOM_C))
  const card = lot.bacteria?.cardKey === undefined ? undefined : cards.get(lot.bacteria.cardKey)?.culture
  const scored = malolacticConditions({
    ph: reckonedPh(lot.ph.value),
    abv: Math.min(25, lot.abv?.value ?? USUAL_ABV),
    freeSo2MgPerL: Math.min(500, lot.freeSo2?.value ?? 0),
    totalSo2MgPerL: Math.min(1000, lot.totalSo2?.value ?? 0),
    celsius,
    ...(card && {
      culture: {
        ...(card.minPh !== undefined && { minPh: Math.min(3.8, Math.max(2.8, card.minPh)) }),
        ...(card.toleranceAbv !== undefined && { toleranceAbv: Math.min(22, Math.max(8, card.toleranceAbv)) }),
        ...(card.maxTotalSo2MgPerL !== undefined && { maxTotalSo2MgPerL: Math.min(200, Math.max(5, card.maxTotalSo2MgPerL)) }),
        ...(card.temperatureC && { minC: Math.min(25, Math.max(5, card.temperatureC.min)) })
      }
    })
  })
  const known: Record<Limiting, boolean> = {
    ph: true,
    abv: lot.abv !== undefined,
    freeSo2: lot.freeSo2 !== undefined,
    totalSo2: lot.totalSo2 !== undefined,
    celsius: read !== undefined
  }
  return { ...scored, celsius, taken: (Object.keys(known) as Limiting[]).filter((key) => !known[key]) }
}

export interface LotCourse extends MalolacticCourse {
  /** Days since the bacteria. */
  days: number
  readings: MalicReading[]
}

/** Its tasks, its findings and its page ask the same of one view of a lot. */
const known = new WeakMap<LotView, { cards: OwnCards, course: LotCourse | undefined }>()

/** Where the malolactic of a lot is going; undefined while no bacteria are in it. */
export function malolacticCourseOf(lot: LotView, cards: OwnCards): LotCourse | undefined {
  const before = known.get(lot)
  if (before?.cards === cards) return before.course
  const course = courseOf(lot, cards)
  known.set(lot, { cards, course })
  return course
}

function courseOf(lot: LotView, cards: OwnCards): LotCourse | undefined {
  const { bacteriaAt } = lot
  if (bacteriaAt === undefined) return undefined
  const malic = lot.series.malic ?? []
  const start = malic.findLast((p) => p.at <= bacteriaAt)
  const readings = malic.filter((p) => p.at > bacteriaAt).map((p) => ({ days: hoursSince(bacteriaAt, p.at) / DAY, malicGPerL: p.value }))
  const days = Math.min(3650, Math.max(0, hoursSince(bacteriaAt, lot.asOf) / DAY))
  const course = malolacticCourse({
    // Without its pH, as a wine that has nothing against it and nothing for it.
    score: conditionsOf(lot, cards)?.score ?? 0.6,
    readings: readings.filter((r) => r.days <= days && r.malicGPerL <= 15),
    ...(start && { startGPerL: Math.min(15, Math.max(0, start.value)) }),
    atDays: days
  })
  return { ...course, days, readings }
}

/** When it was found to be over, by what was found first: a test, the paper, or by the method that waits. */
export function malolacticEndedAt(lot: LotView): string | undefined {
  if (lot.malolactic !== 'done') return undefined
  const since = lot.bacteriaAt ?? drynessOf(lot)?.first ?? ''
  const byTest = lot.series.malic?.find((p) => p.value <= MALIC_END.complete && p.at >= since)?.at
  const byPaper = lot.paper && readPaper(lot.paper.malic, lot.paper.lactic) === 'complete' ? lot.paper.at : undefined
  const found = [byTest, byPaper, lot.worked.get('malolactic-over')?.at].filter((at) => at !== undefined)
  return found.sort()[0]
}
