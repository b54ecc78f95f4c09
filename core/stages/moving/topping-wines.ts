import { type LotView, type VesselState, holdsSugar, isHeld, isWine } from '../../ledger'
import { faultOf } from '../smelt'

/** Why a wine had better not come into another, or what speaks for measuring first. */
export type ToppingDoubt = 'other-style' | 'malolactic-unlike' | 'sweet' | 'smells' | 'younger' | 'ph-unlike' | 'alcohol-unlike'

export interface ToppingWine {
  lotId: string
  /** 0 to 1: how like the two are. */
  likeness: number
  doubts: ToppingDoubt[]
  /** It would carry something in that the other is rid of: sugar, malic acid, a fault. */
  barred: boolean
  /** Litres of it that stand in vessels which it does not fill, so that taking from them harms nobody. */
  looseL: number
}

/** What counts as much as a wine can differ without being tasted, common practice, no source. */
const UNLIKE = { ph: 0.25, abv: 1.5 } as const
/** A vessel that holds less of what it could is broken already. */
const LOOSE = 0.9
/** What bars a wine: bacteria or sugar carried into a wine that is through, or a fault into a sound one. */
const BARS: readonly ToppingDoubt[] = ['malolactic-unlike', 'sweet', 'smells']

/**
 * Wines to top another up with, the likest first: same fruit, same style, pH and alcohol near; and none that brings malic acid, sugar or
 * a fault along, which stand last and say so.
 */
export function toppingWines(
  lot: LotView,
  lots: readonly LotView[],
  vessels: ReadonlyMap<string, VesselState>,
  now: string
): ToppingWine[] {
  return lots
    .filter((other) => other.id !== lot.id && isHeld(other) && isWine(other) && other.stream !== 'test')
    .map((other): ToppingWine => {
      const doubts = doubtsOf(lot, other, now)
      const barred = doubts.some((d) => BARS.includes(d))
      return { lotId: other.id, likeness: likeness(lot, other, doubts), doubts, barred, looseL: looseOf(other, vessels) }
    })
    .sort((a, b) => Number(a.barred) - Number(b.barred) || b.likeness - a.likeness || b.looseL - a.looseL)
}

function doubtsOf(lot: LotView, other: LotView, now: string): ToppingDoubt[] {
  const far = (a: number | undefined, b: number | undefined, most: number) => a !== undefined && b !== undefined && Math.abs(a - b) > most
  const through = (l: LotView) => l.malolactic === 'done'
  return [
    ...(lot.style !== other.style ? ['other-style' as const] : []),
    ...(through(lot) !== through(other) ? ['malolactic-unlike' as const] : []),
    ...(holdsSugar(other) && !holdsSugar(lot) ? ['sweet' as const] : []),
    ...(faultOf(other, now) ? ['smells' as const] : []),
    ...((lot.vintage ?? 0) < (other.vintage ?? 0) && lot.vintage !== undefined ? ['younger' as const] : []),
    ...(far(lot.ph?.value, other.ph?.value, UNLIKE.ph) ? ['ph-unlike' as const] : []),
    ...(far(lot.abv?.value, other.abv?.value, UNLIKE.abv) ? ['alcohol-unlike' as const] : [])
  ]
}

/** The shares of their fruit that are the same, less what they differ in. */
function likeness(lot: LotView, other: LotView, doubts: readonly ToppingDoubt[]): number {
  const shared = (key: 'key' | 'variety') =>
    lot.sources.reduce(
      (sum, s) =>
        sum +
        Math.min(
          s.share,
          other.sources.filter((o) => o[key] === s[key]).reduce((all, o) => all + o.share, 0)
        ),
      0
    )
  const fruit = 0.5 * shared('key') + 0.25 * shared('variety')
  const near = (a: number | undefined, b: number | undefined, most: number) =>
    a === undefined || b === undefined ? 0.5 : Math.max(0, 1 - Math.abs(a - b) / (2 * most))
  const figures = 0.15 * near(lot.ph?.value, other.ph?.value, UNLIKE.ph) + 0.1 * near(lot.abv?.value, other.abv?.value, UNLIKE.abv)
  return Math.max(0, Math.min(1, fruit + figures) * 0.8 ** doubts.length)
}

const looseOf = (lot: LotView, vessels: ReadonlyMap<string, VesselState>): number =>
  [...lot.contents].reduce((sum, [id, litres]) => {
    const vessel = vessels.get(id)
    return vessel && litres >= vessel.capacityL * LOOSE ? sum : sum + litres
  }, 0)
