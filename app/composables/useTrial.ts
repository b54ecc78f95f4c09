import { addition, fact } from '~~/core/drafts'
import { TRIED_ACIDS, type TriedAcid, WINE_ACID_DOSE, acidTrial, blindOrder, finingTrial, stockFor, trialRates } from '~~/core/finishing'
import { type LotView, molecularOf } from '~~/core/ledger'
import { acidContextOf } from '~~/core/stages'
import { MATERIALS, cardOf, cardsOf } from '~~/core/materials'
import { materialTitle } from '~/wording/materials'
import { TRIED, TRIED_OWN, type Tried } from '~/wording/finishing'

/** Where a card says no dose, g/L: ours. */
const USUAL_DOSE = { min: 0.1, max: 1 } as const
const OWN_KINDS = ['fining', 'tannin', 'oak', 'stabiliser'] as const

/** A bench trial: rates into glasses by a stock solution, tasted blind, and the choice scaled to the lot. */
export function useTrial(lot: Ref<LotView | undefined>) {
  const cellar = useCellarStore()
  const f = useFormat()
  const route = useRoute()
  const own = computed(() => cardsOf(OWN_KINDS, cellar.state.cards).filter((card) => card.name !== undefined))
  const agents = computed(() => [...(Object.keys(TRIED) as Tried[]), ...own.value.map((c) => c.key)])
  const asked = String(route.query.of ?? '')
  const agent = ref<string>(agents.value.includes(asked) ? asked : 'bentonite')
  const card = computed(() => cardOf(agent.value, cellar.state.cards) ?? MATERIALS.bentonite)
  const about = computed(() => (agent.value in TRIED ? TRIED[agent.value as Tried] : TRIED_OWN))
  const acid = computed(() => TRIED_ACIDS.find((name): name is TriedAcid & (typeof TRIED_ACIDS)[number] => name === agent.value))
  /** Loose oak is weighed into jars: it makes no stock solution. */
  const inJars = computed(() => card.value.kind === 'oak')
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
  const rates = computed(() => trialRates(acid.value ? WINE_ACID_DOSE : (card.value.dose ?? USUAL_DOSE), count.value))
  watch(
    [agent, () => fields.glassMl.value, count],
    () => {
      if (fields.glassMl.value) fields.stock.text = String(stockFor(rates.value, fields.glassMl.value))
    },
    { immediate: true }
  )
  watch(
    [() => lot.value?.id, agent],
    () => {
      // What was typed for one wine, or of one agent, is not logged as another.
      actual.clear()
      ;[chosen.value, notes.value] = ['', '']
      if (lot.value) fields.volume.fill(f.typedVolume(lot.value.volume.value))
    },
    { immediate: true }
  )
  /** pH, TA and molecular SO₂ of each rate, where the wine's own pair is known. */
  const figures = computed(() => {
    const l = lot.value
    if (!acid.value || !l?.ph || !l.ta) return undefined
    const wine = { ...acidContextOf(l), ph: l.ph.value, taGPerL: l.ta.value }
    const told = withinLimits(() => acidTrial(wine, acid.value!, rates.value))
    const free = l.freeSo2?.value
    return told?.map((g) => ({
      ...g,
      molecular: free === undefined ? undefined : molecularOf(free, g.ph)
    }))
  })
  const glasses = computed(() => {
    const [stock, glass] = [fields.stock.value, fields.glassMl.value]
    if (stock === undefined || glass === undefined) return []
    const poured = withinLimits(() => finingTrial(rates.value, stock, glass).glasses) ?? []
    const made = poured.map((g) => ({ ...g, grams: (g.rate * glass) / 1000, figures: figures.value?.find((x) => x.rate === g.rate) }))
    return blind.value ? blindOrder(made.length, `${agent.value}${count.value}${lot.value?.id ?? ''}`).map((i) => made[i]!) : made
  })
  const grams = computed(() =>
    chosen.value === '' || fields.volume.value === undefined ? undefined : Number(chosen.value) * fields.volume.value
  )
  const gate = useReadiness(
    () => lot.value,
    () => 'fining'
  )
  /** Fining goes through its gate; acid, oak and what rounds a wine off at the end does not. */
  const gated = computed(() => card.value.kind === 'fining' || card.value.kind === 'tannin')
  const ready = computed(() => !gated.value || gate.ready.value)
  const mayGoOn = computed(() => !gated.value || gate.mayGoOn.value)
  /** What the ledger keeps of the trial. */
  const told = () => {
    const unit = `${card.value.unit}/L`
    const choice = chosen.value === '' ? '' : `; ${chosen.value} ${unit} chosen`
    const name = materialTitle(agent.value, cellar.state.cards).toLowerCase()
    return `Trial with ${name}: ${rates.value.join(', ')} ${unit}${choice}. ${notes.value}`.trim().slice(0, 2000)
  }
  async function log(): Promise<boolean> {
    const l = lot.value
    actual.touch()
    if (!l || !actual.ok) return false
    const trial = fact('observation', { lotId: l.id, what: 'taste', text: told() })
    // What was typed before it was known to be open goes in only knowingly.
    const goesIn = mayGoOn.value ? actual.value : undefined
    if (!goesIn) return (await cellar.log([trial])) !== undefined
    const added = addition(
      { lotId: l.id, material: agent.value, planned: grams.value, actual: goesIn, purpose: 'by bench trial' },
      cellar.state.cards
    )
    return (await cellar.log([...(gated.value ? gate.against() : []), trial, added])) !== undefined
  }
  return {
    agent,
    agents,
    card,
    about,
    acid,
    inJars,
    count,
    blind,
    fields,
    actual,
    notes,
    chosen,
    glasses,
    grams,
    ready,
    knows: gate.knows,
    mayGoOn,
    log
  }
}
