import { addition, fact } from '../drafts'
import {
  type SorbateDose, type Sweetened, UNITS_WANTED, minutesFor, pasteurisationUnits, sorbateDose, sweetLadder, sweetenWith
} from '../finishing'
import { isFermenting } from '../ledger'
import { cardOf } from '../materials'
import { readinessOf } from '../stages'
import { withinLimits } from '../units'
import { type Bench, known, usual } from './bench'

/** What holds a sweet wine sweet; cold alone does not, and is there to say so. */
export type HeldBy = 'sorbate' | 'heat' | 'cold'
/** The glass of a trial, mL, and the middle of a bottle in its bath, °C: common practice, no source. */
const USUAL = { glassMl: 100, heatC: 63 } as const
/** Alcohol and TA to which the relations reach. */
const MOST = { abv: 18, taGPerL: 30 } as const

export type SweeteningNumber = 'volume' | 'abv' | 'ph' | 'free' | 'heat' | 'glassMl' | 'chosen' | 'sugarIn' | 'sorbateIn' | 'heldFor'
export interface SweeteningChoices {
  way: HeldBy
  /** With what: each brings water and acid of its own. */
  sweetener: string
  /** What forbids sorbate, by the ledger; a person who knows better says so. */
  hadBacteria: boolean
  ferments: boolean
}
export interface SweeteningAnswer {
  glasses: ReturnType<typeof sweetLadder>
  sweetened?: Sweetened | undefined
  sorbate?: SorbateDose | undefined
  /** In the bath, min. */
  minutes?: number | undefined
  /** What may go in by one tap: sugar only with what holds it, or into bottles that are heated. */
  plan?: { sugarIn: number, sorbateIn?: number } | undefined
}

/** A sweet wine that stays so: a ladder of glasses, the sugar of the wine, and sorbate or heat. */
export const sweetening: Bench<SweeteningNumber, SweeteningChoices, SweeteningAnswer> = {
  choices({ lot, now }) {
    const stable = lot && readinessOf(lot, 'sweetening', now).conditions.find((c) => c.code === 'stable-gravity')
    return {
      way: 'sorbate',
      sweetener: 'sugar',
      hadBacteria: lot?.malolactic === 'done' || lot?.bacteriaAt !== undefined,
      ferments: lot !== undefined && (isFermenting(lot) || stable?.state !== 'met')
    }
  },
  fill: ({ lot }) => ({
    volume: known(lot?.volume),
    abv: known(lot?.abv),
    ph: known(lot?.ph),
    free: known(lot?.freeSo2),
    heat: usual(USUAL.heatC),
    glassMl: usual(USUAL.glassMl)
  }),
  answer({ volume, abv, ph, free, heat, glassMl, chosen, way, sweetener, hadBacteria, ferments }, { lot, cellar }) {
    const effect = cardOf(sweetener, cellar.cards)?.effect
    const sweetened = chosen === undefined || volume === undefined || effect?.on !== 'sugar'
      ? undefined
      : withinLimits(() => sweetenWith(effect, chosen, volume, Math.min(MOST.taGPerL, lot?.ta?.value ?? 0)))
    const sorbate = volume === undefined || abv === undefined || ph === undefined || free === undefined
      ? undefined
      : withinLimits(() =>
          sorbateDose({
            volumeL: volume,
            abv: Math.min(MOST.abv, abv),
            ph,
            freeSo2MgPerL: free,
            malolacticDone: hadBacteria,
            fermenting: ferments,
            ...(lot && { style: lot.style })
          })
        )
    const holds = way === 'heat' ? {} : way === 'sorbate' && sorbate?.allowed ? { sorbateIn: sorbate.grams } : undefined
    return {
      glasses: (glassMl === undefined ? undefined : withinLimits(() => sweetLadder(glassMl))) ?? [],
      sweetened,
      sorbate,
      minutes: heat === undefined ? undefined : withinLimits(() => minutesFor(UNITS_WANTED.low, heat)),
      plan: sweetened && holds && { sugarIn: sweetened.grams, ...holds }
    }
  },
  // None where it must not go in.
  figure: ({ sorbate }) => sorbate?.grams,
  drafts({ way, sweetener, sugarIn, sorbateIn, heldFor, heat }, { sweetened, sorbate }, { lot, cellar }) {
    const lotId = lot.id
    const sugar = sugarIn
      ? [addition({ lotId, material: sweetener, planned: sweetened?.grams, actual: sugarIn, purpose: 'to sweeten it' }, cellar.cards)]
      : []
    const added = sorbateIn && way === 'sorbate' && sorbate?.allowed
      ? [addition({ lotId, material: 'potassium-sorbate', planned: sorbate.grams, actual: sorbateIn, purpose: 'to hold it sweet' })]
      : []
    const note = heldFor && heat !== undefined
      ? `${heldFor} min at ${Math.round(heat)} °C: ${pasteurisationUnits(heat, heldFor).toFixed(0)} units`
      : undefined
    const heated = way === 'heat' && note ? [fact('operation', { lotId, what: 'pasteurise', note })] : []
    const all = [...sugar, ...added, ...heated]
    return all.length > 0 ? all : { refused: 'nothing' }
  }
}
