import type { LotState } from '../state'

/**
 * What went into a lot moves with its wine: each material leaves in the wine's own share and arrives in what arrives. So the
 * grams in a litre, which limits are held against, stay what they were.
 * @param outL what leaves, L
 * @param inL what arrives, L; the rest stays behind with the lees
 * @param fromL volume of the giving lot before
 */
export function moveGiven(from: LotState, to: LotState, outL: number, inL: number, fromL: number): void {
  if (fromL <= 0 || from.added.size === 0) return
  const [leaving, staying] = [new Map(from.added), new Map(from.added)]
  for (const [material, total] of from.added) staying.set(material, { ...total, actual: Math.max(0, total.actual * (1 - outL / fromL)) })
  from.added = staying
  const arrived = new Map(to.added)
  for (const [material, total] of leaving) {
    const known = arrived.get(material)
    const actual = (known?.actual ?? 0) + (total.actual * inL) / fromL
    const lastAt = known && known.lastAt > total.lastAt ? known.lastAt : total.lastAt
    arrived.set(material, { ...total, actual, times: from === to ? total.times : (known?.times ?? 0) + total.times, lastAt })
  }
  to.added = arrived
}

/** Wine that was lost took its share along. */
export function loseGiven(lot: LotState, share: number): void {
  lot.added = new Map([...lot.added].map(([material, total]) => [material, { ...total, actual: total.actual * share }]))
}
