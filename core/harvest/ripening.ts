import { LimitError, daysBetween } from '../units'
import { type StraightLine, bandAt, straightLine } from './straight-line'

export type RipeQuantity = 'brix' | 'ph' | 'ta'
export interface BerrySample {
  at: string
  brix?: number | undefined
  ph?: number | undefined
  ta?: number | undefined
}

/** Scatter of a sample of 40 to 50 berries, one standard deviation: common practice, no source. °Brix, pH, g/L. */
export const SAMPLE_NOISE: Record<RipeQuantity, number> = { brix: 0.4, ph: 0.05, ta: 0.4 }
/** The line is not drawn further than this, days: weather does not run straight. */
export const LOOK_AHEAD_DAYS = 21
/**
 * Ripening slows: the pace of the samples lasts for so many days, after the manner of exp(−day/lasts). And what nobody knows of the
 * weather: the part of the pace that may be more or less, and a drift for each root day. Set on the curves of harvest.test.ts.
 */
const SLOWS_DAYS: Record<RipeQuantity, number> = { brix: 22, ph: 30, ta: 16 }
const PACE_UNSURE = 0.35
const WEATHER: Record<RipeQuantity, number> = { brix: 0.16, ph: 0.016, ta: 0.15 }
/** Waiting past this spoils more than sugar gains, pH (craft 3.1: common practice, no source). */
export const PH_LIMIT = { red: 3.8, rose: 3.4, white: 3.4 } as const

export interface Trend {
  quantity: RipeQuantity
  line: StraightLine
  perDay: number
  latest: number
  /** Now and for each day ahead; `half` is the half-width of the band. */
  ahead: { day: number, value: number, half: number }[]
}

export interface Crossing {
  quantity: RipeQuantity
  /** A target is reached, or a limit is passed. */
  kind: 'target' | 'limit'
  level: number
  /** Days from now by the line; 0 when it is there already; absent when the line does not come there in time. */
  day?: number
  /** By the near and the far edge of the band. */
  earliest?: number
  latest?: number
}

export interface Ripening {
  trends: Trend[]
  crossings: Crossing[]
}

/**
 * How a block ripens: a line through each measure of its samples, slowing ahead, with the band of a new sample, and the days on
 * which the usual window is reached or a limit passed. Two samples give a line, three or more a scatter of their own.
 * @param samples of one block, any order; °Brix, pH, TA in g/L
 * @param style sets the limit of pH
 * @param windows what is wanted: sugar from below, TA from above
 * @param now ISO UTC
 * @example
 * const samples = [{ at: '2026-09-01T…', brix: 20 }, { at: '2026-09-05T…', brix: 21 }]
 * ripening(samples, 'red', { brix: { min: 22, max: 25 }, ta: { min: 6, max: 7.5 } }, '2026-09-05T…').crossings[0] // sugar 22 in 4 days
 */
export function ripening(
  samples: readonly BerrySample[],
  style: keyof typeof PH_LIMIT,
  windows: { brix: { min: number, max: number }, ta: { min: number, max: number } },
  now: string
): Ripening {
  const trends = (['brix', 'ph', 'ta'] as const).flatMap((quantity) => trendOf(samples, quantity, now) ?? [])
  const of = (quantity: RipeQuantity) => trends.find((t) => t.quantity === quantity)
  const crossings: Crossing[] = []
  const [brix, ph, ta] = [of('brix'), of('ph'), of('ta')]
  if (brix) crossings.push(crossing(brix, 'target', windows.brix.min, 'up'), crossing(brix, 'limit', windows.brix.max, 'up'))
  if (ph) crossings.push(crossing(ph, 'limit', PH_LIMIT[style], 'up'))
  if (ta) crossings.push(crossing(ta, 'target', windows.ta.max, 'down'), crossing(ta, 'limit', windows.ta.min, 'down'))
  return { trends, crossings }
}

function trendOf(samples: readonly BerrySample[], quantity: RipeQuantity, now: string): Trend | undefined {
  const points = samples
    .flatMap((s) => (s[quantity] === undefined ? [] : [[daysBetween(now, s.at), s[quantity]] as const]))
    .sort((a, b) => a[0] - b[0])
  try {
    const line = straightLine(points)
    const ahead = Array.from({ length: LOOK_AHEAD_DAYS + 1 }, (_, day) => ({ day, ...ripened(line, day, points.at(-1)![0], quantity) }))
    return { quantity, line, perDay: line.slope, latest: points.at(-1)![1], ahead }
  }
  catch (error) {
    if (error instanceof LimitError) return undefined
    throw error
  }
}

/** Where the line leads when its pace slows, and the half-width of the band of a new sample. */
function ripened(line: StraightLine, day: number, lastSample: number, quantity: RipeQuantity): { value: number, half: number } {
  const now = bandAt(line, day, SAMPLE_NOISE[quantity])
  const lasts = SLOWS_DAYS[quantity]
  const since = Math.max(0, day - lastSample)
  const slowed = lasts * (1 - Math.exp(-since / lasts))
  const weather = T_80 * Math.hypot(PACE_UNSURE * line.slope * slowed, WEATHER[quantity] * Math.sqrt(since))
  return { value: now.value + line.slope * (slowed - since), half: Math.hypot(now.half * (slowed / since || 1), weather) }
}
/** Standard deviations to either side of an 80 % band. */
const T_80 = 1.2816

/** The first day at which the line, and each edge of its band, stands beyond a level. */
function crossing(trend: Trend, kind: Crossing['kind'], level: number, direction: 'up' | 'down'): Crossing {
  const beyond = (value: number) => (direction === 'up' ? value >= level : value <= level)
  const first = (of: (p: Trend['ahead'][number]) => number): number | undefined => {
    const i = trend.ahead.findIndex((p) => beyond(of(p)))
    if (i <= 0) return i === 0 ? 0 : undefined
    const [a, b] = [of(trend.ahead[i - 1]!), of(trend.ahead[i]!)]
    return i - 1 + (level - a) / (b - a)
  }
  const sign = direction === 'up' ? 1 : -1
  const days = {
    day: first((p) => p.value),
    earliest: first((p) => p.value + sign * p.half),
    latest: first((p) => p.value - sign * p.half)
  }
  return { quantity: trend.quantity, kind, level, ...Object.fromEntries(Object.entries(days).filter(([, d]) => d !== undefined)) }
}
