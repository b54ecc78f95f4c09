import { within } from '../units'

/** Cells grow about fourfold in a fed and aired starter before it is stepped up; 12 h a step. Common practice, no source. */
const GROWTH = 4
const STEP_H = 12
/** A starter is ready at this share of the must. */
const READY_SHARE = 0.05

export interface StarterStep {
  atHours: number
  volumeL: number
  addJuiceL: number
}
export interface StarterPlan {
  steps: StarterStep[]
  totalHours: number
  /** Litres of the last step for each lot, in their order. */
  shares: { volumeL: number, starterL: number }[]
  /** What the yeast would have been without building up, g/L over all lots. */
  directGPerL: number
}

/**
 * A starter from too little yeast, quadrupled in sterilised juice until it is a twentieth of all the must, then shared by
 * volume over the lots. It must be begun that much earlier: short yeast can be helped if it is known a day ahead.
 * @param yeastG what there is, 0.5 to 500 g
 * @param lotsL must of each lot, L
 * @throws LimitError
 * @example starterPlan(5, [77, 40]).totalHours // 24
 */
export function starterPlan(yeastG: number, lotsL: readonly number[]): StarterPlan {
  within('yeastG', yeastG, 0.5, 500)
  within('lots', lotsL.length, 1, 50)
  for (const l of lotsL) within('volumeL', l, 0.5, 100_000)
  const totalL = lotsL.reduce((a, b) => a + b, 0)
  const neededL = totalL * READY_SHARE
  // The packet starts as if it were pitched at ten times the usual rate.
  const steps: StarterStep[] = [{ atHours: 0, volumeL: yeastG / 2.5, addJuiceL: yeastG / 2.5 }]
  while (steps.at(-1)!.volumeL < neededL) {
    const last = steps.at(-1)!
    const volumeL = Math.min(last.volumeL * GROWTH, Math.max(neededL, last.volumeL * 1.01))
    steps.push({ atHours: last.atHours + STEP_H, volumeL, addJuiceL: volumeL - last.volumeL })
  }
  const last = steps.at(-1)!
  return {
    steps,
    totalHours: last.atHours + STEP_H,
    shares: lotsL.map((volumeL) => ({ volumeL, starterL: (last.volumeL * volumeL) / totalL })),
    directGPerL: yeastG / totalL
  }
}
