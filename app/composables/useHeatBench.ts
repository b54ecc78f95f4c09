import { heatBalance, learnLoss } from '~~/core/fermentation'
import { gravityOf } from '~~/core/hydrometry'
import type { LotView } from '~~/core/ledger'
import { airBeside, bandOfLot, believedTemperatures, expectedAt } from '~~/core/stages'

const HOUR = 3_600_000
/** A cellar of which nothing was read, °C. */
const USUAL_ROOM_C = 16
/** Fall of gravity by a gram of sugar in a litre, in the middle of a ferment. */
const SG_PER_GRAM = (gravityOf(220, 0) - gravityOf(20, 200 / 2.0665)) / 200

/** Ice or warmth for a vessel: the heat of its ferment at the pace of its forecast, against its walls as its own readings show them. */
export function useHeatBench(lot: Ref<LotView | undefined>) {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const forecasts = useForecastsStore()
  forecasts.hurry()
  const now = useNow()
  const f = useFormat()
  const degrees = (min: number, max: number) =>
    useQuantityField({
      kind: 'temperature',
      unit: settings.values.temperature,
      units: ['°C', '°F'],
      required: true,
      limits: { min, max, words: f.degrees(`Between ${min} and ${max} °C.`) }
    })
  const typed = (celsius: number) => f.typed(Math.round(celsius * 2) / 2, 'temperature', settings.values.temperature)
  const volume = useVolumeField()
  const [must, target, room] = [degrees(-2, 50), degrees(0, 40), degrees(-20, 50)]
  const limits = { min: 0, max: 150, words: 'Between 0 and 150 g of sugar in a litre a day.' }
  const pace = useQuantityField({ kind: 'plain', unit: '', required: true, limits })
  room.text = typed(USUAL_ROOM_C)
  const known = computed(() => (lot.value ? forecasts.known.get(lot.value.id) : undefined))
  /** What the forecast expects it to take over the next day. */
  const forecastPace = computed(() => {
    const a = expectedAt(known.value, now.value)
    const b = expectedAt(known.value, new Date(Date.parse(now.value) + 24 * HOUR).toISOString())
    return a && b ? Math.max(0, (a.mid - b.mid) / SG_PER_GRAM) : undefined
  })
  const fill = { volume: filler(volume), must: filler(must), target: filler(target), room: filler(room), pace: filler(pace) }
  let of: string | undefined
  watch(
    [lot, forecastPace],
    ([l, p]) => {
      if (!l) return
      // What was typed of one ferment is none of the next's; the room stays the room.
      const anew = of !== l.id
      of = l.id
      fill.volume(f.typed(Number(l.volume.value.toPrecision(3)), 'volume', f.volumeUnit.value), anew)
      const warm = believedTemperatures(l).at(-1)?.value
      fill.must(warm === undefined ? '' : typed(warm), anew)
      const band = bandOfLot(l, cellar.state.cards)
      const held = warm === undefined ? (band.min + band.max) / 2 : Math.min(band.max - 1, Math.max(band.min + 2, warm))
      fill.target(typed(held), anew)
      fill.room(typed(airBeside(l, cellar.state.vessels, now.value)?.value ?? USUAL_ROOM_C))
      fill.pace(p === undefined ? '' : p.toFixed(0), anew)
    },
    { immediate: true }
  )
  /** Learnt from this vessel's temperatures where there are some; the usual by its size else. */
  const loss = computed(() => {
    const [l, k] = [lot.value, known.value]
    if (!l || !k) return undefined
    const looks = believedTemperatures(l).map((p) => ({ hours: (Date.parse(p.at) - Date.parse(k.startAt)) / HOUR, celsius: p.value }))
    if (looks.length < 3 || room.value === undefined) return undefined
    const sgAt = (hours: number) => expectedAt(k, new Date(Date.parse(k.startAt) + hours * HOUR).toISOString())?.mid ?? 1
    return withinLimits(() => learnLoss(looks, (h) => (sgAt(h) - 0.99) / SG_PER_GRAM, room.value!, l.volume.value))
  })
  const ok = computed(() => [volume, must, target, room, pace].every((x) => x.ok))
  const balance = computed(() =>
    ok.value
      ? withinLimits(() =>
          heatBalance({
            volumeL: volume.value!,
            sugarGPerLDay: pace.value!,
            celsius: must.value!,
            targetC: target.value!,
            roomC: room.value!,
            ...(loss.value !== undefined && { lossWPerK: loss.value })
          })
        )
      : undefined
  )
  return { volume, must, target, room, pace, loss, balance }
}
