import { normalFrom, seeded } from '../core/units'
import { abvOf, gravityOf, wineAcids, type Wine } from './wine'
import { tartarBeyond } from './acids'

/** What a household measures with, and how far off each of its things is. */
export interface Instruments {
  random: () => number
  normal: () => number
  hydrometerOff: number
  phOff: number
  phDriftPerDay: number
  titrationFactor: number
  /** What the refractometer shows too much, °Brix. */
  refractometerOff: number
}

export function instrumentsOf(seed: number): Instruments {
  const random = seeded(seed * 4441 + 7)
  const normal = normalFrom(random)
  return {
    random,
    normal,
    hydrometerOff: 0.0007 * normal(),
    phOff: 0.03 * normal(),
    phDriftPerDay: 0.0003 * normal(),
    titrationFactor: 1 + 0.025 * normal(),
    refractometerOff: 0
  }
}
const steps = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(6))

/** Looked at through a person's things and eyes. */
export const SEE = {
  sg: (w: Wine, i: Instruments) => steps(gravityOf(w) + i.hydrometerOff + 0.0007 * i.normal() - (w.gas > 1.2 ? -0.0006 : 0), 0.0005),
  /** Of a must: what is dissolved in 100 g. */
  brix: (w: Wine, i: Instruments) => steps((w.sugar + w.nature.extract) / 10 / gravityOf(w) + i.refractometerOff + 0.15 * i.normal(), 0.2),
  ph: (w: Wine, i: Instruments) => steps(wineAcids(w).ph + i.phOff + (i.phDriftPerDay * w.hours) / 24 + 0.025 * i.normal(), 0.01),
  /** Gas that was not driven out counts as acid. */
  ta: (w: Wine, i: Instruments, degassed = true) =>
    steps(wineAcids(w).ta * i.titrationFactor + (degassed ? 0 : w.gas * 0.55) + 0.12 * i.normal(), 0.1),
  /** A kit reads red wines high. */
  freeSo2: (w: Wine, i: Instruments) => Math.max(0, steps(w.free + (w.must.colour === 'red' ? 6 : 1.2) + 2.6 * i.normal(), 1)),
  celsius: (w: Wine, i: Instruments) => steps(w.celsius + 0.3 * i.normal(), 0.5),
  malic: (w: Wine, i: Instruments) => Math.max(0, steps(w.acids.malic * (1 + 0.09 * i.normal()) + 0.03 * i.normal(), 0.05)),
  sugar: (w: Wine, i: Instruments) => Math.max(0, steps(w.sugar * (1 + 0.06 * i.normal()) + 0.3 * i.normal(), 0.5)),
  abv: (w: Wine, i: Instruments) => steps(abvOf(w) + 0.25 * i.normal(), 0.1),
  clarity: (w: Wine, i: Instruments) => {
    const ntu = w.haze * Math.exp(0.2 * i.normal())
    return ntu < 2.2 ? 'bright' : ntu < 7 ? 'clear' : ntu < 25 ? 'nearly-clear' : ntu < 160 ? 'hazy' : 'cloudy'
  },
  gas: (w: Wine, i: Instruments) => {
    const felt = w.gas + 0.08 * i.normal()
    return felt > 1 ? 'puff' : felt > 0.55 ? 'sigh' : 'none'
  },
  smells: (w: Wine, i: Instruments): ('rotten-egg' | 'vinegar' | 'clean')[] => {
    const egg = w.sulphide * Math.exp(0.3 * i.normal()) > 2.6
    const vinegar = w.acids.acetic * Math.exp(0.15 * i.normal()) > 0.85
    return egg ? ['rotten-egg'] : vinegar ? ['vinegar'] : ['clean']
  },
  /** Two hours at 80 °C. */
  staysClearInHeat: (w: Wine, i: Instruments) => w.protein * Math.exp(0.15 * i.normal()) < 13,
  staysClearInCold: (w: Wine) => tartarBeyond(w.acids, -3, w.ethanol) < 0.22
} as const
