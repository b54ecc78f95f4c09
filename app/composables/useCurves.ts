import { HOUR_MS, hoursBetween } from '~~/core/units'
import { bandOfLot, believedTemperatures, doubtedReadings } from '~~/core/stages'
import { brixFromSg } from '~~/core/hydrometry'
import type { LotView } from '~~/core/ledger'
import { unchanged } from '~/composables/unchanged'
import { useStory } from '~/composables/useStory'
import { useCellarStore } from '~/stores/cellar'
import { useForecastsStore } from '~/stores/forecasts'

/** A measured point of a curve, with the entry it comes from. */
export interface CurvePoint { x: number, y: number, entryId: string, doubtful?: boolean }
/** Something that was done to the lot, to be marked on its curves. */
export interface CurveMark { x: number, text: string, entryId: string }

const DAY = 24 * HOUR_MS
/** More marks than these cover each other. */
const MOST_MARKS = 120
const MARKED = new Set(['addition', 'inoculation', 'operation', 'transfer'])

/** What the curves of a lot are drawn from: what was measured, what is forecast, what was done, and the axes around all of it. */
export function useCurves(lot: () => LotView, scale: () => 'SG' | '°Brix') {
  const cellar = useCellarStore()
  const forecasts = useForecastsStore()
  const story = useStory()
  const known = computed(() => forecasts.known.get(lot().id))
  const shown = (sg: number) => (scale() === 'SG' ? sg : brixFromSg(sg))
  const doubted = computed(() => new Set(doubtedReadings(lot(), known.value).map((d) => d.point.entryId)))
  const hoursOf = (at: string) => (known.value ? hoursBetween(known.value.startAt, at) : 0)

  const gravity = unchanged<CurvePoint[]>(() =>
    (lot().series.sg ?? []).map((p) => ({
      x: Date.parse(p.at),
      y: shown(p.value),
      entryId: p.entryId,
      doubtful: doubted.value.has(p.entryId)
    }))
  )
  const temperature = unchanged<CurvePoint[]>(() =>
    believedTemperatures(lot()).map((p) => ({ x: Date.parse(p.at), y: p.value, entryId: p.entryId }))
  )
  /** From the last look on; before it the readings speak. */
  const ahead = unchanged(() => {
    const k = known.value
    if (!k) return []
    const last = gravity.value.at(-1)?.x ?? Date.parse(k.startAt)
    const dryBy = k.forecast.dry ? k.forecast.dry.highHours + 24 : hoursOf(new Date(last).toISOString()) + 240
    return k.forecast.expected
      .map((e) => ({ x: Date.parse(k.startAt) + e.hours * HOUR_MS, low: shown(e.sg.low), mid: shown(e.sg.mid), high: shown(e.sg.high) }))
      .filter((e) => e.x > last - 12 * HOUR_MS && e.x <= Date.parse(k.startAt) + dryBy * HOUR_MS)
  })
  /** Additions and work, from the yeast or a day before the first gravity on; readings are points themselves. */
  const marks = unchanged<CurveMark[]>(() =>
    story
      .linesOf(lot().id, MOST_MARKS, ({ fact, struck }) => !struck && MARKED.has(fact.type) && Date.parse(fact.at) >= (days.value.min ?? 0))
      .map((l) => ({ x: Date.parse(l.at), text: l.text, entryId: l.id }))
  )
  const band = unchanged(() => bandOfLot(lot(), cellar.state.cards))
  /** Whole half days around all points, so that neither the first nor the last date is cut. */
  const days = unchanged(() => {
    const at = [...gravity.value, ...temperature.value, ...ahead.value].map((p) => p.x)
    return at.length > 0 ? { min: Math.min(...at) - DAY / 4, max: Math.max(...at) + DAY / 4 } : {}
  })
  return { gravity, temperature, ahead, marks, band, days, known, shown }
}
