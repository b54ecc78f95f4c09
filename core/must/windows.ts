import type { WineStyle } from '../acids'

export interface Range {
  min: number
  max: number
}
export type MustQuantity = 'brix' | 'ph' | 'ta'

/** Usual windows of a must by style: common practice, no source (craft 3.5). °Brix, pH, TA in g/L as tartaric. */
export const MUST_WINDOWS: Record<WineStyle, Record<MustQuantity, Range>> = {
  red: { brix: { min: 22, max: 25 }, ph: { min: 3.3, max: 3.6 }, ta: { min: 6, max: 7.5 } },
  rose: { brix: { min: 20, max: 23 }, ph: { min: 3.1, max: 3.4 }, ta: { min: 6.5, max: 8.5 } },
  white: { brix: { min: 20, max: 23 }, ph: { min: 3.1, max: 3.4 }, ta: { min: 7, max: 9 } }
}

/** Nearer to an edge than this no home instrument tells which side it is on: counts as within. Common practice, no source. */
export const EDGE: Record<MustQuantity, number> = { brix: 0.2, ph: 0.02, ta: 0.2 }
