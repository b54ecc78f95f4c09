import { normalFrom, seeded } from '../core/units'

/**
 * The simulator knows nothing of Presk's advice: its forms and figures are others than those of the core, so that the one can be judged by
 * the other. Figures are from memory of the literature where no other source is named; each wine draws its own from a wide spread.
 */
export type Colour = 'red' | 'rose' | 'white'

/** What is to be fermented, as it truly is. */
export interface MustTruth {
  colour: Colour
  litres: number
  /** Fruit with its skins in it. */
  skins: boolean
  /** Hexose, g/L. */
  sugar: number
  /** Yeast-assimilable nitrogen, mg N/L. */
  nitrogen: number
  ph: number
  /** g/L. */
  tartaric: number
  malic: number
  /** SO₂ that came with it, mg/L in all. */
  sulphited: number
  /** Share of fruit that was rotten, 0 to 1. */
  rot: number
  celsius: number
}

/** What this wine is like beyond its figures; drawn once from its seed. */
export interface Nature {
  ferment: 'monod' | 'logistic'
  binding: 'equilibrium' | 'proportional'
  malolactic: 'growth' | 'lag'
  /** Multiplies the yeast's pace. */
  vigour: number
  /** Alcohol at which the yeast gives up, g/L. */
  ethanolMax: number
  /** Grams of ethanol from a gram of hexose. */
  yield: number
  /** Extract without sugar, g/L. */
  extract: number
  /** Of equilibrium: SO₂ that can be bound, mg/L, and its half-saturation. */
  binders: number
  bindHalf: number
  /** Of proportional: the share of free that goes. */
  bindShare: number
  /** Free SO₂ lost in a month in a full closed vessel, share. */
  lossPerMonth: number
  /** Days until bacteria that were given begin, and their pace a day. */
  lagDays: number
  malicPerDay: number
  /** Whether bacteria that nobody gave live in this cellar, and when they would wake, days. */
  wildBacteriaDay: number
  /** Days in which haze halves, and what never settles, NTU. */
  settleDays: number
  stubbornHaze: number
  /** Protein that heat throws, mg/L. */
  protein: number
  /** How readily yeast makes hydrogen sulphide. */
  sulphide: number
  /** Vinegar bacteria in this cellar. */
  acetics: number
  /** Share that a barrel of 225 L loses in a month, and days in which it takes up half of what wood has to give. */
  drinks: number
  oakDays: number
}

/** A seed's own nature. */
export function natureOf(seed: number, must: MustTruth): Nature {
  const random = seeded(seed * 7877 + 13)
  const normal = normalFrom(random)
  const around = (mid: number, spread: number, low: number, high: number) =>
    Math.min(high, Math.max(low, mid * Math.exp(spread * normal())))
  const either = <T>(a: T, b: T): T => (random() < 0.5 ? a : b)
  const white = must.colour === 'white'
  return {
    ferment: either('monod', 'logistic'),
    binding: either('equilibrium', 'proportional'),
    malolactic: either('growth', 'lag'),
    vigour: around(1, 0.22, 0.55, 1.7),
    ethanolMax: around(126, 0.05, 108, 142),
    yield: around(0.472, 0.015, 0.455, 0.488),
    extract: around(must.colour === 'red' ? 25.5 : white ? 19.5 : 20.5, 0.1, 15, 33),
    binders: around(55 + 90 * must.rot, 0.3, 22, 170),
    bindHalf: around(7, 0.4, 2, 18),
    bindShare: around(0.36 + 0.2 * must.rot, 0.2, 0.2, 0.66),
    lossPerMonth: around(0.09, 0.45, 0.03, 0.28),
    lagDays: around(9, 0.5, 3, 34),
    malicPerDay: around(0.127, 0.35, 0.05, 0.3),
    wildBacteriaDay: random() < 0.35 ? around(150, 0.5, 50, 420) : 100_000,
    settleDays: around(11, 0.4, 5, 34),
    stubbornHaze: random() < 0.16 ? around(24, 0.5, 11, 80) : around(1.1, 0.3, 0.5, 1.9),
    protein: white || must.colour === 'rose' ? around(42, 0.7, 3, 190) : 2,
    sulphide: around(1, 0.5, 0.3, 3.5),
    acetics: around(1, 0.6, 0.2, 4),
    drinks: around(0.017, 0.35, 0.007, 0.035),
    oakDays: around(11, 0.3, 5, 24)
  }
}

/** °C of an unheated room in a temperate house by the day of the year, with its weather. */
export function roomAt(dayOfYear: number, mean: number, swing: number, seed: number): number {
  const season = -Math.cos(((dayOfYear - 21) / 365) * 6.2832) * swing
  const weather = 1.3 * Math.sin(dayOfYear / 3.1 + seed) + 0.9 * Math.sin(dayOfYear / 1.7 + 2.1 * seed)
  return mean + season + weather
}
