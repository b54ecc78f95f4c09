import { fitAcids, predictAcids, solveEquilibrium } from '../core/acids'
import { coverageOf } from '../core/acids/coverage.fixture'
import { findTargets } from '../core/must'
import { fitByLeastSquares } from './least-squares'
import { perCall } from './time'

/** Wines of the fuller model on which the bands are tried; none of them set anything. */
const REAL_WINES = 1200

/** One fit of a measured pair and one prediction after an addition; and the prediction with its band. */
export function benchAcids() {
  let i = 0
  const fitAndPredict = () => {
    const fit = fitAcids({ ph: 3.2 + (++i % 60) / 100, taGPerL: 5 + (i % 40) / 10 })
    return solveEquilibrium({ ...fit.composition, acids: { ...fit.composition.acids, tartaric: fit.composition.acids.tartaric + 0.005 } })
      .ph
  }
  const banded = () => predictAcids({ ph: 3.2 + (++i % 60) / 100, taGPerL: 6 }, [{ kind: 'tartaric', gPerL: 1 }]).after.ph
  const fit = () => fitAcids({ ph: 3.2 + (++i % 60) / 100, taGPerL: 6, malicGPerL: 2.5 })
  const fitUs = perCall(fit, 4000) * 1000
  const leastSquaresUs = perCall(() => fitByLeastSquares(3.2 + (++i % 60) / 100, 6), 20) * 1000
  const request = (withBands: boolean) => ({
    must: { brix: 24 + (++i % 30) / 10, ph: 3.75, taGPerL: 5.4 },
    volumeL: 77,
    style: 'red' as const,
    withBands,
    available: { tartaric: true, malic: true, citric: true, 'potassium-bicarbonate': true, water: true, sucrose: true } as const
  })
  return {
    fitAndPredictUs: perCall(fitAndPredict, 4000) * 1000,
    fitAndPredictGoalUs: 50,
    predictionWithBandUs: perCall(banded, 1000) * 1000,
    fitUs,
    levenbergMarquardtUs: leastSquaresUs,
    fitAgainstLevenbergMarquardt: fitUs / leastSquaresUs,
    targetFinderMs: perCall(() => findTargets(request(false)), 20),
    targetFinderWithBandsMs: perCall(() => findTargets(request(true)), 5),
    targetFinderGoalMs: 100,
    bandsOnRealWines: coverage()
  }
}

/** What the 80 % bands held (goal 0.76 to 0.84), and how far the middle was off: composition, and pH and TA after each change. */
function coverage() {
  const round = (x: number) => Number(x.toFixed(3))
  return Object.fromEntries(
    Object.entries(coverageOf(REAL_WINES, 2026)).map(([name, c]) => [
      name,
      { held: round(c.held), bias: round(c.bias), medianError: round(c.medianError), medianWidth: round(c.width), of: c.n }
    ])
  )
}
