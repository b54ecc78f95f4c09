import { HOUR_MS } from '~~/core/units'
import { type CrushStep, crushSteps } from '~~/core/stages'
import { type LotView, isFermenting, isHeld, isMust } from '~~/core/ledger'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

export interface CrushLot {
  lot: LotView
  steps: CrushStep[]
  next: CrushStep | undefined
  clocks: CrushStep[]
}

/** A lot stays on the crush floor so long after its yeast, h. */
const STAYS_H = 48

/** All lots between arrival and yeast, those first that something can be done for. */
export function useCrushFloor() {
  const cellar = useCellarStore()
  const now = useNow()
  const lots = computed<CrushLot[]>(() =>
    cellar.lots
      .filter(
        (l) =>
          l.stream !== 'blend' &&
          isHeld(l) &&
          (isMust(l) ||
            (l.inoculatedAt !== undefined && isFermenting(l) && Date.parse(now.value) - Date.parse(l.inoculatedAt) < STAYS_H * HOUR_MS))
      )
      .map((lot) => {
        const steps = crushSteps(lot, now.value)
        return {
          lot,
          steps,
          next: steps.find((s) => s.status === 'now'),
          clocks: steps.filter((s) => s.status === 'running' || s.status === 'waiting')
        }
      })
      .sort((a, b) => rank(a) - rank(b) || (a.lot.startedAt < b.lot.startedAt ? -1 : 1))
  )
  return { lots, of: (id: string) => lots.value.find((c) => c.lot.id === id) }
}

const rank = (c: CrushLot): number => (c.next ? 0 : c.lot.inoculatedAt ? 2 : 1)
