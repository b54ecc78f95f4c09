import { coldFor, coldStability } from '../finishing'
import { acidContextOf } from '../stages'
import { withinLimits } from '../units'
import { type Bench, known, usual } from './bench'

export type ColdNumber = 'ph' | 'ta' | 'abv' | 'kept'
export interface ColdAnswer {
  /** A degree above freezing, °C. */
  advisedC?: number | undefined
  after?: ReturnType<typeof coldStability> | undefined
}
const advisedFor = (abv: number | undefined) => (abv === undefined ? undefined : withinLimits(() => Math.round(coldFor(abv))))

/** Cold stabilising: how cold, and what pH and TA will be after it. */
export const cold: Bench<ColdNumber, object, ColdAnswer> = {
  choices: () => ({}),
  fill({ lot }, { abv }) {
    const kept = advisedFor(abv ?? lot?.abv?.value)
    return { ph: known(lot?.ph), ta: known(lot?.ta), abv: known(lot?.abv), kept: kept === undefined ? undefined : usual(kept) }
  },
  answer({ ph, ta, abv, kept }, { lot }) {
    const advisedC = advisedFor(abv)
    if (ph === undefined || ta === undefined || abv === undefined || kept === undefined) return { advisedC }
    return { advisedC, after: withinLimits(() => coldStability({ ...(lot && acidContextOf(lot)), ph, taGPerL: ta, abv }, kept)) }
  },
  figure: ({ after }) => after?.bitartrateFallsGPerL
}
