import { HOUR_MS } from '~~/core/units'
import { brixFromSg, correctRefractometer, sgFromBrix } from '~~/core/hydrometry'
import { BELIEVED_C, type LotView, type Smell, gravityOf } from '~~/core/ledger'
import { expectedAt, fermentStart, oddGravity } from '~~/core/stages'
import { type KeptStop, type RoundWork, lookEntries } from './useRound'
import { useGravityInstruments } from '~/composables/useGravityInstruments'
import { useNow } from '~/composables/useNow'
import { useQuantityField } from '~/composables/useQuantityField'
import { sugarQuantity, useSugarField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'
import { useForecastsStore } from '~/stores/forecasts'
import { useSettingsStore } from '~/stores/settings'

/** With what gravity was last read on a round: most people have one hydrometer. */
const LAST_WITH = 'presk.round.with'

/** The fields of one vessel on the round, what they mean, and the entries that they make. */
export function useRoundStop(lot: LotView, kept: KeptStop | undefined) {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const forecasts = useForecastsStore()
  forecasts.hurry()
  const now = useNow()

  const gravity = useSugarField('SG')
  gravity.unit = gravity.units.find((u) => u === kept?.unit) ?? 'SG'
  const celsius = useQuantityField({
    kind: 'temperature',
    unit: settings.values.temperature,
    units: ['°C', '°F'],
    quantity: () => 'temperature'
  })
  const sampleC = useQuantityField({
    kind: 'temperature',
    unit: settings.values.temperature,
    units: ['°C', '°F'],
    quantity: () => 'temperature'
  })
  gravity.text = kept?.gravity ?? ''
  sampleC.text = kept?.sample ?? ''
  celsius.text = kept?.celsius ?? ''
  const smells = ref<Smell[]>([...(kept?.smells ?? [])])
  const work = ref<RoundWork[]>([...(kept?.work ?? [])])
  const note = ref(kept?.note ?? '')

  const { items: instruments, kindOf } = useGravityInstruments()
  const readWith = ref(kept?.with || sessionStorage.getItem(LAST_WITH) || instruments.value[0]!.value)
  const byRefractometer = computed(() => (kindOf(readWith.value) ?? readWith.value) === 'refractometer')
  // A refractometer shows °Brix.
  watch(byRefractometer, (is) => {
    if (is && gravity.empty) gravity.unit = '°Brix'
  }, { immediate: true })

  const typed = computed<KeptStop>(() => ({
    gravity: gravity.text,
    unit: gravity.unit,
    celsius: celsius.text,
    sample: sampleC.text,
    with: readWith.value,
    smells: smells.value,
    work: work.value,
    note: note.value
  }))
  /** A hydrometer that floats in the must is read at the must's temperature, a sample taken out at its own. */
  const readAt = computed(() => {
    const at = sampleC.value ?? celsius.value
    return at !== undefined && at >= BELIEVED_C.min && at <= BELIEVED_C.max ? at : undefined
  })
  const expected = computed(() => expectedAt(forecasts.known.get(lot.id), now.value))
  const unit = computed(() => (gravity.parsed.ok ? gravity.parsed.unit : undefined))

  /** What was typed, as the gravity it will count as; a refractometer's is corrected from this lot's own original °Brix. */
  const counts = computed(() => {
    const value = gravity.value
    if (value === undefined) return undefined
    if (byRefractometer.value && unit.value === '°Brix') {
      const original = lot.originalSg && brixFromSg(lot.originalSg.value)
      return original !== undefined && value < original ? withinLimits(() => correctRefractometer(original, value).sg) : sgFromBrix(value)
    }
    const read = { quantity: sugarQuantity(unit.value), value, ...(readAt.value !== undefined && { sampleC: readAt.value }) }
    return withinLimits(() => gravityOf(read, value, cellar.state.instruments.get(readWith.value)))
  })
  const corrected = computed(
    () => counts.value !== undefined && (byRefractometer.value || (unit.value === 'SG' && Math.abs(counts.value - gravity.value!) > 0.0004))
  )
  const confirmed = ref('')
  const odd = computed(() => {
    const [sg, e, last] = [counts.value, expected.value, lot.series.sg?.at(-1)]
    if (sg === undefined || confirmed.value === gravity.text) return undefined
    switch (oddGravity(sg, last?.value, e)) {
      case 'rose':
        return `That is higher than the last reading of ${last!.value.toFixed(3)}. Is it correct?`
      case 'unexpected':
        return `About ${e!.mid.toFixed(3)} was expected. Are two digits swapped?`
      default:
        return undefined
    }
  })
  const nothing = computed(
    () => gravity.empty && celsius.empty && smells.value.length === 0 && work.value.length === 0 && note.value.trim() === ''
  )
  const day = computed(() => {
    const start = fermentStart(lot)
    return start ? Math.floor((Date.parse(now.value) - Date.parse(start)) / (24 * HOUR_MS)) + 1 : undefined
  })

  function ok(): boolean {
    gravity.touch()
    celsius.touch()
    sampleC.touch()
    return gravity.ok && celsius.ok && sampleC.ok && !odd.value
  }
  async function log(): Promise<boolean> {
    sessionStorage.setItem(LAST_WITH, readWith.value)
    const look = {
      ...(gravity.value !== undefined && {
        gravity: { quantity: sugarQuantity(unit.value), typed: gravity.text, value: gravity.value },
        with: readWith.value,
        sampleC: readAt.value
      }),
      ...(celsius.value !== undefined && { celsius: { typed: celsius.text, value: celsius.value } }),
      smells: smells.value,
      work: work.value,
      note: note.value
    }
    return (await cellar.log(lookEntries(lot.id, look, kindOf))) !== undefined
  }
  const confirm = () => {
    confirmed.value = gravity.text
  }
  return {
    gravity,
    celsius,
    sampleC,
    smells,
    work,
    note,
    instruments,
    readWith,
    byRefractometer,
    typed,
    expected,
    counts,
    corrected,
    odd,
    confirm,
    nothing,
    day,
    ok,
    log
  }
}
