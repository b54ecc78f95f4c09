import { within } from '../units'
import { HORIZON_H } from './course'
import type { TemperatureLook } from './temperature'

/** A reading of a ferment, hours after pitching. */
export interface FermentReading {
  hours: number
  sg: number
  celsius?: number
  /** Somebody said that it is right, however it looks. */
  trusted?: boolean
}
export interface Look { hours: number, sg: number, trusted: boolean }

/** Looks closer than a few hours tell one thing, if they agree; one that does not is judged by itself. */
const MERGE_H = 4
/** Looks in order of time, those of one hour or so as their mean. */
export function merged(readings: readonly FermentReading[]): Look[] {
  const groups: FermentReading[][] = []
  for (const r of [...readings].sort((a, b) => a.hours - b.hours)) {
    within('hours', r.hours, -48, 3000)
    within('sg', r.sg, 0.97, 1.2)
    const last = groups.at(-1)
    const agrees = last !== undefined && Math.abs(r.sg - last[0]!.sg) < STANDS_SG
    if (last && agrees && r.hours - last[0]!.hours < MERGE_H) last.push(r)
    else groups.push([r])
  }
  const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length
  return groups
    .map((g) => ({ hours: Math.max(0, mean(g.map((r) => r.hours))), sg: mean(g.map((r) => r.sg)), trusted: g.some((r) => r.trusted) }))
    .filter((l) => l.hours < HORIZON_H)
}

/** Temperatures that can be a must's, in order of time. */
export const temperaturesOf = (readings: readonly { hours: number, celsius?: number }[]): TemperatureLook[] =>
  readings
    .flatMap(({ hours, celsius }) => (celsius !== undefined && celsius > -5 && celsius < 50 ? [{ hours, celsius }] : []))
    .sort((a, b) => a.hours - b.hours)

/** Readings that lie no further apart than this are one, SG. */
export const STANDS_SG = 0.0035
/** For so long at least, h. */
const STANDS_H = 10

/** From which look on the gravity stands, if for half a day or more. */
export function standsSince(looks: readonly Look[]): number | undefined {
  const last = looks.at(-1)
  if (!last) return undefined
  let first = looks.length - 1
  let [min, max] = [last.sg, last.sg]
  while (first > 0) {
    const { sg } = looks[first - 1]!
    min = Math.min(min, sg)
    max = Math.max(max, sg)
    if (max - min > STANDS_SG) break
    first--
  }
  return last.hours - looks[first]!.hours >= STANDS_H ? first : undefined
}
