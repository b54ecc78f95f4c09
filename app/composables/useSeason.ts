import { DAY_MS } from '~~/core/units'
import { earlierLike } from '~~/core/compare'
import { fact } from '~~/core/drafts'
import { type LotView, isHeld } from '~~/core/ledger'
import { bottlesLeft } from '~~/core/stages'
import { type WayStep, endangers, wayOf } from '~~/core/way'
import { dayHere, sayDay, sayMonth } from '~/wording/days'
import { STEP, sayTooEarly } from '~/wording/way'
import { useHabits } from '~/composables/useHabits'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'
import { useForecastsStore } from '~/stores/forecasts'

const MOST_AHEAD = 3 * 366 * DAY_MS
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
  /** The same wine of an earlier year: its steps as many days after its start, laid under this one's. */
  before?: { name: string, done: { code: WayStep['code'], at: string }[] }
}

/** All lots on one line of time: what happened, and what comes with its window. */
export function useSeason(span: () => SpanKey) {
  const cellar = useCellarStore()
  const forecasts = useForecastsStore()
  const now = useNow()
  const logged = useLogged()
  const habits = useHabits()
  const rows = computed<SeasonRow[]>(() =>
    cellar.lots
      .filter((lot) => lot.stream !== 'test' && (isHeld(lot) || bottlesLeft(lot) > 0))
      .map((lot): SeasonRow => {
        const steps = wayOf(lot, now.value, forecasts.known.get(lot.id), habits.value)
        const next = steps.find((s) => !s.doneAt)
        const before = beforeOf(lot)
        return { lot, steps, ...(next && { next }), ...(before && { before }) }
      })
      // Those with nothing to come are last.
      .sort((a, b) => Date.parse(a.next?.likely ?? NEVER) - Date.parse(b.next?.likely ?? NEVER))
  )
  function beforeOf(lot: LotView): SeasonRow['before'] {
    const earlier = earlierLike(lot, cellar.lots)
    if (!earlier) return undefined
    const later = Date.parse(lot.startedAt) - Date.parse(earlier.startedAt)
    const done = wayOf(earlier, now.value).flatMap((s) =>
      s.doneAt ? [{ code: s.code, at: new Date(Date.parse(s.doneAt) + later).toISOString() }] : [])
    return done.length > 1 ? { name: earlier.name, done } : undefined
  }
  const range = computed(() => {
    const { back, ahead } = SPANS[span()]
    const today = Date.parse(now.value)
    return { from: today - back * DAY_MS, to: today + ahead * DAY_MS }
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
  /**
   * Puts a step on a day, or back to when it comes by itself.
   * @returns what is wrong with that day, or nothing once it is written
   */
  async function moveStep(lot: LotView, step: WayStep, day: string | null): Promise<string | undefined> {
    if (day !== null) {
      if (!/^\d{4}-\d{2}-\d{2}$/.test(day)) return 'Enter a day.'
      if (day < dayHere(now.value)) return 'That day has passed.'
      if (Date.parse(day) - Date.parse(now.value) > MOST_AHEAD) return 'That is more than three years away.'
      if (endangers(step, day) === 'too-early') return sayTooEarly(step.code, step.moved?.earliest ?? step.earliest)
    }
    const done = await cellar.log([fact('lot-planned', { lotId: lot.id, step: { code: step.code, day } })])
    if (!done) return cellar.issues[0]?.reason ?? 'That could not be saved.'
    logged(day === null ? `${STEP[step.code].label}: back to the forecast` : `${STEP[step.code].label}: planned for ${sayDay(day)}`)
    return undefined
  }
  return { rows, range, placeOf, months, moveStep }
}
