import { type WinterRow, winterOf } from '~~/core/stages'
import type { LotView } from '~~/core/ledger'
import { useFloor } from '~/composables/useFloor'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

export interface WinterLine extends WinterRow {
  lot: LotView
  /** What it asks for next, and when. */
  next?: { title: string, due?: string, to?: string }
}

/** All wines in store, the one most at risk first, each with what it asks for next. */
export function useWinter() {
  const cellar = useCellarStore()
  const floor = useFloor()
  const now = useNow()
  const rows = computed(() => winterOf(cellar.lots, cellar.state, now.value))
  const lines = computed<WinterLine[]>(() =>
    rows.value.map((row) => {
      const item = floor.of(row.lotId)
      const first = item?.tasks[0]
      return {
        ...row,
        lot: cellar.lotOf(row.lotId)!,
        ...(first && {
          next: {
            title: first.words.title,
            ...(first.finding.window && { due: first.finding.window.due }),
            ...(first.to && { to: first.to })
          }
        })
      }
    })
  )
  return { lines, atRisk: computed(() => rows.value.filter((l) => l.risks.length > 0).length) }
}
