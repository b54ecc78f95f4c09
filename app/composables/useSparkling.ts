import { addition, fact } from '~~/core/drafts'
import { priming } from '~~/core/finishing'
import { residualSugar } from '~~/core/hydrometry'
import type { LotView } from '~~/core/ledger'
import { cardsOf } from '~~/core/materials'
import { materialTitle } from '~/wording/materials'

/** What a gravity may be off when it tells sugar near dryness, g/L: see residualSugar. */
const BY_GRAVITY_G_PER_L = 5
const ANOTHER = 'another'
/** Where nobody said otherwise, °C: a cool table, a warm cupboard, a room that a ferment ends in. Common practice, no source. */
const USUAL_C = { served: 10, warmest: 25, fermented: 18 } as const

/** Sparkling on purpose: the figures of the wine and the bottle, the sugar that follows, and its line in the ledger. */
export function useSparkling(lot: Ref<LotView | undefined>) {
  const cellar = useCellarStore()
  const f = useFormat()
  const fields = {
    volume: useVolumeField(),
    target: usePressureField(8, 5),
    residual: usePlainField(0, 300, 'Between 0 and 300 g/L.'),
    abv: usePlainField(0, 18, 'Between 0 and 18 % vol.'),
    served: useDegreesField(-2, 40, USUAL_C.served),
    warmest: useDegreesField(-2, 40, USUAL_C.warmest),
    fermented: useDegreesField(-2, 40, USUAL_C.fermented),
    own: usePressureField(20)
  }
  /** By its card; "another" is rated as its maker says, here and now. */
  const bottle = ref('bottle-750')
  const cards = computed(() =>
    cardsOf(['bottle'], cellar.state.cards).filter((c) => c.bottle!.ratedBar > 0 || c.key === 'bottle-750' || c.name)
  )
  const bottles = computed(() => [
    ...cards.value.map(({ key }) => ({ value: key, label: materialTitle(key, cellar.state.cards) })),
    { value: ANOTHER, label: 'Another bottle' }
  ])
  const rated = computed(() =>
    bottle.value === ANOTHER ? fields.own.value : cards.value.find((c) => c.key === bottle.value)?.bottle?.ratedBar
  )
  /** A sugar test of this wine; without one its gravity tells the sugar, and not well. */
  const tested = ref(false)
  const actual = useWentInField()
  watch(
    () => lot.value?.id,
    () => {
      actual.clear()
      const l = lot.value
      if (!l) return
      fields.volume.fill(f.typedVolume(l.volume.value))
      fields.abv.fill(l.abv?.value.toFixed(1) ?? '')
      // What went in since a test is counted on top of it.
      const test = l.others.sugar?.value
      tested.value = l.others.sugar?.origin === 'measured'
      const { sg, abv } = l
      const sugar = test ?? (sg && abv ? withinLimits(() => residualSugar(sg.value, Math.min(18, abv.value))) : undefined)
      fields.residual.fill(sugar === undefined ? '' : sugar.toFixed(tested.value && sugar < 10 ? 1 : 0))
    },
    { immediate: true }
  )
  const told = computed(() => {
    const { volume, target, residual, abv, served, warmest, fermented } = fields
    const all = [volume, target, residual, abv, served, warmest, fermented].map((field) => field.value)
    if (rated.value === undefined || all.includes(undefined)) return undefined
    const [volumeL, targetBar, residualSugarGPerL, strength, servedAtCelsius, warmestCelsius, fermentedAtCelsius] = all as number[]
    return withinLimits(() =>
      priming({
        volumeL: volumeL!,
        targetBar: targetBar!,
        residualSugarGPerL: residualSugarGPerL!,
        residualSpreadGPerL: tested.value ? 0 : BY_GRAVITY_G_PER_L,
        abv: strength!,
        servedAtCelsius: servedAtCelsius!,
        warmestCelsius: warmestCelsius!,
        fermentedAtCelsius: fermentedAtCelsius!,
        bottleRatedBar: rated.value!
      })
    )
  })
  const { ready, knows, mayGoOn, against } = useReadiness(
    () => lot.value,
    () => 'bottling-sparkling'
  )
  async function log(): Promise<boolean> {
    actual.touch()
    const l = lot.value
    if (!l || !told.value?.allowed || !mayGoOn.value || !actual.value) return false
    const { grams } = told.value
    const sugar = addition({
      lotId: l.id,
      material: 'sugar',
      planned: grams,
      actual: actual.value,
      purpose: 'for pressure in the bottle'
    })
    // What is done for pressure is a sparkling wine from here on: its bottles are looked after as such.
    const plan = l.plan.sparkling ? [] : [fact('lot-planned', { lotId: l.id, sparkling: true })]
    return (await cellar.log([...against(), ...plan, sugar])) !== undefined
  }
  return { fields, bottle, bottles, another: ANOTHER, tested, told, actual, ready, knows, mayGoOn, log }
}
