import { type LotState, type LotView, type Stream, type Style, isMust, reckonedBrix } from '../../ledger'
import { EDGE, MUST_WINDOWS, type MustQuantity, type Range } from '../../must'

export interface Judgement {
  quantity: MustQuantity
  value: number
  window: Range
  verdict: 'low' | 'within' | 'high'
  /** Held against the gravity that a kit is made for. */
  kit?: true
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
  if (lot.sg) judged.push(lot.kit ? judgeKit(reckonedBrix(lot.sg.value), lot.kit.targetSg)
    : judgeMust('brix', reckonedBrix(lot.sg.value), lot.style))
  if (setByMaker(lot.stream)) return judged
  if (lot.ph) judged.push(judgeMust('ph', lot.ph.value, lot.style))
  if (lot.ta) judged.push(judgeMust('ta', lot.ta.value, lot.style))
  return judged
}

/** A kit is thinned to its own gravity; a hydrometer and a stirred pail are good for half a degree (common practice, no source). */
/** Concentrate that wants its water: as sweet as it came. */
export const isSyrup = (lot: Pick<LotView, 'kit' | 'standing' | 'added'> | undefined): boolean =>
  lot?.kit !== undefined && lot.standing === 'must' && !lot.added.has('water')

function judgeKit(brix: number, targetSg: number): Judgement {
  const target = reckonedBrix(targetSg)
  const window = { min: target - KIT_BRIX, max: target + KIT_BRIX }
  return { quantity: 'brix', value: brix, window, verdict: brix < window.min ? 'low' : brix > window.max ? 'high' : 'within', kit: true }
}
const KIT_BRIX = 0.5

const setByMaker = (stream: Stream): boolean => stream === 'kit'
