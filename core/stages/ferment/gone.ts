import type { LotView } from '../../ledger'
import type { PressAsked } from '../../fermentation'
import { type LotForecast, hoursSince } from '../stage'
import { wholeOriginalSg } from './ask'
import { believedSg } from './doubted'

/** Gravity of a wine whose sugar is gone: where the share that is gone is one. */
const END_SG = 0.994

/**
 * Share of the sugar that is gone at the last look that is believed, 0 to 1.
 * @param known its forecast, where there is one: it knows which readings are doubted
 */
export function goneShare(lot: LotView, known?: LotForecast): number {
  const sg = believedSg(lot, known)
  const whole = wholeOriginalSg(lot)
  if (sg === undefined || whole === undefined || whole <= END_SG) return 0
  return Math.min(1, Math.max(0, (whole - sg) / (whole - END_SG)))
}

export type Phase = 'early' | 'middle' | 'late'
/** Before one third air and nutrient help, after two thirds they harm (craft 3.7). */
export function phaseOf(lot: LotView, known?: LotForecast): Phase {
  const gone = goneShare(lot, known)
  return gone < 1 / 3 ? 'early' : gone < 2 / 3 ? 'middle' : 'late'
}

/** How a lot's press day is asked about: a must of frozen skins is measured with them, other musts by their juice. */
export function pressAsk(lot: LotView, now: string, tannin?: PressAsked['tannin']): PressAsked {
  const daysOnSkins = Math.min(120, Math.max(0, hoursSince(lot.startedAt, now) / 24))
  const litres = lot.stream === 'frozen' ? { mustL: lot.volume.value } : { wineL: lot.volume.value }
  return { ...litres, school: lot.plan.press, sg: lot.sg?.value ?? 1.1, daysOnSkins, ...(tannin && { tannin }) }
}
