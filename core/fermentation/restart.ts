import { within } from '../units'
import { PITCH } from '../yeast'

/** What may have stopped a ferment, and whether the ledger says so. */
export type StopCause =
  | { code: 'cold', celsius: number, belowC: number }
  | { code: 'heat', celsius: number, aboveC: number }
  | { code: 'nitrogen', shortMgPerL: number }
  | { code: 'alcohol', abv: number, toleranceAbv: number }
  | { code: 'sulphite', freeMgPerL: number }
  | { code: 'unknown' }

export interface RestartAsked {
  volumeL: number
  sg: number
  abv: number
  celsius?: number
  /** Hottest it was read. */
  hottestC?: number
  freeSo2MgPerL?: number
  /** By which the nitrogen falls short of the need. */
  nitrogenShortMgPerL?: number
  toleranceAbv?: number
  temperatureRange?: { min: number, max: number }
}
export interface RestartStep {
  code: 'rack' | 'condition' | 'rehydrate' | 'first-cup' | 'double' | 'all-in'
  /** h from the rehydration; of `rack` and `condition`, before it. */
  atHours: number
  /** In the starter after this step, L. */
  starterL: number
  addWineL: number
  addWaterL: number
  addSugarG: number
  /** Go on when the starter has fallen by half of what it had. */
  untilSg?: number
}
export type RestartFinding =
  | { code: 'too-strong', abv: number }
  | { code: 'too-much-sulphite', freeMgPerL: number }
  | { code: 'worth-warming-first' }
  | { code: 'no-nutrient-in-the-wine' }
  | { code: 'nothing-to-restart', sg: number }
export interface Restart {
  causes: StopCause[]
  yeastG: number
  rehydrationNutrientG: number
  waterMl: number
  /** To take up what poisons yeast, g. */
  hullsG: number
  /** Wine and starter are brought to this, °C. */
  holdC: number
  steps: RestartStep[]
  totalHours: number
  findings: RestartFinding[]
}

/** Acclimatising a starter to the wine's alcohol: common practice, no source (yeast makers' protocols agree in the outline). */
const RULES = {
  /** Twice the usual pitch, g/L. */
  yeastGPerL: 0.5,
  hullsGPerL: 0.25,
  holdC: 22,
  /** The first cup is a twentieth of the wine, half wine and half water, and so sweet, °Brix as g/L. */
  firstShare: 0.05,
  firstSugarGPerL: 60,
  stepH: 10,
  lastShare: 0.4,
  strongestAbv: 15,
  freeLimit: 15,
  warmAbove: 3
} as const

/** What the ledger says of why it stopped, most telling first. */
export function stopCauses(asked: RestartAsked): StopCause[] {
  const { celsius, hottestC, freeSo2MgPerL, nitrogenShortMgPerL, toleranceAbv, abv, temperatureRange = { min: 15, max: 32 } } = asked
  const causes: StopCause[] = []
  if (celsius !== undefined && celsius < temperatureRange.min) causes.push({ code: 'cold', celsius, belowC: temperatureRange.min })
  if (hottestC !== undefined && hottestC > temperatureRange.max + RULES.warmAbove)
    causes.push({ code: 'heat', celsius: hottestC, aboveC: temperatureRange.max })
  if (toleranceAbv !== undefined && abv > toleranceAbv - 0.7) causes.push({ code: 'alcohol', abv, toleranceAbv })
  if ((nitrogenShortMgPerL ?? 0) > 30) causes.push({ code: 'nitrogen', shortMgPerL: nitrogenShortMgPerL! })
  if ((freeSo2MgPerL ?? 0) > RULES.freeLimit) causes.push({ code: 'sulphite', freeMgPerL: freeSo2MgPerL! })
  return causes.length > 0 ? causes : [{ code: 'unknown' }]
}

/**
 * A restart by a starter that is acclimatised to the wine: rehydrated, begun in half wine and half water with a little sugar, doubled with
 * wine whenever half of its sugar has gone, and at two fifths of the whole put to the rest.
 * @param asked 1 to 100 000 L, SG 0.98 to 1.15, 0 to 20 % vol
 * @throws LimitError
 * @example stuckRestart({ volumeL: 40, sg: 1.018, abv: 11.4 }).yeastG // 20
 */
export function stuckRestart(asked: RestartAsked): Restart {
  const volumeL = within('volumeL', asked.volumeL, 1, 100_000)
  const sg = within('sg', asked.sg, 0.98, 1.15)
  const abv = within('abv', asked.abv, 0, 20)
  const causes = stopCauses(asked)
  const yeastG = RULES.yeastGPerL * volumeL
  const findings: RestartFinding[] = []
  if (sg <= 0.996) findings.push({ code: 'nothing-to-restart', sg })
  if (abv > RULES.strongestAbv) findings.push({ code: 'too-strong', abv })
  if ((asked.freeSo2MgPerL ?? 0) > RULES.freeLimit) findings.push({ code: 'too-much-sulphite', freeMgPerL: asked.freeSo2MgPerL! })
  if (causes[0]?.code === 'cold') findings.push({ code: 'worth-warming-first' })
  findings.push({ code: 'no-nutrient-in-the-wine' })
  const still = { addWineL: 0, addWaterL: 0, addSugarG: 0, starterL: 0 }
  const cupL = volumeL * RULES.firstShare
  const steps: RestartStep[] = [
    { code: 'rack', atHours: -24, ...still },
    { code: 'condition', atHours: -12, ...still },
    { code: 'rehydrate', atHours: 0, ...still },
    {
      code: 'first-cup',
      atHours: 0.5,
      starterL: cupL,
      addWineL: cupL / 2,
      addWaterL: cupL / 2,
      addSugarG: (cupL / 2) * RULES.firstSugarGPerL
    }
  ]
  let [starterL, usedL, at] = [cupL, cupL / 2, 0.5]
  while (starterL < volumeL * RULES.lastShare) {
    at += RULES.stepH
    const addWineL = Math.min(starterL, volumeL - usedL)
    starterL += addWineL
    usedL += addWineL
    steps.push({ code: 'double', atHours: at, ...still, starterL, addWineL })
  }
  at += RULES.stepH
  steps.push({ code: 'all-in', atHours: at, ...still, starterL: starterL + volumeL - usedL, addWineL: volumeL - usedL })
  return {
    causes,
    yeastG,
    rehydrationNutrientG: yeastG * PITCH.nutrientPerG,
    waterMl: yeastG * PITCH.waterPerG,
    hullsG: RULES.hullsGPerL * volumeL,
    holdC: RULES.holdC,
    steps,
    totalHours: at,
    findings
  }
}
