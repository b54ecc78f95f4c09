import { type LotView, isHeld } from '~~/core/ledger'
import { bottlesLeft } from '~~/core/stages'
import { type WayStep, wayOf } from '~~/core/way'
import { sayMonth } from '~/wording/days'

const DAY = 86_400_000
const NEVER = '9999-01-01T00:00:00.000Z'
/** How much of the year is shown: days back and ahead. */
export const SPANS = {
  months3: { label: '3 months', back: 21, ahead: 70 },
  months6: { label: '6 months', back: 45, ahead: 137 },
  year: { label: 'A year', back: 90, ahead: 275 }
} as const
export type SpanKey = keyof typeof SPANS

export interface SeasonRow {
  lot: LotView
  steps: WayStep[]
  /** The first that is still to come. */
  next?: WayStep
}

/** All lots on one line of time: what happened, and what comes with its window. */
export function useSeason(span: () => SpanKey) {
  const cellar = useCellarStore()
  const forecasts = useForecastsStore()
  const now = useNow()
  const rows = computed<SeasonRow[]>(() =>
    cellar.lots
      .filter((lot) => lot.stream !== 'test' && (isHeld(lot) || bottlesLeft(lot) > 0))
      .map((lot): SeasonRow => {
        const steps = wayOf(lot, now.value, forecasts.known.get(lot.id))
        const next = steps.find((s) => !s.doneAt)
        return { lot, steps, ...(next && { next }) }
      })
      // Those with nothing to come are last.
      .sort((a, b) => Date.parse(a.next?.likely ?? NEVER) - Date.parse(b.next?.likely ?? NEVER))
  )
  const range = computed(() => {
    const { back, ahead } = SPANS[span()]
    const today = Date.parse(now.value)
    return { from: today - back * DAY, to: today + ahead * DAY }
  })
  /** The position of an instant on the line, %; undefined outside of it. */
  const placeOf = (at: string | number): number => {
    const { from, to } = range.value
    return ((typeof at === 'number' ? at : Date.parse(at)) - from) / (to - from) * 100
  }
  const months = computed(() => {
    const { from, to } = range.value
    const first = new Date(from)
    const marks: { label: string, at: number }[] = []
    const monthAfter = (m: Date) => new Date(m.getFullYear(), m.getMonth() + 1, 1)
    for (let m = monthAfter(first); m.getTime() < to; m = monthAfter(m)) marks.push({ label: sayMonth(m), at: placeOf(m.getTime()) })
    return marks
  })
  return { rows, range, placeOf, months }
}
