import { DAY_MS } from '../../core/units'
import { type WayStepCode, lotAt } from '../../core/ledger'
import { wayOf } from '../../core/way'
import type { Season } from './hand'

const dayOf = (instant: string): number => Math.floor(Date.parse(instant) / DAY_MS)

/**
 * Whether what was forecast came in its window, by step; only of what was still to come when it was forecast, and came. By the day, as the
 * windows are shown.
 */
export function windowsHeld({ history, foretold, lot }: Season): { code: WayStepCode, held: boolean }[] {
  const last = history.entries.at(-1)!.at
  const way = wayOf(lotAt(history.cellar.lots.get(lot.id)!, last), last)
  const came = new Map(way.flatMap((s) => (s.doneAt ? [[s.code, s.doneAt] as const] : [])))
  return foretold.flatMap(({ steps }) =>
    steps.flatMap(({ code, doneAt, earliest, latest }) => {
      const at = came.get(code)
      return doneAt || !at ? [] : [{ code, held: dayOf(earliest) <= dayOf(at) && dayOf(at) <= dayOf(latest) }]
    })
  )
}
