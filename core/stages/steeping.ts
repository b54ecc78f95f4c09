import type { Finding } from '../findings'
import type { LotView } from '../ledger'
import { hoursSince, later } from './stage'

/** This much longer than its time, and it presses. Ours. */
const LONG_OVER = 1.25

interface Steeping {
  since: string
  /** How long it usually stays, h. */
  hours: number
  /** How long after the beginning it is tasted first, and after a tasting again, h. */
  firstH: number
  againH: (restH: number) => number
}

/** A wine that takes something up: when it is tasted next, and whether its time is over. */
export function steeping(lot: LotView, { since, hours, firstH, againH }: Steeping, now: string) {
  const inH = Math.max(0, hoursSince(since, now))
  if (inH >= hours) {
    const over = {
      urgency: inH >= hours * LONG_OVER ? ('now' as const) : ('soon' as const),
      window: { due: later(since, hours) },
      minutes: 45
    }
    return { inH, over }
  }
  const tasted = lot.tastedAt && lot.tastedAt > since ? lot.tastedAt : undefined
  const due = tasted ? later(tasted, againH(hours - hoursSince(since, tasted))) : later(since, firstH)
  const taste: Pick<Finding, 'urgency' | 'window' | 'minutes' | 'action' | 'againH'> = {
    urgency: now >= due ? 'soon' : 'wait',
    window: { due },
    minutes: 5,
    againH: againH(hours - inH),
    action: { to: 'lot', lotId: lot.id, log: 'note', what: 'taste' }
  }
  return { inH, taste }
}
