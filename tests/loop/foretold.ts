import { lotAt } from '../../core/ledger'
import { type WayStepCode, wayOf } from '../../core/way'
import type { Season } from './hand'
import { lotId } from './scenarios'

/** Whether what was foretold came in its window, by step; only of what was still to come when it was foretold, and came. */
export function windowsHeld({ history, foretold }: Season): { code: WayStepCode, held: boolean }[] {
  const last = history.entries.at(-1)!.at
  const way = wayOf(lotAt(history.cellar.lots.get(lotId)!, last), last)
  const came = new Map(way.flatMap((s) => (s.doneAt ? [[s.code, s.doneAt] as const] : [])))
  return foretold.flatMap(({ steps }) =>
    steps.flatMap(({ code, doneAt, earliest, latest }) => {
      const at = came.get(code)
      return doneAt || !at ? [] : [{ code, held: earliest <= at && at <= latest }]
    })
  )
}
