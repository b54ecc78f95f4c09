import { HOUR_MS, hoursBetween } from '../units'

/** A reading as an instrument that is followed sends it: anything may be wrong with it. */
export interface SentReading { at: unknown, sg?: unknown, celsius?: unknown }
export interface KeptReading { at: string, sg?: number, celsius?: number }
export type FollowFinding =
  | { code: 'nonsense', count: number }
  | { code: 'twice', count: number }
  | { code: 'out-of-time', count: number }
  | { code: 'gap', hours: number, from: string }
export interface Followed {
  /** Thinned: what a curve and a fit need. */
  kept: KeptReading[]
  /** The last that could be believed, as it was sent. */
  latest?: KeptReading
  findings: FollowFinding[]
}

/** One point is kept for so many hours: four a day tell a curve all that it has. */
const KEEP_H = 6
/** Silence longer than this is said, h. */
const GAP_H = 4
/** A single reading further than this from its neighbours' middle is none, SG and °C. */
const SPIKE = { sg: 0.008, celsius: 4 } as const
const LIMITS = { sg: { min: 0.98, max: 1.18 }, celsius: { min: -2, max: 45 } } as const

const sound = (value: unknown, { min, max }: { min: number, max: number }): number | undefined =>
  typeof value === 'number' && Number.isFinite(value) && value >= min && value <= max ? value : undefined

/**
 * Readings of a followed instrument, cleaned and thinned: garbage, duplicates, readings out of order and out of time change nothing but a
 * finding. Each kept one is the mean of the readings of six hours that are over, at the middle of their times, so that fetching more
 * often or in another order keeps the same.
 * @param sent in any order
 * @param since nothing before this instant is new
 * @param now what lies after it has not been
 */
export function followReadings(sent: readonly SentReading[], since: string, now: string): Followed {
  const [from, to] = [Date.parse(since), Date.parse(now)]
  const byTime = new Map<number, KeptReading>()
  const counts = { nonsense: 0, twice: 0, 'out-of-time': 0 }
  for (const one of sent) {
    const at = typeof one?.at === 'string' ? Date.parse(one.at) : NaN
    const [sg, celsius] = [sound(one?.sg, LIMITS.sg), sound(one?.celsius, LIMITS.celsius)]
    const wrong = (one?.sg !== undefined && sg === undefined) || (one?.celsius !== undefined && celsius === undefined)
    if (wrong || Number.isNaN(at)) counts.nonsense++
    if (Number.isNaN(at) || (sg === undefined && celsius === undefined)) continue
    if (at < from || at > to + 60_000) counts['out-of-time']++
    else if (byTime.has(at)) counts.twice++
    else byTime.set(at, { at: new Date(at).toISOString(), ...(sg !== undefined && { sg }), ...(celsius !== undefined && { celsius }) })
  }
  const inOrder = [...byTime.entries()].sort((a, b) => a[0] - b[0]).map(([, r]) => r)
  const believed = inOrder.map((r, i) => withoutSpikes(r, inOrder.slice(Math.max(0, i - 3), i + 4)))
  const findings: FollowFinding[] = (['nonsense', 'twice', 'out-of-time'] as const).flatMap((code) =>
    counts[code] > 0 ? [{ code, count: counts[code] }] : []
  )
  for (let i = 1; i < believed.length; i++) {
    const hours = hoursBetween(believed[i - 1]!.at, believed[i]!.at)
    if (hours > GAP_H) findings.push({ code: 'gap', hours, from: believed[i - 1]!.at })
  }
  // And silence up to now.
  const heard = believed.at(-1)
  const quiet = heard ? (to - Date.parse(heard.at)) / HOUR_MS : 0
  if (heard && quiet > GAP_H) findings.push({ code: 'gap', hours: quiet, from: heard.at })
  const windows = new Map<number, KeptReading[]>()
  for (const r of believed) {
    const window = Math.floor(Date.parse(r.at) / (KEEP_H * HOUR_MS))
    // A window that is not over yet waits, and so does one that had begun before: they would be kept twice.
    if ((window + 1) * KEEP_H * HOUR_MS > to || window * KEEP_H * HOUR_MS < from) continue
    windows.set(window, [...(windows.get(window) ?? []), r])
  }
  const latest = believed.findLast((r) => r.sg !== undefined || r.celsius !== undefined)
  return { kept: [...windows.values()].map(middleOfWindow), ...(latest && { latest }), findings }
}

/** Up to where windows have been kept: the next fetch asks from there. */
export const windowAfter = (at: string): string =>
  new Date((Math.floor(Date.parse(at) / (KEEP_H * HOUR_MS)) + 1) * KEEP_H * HOUR_MS).toISOString()

const middle = (values: readonly number[]): number | undefined => [...values].sort((a, b) => a - b)[values.length >> 1]
const all = (readings: readonly KeptReading[], key: 'sg' | 'celsius') => readings.flatMap((r) => r[key] ?? [])

function withoutSpikes(r: KeptReading, around: readonly KeptReading[]): KeptReading {
  const kept: KeptReading = { at: r.at }
  for (const key of ['sg', 'celsius'] as const) {
    const [value, of] = [r[key], middle(all(around, key))]
    if (value !== undefined && of !== undefined && Math.abs(value - of) <= SPIKE[key]) kept[key] = value
  }
  return kept
}

function middleOfWindow(readings: readonly KeptReading[]): KeptReading {
  const at = readings[readings.length >> 1]!.at
  const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length
  const [sg, celsius] = [all(readings, 'sg'), all(readings, 'celsius')]
  return {
    at,
    ...(sg.length > 0 && { sg: Number(mean(sg).toFixed(4)) }),
    ...(celsius.length > 0 && { celsius: Number(mean(celsius).toFixed(1)) })
  }
}
