import { bitartrateSolubility } from './bitartrate'

/**
 * Musts and wines as they are, made from contents in the literature by a fuller model than the one that fits: nineteen
 * solutes each for itself, activities by the extended Debye and Hückel equation with ion sizes, pKa shifts with alcohol that
 * differ from wine to wine. Contents: Ribéreau-Gayon et al., Handbook of Enology 2; Boulton et al. 1996; from memory. Used by tests and
 * by the bench; nothing in the product knows it.
 */
type Random = () => number
type Solutes = Record<string, number>

/** g/mol, charge of the fullest protonated form, thermodynamic pKa at 25 °C (CRC Handbook and the NBS series, from memory). */
const DATA: Record<string, { mass: number, top: number, pka: readonly number[] }> = {
  tartaric: { mass: 150.09, top: 0, pka: [3.036, 4.366] }, malic: { mass: 134.09, top: 0, pka: [3.459, 5.097] },
  lactic: { mass: 90.08, top: 0, pka: [3.86] }, citric: { mass: 192.12, top: 0, pka: [3.128, 4.761, 6.396] },
  succinic: { mass: 118.09, top: 0, pka: [4.207, 5.635] }, acetic: { mass: 60.05, top: 0, pka: [4.756] },
  phosphoric: { mass: 97.99, top: 0, pka: [2.148, 7.198, 12.35] }, gluconic: { mass: 196.16, top: 0, pka: [3.86] },
  galacturonic: { mass: 194.14, top: 0, pka: [3.51] }, glutamic: { mass: 147.13, top: 1, pka: [2.16, 4.15, 9.58] },
  proline: { mass: 115.13, top: 1, pka: [1.95, 10.64] }, alanine: { mass: 89.09, top: 1, pka: [2.34, 9.87] },
  arginine: { mass: 174.2, top: 2, pka: [1.82, 8.99, 12.5] }, ammonium: { mass: 18.04, top: 1, pka: [9.245] },
  phenols: { mass: 290, top: 0, pka: [9.1] },
  potassium: { mass: 39.098, top: 1, pka: [] }, sodium: { mass: 22.99, top: 1, pka: [] }, magnesium: { mass: 24.305, top: 2, pka: [] },
  calcium: { mass: 40.078, top: 2, pka: [] }, chloride: { mass: 35.45, top: -1, pka: [] }, sulphate: { mass: 96.06, top: -2, pka: [] }
}

const SOLUTES = Object.entries(DATA)

export interface RealWine {
  style: 'red' | 'white'
  brix: number
  abv: number
  /** g/L */
  solutes: Solutes
  /** How much more or less the pKa of this wine move with alcohol than usual. */
  alcoholFactor: number
}

const uniform = (random: Random, low: number, high: number) => low + (high - low) * random()
/** Bell-shaped over a range: the mean of three uniform numbers. */
const bell = (random: Random, low: number, high: number) => low + (high - low) * (random() + random() + random()) / 3

/** Fruit of another place than the handbook's: contents in proportion to it. */
export const REGIONS: Record<string, Solutes> = {
  handbook: {},
  'much tartaric': { tartaric: 1.25, potassium: 1.1 },
  'little tartaric': { tartaric: 0.78, malic: 1.1 },
  'rich in potassium': { potassium: 1.25, tartaric: 1.1 },
  'high in malic': { malic: 1.5, phosphoric: 1.3 },
  'low in malic': { malic: 0.6, potassium: 0.95 }
}
export const fromRegion = (wine: RealWine, region: Solutes): RealWine => ({
  ...wine,
  solutes: Object.fromEntries(Object.entries(wine.solutes).map(([name, g]) => [name, g * (region[name] ?? 1)]))
})

/** A sound must. */
export function realMust(random: Random): RealWine {
  const style = random() < 0.5 ? 'red' : 'white'
  const brix = style === 'red' ? bell(random, 20.5, 27.5) : bell(random, 17.5, 25)
  const ripeness = brix - 23
  const strength = bell(random, 0.75, 1.25)
  const solutes: Solutes = {
    tartaric: bell(random, 3.4, 7.8), malic: Math.max(0.4, bell(random, 0.6, 5.2) - 0.25 * ripeness), lactic: 0.02, citric: uniform(random, 0.1, 0.4),
    succinic: 0.02, acetic: uniform(random, 0, 0.1), phosphoric: uniform(random, 0.2, 0.6), gluconic: uniform(random, 0, 0.3),
    galacturonic: uniform(random, 0.1, 0.6), glutamic: uniform(random, 0.05, 0.3), proline: uniform(random, 0.3, 1.5),
    alanine: uniform(random, 0.1, 0.5), arginine: uniform(random, 0.2, 1), ammonium: uniform(random, 0.03, 0.14), phenols: uniform(random, 0.1, 0.6),
    potassium: bell(random, 0.75, 2.6) + 0.03 * ripeness + (style === 'red' ? 0.15 : -0.1), sodium: uniform(random, 0.005, 0.04),
    magnesium: uniform(random, 0.05, 0.12), calcium: uniform(random, 0.05, 0.12), chloride: uniform(random, 0.02, 0.15), sulphate: uniform(random, 0.1, 0.4)
  }
  for (const name of Object.keys(solutes)) solutes[name]! *= strength
  return { style, brix, abv: 0, solutes, alcoholFactor: uniform(random, 0.85, 1.15) }
}

/** A sound dry wine, before or after malolactic. */
export function realWine(random: Random, after: boolean): RealWine {
  const must = realMust(random)
  const strength = bell(random, 0.75, 1.25)
  const solutes: Solutes = {
    tartaric: bell(random, 1.1, 4.1), malic: after ? uniform(random, 0, 0.25) : bell(random, 0.3, 4.5), lactic: after ? bell(random, 0.6, 3.2) : uniform(random, 0.1, 0.5),
    citric: after ? uniform(random, 0, 0.2) : uniform(random, 0.05, 0.45), succinic: uniform(random, 0.5, 1.45), acetic: uniform(random, 0.2, 0.65),
    phosphoric: uniform(random, 0.1, 0.5), gluconic: uniform(random, 0, 0.35), galacturonic: uniform(random, 0.1, 0.7), glutamic: uniform(random, 0.02, 0.2),
    proline: uniform(random, 0.2, 1.2), alanine: uniform(random, 0.02, 0.2), arginine: uniform(random, 0.02, 0.3), ammonium: uniform(random, 0, 0.02),
    phenols: must.style === 'red' ? uniform(random, 1, 2.5) : uniform(random, 0.1, 0.3),
    potassium: bell(random, 0.4, 1.55) + (must.style === 'red' ? 0.15 : -0.1), sodium: uniform(random, 0.005, 0.04), magnesium: uniform(random, 0.05, 0.12),
    calcium: uniform(random, 0.04, 0.1), chloride: uniform(random, 0.02, 0.15), sulphate: uniform(random, 0.1, 0.5)
  }
  for (const name of Object.keys(solutes)) solutes[name]! *= strength
  return { ...must, abv: bell(random, 10.5, 15), solutes }
}

/** Ion sizes of about 5 Å: −log γ for one charge. */
function logGamma(strength: number, abv: number): number {
  const root = Math.sqrt(strength)
  const a = 0.509 * (78.4 / (78.4 - 0.45 * abv)) ** 1.5
  return a * root / (1 + 1.64 * root)
}

/** Net charge at a pH, mol/L, and the ionic strength. */
function net(wine: RealWine, ph: number, strength: number): { charge: number, strength: number } {
  const lg = logGamma(strength, wine.abv)
  let charge = 10 ** (-ph + lg) - 10 ** (ph - 13.995 + lg)
  let squares = Math.abs(charge)
  for (const [name, { mass, top, pka }] of SOLUTES) {
    const moles = (wine.solutes[name] ?? 0) / mass
    let [term, sum, mean, mean2] = [1, 1, top, top * top]
    pka.forEach((pk, i) => {
      const z = top - i - 1
      // From charge z + 1 to z: the constant grows by the change of z².
      const shift = 0.0047 * (z * z - (z + 1) * (z + 1)) * 2 * wine.abv * wine.alcoholFactor
      term *= 10 ** (ph - pk - Math.max(-0.1, shift) + lg * (z * z - (z + 1) * (z + 1)))
      sum += term
      mean += term * z
      mean2 += term * z * z
    })
    charge += moles * mean / sum
    squares += moles * mean2 / sum
  }
  return { charge, strength: squares / 2 }
}

function settledAt(wine: RealWine, ph: number): { charge: number, strength: number } {
  let at = net(wine, ph, 0.05)
  for (let i = 0; i < 4; i++) at = net(wine, ph, at.strength)
  return at
}

/** pH by bisection, and TA to pH 8.2 as g/L tartaric. */
export function measure(wine: RealWine): { ph: number, taGPerL: number } {
  let [low, high] = [1.5, 8]
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2
    if (settledAt(wine, middle).charge > 0) low = middle
    else high = middle
  }
  const ph = (low + high) / 2
  // The base itself is a strong ion: sodium is added until the charge at the end point is nought.
  let base = 0
  for (let i = 0; i < 4; i++) {
    base -= settledAt({ ...wine, solutes: { ...wine.solutes, sodium: wine.solutes.sodium! + base * 22.99 } }, 8.2).charge
  }
  return { ph, taGPerL: base * 75.04 }
}

export const withMore = (wine: RealWine, more: Solutes): RealWine =>
  ({ ...wine, solutes: { ...wine.solutes, ...Object.fromEntries(Object.entries(more).map(([n, g]) => [n, (wine.solutes[n] ?? 0) + g])) } })

/** All malic acid but a trace turned to lactic: 0.672 g for a gram. */
export function afterMalolactic(wine: RealWine): RealWine {
  const turned = Math.max(0, wine.solutes.malic! - 0.1)
  return withMore(wine, { malic: -turned, lactic: turned * 0.6718 })
}

/**
 * As bacteria really do it: citric acid goes too and leaves acetic acid, arginine gives ammonia, and some of the lactic acid is not there
 * (ranges from memory after Ribéreau-Gayon et al., Handbook of Enology 1).
 */
export function afterBacteria(wine: RealWine, random: Random): RealWine {
  const turned = Math.max(0, wine.solutes.malic! - uniform(random, 0.02, 0.2))
  const citric = wine.solutes.citric! * uniform(random, 0.4, 1)
  const arginine = wine.solutes.arginine! * uniform(random, 0, 0.9)
  const moles = arginine / 174.2
  return withMore(wine, {
    malic: -turned, lactic: turned * 0.6718 * uniform(random, 0.94, 1), citric: -citric, acetic: citric * uniform(random, 0.3, 0.8),
    arginine: -arginine, ammonium: moles * 18.04 * uniform(random, 1, 2)
  })
}

/** As yeast does it: acids come and go, alcohol drives bitartrate out, skins give potassium (ranges from memory after the same book). */
export function afterFerment(must: RealWine, abv: number, random: Random): RealWine {
  const young: RealWine = {
    ...withMore(must, {
      succinic: uniform(random, 0.5, 1.5), acetic: uniform(random, 0.15, 0.55), lactic: uniform(random, 0.1, 0.4),
      malic: -must.solutes.malic! * uniform(random, 0, 0.35), glutamic: -must.solutes.glutamic! * uniform(random, 0.4, 0.9),
      alanine: -must.solutes.alanine! * uniform(random, 0.4, 0.9), arginine: -must.solutes.arginine! * uniform(random, 0.5, 0.95),
      ammonium: -must.solutes.ammonium! * uniform(random, 0.8, 1), phosphoric: -must.solutes.phosphoric! * uniform(random, 0, 0.5),
      potassium: must.style === 'red' ? uniform(random, -0.05, 0.25) : uniform(random, -0.05, 0.05)
    }),
    abv
  }
  return fallen(young, 18, bell(random, 0.3, 1))
}

/** Weeks of cold: colloids let a fifth to two thirds of what is above saturation fall. */
export const afterCold = (wine: RealWine, celsius: number, random: Random): RealWine => fallen(wine, celsius, bell(random, 0.15, 0.75))
/** Other cellars, other colloids: from next to nothing to nearly all of it. */
export const afterAnyCold = (wine: RealWine, celsius: number, random: Random): RealWine => fallen(wine, celsius, uniform(random, 0.05, 0.95))

function fallen(wine: RealWine, celsius: number, share: number): RealWine {
  const without = (moles: number) => withMore(wine, { tartaric: -moles * 150.09, potassium: -moles * 39.098 })
  const product = (w: RealWine): number => {
    const { ph } = measure(w)
    const { strength } = settledAt(w, ph)
    const lg = logGamma(strength, w.abv)
    const shift = 0.0094 * w.abv * w.alcoholFactor
    const [k1, k2] = [10 ** (ph - 3.036 - shift + lg), 10 ** (ph - 4.366 - 3 * shift / 2 + 3 * lg)]
    return w.solutes.potassium! / 39.098 * w.solutes.tartaric! / 150.09 * k1 / (1 + k1 + k1 * k2) * 10 ** (-2 * lg)
  }
  const solubility = bitartrateSolubility(celsius, wine.abv) / 188.177
  const saturated: RealWine = { ...wine, solutes: { tartaric: solubility * 150.09, potassium: solubility * 39.098, sodium: 0 } }
  const limit = product(saturated)
  if (product(wine) <= limit) return wine
  let [low, high] = [0, Math.min(wine.solutes.tartaric! / 150.09, wine.solutes.potassium! / 39.098) * 0.99]
  for (let i = 0; i < 12; i++) {
    const middle = (low + high) / 2
    if (product(without(middle)) > limit) low = middle
    else high = middle
  }
  return without(low * share)
}
