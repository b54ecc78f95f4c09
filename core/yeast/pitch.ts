import { within } from '../units'

/**
 * Pitch 0.20 to 0.30 g/L; water ten times, nutrient 1.25 times the yeast's weight; 35 to 40 °C, dead above 43 °C; steps of at most
 * 5 °C. Common practice, no source (craft 3.6).
 */
export const PITCH = {
  gPerL: 0.25,
  minGPerL: 0.2,
  maxGPerL: 0.3,
  waterPerG: 10,
  nutrientPerG: 1.25,
  rehydrateC: 38,
  killsC: 43,
  largestGapC: 5.5,
  stepC: 5,
  restMin: 20,
  stepMin: 10
} as const

export interface PitchStep {
  /** Minutes from the start. */
  atMin: number
  what: 'warm-water-and-nutrient' | 'sprinkle-yeast' | 'stir' | 'add-must' | 'pitch'
  ml?: number
  /** Temperature afterwards, °C. */
  celsius: number
}

export interface PitchPlan {
  yeastG: number
  waterMl: number
  rehydrationNutrientG: number
  steps: PitchStep[]
  findings: (
    | { code: 'rate-unusual', gPerL: number, minGPerL: number, maxGPerL: number }
    | { code: 'must-cold', mustC: number }
    | { code: 'must-hot', mustC: number }
  )[]
}

/**
 * Rehydration and acclimatisation as a timed list: water and nutrient at 38 °C, yeast sprinkled, stirred after 20 minutes,
 * then portions of must, each cooling the slurry by at most 5 °C (mixing by volume), until it is within 5.5 °C of the must.
 * @param volumeL must, 0.5 to 100 000 L
 * @param mustC its temperature, 2 to 40 °C
 * @param gPerL rate, 0.05 to 1 g/L
 * @throws LimitError
 * @example pitchPlan(77, 20).yeastG // 19
 */
export function pitchPlan(volumeL: number, mustC: number, gPerL: number = PITCH.gPerL): PitchPlan {
  within('volumeL', volumeL, 0.5, 100_000)
  within('mustC', mustC, 2, 40)
  within('gPerL', gPerL, 0.05, 1)
  const yeastG = volumeL * gPerL
  const waterMl = yeastG * PITCH.waterPerG
  const steps: PitchStep[] = [
    { atMin: 0, what: 'warm-water-and-nutrient', ml: waterMl, celsius: PITCH.rehydrateC },
    { atMin: 1, what: 'sprinkle-yeast', celsius: PITCH.rehydrateC },
    { atMin: PITCH.restMin, what: 'stir', celsius: PITCH.rehydrateC }
  ]
  let slurryMl = waterMl
  let celsius: number = PITCH.rehydrateC
  let atMin: number = PITCH.restMin
  while (Math.abs(celsius - mustC) > PITCH.largestGapC) {
    const next = celsius - Math.min(PITCH.stepC, celsius - mustC - PITCH.largestGapC + 0.5)
    const ml = (slurryMl * (celsius - next)) / (next - mustC)
    slurryMl += ml
    celsius = next
    steps.push({ atMin, what: 'add-must', ml, celsius })
    atMin += PITCH.stepMin
  }
  steps.push({ atMin, what: 'pitch', celsius })
  const findings: PitchPlan['findings'] = []
  if (gPerL < PITCH.minGPerL || gPerL > PITCH.maxGPerL)
    findings.push({ code: 'rate-unusual', gPerL, minGPerL: PITCH.minGPerL, maxGPerL: PITCH.maxGPerL })
  if (mustC < 12) findings.push({ code: 'must-cold', mustC })
  if (mustC > 32) findings.push({ code: 'must-hot', mustC })
  return { yeastG, waterMl, rehydrationNutrientG: yeastG * PITCH.nutrientPerG, steps, findings }
}
