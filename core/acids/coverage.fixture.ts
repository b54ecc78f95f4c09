import { type AcidChange, type AcidReadings, type Band, predictAcids } from '.'
import { REGIONS, type RealWine, afterAnyCold, afterBacteria, afterCold, afterFerment, afterMalolactic, fromRegion, measure, realMust, realWine,
  withMore } from './real-wines.fixture'
import { seeded } from '../units'

/** How often a band held the truth, and how far the middle was off. */
export interface Coverage {
  held: number
  bias: number
  medianError: number
  width: number
  n: number
}

interface Trial {
  name: string
  changes: AcidChange[]
  truly: (wine: RealWine) => RealWine
}

const ACID = 1.2
/** Home instruments: the 80 % half-widths that the bands reckon with are 1.28 standard deviations of these errors. */
const METER = 0.05 / 1.2816
const TITRATION = 0.3 / 1.2816

/**
 * Each quantity's coverage over made-up musts and wines, measured with the errors of home instruments.
 * @param count wines
 * @param region of the fruit, and the bacteria and the cold of other cellars with it; the handbook's own when left out
 */
export function coverageOf(count: number, seed: number, region?: keyof typeof REGIONS): Record<string, Coverage> {
  const random = seeded(seed)
  const normal = () => Math.sqrt(-2 * Math.log(random() + 1e-12)) * Math.cos(2 * Math.PI * random())
  const seen = new Map<string, { band: Band, truth: number }[]>()
  const note = (name: string, band: Band, truth: number) => seen.set(name, [...(seen.get(name) ?? []), { band, truth }])
  const cold = (w: RealWine) => (region ? afterAnyCold : afterCold)(w, -2, random)
  const bacteria = (w: RealWine) => (region ? afterBacteria(w, random) : afterMalolactic(w))
  const acid: Trial = { name: 'acid', changes: [{ kind: 'tartaric', gPerL: ACID }], truly: (w) => withMore(w, { tartaric: ACID }) }
  const malolactic: Trial = { name: 'malolactic', changes: [{ kind: 'malolactic', toMalicGPerL: 0.1 }], truly: bacteria }
  const stood: Trial = { name: 'cold', changes: [{ kind: 'cold', celsius: -2 }], truly: cold }
  const both: Trial = {
    name: 'malolactic and cold',
    changes: [...malolactic.changes, ...stood.changes],
    truly: (w) => cold(bacteria(w))
  }
  const three: Trial = {
    name: 'acid, malolactic and cold',
    changes: [...acid.changes, ...both.changes],
    truly: (w) => both.truly(acid.truly(w))
  }
  for (let i = 0; i < count; i++) {
    const kind = i % 3
    const wine = fromRegion(kind === 0 ? realMust(random) : realWine(random, kind === 2), REGIONS[region ?? 'handbook']!)
    const { ph, taGPerL } = measure(wine)
    if (ph < 2.85 || ph > 4.05 || taGPerL < 3.2 || taGPerL > 13) continue
    const readings: AcidReadings = {
      ph: ph + METER * normal(),
      taGPerL: taGPerL + TITRATION * normal(),
      abv: wine.abv,
      style: wine.style,
      brix: wine.brix,
      // Whoever knows that malolactic has not been, or has, says so.
      ...(kind > 0 && { malolactic: kind === 1 ? ('before' as const) : ('after' as const) })
    }
    const { bands } = predictAcids(readings, []).before
    for (const name of ['tartaric', 'malic', 'lactic'] as const) {
      if (name !== 'lactic' || kind === 2)
        note(
          `${name} in ${kind === 0 ? 'must' : kind === 1 ? 'wine' : 'wine after malolactic'}`,
          bands.acidsGPerL[name],
          wine.solutes[name]!
        )
    }
    const abv = wine.brix * 0.57
    const style = wine.style
    const ferment: AcidChange = { kind: 'ferment', toAbv: abv, style }
    const fermented: Trial = { name: 'ferment', changes: [ferment], truly: (w) => afterFerment(w, abv, random) }
    const finished: Trial = {
      name: 'ferment, malolactic and cold', changes: [ferment, ...both.changes], truly: (w) => both.truly(fermented.truly(w))
    }
    for (const trial of kind === 0 ? [acid, malolactic, fermented, finished] : kind === 1 ? [acid, malolactic, stood, both, three] : [acid, stood]) {
      const { after } = predictAcids(readings, trial.changes)
      const truth = measure(trial.truly(wine))
      note(`pH after ${trial.name}`, after.bands.ph, truth.ph)
      note(`TA after ${trial.name}`, after.bands.taGPerL, truth.taGPerL)
    }
  }
  return Object.fromEntries([...seen].map(([name, all]) => [name, summary(all)]))
}

function summary(all: { band: Band, truth: number }[]): Coverage {
  const errors = all.map((a) => a.band.mid - a.truth)
  const median = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!
  return {
    held: all.filter((a) => a.truth >= a.band.low && a.truth <= a.band.high).length / all.length,
    bias: errors.reduce((a, b) => a + b, 0) / all.length,
    medianError: median(errors.map(Math.abs)),
    width: median(all.map((a) => a.band.high - a.band.low)),
    n: all.length
  }
}
