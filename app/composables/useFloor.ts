import { type NextMove, nextMove } from '~~/core/advice'
import type { LotState } from '~~/core/ledger'
import { type MoveWords, sayMove } from '~/wording/moves'

export interface FloorItem { lot: LotState, move: NextMove, words: MoveWords, number?: number }

/** A must spoils soonest, and the one that came first has waited longest: the same order as on the crush floor. */
function mustFirst(a: LotState, b: LotState): number {
  if (a.stage === 'must' && b.stage === 'must') return a.startedAt < b.startedAt ? -1 : a.startedAt > b.startedAt ? 1 : 0
  return Number(b.stage === 'must') - Number(a.stage === 'must')
}

const ORDER = { now: 0, soon: 1, wait: 2, none: 3 } as const

/** Every lot with its next move, in the order to walk through; what waits or rests has no number. */
export function useFloor() {
  const cellar = useCellarStore()
  const now = useNow()
  const items = computed<FloorItem[]>(() => {
    const all = cellar.lots.map(lot => ({ lot, move: nextMove(lot, now.value) }))
      .sort((a, b) => ORDER[a.move.urgency] - ORDER[b.move.urgency] || mustFirst(a.lot, b.lot) || (b.lot.startedAt < a.lot.startedAt ? -1 : 1))
    let number = 0
    return all.map(({ lot, move }) => ({
      lot, move, words: sayMove(move, lot), ...((move.urgency === 'now' || move.urgency === 'soon') && { number: ++number })
    }))
  })
  return { items, of: (lotId: string) => items.value.find(i => i.lot.id === lotId) }
}
