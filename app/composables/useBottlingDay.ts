import { fact } from '~~/core/drafts'
import { bottleMix } from '~~/core/finishing'
import { CLOSURE_MATERIAL, type Closure, type LotView } from '~~/core/ledger'

export const BOTTLE_ML = [187, 375, 500, 750, 1000, 1500] as const
type Ml = (typeof BOTTLE_ML)[number]
/** What hoses, filter and lees keep when nobody said, L: common practice, no source. */
const USUAL_LOSS_L = 0.3

/** Bottling day: which bottles from the net volume, and the real numbers back. */
export function useBottlingDay(lot: Ref<LotView | undefined>) {
  const cellar = useCellarStore()
  const f = useFormat()
  const counts = () => {
    const count = () => usePlainField(0, 100_000, 'A number of bottles.', { required: false })
    return Object.fromEntries(BOTTLE_ML.map((ml) => [ml, count()])) as Record<Ml, ReturnType<typeof count>>
  }
  const volume = useVolumeField()
  const loss = useVolumeField({ limits: { min: 0, max: 1000, words: 'Between nothing and 1000 litres.' } })
  const [stock, filled] = [counts(), counts()]
  /** By their millilitres, as texts: what is tapped. */
  const tapped = ref<string[]>(['750', '375'])
  const used = computed(() => BOTTLE_ML.filter((ml) => tapped.value.includes(String(ml))))
  const closure = ref<Closure | ''>('')
  const place = ref('')
  loss.text = f.typedVolume(USUAL_LOSS_L)
  watch(
    () => lot.value?.id,
    () => {
      // What was typed for one wine is not logged to another.
      for (const field of Object.values(filled)) field.clear()
      if (lot.value) volume.text = f.typedVolume(lot.value.volume.value)
    },
    { immediate: true }
  )
  const mix = computed(() => {
    const [litres, lost] = [volume.value, loss.value]
    if (litres === undefined || lost === undefined || used.value.length === 0 || used.value.some((ml) => !stock[ml].ok)) return undefined
    const sizes = used.value.map((ml) => {
      const there = stock[ml].value
      return { ml, ...(there !== undefined && { available: Math.floor(there) }) }
    })
    return withinLimits(() => bottleMix(litres, sizes, lost))
  })
  /** Closures of the chosen kind: needed, and in the store as far as it is kept account of. */
  const closing = computed(() => {
    const material = closure.value && CLOSURE_MATERIAL[closure.value]
    const needed = mix.value?.bottles.reduce((sum, b) => sum + b.count, 0) ?? 0
    const packages = material ? cellar.state.stock.get(material)?.packages : undefined
    return { needed, material, inStore: packages?.reduce((sum, p) => sum + p.left, 0) }
  })
  const { ready, knows, mayGoOn, against } = useReadiness(
    () => lot.value,
    () => 'bottling-still'
  )
  const wrong = ref<string>()
  async function log(): Promise<boolean> {
    const l = lot.value
    if (!l || !mayGoOn.value) return false
    const bottles = used.value.map((sizeMl) => ({ sizeMl, count: filled[sizeMl].value ?? 0 })).filter((b) => b.count > 0)
    wrong.value = !used.value.every((ml) => filled[ml].ok && Number.isInteger(filled[ml].value ?? 0))
      ? 'A whole number of bottles of each size.'
      : bottles.length === 0
        ? 'Say how many bottles were filled.'
        : undefined
    if (wrong.value) return false
    const about = { closure: closure.value || undefined, place: place.value.trim() || undefined }
    return (await cellar.log([...against(), fact('bottling', { lotId: l.id, bottles, ...about })])) !== undefined
  }
  return { volume, loss, stock, filled, tapped, used, closure, closing, place, mix, ready, knows, mayGoOn, wrong, log }
}
