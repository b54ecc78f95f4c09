import { brixFromSg } from '../hydrometry'
import type { LotState, Stream, Style } from '../ledger'

export type MustQuantity = 'brix' | 'ph' | 'ta'
export interface Window { min: number, max: number }

/** Usual windows of a must by style: common practice, no source (craft 3.5). °Brix, pH, TA in g/L as tartaric. */
export const MUST_WINDOWS: Record<Style, Record<MustQuantity, Window>> = {
  red: { brix: { min: 22, max: 25 }, ph: { min: 3.3, max: 3.6 }, ta: { min: 6, max: 7.5 } },
  rose: { brix: { min: 20, max: 23 }, ph: { min: 3.1, max: 3.4 }, ta: { min: 6.5, max: 8.5 } },
  white: { brix: { min: 20, max: 23 }, ph: { min: 3.1, max: 3.4 }, ta: { min: 7, max: 9 } }
}

export interface Judgement {
  quantity: MustQuantity
  value: number
  window: Window
  verdict: 'low' | 'within' | 'high'
}

/** Nearer to an edge than this no home instrument tells which side it is on: counts as within. Common practice, no source. */
const EDGE: Record<MustQuantity, number> = { brix: 0.1, ph: 0.01, ta: 0.1 }

/** Where a figure of a must stands against the usual window of its style. */
export function judgeMust(quantity: MustQuantity, value: number, style: Style): Judgement {
  const window = MUST_WINDOWS[style][quantity]
  return { quantity, value, window, verdict: value < window.min - EDGE[quantity] ? 'low' : value > window.max + EDGE[quantity] ? 'high' : 'within' }
}

/** All judgements a lot's measured figures allow; none once it ferments, and none for a kit, whose maker set its acids. */
export function judgeLot(lot: LotState): Judgement[] {
  if (lot.stage !== 'must') return []
  const judged: Judgement[] = []
  if (lot.sg) judged.push(judgeMust('brix', brixFromSg(lot.sg.value), lot.style))
  if (setByMaker(lot.stream)) return judged
  if (lot.ph) judged.push(judgeMust('ph', lot.ph.value, lot.style))
  if (lot.ta) judged.push(judgeMust('ta', lot.ta.value, lot.style))
  return judged
}

const setByMaker = (stream: Stream): boolean => stream === 'kit'
