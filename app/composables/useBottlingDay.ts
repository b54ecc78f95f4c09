import { fact } from '~~/core/drafts'
import { bottleMix } from '~~/core/finishing'
import { CLOSURE_MATERIAL, type Closure, type LotView } from '~~/core/ledger'
import { type MaterialCard, cardsOf } from '~~/core/materials'
import type { Gate } from '~~/core/stages'
import { closedWith, tooWeak } from '~/forms/kinds/bottling'
import type { QuantityField } from './useQuantityField'

/** What hoses, filter and lees keep when nobody said, L: common practice, no source. */
const USUAL_LOSS_L = 0.3
/** Sizes that are offered before anything else is said. */
const USUAL = { still: ['bottle-750', 'bottle-375'], sparkling: ['sparkling-bottle-750'] } as const

/** Bottling day: which bottles from the net volume, and the real numbers back. */
export function useBottlingDay(lot: Ref<LotView | undefined>) {
  const cellar = useCellarStore()
  const f = useFormat()
  const count = () => usePlainField(0, 100_000, 'Enter a number of bottles.', { required: false })
  const volume = useVolumeField()
  const loss = useVolumeField({ limits: { min: 0, max: 1000, words: 'Between nothing and 1000 litres.' } })
  /** Fields by the card of the bottle, made when first asked for. */
  const fields = new Map<string, { stock: QuantityField, filled: QuantityField }>()
  function fieldsOf(key: string) {
    const made = fields.get(key) ?? { stock: count(), filled: count() }
    fields.set(key, made)
    return made
  }
  const sparkling = computed(() => lot.value?.plan.sparkling === true)
  const inStore = (material: string | undefined): number | undefined =>
    material ? cellar.state.stock.get(material)?.packages.reduce((sum, p) => sum + p.left, 0) : undefined
  /** All that hold what this wine will be; the others would burst. */
  const cards = computed(() =>
    cardsOf(['bottle'], cellar.state.cards).filter(
      (card) =>
        !tooWeak(card, lot.value) &&
        (sparkling.value || card.name !== undefined || card.bottle!.ratedBar === 0 || (inStore(card.key) ?? 0) > 0)
    )
  )
  const tapped = ref<string[]>([...USUAL.still])
  const used = computed<MaterialCard[]>(() => cards.value.filter((card) => tapped.value.includes(card.key)))
  const closure = ref('')
  const place = ref('')
  loss.text = f.typedVolume(USUAL_LOSS_L)
  watch(
    () => lot.value?.id,
    () => {
      // What was typed for one wine is not logged to another.
      for (const { filled } of fields.values()) filled.clear()
      closure.value = ''
      tapped.value = [...(sparkling.value ? USUAL.sparkling : USUAL.still)]
      if (lot.value) volume.fill(f.typedVolume(lot.value.volume.value))
    },
    { immediate: true }
  )
  // What the store says is the first word; who counts otherwise types over it.
  watch(
    used,
    (now) => {
      for (const { key } of now) {
        const [{ stock }, there] = [fieldsOf(key), inStore(key)]
        if (stock.empty && there !== undefined) stock.text = String(Math.floor(there))
      }
    },
    { immediate: true }
  )
  const mix = computed(() => {
    const [litres, lost] = [volume.value, loss.value]
    if (litres === undefined || lost === undefined || used.value.length === 0 || used.value.some((c) => !fieldsOf(c.key).stock.ok))
      return undefined
    // Bottles of one size are listed together, whatever they are.
    const there = new Map<number, number | undefined>()
    for (const { key, bottle } of used.value) {
      const n = fieldsOf(key).stock.value
      const known = there.has(bottle!.ml) ? there.get(bottle!.ml) : 0
      there.set(bottle!.ml, known === undefined || n === undefined ? undefined : known + Math.floor(n))
    }
    const sizes = [...there].map(([ml, available]) => ({ ml, ...(available !== undefined && { available }) }))
    return withinLimits(() => bottleMix(litres, sizes, lost))
  })
  /** Closures of the chosen kind: needed, and in the store as far as it is kept account of. */
  const closing = computed(() => {
    const own = cellar.state.cards.get(closure.value)
    const material = own?.closes ? own.key : CLOSURE_MATERIAL[closure.value as Closure]
    return { needed: mix.value?.bottles.reduce((sum, b) => sum + b.count, 0) ?? 0, material, inStore: inStore(material) }
  })
  const gate = computed<Gate>(() => (sparkling.value ? 'bottling-sparkling' : 'bottling-still'))
  const { ready, knows, mayGoOn, against } = useReadiness(
    () => lot.value,
    () => gate.value
  )
  const wrong = ref<string>()
  async function log(): Promise<boolean> {
    const l = lot.value
    if (!l || !mayGoOn.value) return false
    const numbers = used.value.map((card) => ({ card, field: fieldsOf(card.key).filled }))
    const bottles = numbers
      .map(({ card, field }) => ({ sizeMl: card.bottle!.ml, count: field.value ?? 0, material: card.key }))
      .filter((b) => b.count > 0)
    wrong.value = !numbers.every(({ field }) => field.ok && Number.isInteger(field.value ?? 0))
      ? 'Enter whole numbers of bottles.'
      : bottles.length === 0
        ? 'Enter how many bottles you filled.'
        : undefined
    if (wrong.value) return false
    const about = { ...closedWith(closure.value, cellar.state.cards), place: place.value.trim() || undefined }
    return (await cellar.log([...against(), fact('bottling', { lotId: l.id, bottles, ...about })])) !== undefined
  }
  return { volume, loss, fieldsOf, cards, tapped, used, closure, closing, place, mix, sparkling, gate, ready, knows, mayGoOn, wrong, log }
}
