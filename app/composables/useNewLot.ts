import type { Ref } from 'vue'
import { ROOM, type RoomFor } from '~~/core/cellar'
import { arrivesOnSkins, yieldOfArrival } from '~~/core/must'
import { WINE_PER_KG, habitOf, spanBy } from '~~/core/way'
import { sayLotsOf } from '~/wording/habits'
import { type Draft, type Fact, type LotPlan, type LotView, type PacketStep, type Style, planOf, unusualIn } from '~~/core/ledger'
import { fromKilograms } from '~~/core/units'
import { newId } from '~/data/ids'
import { addition, fact } from '~~/core/drafts'
import type { STREAM_HINT } from '~/wording/terms'
import { useCans } from './useCans'
import { type KeptNumber, keptNumber, putBack, useKeptForm } from './useKeptForm'
import { useNewLotVessel } from './useNewLotVessel'
import { focusWrong } from '~/composables/focusWrong'
import { useFormat } from '~/composables/useFormat'
import { useHabits } from '~/composables/useHabits'
import { useLogged } from '~/composables/useLogged'
import { useQuantityField } from '~/composables/useQuantityField'
import { useVolumeField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

export type NewStream = keyof typeof STREAM_HINT

/** A start half filled in: what was chosen, and the numbers as they were typed. */
interface KeptStart { words: Record<string, unknown>, numbers: Record<string, KeptNumber> }

/** A lot that is started: what arrived, what can be expected of it, and where it goes. */
export function useNewLot() {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const route = useRoute()
  const f = useFormat()
  const logged = useLogged()

  /** What was expected and is here now (`?arrival=`). */
  const arrival = computed(() => (typeof route.query.arrival === 'string' ? cellar.state.arrivals.get(route.query.arrival) : undefined))
  const stream = ref<NewStream>('fresh')
  const style = ref<Style>('red')
  const name = ref('')
  const nameTouched = ref(false)
  const vintage = ref('')
  const origin = ref('')
  const packets = ref<{ name: string, step: PacketStep, day?: number }[]>([])
  /** A kept plan, or a lot of the same kind whose plan this one takes over, by its id. */
  const planLike = ref('usual')
  const plans = computed(() => [
    { value: 'usual', label: 'The usual plan' },
    ...[...cellar.state.plans.values()].filter(isOfKind).toReversed().map((p) => ({ value: p.planId, label: p.name })),
    ...cellar.lots
      .filter((l) => isOfKind(l) && Object.keys(unusualOf(l)).length > 0)
      .toReversed()
      .slice(0, 12)
      .map((l) => ({ value: l.id, label: `As for ${l.name}${l.vintage ? `, ${l.vintage}` : ''}` }))
  ])
  const isOfKind = (of: Pick<LotView, 'stream' | 'style'>) => of.stream === stream.value && of.style === style.value
  const unusualOf = (l: LotView) => unusualIn(planOf(l), l.style, l.stream)
  /** What the chosen plan has that is not the usual. */
  const unusual = computed<Partial<LotPlan>>(() => {
    const like = cellar.lotOf(planLike.value)
    return cellar.state.plans.get(planLike.value)?.plan ?? (like ? unusualOf(like) : {})
  })
  const saving = ref(false)
  /** When it arrived: now, unless it was earlier. */
  const at = ref<string>()
  /** Frozen must of a red has its skins in it, frozen juice none. */
  const onSkins = ref(true)
  /** Juice, frozen must and kits often come with sulphite in them; what is not said is asked on crush day. */
  const sulphited = ref<'later' | 'yes' | 'no' | 'unknown'>('later')
  const mayBeSulphited = computed(() => ['juice', 'frozen', 'kit'].includes(stream.value))

  const inLitres = (most: number, words: string, required = true) =>
    useVolumeField({ required, limits: { min: 0.1, max: most, words } })
  const mass = useQuantityField({
    kind: 'mass',
    unit: f.massUnit.value,
    units: ['kg', 'lb'],
    required: true,
    limits: { min: 0.5, max: 50_000, words: 'Enter between half a kilogram and 50 tonnes.' }
  })
  const volume = inLitres(100_000, 'Enter between a tenth of a litre and 100,000 litres.')
  const kitTarget = useQuantityField({
    kind: 'sugar',
    unit: 'SG',
    limits: { min: 1.03, max: 1.15, words: 'Enter between 1.030 and 1.150.' }
  })
  const kitLine = inLitres(10_000, 'Between a tenth of a litre and 10,000 litres.', false)
  const cans = useCans(kitTarget, kitLine)
  /** Fruit is weighed; where nobody could, its crushed must is measured, skins and all. */
  const unweighed = ref(false)
  const vessel = useNewLotVessel(() => willBe.value, () => room.value)
  const { vesselChoice, vesselName, kindChosen, fit } = vessel
  const words = {
    stream, style, name, vintage, origin, packets, vesselChoice, planLike, vesselName, kindChosen, at, onSkins, sulphited, unweighed,
    inCans: cans.inCans
  }
  const numbers = { mass, volume, capacity: vessel.capacity, kitTarget, kitLine, ...cans.fields }
  /** What was only proposed is proposed anew. */
  const typedNumbers = () =>
    Object.fromEntries(Object.entries(numbers).flatMap(([key, field]) => (field.untouched ? [] : [[key, keptNumber(field)]])))
  const isTyped = () => name.value.trim() !== '' || [mass, volume, cans.fields.cans].some((field) => !field.empty)
  const started = useKeptForm<KeptStart>(
    `presk.start|${String(route.query.arrival ?? '')}`,
    () => isTyped()
      ? {
          words: Object.fromEntries(Object.entries(words).map(([key, is]) => [key, is.value])) as KeptStart['words'],
          numbers: typedNumbers()
        }
      : undefined,
    (was) => {
      for (const [key, is] of Object.entries(words)) if (was.words[key] !== undefined) (is as Ref<unknown>).value = was.words[key]
      for (const [key, field] of Object.entries(numbers)) putBack(field, was.numbers[key])
    }
  )
  // What was put back is no new choice.
  watch([stream, style], () => (planLike.value = 'usual'))
  watch(style, (is) => (onSkins.value = is === 'red'))
  /** Concentrate that is counted in cans, and thinned before anything of it can be measured. */
  const inCans = computed(() => stream.value === 'kit' && cans.inCans.value)
  watch(
    arrival,
    (a) => {
      // What was typed about it already goes before what was expected.
      if (!a || isTyped()) return
      if (a.stream !== 'blend') stream.value = a.stream
      style.value = a.style
      name.value = a.name
      if (a.massKg) mass.fill(String(Number(fromKilograms(a.massKg, f.massUnit.value).toPrecision(4))))
      if (a.volumeL) volume.fill(f.typedVolume(a.volumeL))
    },
    { immediate: true }
  )

  const arrivesAs = computed(() => (stream.value === 'fresh' && unweighed.value ? 'crushed' : stream.value))
  const byMass = computed(() => arrivesAs.value === 'fresh' || arrivesAs.value === 'test')
  const arrived = computed(() => (byMass.value ? mass.value : inCans.value ? cans.makes.value?.syrupL : volume.value))
  /** A kit that is still to be watered becomes what its mark says, roughly; without a mark nothing can be expected yet. */
  const grows = computed(() => stream.value === 'kit' && !kitTarget.empty)
  const counted = computed(() => (inCans.value ? cans.makes.value?.mustL : grows.value ? kitLine.value : arrived.value))
  const habits = useHabits()
  /** What this cellar's own reds gave for a kilogram. */
  const ownYield = computed(() =>
    arrivesAs.value === 'fresh' && style.value === 'red' ? habitOf(habits.value, 'wine-per-kg', 'red') : undefined
  )
  const expected = computed(() => {
    const perKg = ownYield.value && spanBy(ownYield.value, WINE_PER_KG)
    return counted.value === undefined
      ? undefined
      : withinLimits(() => yieldOfArrival(arrivesAs.value, style.value, counted.value!, onSkins.value, perKg))
  })
  const litres = computed(() => (grows.value ? arrived.value : expected.value?.juice.value))
  /** A kit will grow by its water: its vessel must hold all of it. */
  const willBe = computed(() =>
    expected.value === undefined ? undefined : Math.max(expected.value.mustL, grows.value ? (arrived.value ?? 0) : 0)
  )
  /** Reds need the room of their cap, all other musts that of their foam. */
  const room = computed<RoomFor>(() =>
    arrivesOnSkins(stream.value, style.value, onSkins.value) ? 'cap' : 'foam'
  )
  /** The juice is estimated from must on its skins, and not measured. */
  const reckoned = computed(() => byMass.value || arrivesAs.value === 'crushed' || room.value === 'cap')
  const yieldWorking = computed(() => {
    const e = expected.value!
    const per = (litres: number) => (litres / counted.value!).toFixed(2)
    const unit = byMass.value ? 'kg' : 'L'
    const amount = Number(counted.value!.toPrecision(4))
    return [
      ...(reckoned.value
        ? [
            {
              what: 'Juice for dosing',
              formula: `${amount} ${unit} × ${per(e.juice.value)} L, ${
                ownYield.value ? `as ${sayLotsOf(ownYield.value.lots.length, 'red')} gave` : 'give or take 15 %'}`,
              result: f.words(f.volume(e.juice.value))
            }
          ]
        : []),
      {
        what: 'Wine',
        formula: `${amount} ${unit} × ${per(e.wine.low)} to ${per(e.wine.high)}`,
        result: f.volumes(e.wine.low, e.wine.high)
      },
      ...(willBe.value !== undefined
        ? [
            {
              what: 'Vessel',
              formula: `${Number(willBe.value.toPrecision(4))} L ÷ ${1 - ROOM[room.value]}, room for the ${room.value}`,
              result: f.words(f.volume(willBe.value / (1 - ROOM[room.value])))
            }
          ]
        : [])
    ]
  })
  const nameMessage = computed(() =>
    nameTouched.value && name.value.trim() === '' ? 'Enter a name.' : undefined
  )
  const vintageNumber = computed(() => (vintage.value.trim() === '' ? undefined : Number(vintage.value)))
  const vintageMessage = computed(() =>
    vintageNumber.value !== undefined &&
    !(Number.isInteger(vintageNumber.value) && vintageNumber.value >= 1900 && vintageNumber.value <= 2200)
      ? 'Enter a year, like 2026.'
      : undefined
  )

  async function start() {
    nameTouched.value = true
    const amount = byMass.value ? [mass] : inCans.value ? [] : [volume]
    const asked = [
      ...amount,
      ...(vessel.isNew.value ? [vessel.capacity] : []),
      ...(stream.value === 'kit' ? [kitTarget, kitLine] : []),
      ...(inCans.value ? cans.asked.value : [])
    ]
    asked.forEach((field) => field.touch())
    const wrong = name.value.trim() === '' || asked.some((field) => !field.ok) || vintageMessage.value || fit.value?.verdict === 'too-small'
      || (inCans.value && cans.tooMuch.value)
    if (wrong || litres.value === undefined) {
      return focusWrong()
    }
    saving.value = true
    const lotId = newId()
    const written = await cellar.log(drafts(lotId))
    saving.value = false
    if (!written) return
    started()
    settings.change({ asked: true })
    logged(`${name.value.trim()} added`)
    await navigateTo(`/crush/${lotId}`)
  }

  /** The lot, and its vessel when that is new. */
  function drafts(lotId: string): Draft<Fact>[] {
    const { vesselId, drafts: vesselAdded } = vessel.vesselDrafts()
    const plan = Object.keys(unusual.value).length > 0 ? [fact('lot-planned', { lotId, at: at.value, ...unusual.value })] : []
    const named = packets.value
      .filter((p) => p.name.trim())
      .map(({ name, step, day }) => ({ name: name.trim().slice(0, 80), step, ...(typeof day === 'number' && { day }) }))
    return [
      ...vesselAdded,
      fact('lot-started', {
        lotId,
        name: name.value.trim().slice(0, 80),
        stream: stream.value,
        style: style.value,
        varieties: [],
        volumeL: litres.value!,
        volumeIs: reckoned.value ? 'expected' : 'measured',
        massKg: byMass.value ? mass.value : undefined,
        vintage: vintageNumber.value,
        origin: origin.value.trim().slice(0, 120) || undefined,
        vesselId,
        arrivalId: arrival.value?.arrivalId,
        at: at.value,
        onSkins: stream.value === 'frozen' ? onSkins.value : undefined,
        sulphited: mayBeSulphited.value && sulphited.value !== 'later' ? sulphited.value : undefined,
        kit:
          stream.value === 'kit' && kitTarget.value !== undefined
            ? { targetSg: kitTarget.value, packets: named, ...(kitLine.value !== undefined && !inCans.value && { lineL: kitLine.value }) }
            : undefined
      }),
      ...(inCans.value ? [firstWater(lotId)] : []),
      ...plan
    ]
  }
  /** What thins the syrup so far that it can be measured; the rest goes in on the crush floor, by its gravity. */
  const firstWater = (lotId: string) =>
    addition({
      lotId,
      at: at.value,
      material: 'water',
      planned: cans.makes.value!.firstL,
      actual: cans.fields.firstWater.value!,
      purpose: 'to the gravity',
      stage: { number: 1, of: 2 }
    })
  return {
    arrival,
    stream,
    style,
    name,
    nameTouched,
    nameMessage,
    vintage,
    vintageMessage,
    origin,
    packets,
    ...vessel,
    planLike,
    plans,
    unusual,
    saving,
    at,
    onSkins,
    sulphited,
    mayBeSulphited,
    reckoned,
    mass,
    volume,
    kitTarget,
    kitLine,
    cans,
    inCans,
    byMass,
    arrivesAs,
    unweighed,
    grows,
    expected,
    willBe,
    room,
    yieldWorking,
    start
  }
}
export type NewLot = ReturnType<typeof useNewLot>
