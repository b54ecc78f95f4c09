import { type Move, type MoveAs, airOver, draftsOfMove, leftOf, mayBeLees, problemOfMove } from '~~/core/benches'
import type { LotView } from '~~/core/ledger'
import { SO2_SHARE } from '~~/core/sulphite'
import { airAdvice, isKept, leesShareOf, roundDose, toppingWines } from '~~/core/stages'
import { newId } from '~/data/ids'
import { type KeptNumber, keptNumber, putBack, useKeptForm } from './useKeptForm'
import { type KeptRow, useMoveRows } from './useMoveRows'
import { MOVE_AS, TOPPING_DOUBT, sayLikeness, sayMoveProblem } from '~/wording/moving'
import { useFormat } from '~/composables/useFormat'
import { useMovePreview } from '~/composables/useMovePreview'
import { useNow } from '~/composables/useNow'
import { useQuantityField } from '~/composables/useQuantityField'
import { useWeighing } from '~/composables/useWeighing'
import { useVolumeField } from '~/composables/usualFields'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** A move half filled in. It is of the wine where it was: once that was moved, the form begins anew. */
interface KeptMove {
  as: MoveAs
  from: string
  ours: string
  rows: KeptRow[]
  other: string
  otherL: KeptNumber
  sulphite: KeptNumber
  ownName?: string
  isLees?: boolean
  air?: 'quiet' | 'splashed'
}

/**
 * The fields of one move of wine, in the form that fits its case: from where, into what, what stays behind, with air or without, sulphite
 * on what arrives; and how the shelf looks after it. The case is in the address. What is wrong and what is written is the core's.
 */
export function useMove(lotId: string) {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const route = useRoute()
  const now = useNow()
  const f = useFormat()
  const { weigh } = useWeighing()
  const lot = computed(() => cellar.lotOf(lotId))
  const as = computed<MoveAs>({
    get: () => (String(route.query.as ?? '') in MOVE_AS ? (String(route.query.as) as MoveAs) : 'rack'),
    set: (to) => void navigateTo({ query: { ...route.query, as: to } }, { replace: true })
  })
  const vesselOf = (id: string) => cellar.state.vessels.get(id)
  const nameOf = (id: string) => vesselOf(id)?.name ?? 'no vessel named'

  /** Where it comes from: of a top-up the vessel that is filled up, else the one that is emptied. */
  const ours = ref('')
  const ourVessels = computed(() => [...(lot.value?.contents ?? [])].map(([id, litres]) => ({ id, litres })))
  const ourItems = computed(() =>
    ourVessels.value.map(({ id, litres }) => ({ value: id, label: `${nameOf(id)}, ${f.words(f.volume(litres))}` }))
  )
  const held = computed(() => lot.value?.contents.get(ours.value) ?? 0)
  const airOf = (id: string, litres: number) => airOver(cellar.state, id, litres)
  watch(
    [as, () => lot.value?.id],
    () => {
      const all = ourVessels.value
      const airiest = [...all].sort((a, b) => airOf(b.id, b.litres) - airOf(a.id, a.litres))[0]
      const largest = [...all].sort((a, b) => b.litres - a.litres)[0]
      ours.value = (as.value === 'top-up' ? airiest : largest)?.id ?? ''
    },
    { immediate: true }
  )

  /** What may be expected to arrive, net of lees. */
  const expectedL = computed(() => (as.value === 'rack' && lot.value ? held.value * (1 - leesShareOf(lot.value)) : held.value))
  const moveRows = useMoveRows(lot, as, expectedL)
  const { rows, inAll, asTyped } = moveRows
  watch([as, ours], moveRows.chooseUsual)

  /** What is left where it came from. */
  const parts = computed(() => rows.value.map((r) => ({ vesselId: r.vesselId, litres: r.litres.value })))
  const leftL = computed(() => leftOf(held.value, { parts: parts.value }))
  const leesChosen = ref<boolean>()
  const likeLees = computed(() => as.value === 'rack' && lot.value !== undefined && mayBeLees(lot.value, held.value, leftL.value))
  const isLees = computed({ get: () => leesChosen.value ?? likeLees.value, set: (is: boolean) => (leesChosen.value = is) })
  watch(as, () => (leesChosen.value = undefined))

  /** A part may go on as a lot of its own. */
  const ownLot = ref(false)
  const ownName = ref('')

  // Topping up: with which wine, out of which of its vessels; this lot's own jugs among them.
  const toppers = computed(() => {
    const l = lot.value
    if (!l) return []
    const own = ourVessels.value
      .filter((v) => v.id !== ours.value)
      .map((v) => ({ value: `${l.id}/${v.id}`, label: `${l.name} in ${nameOf(v.id)}, ${f.words(f.volume(v.litres))}: the same wine` }))
    const others = toppingWines(l, cellar.lots, cellar.state.vessels, now.value).flatMap((t) => {
      const other = cellar.lotOf(t.lotId)!
      const doubts = t.doubts.map((d) => TOPPING_DOUBT[d])
      return [...other.contents].map(([id, litres]) => ({
        value: `${other.id}/${id}`,
        label: `${other.name} in ${nameOf(id)}, ${f.words(f.volume(litres))}: ${[sayLikeness(t.likeness), ...doubts].join(', ')}`
      }))
    })
    return [...own, ...others]
  })
  const topper = ref('')
  const topperLot = computed(() => (as.value === 'top-up' ? cellar.lotOf(topper.value.split('/')[0] ?? '') : undefined))
  const topL = useVolumeField({ required: true })
  const topRoom = computed(() => airOf(ours.value, held.value))
  watch(
    [as, ours],
    () => {
      if (as.value === 'top-up' && topRoom.value > 0.05) topL.fill(asTyped(topRoom.value))
    },
    { immediate: true }
  )

  // Combining: into which vessel of another lot.
  const partners = computed(() =>
    cellar.lots
      .filter((l) => l.id !== lotId && l.stream !== 'test')
      .flatMap((l) =>
        [...l.contents].map(([id, litres]) => ({
          value: `${l.id}/${id}`,
          label: `${l.name} in ${nameOf(id)}: ${f.words(f.volume(airOf(id, litres)))} of space`
        }))
      )
  )
  const partner = ref('')
  const combineL = useVolumeField({ required: true })
  watch([as, partner], () => {
    const [id, vesselId] = partner.value.split('/')
    const other = id ? cellar.lotOf(id) : undefined
    if (as.value === 'combine' && other && combineL.text === '')
      combineL.fill(asTyped(Math.min(held.value, airOf(vesselId ?? '', other.contents.get(vesselId ?? '') ?? 0))))
  })
  const receiver = computed<LotView | undefined>(() =>
    as.value === 'combine' ? cellar.lotOf(partner.value.split('/')[0] ?? '') : as.value === 'top-up' ? lot.value : undefined
  )

  // Air.
  const advice = computed(() => lot.value && airAdvice(lot.value, now.value))
  const airChosen = ref<'quiet' | 'splashed'>()
  const air = computed({ get: () => airChosen.value ?? advice.value?.air ?? 'quiet', set: (to) => (airChosen.value = to) })

  // Sulphite, on what arrives.
  const salt = computed(() => settings.values.salt)
  const dose = computed(() => (as.value === 'rack' && lot.value ? roundDose(lot.value) : undefined))
  const doseG = computed(() => ((dose.value?.addMgPerL ?? 0) * (inAll.value || expectedL.value)) / 1000 / SO2_SHARE[salt.value])
  const weighed = computed(() => weigh(salt.value, doseG.value))
  const byStock = computed(() => weighed.value.stockMl !== undefined)
  const doseShown = computed(() => (byStock.value ? { text: weighed.value.stockMl!.toFixed(1), unit: 'mL' } : weighed.value.shown))
  const sulphite = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.001, max: 100_000, words: 'Enter how much went in.' } })

  const placeOf = (chosen: string) => {
    const [id, vesselId] = chosen.split('/')
    return id ? { lotId: id, ...(vesselId && { vesselId }) } : undefined
  }
  /** A part that becomes a lot keeps its name for the ledger while it is being typed. */
  const partId = newId()
  const asked = computed<Move>(() => ({
    as: as.value,
    ours: { lotId, ...(ours.value && { vesselId: ours.value }) },
    parts: parts.value,
    own: as.value === 'split' && ownLot.value ? { lotId: partId, name: ownName.value } : undefined,
    other: placeOf(as.value === 'top-up' ? topper.value : partner.value),
    otherL: (as.value === 'top-up' ? topL : combineL).value,
    leavesLees: isLees.value,
    air: air.value,
    sulphite:
      dose.value && sulphite.value
        ? { salt: salt.value, plannedG: doseG.value, actual: sulphite.value, byStock: byStock.value }
        : undefined
  }))
  const drafts = computed(() => draftsOfMove(asked.value, cellar.state, cellar.lotOf))

  /** What comes together, where two wines do: as much as is typed, or could go over. */
  const meeting = computed(() => {
    const [l, giving] = [lot.value, giver.value]
    const taking = receiver.value
    if (!l || !giving || !taking || giving.id === taking.id) return []
    const litres = (as.value === 'combine' ? combineL : topL).value ?? held.value
    return [{ lot: giving, litres }, { lot: taking, litres: taking.volume.value }]
  })
  const giver = computed(() => (as.value === 'combine' ? lot.value : topperLot.value))
  const { shelf, blended, refused } = useMovePreview(drafts, giver, receiver)

  const whereItIs = () => ourVessels.value.map(({ id, litres }) => `${id} ${litres.toFixed(2)}`).join()
  const otherField = () => (as.value === 'top-up' ? topL : combineL)
  const otherPlace = () => (as.value === 'top-up' ? topper : partner)
  const done = useKeptForm<KeptMove>(
    `presk.move|${lotId}`,
    () => {
      const keptRows = moveRows.keptRows()
      if (!lot.value || (keptRows.length === 0 && !otherPlace().value && otherField().untouched && sulphite.empty)) return undefined
      return {
        as: as.value,
        from: whereItIs(),
        ours: ours.value,
        rows: keptRows,
        other: otherPlace().value,
        otherL: keptNumber(otherField()),
        sulphite: keptNumber(sulphite),
        ...(ownLot.value && { ownName: ownName.value }),
        ...(leesChosen.value !== undefined && { isLees: leesChosen.value }),
        ...(airChosen.value && { air: airChosen.value })
      }
    },
    (was) => {
      if (was.as !== as.value || was.from !== whereItIs()) return
      ours.value = was.ours
      moveRows.putRowsBack(was.rows)
      otherPlace().value = was.other
      // The vessel that is chosen fills in its own amount first.
      void nextTick(() => putBack(otherField(), was.otherL))
      putBack(sulphite, was.sulphite)
      ownLot.value = was.ownName !== undefined
      ownName.value = was.ownName ?? ''
      leesChosen.value = was.isLees
      airChosen.value = was.air
    }
  )
  moveRows.chooseUsual()

  const wrong = ref<{ field: string, reason: string }>()
  watch(drafts, () => (wrong.value = undefined))
  async function log(): Promise<boolean> {
    const fields = as.value === 'top-up' ? [topL] : as.value === 'combine' ? [combineL] : rows.value.map((r) => r.litres)
    fields.forEach((field) => field.touch())
    sulphite.touch()
    const problem = problemOfMove(asked.value, cellar.state, cellar.lotOf)
    wrong.value = problem && { field: problem.field, reason: sayMoveProblem(problem, nameOf, (litres) => f.words(f.volume(litres))) }
    if (wrong.value || fields.some((field) => !field.ok) || !sulphite.ok) return false
    if ((await cellar.log(drafts.value)) === undefined) return false
    done()
    return true
  }
  return {
    lot,
    as,
    ours,
    ourItems,
    held,
    expectedL,
    ...moveRows,
    leftL,
    isLees,
    ownLot,
    ownName,
    toppers,
    topper,
    topL,
    topRoom,
    partners,
    partner,
    combineL,
    advice,
    air,
    dose,
    doseG,
    weighed,
    byStock,
    doseShown,
    sulphite,
    salt,
    meeting,
    shelf,
    blended,
    refused,
    wrong,
    log,
    drafts,
    nameOf,
    kept: computed(() => lot.value !== undefined && isKept(lot.value))
  }
}
