import { applyChange, type AcidChange } from './changes'
import type { Composition } from './charge'
import { ACIDS, ACID_NAMES, type AcidName, END_POINT_PH } from './constants'
import { ASSUMED_MALIC_UNCERTAINTY, type AcidReadings, type AcidsFinding, fitAcids } from './fit'
import { solveEquilibrium } from './solve'

export interface AcidState {
  ph: number
  /** as tartaric, g/L */
  taGPerL: number
  acidsGPerL: Record<AcidName, number>
  /** Strong ions counted as potassium, g/L. */
  potassiumGPerL: number
}

export interface AcidPrediction {
  before: AcidState
  after: AcidState & {
    /** Half-widths from the uncertainty of the readings and of the assumed malic acid. */
    phUncertainty: number
    taUncertaintyGPerL: number
  }
  findings: AcidsFinding[]
}

export interface ReadingUncertainty { ph: number, taGPerL: number, malicGPerL: number }
/** A home pH meter, a home titration, a strip: common practice, no source. */
export const READING_UNCERTAINTY: ReadingUncertainty = { ph: 0.05, taGPerL: 0.3, malicGPerL: 0.3 }

const POTASSIUM = 39.098

/** pH, TA and the acids of a composition. */
export function acidStateOf(composition: Composition, endPointPh = END_POINT_PH): AcidState & { solved: boolean } {
  const equilibrium = solveEquilibrium(composition, endPointPh)
  return {
    ph: equilibrium.ph,
    taGPerL: equilibrium.taGPerL,
    acidsGPerL: Object.fromEntries(ACID_NAMES.map(n => [n, composition.acids[n] * ACIDS[n].molarMass])) as Record<AcidName, number>,
    potassiumGPerL: composition.strongIon * POTASSIUM,
    solved: equilibrium.status === 'converged'
  }
}

/** The composition after a sequence of changes, and what happened on the way. */
export function applyChanges(composition: Composition, changes: readonly AcidChange[]): { composition: Composition, findings: AcidsFinding[] } {
  return changes.reduce<{ composition: Composition, findings: AcidsFinding[] }>((state, change) => {
    const step = applyChange(state.composition, change)
    return { composition: step.composition, findings: [...state.findings, ...step.findings] }
  }, { composition, findings: [] })
}

/**
 * pH and TA after a sequence of changes, from one measured pair.
 * The band comes from moving each reading by its uncertainty, one at a time, and adding the effects in squares. When only
 * the start is measured the band of "no change" is the readings' own.
 * @param readings pH, TA and what else is known (see fitAcids)
 * @param changes in order
 * @param uncertainty of the readings
 * @throws LimitError
 * @example predictAcids({ ph: 3.7, taGPerL: 5.5 }, [{ kind: 'tartaric', gPerL: 1.5 }]).after // pH about 3.5, TA 7.0
 */
export function predictAcids(readings: AcidReadings, changes: readonly AcidChange[], uncertainty = READING_UNCERTAINTY): AcidPrediction {
  const fit = fitAcids(readings)
  const endPointPh = readings.endPointPh ?? END_POINT_PH
  const run = (r: AcidReadings) => acidStateOf(applyChanges(fitAcids(r).composition, changes).composition, endPointPh)
  const changed = applyChanges(fit.composition, changes)
  const { solved, ...after } = acidStateOf(changed.composition, endPointPh)
  const { solved: _start, ...before } = acidStateOf(fit.composition, endPointPh)
  const assumed = readings.malicGPerL === undefined
  const malic = fit.composition.acids.malic * ACIDS.malic.molarMass
  const malicStep = assumed ? ASSUMED_MALIC_UNCERTAINTY : uncertainty.malicGPerL
  const moved = [
    run({ ...readings, ph: inside(readings.ph + uncertainty.ph, 2.5, 4.5) }),
    run({ ...readings, taGPerL: inside(readings.taGPerL + uncertainty.taGPerL, 2, 20) }),
    run({ ...readings, malicGPerL: inside(malic + malicStep, 0, 15) })
  ]
  const spread = (of: (s: AcidState) => number) => Math.hypot(...moved.map(m => of(m) - of(after)))
  const findings = [...fit.findings, ...changed.findings]
  if (!solved || after.ph < 2.5 || after.ph > 4.5) findings.push({ code: 'ph-outside-model', ph: after.ph })
  return {
    before,
    after: { ...after, phUncertainty: spread(s => s.ph), taUncertaintyGPerL: spread(s => s.taGPerL) },
    findings
  }
}

const inside = (value: number, min: number, max: number): number => Math.min(max, Math.max(min, value))
