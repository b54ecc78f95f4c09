import { addition, fact } from '~~/core/drafts'
import { UNITS_WANTED, minutesFor, pasteurisationUnits, sorbateDose, sweetLadder, sweetenWith } from '~~/core/finishing'
import { type Draft, type Fact, type LotView, isFermenting } from '~~/core/ledger'
import { cardOf } from '~~/core/materials'
import { readinessOf } from '~~/core/stages'

/** What holds a sweet wine sweet; cold alone does not, and is there to say so. */
export type HeldBy = 'sorbate' | 'heat' | 'cold'

/** A sweet wine that stays so: its figures, the ladder of glasses, sorbate or heat, and the lines in the ledger. */
export function useSweetening(lot: Ref<LotView | undefined>) {
  const cellar = useCellarStore()
  const now = useNow()
  const f = useFormat()
  const way = ref<HeldBy>('sorbate')
  const fields = {
    volume: useVolumeField(),
    ph: useQuantityField({ kind: 'plain', unit: '', required: true, quantity: () => 'ph' }),
    abv: usePlainField(0, 18, 'Between 0 and 18 % vol.'),
    free: usePlainField(0, 300, 'Enter between 0 and 300 mg/L.'),
    glassMl: usePlainField(20, 1000, 'Between 20 and 1000 mL.', { text: '100' }),
    chosen: usePlainField(0, 200, 'Between 0 and 200 g/L.'),
    heat: useDegreesField(50, 80, 63)
  }
  const [sugarIn, sorbateIn, heldFor] = [useWentInField(), useWentInField(), useWentInField('Between 0 and 600 minutes.', 600)]
  /** What forbids sorbate, by the ledger; a person who knows better says so. */
  const hadBacteria = ref(false)
  const ferments = ref(false)
  watch(
    () => lot.value?.id,
    () => {
      // What was typed for one wine is not logged to another.
      for (const field of [sugarIn, sorbateIn, heldFor, fields.chosen]) field.clear()
      const l = lot.value
      if (!l) return
      fields.volume.fill(f.typedVolume(l.volume.value))
      fields.ph.fill(l.ph?.value.toFixed(2) ?? '')
      fields.abv.fill(l.abv?.value.toFixed(1) ?? '')
      fields.free.fill(l.freeSo2?.value.toFixed(0) ?? '')
      hadBacteria.value = l.malolactic === 'done' || l.bacteriaAt !== undefined
      const stable = readinessOf(l, 'sweetening', now.value).conditions.find((c) => c.code === 'stable-gravity')
      ferments.value = isFermenting(l) || stable?.state !== 'met'
    },
    { immediate: true }
  )
  const glasses = computed(() => (fields.glassMl.value === undefined ? [] : sweetLadder(fields.glassMl.value)))
  /** With what: each brings water and acid of its own. */
  const sweetener = ref('sugar')
  const sweetened = computed(() => {
    const [gPerL, litres] = [fields.chosen.value, fields.volume.value]
    const effect = cardOf(sweetener.value, cellar.state.cards)?.effect
    if (gPerL === undefined || litres === undefined || effect?.on !== 'sugar') return undefined
    return withinLimits(() => sweetenWith(effect, gPerL, litres, Math.min(30, lot.value?.ta?.value ?? 0)))
  })
  const sorbate = computed(() => {
    const [volumeL, ph, abv, freeSo2MgPerL] = [fields.volume.value, fields.ph.value, fields.abv.value, fields.free.value]
    if (volumeL === undefined || ph === undefined || abv === undefined || freeSo2MgPerL === undefined) return undefined
    return withinLimits(() =>
      sorbateDose({ volumeL, abv, ph, freeSo2MgPerL, malolacticDone: hadBacteria.value, fermenting: ferments.value })
    )
  })
  const minutes = computed(() => {
    const celsius = fields.heat.value
    return celsius === undefined ? undefined : withinLimits(() => minutesFor(UNITS_WANTED.low, celsius))
  })
  const { ready, knows, mayGoOn, against } = useReadiness(
    () => lot.value,
    () => 'sweetening'
  )

  function sweetenedBy(l: LotView, actual: number) {
    const about = { planned: sweetened.value?.grams, actual, purpose: 'to sweeten it' }
    return addition({ lotId: l.id, material: sweetener.value, ...about }, cellar.state.cards)
  }
  function drafts(l: LotView): Draft<Fact>[] {
    const [celsius, held] = [fields.heat.value, heldFor.value]
    const sugar = sugarIn.value
      ? [sweetenedBy(l, sugarIn.value)]
      : []
    if (way.value === 'sorbate' && sorbateIn.value && sorbate.value?.allowed) {
      const about = { planned: sorbate.value.grams, actual: sorbateIn.value, purpose: 'to hold it sweet' }
      return [...sugar, addition({ lotId: l.id, material: 'potassium-sorbate', ...about })]
    }
    if (way.value === 'heat' && held && celsius !== undefined) {
      const note = `${held} min at ${Math.round(celsius)} °C: ${pasteurisationUnits(celsius, held).toFixed(0)} units`
      return [...sugar, fact('operation', { lotId: l.id, what: 'pasteurise', note, plan: undefined })]
    }
    return sugar
  }
  /** Sugar goes in by one tap only where what holds it goes in with it, or the bottles are heated. */
  const planHolds = computed(() => sweetened.value !== undefined && (way.value === 'heat' || sorbate.value?.allowed === true))
  /** As it was worked out, to what a kitchen scale shows. */
  function takePlan(): void {
    if (!planHolds.value) return
    sugarIn.fill(f.typed(Number(sweetened.value!.grams.toPrecision(3)), 'plain', ''))
    if (way.value === 'sorbate') sorbateIn.fill(f.typed(Number(sorbate.value!.grams!.toPrecision(2)), 'plain', ''))
  }
  /** Nothing was typed that could be logged. */
  const empty = ref(false)
  async function log(): Promise<boolean> {
    const all = [sugarIn, sorbateIn, heldFor]
    all.forEach((field) => field.touch())
    if (!lot.value || !mayGoOn.value || all.some((field) => !field.ok)) return false
    const made = drafts(lot.value)
    empty.value = made.length === 0
    return made.length > 0 && (await cellar.log([...against(), ...made])) !== undefined
  }
  const held = { way, fields, hadBacteria, ferments, glasses, sweetener, sweetened, sorbate, minutes }
  return { ...held, sugarIn, sorbateIn, heldFor, ready, knows, mayGoOn, log, planHolds, takePlan, empty }
}
