import { hoursBetween } from '../units'
import { DRY_SUGAR_G_PER_L } from './gravity-read'
import type { LotState, Point } from './state'
import { type FitsDry, fitsDry } from './sugar-left'

/** Hours between two readings that together say dry (craft 3.7: two to three days). */
export const DRY_PROOF_H = 48
/** Two readings two days apart are seldom so to the hour. Ours. */
const GIVE_OR_TAKE_H = 3
/** Two gravities agree when they lie no further apart than this (craft 3.7: 0.001, and what rounding adds). */
export const AGREE_SG = 0.0012

export interface Dryness {
  /** When it was first read dry. */
  first: string
  /** From when its gravity stands: the first of the readings that agree with the last. */
  since: string
  /** Two that agree, two days apart or more; a test that found next to no sugar; or the person's word for this wine. */
  proven: boolean
  by?: 'gravity' | 'sugar' | 'said'
  /** The readings that agree, oldest first. */
  agreeing: readonly Point[]
}

type Asked = Pick<LotState, 'series' | 'others' | 'style' | 'stream' | 'abv' | 'unsettledAt' | 'saidDryAt' | 'warmGlass'>

/**
 * What gravity and sugar tests say of dryness. A wine that is read dry and still falls is dry by no proof: it is not at its end.
 * @returns undefined when it was never found dry
 */
export function drynessOf(lot: Asked): Dryness | undefined {
  const found = otherProof(lot)
  const standing = standsOf(lot)
  const firstDry = firstDryOf(lot)?.at
  if (standing?.fits === 'dry' && firstDry !== undefined) {
    const by = standing.proven ? 'gravity' : found?.by
    return { first: firstDry, since: standing.since, proven: by !== undefined, ...(by && { by }), agreeing: standing.agreeing }
  }
  if (!found) return undefined
  const first = firstDry !== undefined && firstDry < found.at ? firstDry : found.at
  return { first, since: found.at, proven: true, by: found.by, agreeing: [] }
}

/**
 * The first gravity that fits dry. The more sugar, the higher it reads: so it is one that no reading before it was lower than, and a few
 * looks among those tell which.
 */
function firstDryOf(lot: Asked): Point | undefined {
  const falling: Point[] = []
  let lowest = Infinity
  for (const point of lot.series.sg ?? []) {
    if (!(point.value < lowest)) continue
    lowest = point.value
    falling.push(point)
  }
  let [from, to] = [0, falling.length]
  while (from < to) {
    const middle = (from + to) >> 1
    if (fitsDry(lot, falling[middle]!.value) === 'dry') to = middle
    else from = middle + 1
  }
  return falling[from]
}

/** A test, a glass with fresh yeast, or the person's word; what went in since takes each of them back. */
function otherProof(lot: Asked): { at: string, by: 'sugar' | 'said' } | undefined {
  const { sugar } = lot.others
  const holds = (at: string) => lot.unsettledAt === undefined || at >= lot.unsettledAt
  if (sugar?.origin === 'measured' && sugar.value <= DRY_SUGAR_G_PER_L) return { at: sugar.at, by: 'sugar' }
  if (lot.warmGlass?.stable && holds(lot.warmGlass.at)) return { at: lot.warmGlass.at, by: 'sugar' }
  return lot.saidDryAt !== undefined && holds(lot.saidDryAt) ? { at: lot.saidDryAt, by: 'said' } : undefined
}

/** Where the last gravities agree. */
export interface Standing {
  sg: number
  since: string
  until: string
  /** They lie two days apart or more. */
  proven: boolean
  fits: FitsDry
  /** Oldest first. */
  agreeing: readonly Point[]
}

/**
 * The last gravity, and how long it has been the same. What was read before another wine came in tells nothing.
 * @returns undefined without a gravity
 */
export function standsOf(lot: Pick<LotState, 'series' | 'style' | 'stream' | 'abv' | 'unsettledAt'>): Standing | undefined {
  const { unsettledAt } = lot
  const all = lot.series.sg ?? []
  const read = unsettledAt === undefined ? all : all.filter((p) => p.at > unsettledAt)
  const last = read.at(-1)
  if (!last) return undefined
  const agreeing = read.slice(read.findLastIndex((p) => Math.abs(p.value - last.value) > AGREE_SG) + 1)
  const since = agreeing[0]!.at
  const hours = hoursBetween(since, last.at)
  return {
    sg: last.value,
    since,
    until: last.at,
    proven: hours >= DRY_PROOF_H - GIVE_OR_TAKE_H,
    fits: fitsDry(lot, last.value),
    agreeing
  }
}
