import { addition, fact } from '~~/core/drafts'
import { blindOrder, finingTrial, stockFor, trialRates } from '~~/core/finishing'
import type { LotView } from '~~/core/ledger'
import { MATERIALS } from '~~/core/materials'
import { materialTitle } from '~/wording/materials'
import type { Tried } from '~/wording/finishing'

/** Where a card says no dose, g/L: ours. */
const USUAL_DOSE = { min: 0.1, max: 1 } as const

/** A bench trial: rates into glasses by a stock solution, tasted blind, and the choice scaled to the lot. */
export function useTrial(lot: Ref<LotView | undefined>) {
  const cellar = useCellarStore()
  const f = useFormat()
  const agent = ref<Tried>('bentonite')
  const card = computed(() => MATERIALS[agent.value])
  const count = ref(4)
  const blind = ref(false)
  const fields = {
    glassMl: usePlainField(20, 1000, 'Between 20 and 1000 mL.', { text: '100' }),
    stock: usePlainField(0.1, 500, 'Between 0.1 and 500 g/L.'),
    volume: useVolumeField()
  }
  const actual = useWentInField()
  const notes = ref('')
  const chosen = ref('')
  const rates = computed(() => trialRates(card.value.dose ?? USUAL_DOSE, count.value))
  watch(
    [agent, () => fields.glassMl.value, count],
    () => {
      if (fields.glassMl.value) fields.stock.text = String(stockFor(rates.value, fields.glassMl.value))
    },
    { immediate: true }
  )
  watch(
    () => lot.value?.id,
    () => {
      // What was typed for one wine is not logged to another.
      actual.clear()
      ;[chosen.value, notes.value] = ['', '']
      if (lot.value) fields.volume.text = f.typedVolume(lot.value.volume.value)
    },
    { immediate: true }
  )
  const glasses = computed(() => {
    const [stock, glass] = [fields.stock.value, fields.glassMl.value]
    if (stock === undefined || glass === undefined) return []
    const made = withinLimits(() => finingTrial(rates.value, stock, glass).glasses) ?? []
    return blind.value ? blindOrder(made.length, `${agent.value}${count.value}${lot.value?.id ?? ''}`).map((i) => made[i]!) : made
  })
  const grams = computed(() =>
    chosen.value === '' || fields.volume.value === undefined ? undefined : Number(chosen.value) * fields.volume.value
  )
  const { ready, knows, mayGoOn, against } = useReadiness(
    () => lot.value,
    () => 'fining'
  )
  /** What stands in the ledger of the trial. */
  const told = () => {
    const choice = chosen.value === '' ? '' : `; ${chosen.value} g/L chosen`
    return `Trial with ${materialTitle(agent.value).toLowerCase()}: ${rates.value.join(', ')} g/L${choice}. ${notes.value}`.trim().slice(0, 2000)
  }
  async function log(): Promise<boolean> {
    const l = lot.value
    actual.touch()
    if (!l || !actual.ok) return false
    const trial = fact('observation', { lotId: l.id, what: 'taste', text: told() })
    // What was typed before it was known to be open goes in only knowingly.
    const goesIn = mayGoOn.value ? actual.value : undefined
    if (!goesIn) return (await cellar.log([trial])) !== undefined
    const about = { planned: grams.value, actual: goesIn, purpose: 'by bench trial' }
    const added = addition({ lotId: l.id, material: agent.value, ...about }, cellar.state.cards)
    return (await cellar.log([...against(), trial, added])) !== undefined
  }
  return { agent, card, count, blind, fields, actual, notes, chosen, glasses, grams, ready, knows, mayGoOn, log }
}
