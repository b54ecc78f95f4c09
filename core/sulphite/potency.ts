import { within } from '../units'

/**
 * Strength lost each day: dry salt about a tenth in a year once opened, a stock solution a fifth in a month. Common practice, no
 * source.
 */
const LOSS_PER_DAY = { powder: 0.1 / 365, stock: 0.2 / 30 } as const

/**
 * What is left of a sulphite's strength.
 * @param form dry powder, or a stock solution
 * @param ageDays since opened or made, 0 to 3650
 * @returns share of the strength, 1 when fresh; below 0.7 it should be thrown away rather than reckoned with
 * @throws LimitError
 * @example sulphitePotency('stock', 30) // 0.82
 */
export function sulphitePotency(form: 'powder' | 'stock', ageDays: number): number {
  return Math.exp(-LOSS_PER_DAY[form] * within('ageDays', ageDays, 0, 3650))
}
