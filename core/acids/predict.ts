import { type AcidChange, type Changed, applyChange } from './changes'
import type { Composition } from './charge'
import { ACIDS, ACID_NAMES, type AcidName, END_POINT_PH } from './constants'
import { USUAL_LUCK } from './ferment'
import { type AcidsFinding, fitAcids } from './fit'
import type { AcidReadings } from './pair'
import { potassiumGPerL } from './potassium'
import { solveEquilibrium } from './solve'
import { type Band, type Possibility, READING_UNCERTAINTY, bandOf, possibilities } from './spread'

export interface AcidState {
  ph: number
  /** as tartaric, g/L */
  taGPerL: number
  acidsGPerL: Record<AcidName, number>
  /** Strong ions as far as they are potassium, g/L. */
  potassiumGPerL: number
}

/** 80 % bands of a state. */
export interface AcidBands {
  ph: Band
  taGPerL: Band
  acidsGPerL: Record<AcidName, Band>
}

export interface AcidPrediction {
  before: AcidState & { bands: AcidBands }
  after: AcidState & {
    bands: AcidBands
    /** Half-widths of the 80 % bands. */
    phUncertainty: number
    taUncertaintyGPerL: number
  }
  findings: AcidsFinding[]
}

/** pH, TA and the acids of a composition. */
export function acidStateOf(composition: Composition, endPointPh = END_POINT_PH): AcidState & { solved: boolean } {
  const equilibrium = solveEquilibrium(composition, endPointPh)
  return {
    ph: equilibrium.ph,
    taGPerL: equilibrium.taGPerL,
    acidsGPerL: Object.fromEntries(ACID_NAMES.map((n) => [n, gramsOf(composition, n)])) as Record<AcidName, number>,
    potassiumGPerL: potassiumGPerL(composition),
    solved: equilibrium.status === 'converged'
  }
}

const gramsOf = (composition: Composition, name: AcidName): number => composition.acids[name] * ACIDS[name].molarMass

/** The composition after a sequence of changes, and what happened on the way. */
export function applyChanges(composition: Composition, changes: readonly AcidChange[], luck = USUAL_LUCK): Changed {
  return changes.reduce<Changed>(
    (done, change) => {
      const step = applyChange(done.composition, change, luck)
      return { composition: step.composition, findings: [...done.findings, ...step.findings] }
    },
    { composition, findings: [] }
  )
}

/**
 * pH, TA and acids after a sequence of changes, each with the band that holds it four times in five: from what is not known
 * of the composition, of the readings, and of what the ferment and the cold will do.
 * @param readings pH, TA and what else is known (see fitAcids)
 * @param changes in order
 * @param uncertainty of the readings, 80 % half-widths
 * @throws LimitError
 * @example predictAcids({ ph: 3.7, taGPerL: 5.5 }, [{ kind: 'tartaric', gPerL: 1.5 }]).after // pH about 3.5, TA 7.0
 */
export function predictAcids(readings: AcidReadings, changes: readonly AcidChange[], uncertainty = READING_UNCERTAINTY): AcidPrediction {
  const fit = fitAcids(readings)
  const endPointPh = readings.endPointPh ?? END_POINT_PH
  const changed = applyChanges(fit.composition, changes)
  const { solved, ...after } = acidStateOf(changed.composition, endPointPh)
  const { solved: _start, ...before } = acidStateOf(fit.composition, endPointPh)
  const possible = possibilities(readings, fit, uncertainty)
  const bands = bandsOf(after, possible, changes, endPointPh)
  const findings = [...fit.findings, ...changed.findings]
  if (!solved || after.ph < 2.5 || after.ph > 4.5) findings.push({ code: 'ph-outside-model', ph: after.ph })
  return {
    before: withBands(before, () => bandsOf(before, possible, [], endPointPh)),
    after: { ...after, bands, phUncertainty: half(bands.ph), taUncertaintyGPerL: half(bands.taGPerL) },
    findings
  }
}

/** A state whose bands are worked out when somebody asks: most only ask where it ends. */
function withBands(state: AcidState, bands: () => AcidBands): AcidState & { bands: AcidBands } {
  let known: AcidBands | undefined
  return {
    ...state,
    get bands() {
      return (known ??= bands())
    }
  }
}

const half = (band: Band): number => (band.high - band.low) / 2

function bandsOf(mid: AcidState, possible: readonly Possibility[], changes: readonly AcidChange[], endPointPh: number): AcidBands {
  const ends = possible.map((p) => applyChanges(p.composition, changes, p.luck).composition)
  const solved = ends.map((c) => solveEquilibrium(c, endPointPh))
  const acids = ACID_NAMES.map((name) => [
    name,
    bandOf(
      mid.acidsGPerL[name],
      ends.map((c) => gramsOf(c, name)),
      possible
    )
  ])
  return {
    ph: bandOf(
      mid.ph,
      solved.map((s) => s.ph),
      possible
    ),
    taGPerL: bandOf(
      mid.taGPerL,
      solved.map((s) => s.taGPerL),
      possible
    ),
    acidsGPerL: Object.fromEntries(acids) as Record<AcidName, Band>
  }
}
