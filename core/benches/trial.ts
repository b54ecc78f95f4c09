import { addition, fact } from '../drafts'
import {
  type AcidGlass, TRIED_ACIDS, type TriedAcid, WINE_ACID_DOSE, acidTrial, blindOrder, finingTrial, stockFor, trialRates
} from '../finishing'
import { molecularOf } from '../ledger'
import { MATERIALS, type MaterialCard, cardOf } from '../materials'
import { acidContextOf } from '../stages'
import { withinLimits } from '../units'
import { type Bench, type BenchContext, usual } from './bench'

/** Where a card says no dose, g/L: ours. */
const USUAL_DOSE = { min: 0.1, max: 1 } as const
/** The glass of a trial, mL, and how many of them: common practice, no source. */
const USUAL = { glassMl: 100, count: 4 } as const

export type TrialNumber = 'glassMl' | 'stock' | 'goesIn'
export interface TrialChoices {
  /** What is tried, by the key of its card. */
  agent: string
  count: number
  blind: boolean
  notes: string
  /** The rate that was chosen by taste; nothing while none was. */
  chosen: string
}
export interface TrialGlass {
  rate: number
  stockMl: number
  /** Of what is weighed into a jar. */
  grams: number
  /** pH, TA and molecular SO₂, where the wine's own pair is known. */
  figures?: (AcidGlass & { molecular?: number | undefined }) | undefined
}
export interface TrialAnswer {
  card: MaterialCard
  isAcid: boolean
  /** Loose oak is weighed into jars: it makes no stock solution. */
  inJars: boolean
  rates: readonly number[]
  glasses: TrialGlass[]
  /** The rate that was chosen, where it is one of those tasted. */
  taken?: number | undefined
  /** It scaled to the lot, in the unit of the card. */
  grams?: number | undefined
}

const cardIn = ({ cellar }: BenchContext, agent: string): MaterialCard => cardOf(agent, cellar.cards) ?? MATERIALS.bentonite
const acidOf = (agent: string): TriedAcid | undefined => TRIED_ACIDS.find((name) => name === agent)
const ratesOf = (context: BenchContext, { agent, count }: Pick<TrialChoices, 'agent' | 'count'>): readonly number[] =>
  trialRates(acidOf(agent) ? WINE_ACID_DOSE : (cardIn(context, agent).dose ?? USUAL_DOSE), count)

function acidsIn({ lot }: BenchContext, acid: TriedAcid | undefined, rates: readonly number[]): TrialGlass['figures'][] {
  if (!acid || !lot?.ph || !lot.ta) return []
  const wine = { ...acidContextOf(lot), ph: lot.ph.value, taGPerL: lot.ta.value }
  const free = lot.freeSo2?.value
  return (withinLimits(() => acidTrial(wine, acid, rates)) ?? []).map((glass) => ({
    ...glass,
    molecular: free === undefined ? undefined : molecularOf(free, glass.ph)
  }))
}

/** A bench trial: rates into glasses by a stock solution, tasted blind, and the choice scaled to the lot. */
export const trial: Bench<TrialNumber, TrialChoices, TrialAnswer> = {
  choices: ({ cameFor }) => ({ agent: cameFor ?? 'bentonite', count: USUAL.count, blind: false, notes: '', chosen: '' }),
  fill: (context, { glassMl, ...choices }) => ({
    glassMl: usual(USUAL.glassMl),
    stock: glassMl ? withinLimits(() => usual(stockFor(ratesOf(context, choices), glassMl))) : undefined
  }),
  answer({ agent, count, blind, chosen, glassMl, stock }, context) {
    const { lot } = context
    const [acid, card, rates] = [acidOf(agent), cardIn(context, agent), ratesOf(context, { agent, count })]
    const figures = acidsIn(context, acid, rates)
    const inJars = card.kind === 'oak'
    const strength = inJars && glassMl !== undefined ? withinLimits(() => stockFor(rates, glassMl)) : stock
    const poured = glassMl === undefined || strength === undefined ? undefined : withinLimits(() => finingTrial(rates, strength, glassMl))
    const made = (poured?.glasses ?? []).map((glass): TrialGlass => ({
      ...glass,
      grams: (glass.rate * glassMl!) / 1000,
      figures: figures.find((x) => x?.rate === glass.rate)
    }))
    const taken = chosen === '' ? undefined : rates.find((rate) => rate === Number(chosen))
    return {
      card,
      isAcid: acid !== undefined,
      inJars,
      rates,
      glasses: blind ? blindOrder(made.length, `${agent}${count}${lot?.id ?? ''}`).map((i) => made[i]!) : made,
      taken,
      grams: taken === undefined || !lot ? undefined : taken * lot.volume.value
    }
  },
  /** The trial, and with what went in the addition: fining whose gate is shut is only tried. */
  drafts({ agent, goesIn }, { grams }, { lot, cellar, note }, act) {
    const tried = fact('observation', { lotId: lot.id, what: 'taste', text: note })
    if (act !== 'went-in' || !goesIn) return [tried]
    const amounts = { planned: grams, actual: goesIn, purpose: 'by bench trial' }
    return [tried, addition({ lotId: lot.id, material: agent, ...amounts }, cellar.cards)]
  }
}
