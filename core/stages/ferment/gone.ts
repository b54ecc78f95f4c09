import { type LotView, standsOf } from '../../ledger'
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

/**
 * The most that may be gone by now: what the forecast's early edge has left, where nobody has looked today. Undefined where nobody has
 * looked for days and nothing foretells it.
 */
export function mostGone(lot: LotView, now: string, known?: LotForecast): number | undefined {
  const gone = goneShare(lot, known)
  const last = lot.series.sg?.at(-1)
  if (last && hoursSince(last.at, now) <= TODAY_H) return gone
  const whole = wholeOriginalSg(lot)
  const ahead = known?.forecast.expected.find((e) => e.hours >= hoursSince(known.startAt, now))
  if (!ahead || whole === undefined || whole <= END_SG) return last ? undefined : gone
  return Math.min(1, Math.max(gone, (whole - ahead.sg.low) / (whole - END_SG)))
}
/** A look of so long ago is one of today, h. */
const TODAY_H = 30

export type Phase = 'early' | 'middle' | 'late'
/** Before one third air and nutrient help, after two thirds they harm (craft 3.7). */
export function phaseOf(lot: LotView, known?: LotForecast): Phase {
  const gone = goneShare(lot, known)
  return gone < 1 / 3 ? 'early' : gone < 2 / 3 ? 'middle' : 'late'
}

/** What a press day is reckoned with, L. */
const litresOf = (lot: LotView): number => Math.min(100_000, Math.max(1, lot.volume.value))

/** How a lot's press day is asked about: a must of frozen skins is measured with them, other musts by their juice. */
export function pressAsk(lot: LotView, now: string, tannin?: PressAsked['tannin']): PressAsked {
  const daysOnSkins = Math.min(120, Math.max(0, hoursSince(lot.startedAt, now) / 24))
  const litres = lot.stream === 'frozen' ? { mustL: litresOf(lot) } : { wineL: litresOf(lot) }
  const standing = standsOf(lot)
  return {
    ...litres,
    method: lot.plan.press,
    sg: Math.min(1.2, Math.max(0.97, lot.sg?.value ?? 1.1)),
    daysOnSkins,
    stopped: standing?.proven === true && standing.fits !== 'sweet',
    ...(tannin && { tannin })
  }
}
