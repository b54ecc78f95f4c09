import { fitAcids, predictAcids, solveEquilibrium } from '../core/acids'
import { findTargets } from '../core/must'
import { fitByLeastSquares } from './least-squares'
import { perCall } from './time'

/** One fit of a measured pair and one prediction after an addition; and the prediction with its band. */
export function benchAcids() {
  let i = 0
  const fitAndPredict = () => {
    const fit = fitAcids({ ph: 3.2 + (++i % 60) / 100, taGPerL: 5 + (i % 40) / 10 })
    return solveEquilibrium({ ...fit.composition, acids: { ...fit.composition.acids, tartaric: fit.composition.acids.tartaric + 0.005 } }).ph
  }
  const banded = () => predictAcids({ ph: 3.2 + (++i % 60) / 100, taGPerL: 6 }, [{ kind: 'tartaric', gPerL: 1 }]).after.ph
  const fit = () => fitAcids({ ph: 3.2 + (++i % 60) / 100, taGPerL: 6, malicGPerL: 2.5 })
  const fitUs = perCall(fit, 4000) * 1000
  const leastSquaresUs = perCall(() => fitByLeastSquares(3.2 + (++i % 60) / 100, 6), 20) * 1000
  const finder = () => findTargets({
    must: { brix: 24 + (++i % 30) / 10, ph: 3.75, taGPerL: 5.4 }, volumeL: 77, windows: { brix: { min: 22, max: 25 }, ph: { min: 3.3, max: 3.6 }, ta: { min: 6, max: 7.5 } },
    available: { 'tartaric': true, 'malic': true, 'citric': true, 'potassium-bicarbonate': true, 'water': true, 'sucrose': true }
  })
  return {
    fitAndPredictUs: perCall(fitAndPredict, 4000) * 1000, fitAndPredictGoalUs: 50, predictionWithBandUs: perCall(banded, 1000) * 1000,
    fitUs, levenbergMarquardtUs: leastSquaresUs, fitAgainstLevenbergMarquardt: fitUs / leastSquaresUs,
    targetFinderMs: perCall(finder, 5), targetFinderGoalMs: 100
  }
}
