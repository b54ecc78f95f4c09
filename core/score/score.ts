import { DAY_MS, HOUR_MS, daysBetween } from '../units'
import type { FermentAsked, FermentForecast } from '../fermentation'
import { type RipeQuantity, ripening } from '../harvest'
import type { BlockState, LotView } from '../ledger'
import type { OwnCards } from '../materials'
import { fermentAsked } from '../stages'
import { freeSo2Ahead } from '../sulphite'

/**
 * What was foretold beside what came: of each reading that a forecast could have named before, the band that it would have given with no
 * more than was known then, and the reading. A reading errs as well, so a band is as wide as its own and the reading's error together.
 */
export type ForetoldFigure = 'gravity' | 'free-so2' | `ripe-${RipeQuantity}`
export interface Foretold {
  figure: ForetoldFigure
  /** A lot's id, or a block's. */
  of: string
  /** When the last of what it rests on was read, and when the reading came, ISO UTC. */
  madeAt: string
  at: string
  low: number
  mid: number
  high: number
  came: number
  held: boolean
}
export interface Tally { figure: ForetoldFigure, count: number, held: number }

/** 80 % half-widths of the readings themselves: a home hydrometer, a home titration of SO₂. Common practice, no source. */
const READING_HALF = { 'gravity': 0.0013, 'free-so2': 3.8 } as const
/** A forecast of something hours away tells nothing. */
const AHEAD_H = 10
/** Of one ferment so many looks: each costs a forecast. */
const LOOKS_OF_A_FERMENT = 4
/** Of this many of its last readings a wine's sulphite is scored. */
const LAST_SULPHITE = 12

const foretold = (figure: ForetoldFigure, of: string, madeAt: string, at: string, band: { low: number, mid: number, high: number },
  came: number, own: number): Foretold => {
  const [low, high] = [band.mid - Math.hypot(band.mid - band.low, own), band.mid + Math.hypot(band.high - band.mid, own)]
  return { figure, of, madeAt, at, low, mid: band.mid, high, came, held: came >= low && came <= high }
}

export interface GravityLook { of: string, madeAt: string, at: string, hours: number, came: number, asked: FermentAsked }

/** Readings of a ferment that a forecast can be held against, with what it would have been asked; the forecast itself is the caller's. */
export function fermentLooks(lot: LotView, cards: OwnCards, now: string): GravityLook[] {
  const known = fermentAsked(lot, cards, now)
  if (!known) return []
  const { startAt, asked } = known
  const readings = [...asked.readings].sort((a, b) => a.hours - b.hours)
  const instant = (hours: number) => new Date(Date.parse(startAt) + hours * HOUR_MS).toISOString()
  const able = readings.flatMap((r, i): GravityLook[] => {
    const before = readings[i - 1]
    if (!before || i < 2 || r.hours - before.hours < AHEAD_H || r.hours - before.hours > 240) return []
    const until = (hours: number) => hours <= before.hours
    return [{
      of: lot.id,
      madeAt: instant(before.hours),
      at: instant(r.hours),
      hours: r.hours,
      came: r.sg,
      asked: {
        ...asked,
        readings: readings.filter((x) => until(x.hours)),
        temperatures: (asked.temperatures ?? []).filter(({ hours }) => until(hours)),
        horizonHours: r.hours + 24
      }
    }]
  })
  const every = Math.max(1, able.length / LOOKS_OF_A_FERMENT)
  return able.filter((_, i) => Math.floor(i / every) !== Math.floor((i - 1) / every))
}

/** The band of a forecast at the hour of a look, straight between its points. */
export function gravityForetold({ of, madeAt, at, hours, came }: GravityLook, { expected }: FermentForecast): Foretold | undefined {
  const i = expected.findIndex((e) => e.hours >= hours)
  const [a, b] = [expected[i - 1], expected[i]]
  if (!a || !b) return undefined
  const part = (hours - a.hours) / (b.hours - a.hours)
  const mix = (key: 'low' | 'mid' | 'high') => a.sg[key] + (b.sg[key] - a.sg[key]) * part
  return foretold('gravity', of, madeAt, at, { low: mix('low'), mid: mix('mid'), high: mix('high') }, came, READING_HALF.gravity)
}

/** Each reading of free SO₂ of a wine beside what its earlier readings and doses said. */
export function sulphiteForetold(lot: LotView): Foretold[] {
  const u = lot.upkeep
  if (!u) return []
  const instant = (days: number) => new Date(Date.parse(u.from) + days * DAY_MS).toISOString()
  const readings = [...u.readings].sort((a, b) => a.days - b.days)
  return readings.slice(-LAST_SULPHITE).flatMap((r) => {
    const before = readings.filter((x) => x.days < r.days - 1)
    const last = before.at(-1)
    if (!last) return []
    const until = <T extends { days: number }>(all: readonly T[]) => all.filter((x) => x.days <= r.days)
    const [band] = freeSo2Ahead({ readings: before, doses: until(u.doses), mixes: until(u.mixes), red: u.red }, [r.days])
    return [foretold('free-so2', lot.id, instant(last.days), instant(r.days), band!, r.freeMgPerL, READING_HALF['free-so2'])]
  })
}

/** The usual windows do not matter to where a line leads. */
const ANY_WINDOW = { brix: { min: 22, max: 25 }, ta: { min: 6, max: 7.5 } }

/** Each berry sample beside what the earlier ones said. */
export function ripeningForetold(block: BlockState): Foretold[] {
  const samples = [...block.samples].sort((a, b) => (a.at < b.at ? -1 : 1))
  return samples.flatMap((s, i) => {
    const before = samples.slice(0, i).filter((x) => Date.parse(s.at) - Date.parse(x.at) > DAY_MS / 2)
    const last = before.at(-1)
    if (!last || before.length < 2) return []
    const days = daysBetween(last.at, s.at)
    return ripening(before, block.style, ANY_WINDOW, last.at).trends.flatMap(({ quantity, ahead }) => {
      const came = s[quantity]
      const there = ahead[Math.round(days)]
      if (came === undefined || !there) return []
      const band = { low: there.value - there.half, mid: there.value, high: there.value + there.half }
      return [foretold(`ripe-${quantity}`, block.id, last.at, s.at, band, came, 0)]
    })
  })
}

/** How many of each figure's forecasts held. */
export function tally(all: readonly Foretold[]): Tally[] {
  const figures = [...new Set(all.map((f) => f.figure))]
  return figures.map((figure) => {
    const own = all.filter((f) => f.figure === figure)
    return { figure, count: own.length, held: own.filter((f) => f.held).length }
  })
}
