import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { fitAcids, solveEquilibrium } from '../core/acids'

const start = fitAcids({ ph: 3.5, taGPerL: 6, malicGPerL: 2.5 }).composition

/** The same fit by a general-purpose nonlinear solver: tartaric acid and strong ions so that pH and TA come out. */
export function fitByLeastSquares(ph: number, taGPerL: number): readonly number[] {
  const model =
    ([tartaric, strongIon]: number[]) =>
      (which: number): number => {
        const solved = solveEquilibrium({ ...start, strongIon: strongIon!, acids: { ...start.acids, tartaric: tartaric! } })
        return which === 0 ? solved.ph : solved.taGPerL
      }
  return levenbergMarquardt({ x: [0, 1], y: [ph, taGPerL] }, model, {
    initialValues: [0.03, 0.03],
    gradientDifference: 1e-5,
    maxIterations: 30,
    errorTolerance: 1e-12,
    damping: 1e-3
  }).parameterValues
}
