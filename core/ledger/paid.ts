import type { LotState } from './state'

/** What a lot cost so far, in the household's money. */
export interface Paid {
  money: number
  /** By what it was spent on: fruit, bottles, a material. */
  of: ReadonlyMap<string, number>
  /** Materials that went in and have no price. */
  unpriced: ReadonlySet<string>
}
export const NOTHING_PAID: Paid = { money: 0, of: new Map(), unpriced: new Set() }

/** Something was spent on a lot, or went into it without a price. */
export function pay(lot: LotState, spent: { money: number, of: string, unpriced?: boolean }): void {
  const { money, of, unpriced } = lot.paid
  lot.paid = {
    money: money + spent.money,
    of: spent.money > 0 ? new Map(of).set(spent.of, (of.get(spent.of) ?? 0) + spent.money) : of,
    unpriced: spent.unpriced ? new Set([...unpriced, spent.of]) : unpriced
  }
}

/**
 * Wine that goes into another lot takes its part of the cost along. What lees, wood and spilling take costs what the rest cost:
 * it stays with the lot. Bottles have had their part.
 * @param outL what leaves
 * @param heldL what there was before, bottles apart
 */
export function movePaid(from: LotState, to: LotState, outL: number, heldL: number): void {
  const whole = heldL + from.bottledL
  const share = whole > 0 ? Math.min(1, outL / whole) : 0
  if (from === to || share === 0) return
  const scaled = (by: number): Paid => ({
    money: from.paid.money * by,
    of: new Map([...from.paid.of].map(([key, money]) => [key, money * by])),
    unpriced: from.paid.unpriced
  })
  const leaving = scaled(share)
  const of = new Map(to.paid.of)
  for (const [key, money] of leaving.of) of.set(key, (of.get(key) ?? 0) + money)
  to.paid = { money: to.paid.money + leaving.money, of, unpriced: new Set([...to.paid.unpriced, ...leaving.unpriced]) }
  from.paid = scaled(1 - share)
}

/** What a litre of it cost, of all that is held or was bottled; undefined where nothing is. */
export function paidPerLitre(lot: Pick<LotState, 'paid' | 'volume' | 'bottledL'>): number | undefined {
  const litres = lot.volume.value + lot.bottledL
  return litres > 0 ? lot.paid.money / litres : undefined
}
