import { fitAcids, predictAcids, solveEquilibrium } from '../core/acids'
import { perCall } from './time'

/** One fit of a measured pair and one prediction after an addition; and the prediction with its band. */
export function benchAcids() {
  let i = 0
  const fitAndPredict = () => {
    const fit = fitAcids({ ph: 3.2 + (++i % 60) / 100, taGPerL: 5 + (i % 40) / 10 })
    return solveEquilibrium({ ...fit.composition, acids: { ...fit.composition.acids, tartaric: fit.composition.acids.tartaric + 0.005 } }).ph
  }
  const banded = () => predictAcids({ ph: 3.2 + (++i % 60) / 100, taGPerL: 6 }, [{ kind: 'tartaric', gPerL: 1 }]).after.ph
  return { fitAndPredictUs: perCall(fitAndPredict, 4000) * 1000, predictionWithBandUs: perCall(banded, 1000) * 1000, goalUs: 50 }
}
