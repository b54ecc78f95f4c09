import { reading } from '../drafts'
import { type Style, molecularOf } from '../ledger'
import { freeSo2FromTitration } from '../sulphite'
import { withinLimits } from '../units'
import { type Bench, usual } from './bench'

/** A sample, mL, and what each method is titrated with, N: OIV-MA-AS323-04. */
const SAMPLE_ML = 20
const NORMALITY = { aspiration: 0.01, iodine: 0.02 } as const

export type FreeSo2Number = 'sample' | 'titrant' | 'normality'
export interface FreeSo2Choices { method: 'iodine' | 'aspiration', style: Style }
export interface FreeSo2Answer {
  result?: ReturnType<typeof freeSo2FromTitration> | undefined
  /** At the pH of the lot, mg/L. */
  molecularMgPerL?: number | undefined
}

/** Free SO₂ by titration: what was used of the titrant, and what that comes to. */
export const freeSo2: Bench<FreeSo2Number, FreeSo2Choices, FreeSo2Answer> = {
  choices: ({ lot }) => ({ method: 'aspiration', style: lot?.style ?? 'red' }),
  fill: (_, { method }) => ({ sample: usual(SAMPLE_ML), normality: usual(NORMALITY[method]) }),
  answer({ sample, titrant, normality, method, style }, { lot }) {
    if (sample === undefined || titrant === undefined || normality === undefined) return {}
    const result = withinLimits(() => freeSo2FromTitration(method, sample, titrant, normality, style))
    const ph = lot?.ph?.value
    return {
      result,
      molecularMgPerL: result && ph !== undefined ? molecularOf(result.freeMgPerL, ph) : undefined
    }
  },
  drafts({ titrant, method }, { result }, { lot }) {
    if (!result) return { refused: 'nothing' }
    const value = Number(result.freeMgPerL.toFixed(1))
    return [reading({ lotId: lot.id, quantity: 'freeSo2', typed: `${titrant} mL, ${method}`, value })]
  }
}
