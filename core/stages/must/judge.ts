import { type LotState, type Stream, type Style, isMust, reckonedBrix } from '../../ledger'
import { EDGE, MUST_WINDOWS, type MustQuantity, type Range } from '../../must'

export interface Judgement {
  quantity: MustQuantity
  value: number
  window: Range
  verdict: 'low' | 'within' | 'high'
}

/** Where a figure of a must stands against the usual window of its style. */
export function judgeMust(quantity: MustQuantity, value: number, style: Style): Judgement {
  const window = MUST_WINDOWS[style][quantity]
  return {
    quantity,
    value,
    window,
    verdict: value < window.min - EDGE[quantity] ? 'low' : value > window.max + EDGE[quantity] ? 'high' : 'within'
  }
}

/** All judgements a lot's measured figures allow; none once it ferments, and none for a kit, whose maker set its acids. */
export function judgeLot(lot: LotState): Judgement[] {
  if (!isMust(lot)) return []
  const judged: Judgement[] = []
  if (lot.sg) judged.push(judgeMust('brix', reckonedBrix(lot.sg.value), lot.style))
  if (setByMaker(lot.stream)) return judged
  if (lot.ph) judged.push(judgeMust('ph', lot.ph.value, lot.style))
  if (lot.ta) judged.push(judgeMust('ta', lot.ta.value, lot.style))
  return judged
}

const setByMaker = (stream: Stream): boolean => stream === 'kit'
