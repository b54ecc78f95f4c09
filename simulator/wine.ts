import { type Acids, POTASSIUM_PER_BICARBONATE, POTASSIUM_PER_TARTARIC, phOf, potassiumFor, taOf, tartarBeyond } from './acids'
import { type MustTruth, type Nature, natureOf } from './nature'

/** A wine as it truly is. It moves by the hour; nobody sees it but through instruments. */
export interface Wine {
  seed: number
  nature: Nature
  must: MustTruth
  hours: number
  litres: number
  skins: boolean
  sugar: number
  ethanol: number
  /** Living yeast, g/L; nitrogen, mg/L. */
  yeast: number
  nitrogen: number
  celsius: number
  acids: Acids
  /** mg/L: free, and all that is in it; binders that a ferment made. */
  free: number
  total: number
  aldehyde: number
  sorbate: number
  /** g/L of carbon dioxide in solution. */
  gas: number
  lees: number
  /** Hours on gross lees since it was dry. */
  leesHours: number
  haze: number
  protein: number
  /** Oxygen that did harm, mg/L; litres of air over it. */
  oxidised: number
  airL: number
  /** Living malolactic bacteria, share of a full crew; hours since they came. */
  bacteria: number
  bacteriaHours: number
  /** Hydrogen sulphide, µg/L. */
  sulphide: number
  /** What of it is in wood: litres, the barrel's size, and how much of its taste the wood still has, 0 to 1. */
  wood: { litres: number, capacityL: number, fresh: number } | undefined
  /** Taste of oak: 1 is as much as most people want. Loose oak that is in it, g/L, and what that has left to give. */
  oak: number
  looseOak: number
  /** Evaporated from wood, L. */
  evaporated: number
  /** Crystals that fell, g/L. */
  crystals: number
  /** Most of it that was ever hot, °C. */
  hottest: number
  pasteurised: boolean
  /** pH as it was when last worked out, and how much tartar is beyond its solution. */
  ph: number
  beyond: number
}

/** A must from its truth and a seed. */
export function wineFrom(seed: number, must: MustTruth): Wine {
  const nature = natureOf(seed, must)
  const own = { tartaric: must.tartaric, malic: must.malic, lactic: 0, succinic: 0.1, acetic: 0.05 }
  return {
    seed,
    nature,
    must,
    hours: 0,
    litres: must.litres,
    skins: must.skins,
    sugar: must.sugar,
    ethanol: 0,
    yeast: 0.0004 + must.rot * 0.004,
    nitrogen: must.nitrogen,
    celsius: must.celsius,
    acids: { ...own, potassium: potassiumFor(own, must.ph) },
    free: must.sulphited * 0.45,
    total: must.sulphited,
    aldehyde: 0,
    sorbate: 0,
    gas: 0,
    lees: must.skins ? 6 : 4,
    leesHours: 0,
    haze: 900,
    protein: nature.protein,
    oxidised: 0,
    airL: 0,
    bacteria: 0,
    bacteriaHours: 0,
    sulphide: 0,
    wood: undefined,
    oak: 0,
    looseOak: 0,
    evaporated: 0,
    crystals: 0,
    hottest: must.celsius,
    pasteurised: false,
    ph: must.ph,
    beyond: 0
  }
}

export const wineAcids = (w: Wine): { ph: number, ta: number } => ({ ph: phOf(w.acids), ta: taOf(w.acids) })
export const abvOf = (w: Wine): number => w.ethanol / 7.893
/** Density against water by its parts: sugar, extract, alcohol. From memory; checked against tables in the tests. */
export const gravityOf = ({ sugar, nature, ethanol }: Wine): number =>
  1 + 0.000384 * (sugar + nature.extract) - 0.000176 * ethanol + 0.00000011 * ethanol ** 2
/** Molecular SO₂, mg/L: pK of about 12 % vol in a cellar. */
export const molecularOf = (w: Wine): number => w.free / (1 + 10 ** (w.ph - 1.83))

/** One hour in a vessel. @param room °C around it, @param airL litres of air over it, @param lossWPerK of its walls */
export function hour(w: Wine, room: number, airL: number, heldAt?: number): void {
  w.hours++
  w.airL = airL
  // Acids move slowly: four looks a day are enough.
  if (w.hours % 6 === 0) w.ph = phOf(w.acids)
  if (w.hours % 24 === 0) w.beyond = tartarBeyond(w.acids, w.celsius, w.ethanol)
  const before = w.sugar
  ferment(w)
  warm(w, room, before - w.sugar, heldAt)
  sulphite(w)
  bacteriaWork(w)
  settle(w)
  spoil(w)
  steep(w)
}

function ferment(w: Wine): void {
  const n = w.nature
  const t = w.celsius
  if (w.pasteurised || w.yeast <= 0) return
  // Below 8 °C it sleeps, at 30 it is at its best, above 37 it dies (Arrhenius with a cliff).
  const pace = n.vigour * Math.max(0, Math.min(1.9, 0.117 * (t - 6) * (t < 15 ? 0.75 : 0.62)))
  const mol = molecularOf(w)
  const held = (mol > 0.9 ? 0.08 : mol > 0.6 ? 0.5 : 1) * (w.sorbate > 130 && w.yeast < 0.4 && mol > 0.3 ? 0 : 1)
  const thirst = Math.max(0, 1 - w.ethanol / n.ethanolMax)
  const food = w.nitrogen / (w.nitrogen + 28)
  let eaten: number
  if (n.ferment === 'monod') {
    // After Coleman, Fish and Block (2007): growth on nitrogen, sugar taken by what lives, death by alcohol.
    const growth = 0.068 * pace * food * thirst * held * w.yeast
    w.yeast += growth
    w.nitrogen = Math.max(0, w.nitrogen - growth * 62)
    eaten = 0.46 * pace * (w.sugar / (w.sugar + 9)) * thirst ** 0.45 * held * w.yeast
    w.yeast *= 1 - 0.000021 * (w.ethanol / 10) ** 1.7 * (t > 30 ? 2.2 : 1)
  }
  else {
    // A crew that nitrogen limits, and a logistic way up to it.
    const crew = 1.1 + 0.0215 * Math.min(260, w.must.nitrogen + (w.nitrogen > 0 ? 0 : 0))
    const growth = 0.058 * pace * held * w.yeast * Math.max(0, 1 - w.yeast / crew) * (food > 0.05 ? 1 : 0.2)
    w.yeast += growth
    w.nitrogen = Math.max(0, w.nitrogen - growth * 55)
    eaten = 0.4 * pace * w.yeast * (w.sugar / (w.sugar + 14)) * thirst ** 0.7 * held
    w.yeast *= 1 - 0.000016 * (w.ethanol / 10) ** 1.8
  }
  if (t > 36.5) w.yeast *= 1 - 0.03 * (t - 36.5)
  eaten = Math.min(w.sugar, Math.max(0, eaten))
  if (eaten < 1e-5) return
  w.sugar -= eaten
  w.ethanol += eaten * n.yield
  w.acids.succinic += eaten * 0.0033
  w.aldehyde += eaten * 0.16
  w.gas = Math.min(1.75, w.gas + eaten * 0.3)
  w.lees += eaten * 0.055
  w.haze = Math.max(w.haze, Math.min(1500, eaten * 2600))
  // Hungry yeast smells; what is fed in time does not.
  if (w.nitrogen < 25 && w.sugar > 15) w.sulphide += eaten * 0.009 * n.sulphide * Math.max(0.2, 1 - w.must.nitrogen / 260)
  w.sulphide *= 1 - 0.004 * Math.min(1, eaten * 3)
}

function warm(w: Wine, room: number, eaten: number, heldAt?: number): void {
  // 24 kcal a mole of hexose: 0.557 kJ/g; 4.0 kJ/(L K); small vessels shed more for their size.
  const shed = 0.15 * w.litres ** 0.66
  const joules = eaten * w.litres * 557 - shed * 3600 * (w.celsius - room)
  w.celsius += Math.max(-1.5, Math.min(1.5, joules / (w.litres * 4000)))
  // What is cooled or warmed by hand follows to within a degree or so.
  if (heldAt !== undefined) w.celsius += 0.25 * (heldAt - w.celsius)
  w.hottest = Math.max(w.hottest, w.celsius)
}

function sulphite(w: Wine): void {
  // What a ferment makes binds at once and for good.
  const bound = Math.min(w.free, w.aldehyde * 0.35)
  w.free -= bound
  w.aldehyde = Math.max(0, w.aldehyde - bound / 0.35)
  const air = 1 + 26 * Math.min(1, w.airL / Math.max(0.5, w.litres))
  const k = (-Math.log(1 - w.nature.lossPerMonth) / 730) * air * 2 ** ((w.celsius - 15) / 10)
  const lost = w.free * (1 - Math.exp(-k))
  w.free -= lost
  w.total -= lost
}

/** Sulphite goes in, mg/L: some of it is bound within days, here at once. */
export function addSulphite(w: Wine, mgPerL: number): void {
  w.total += mgPerL
  if (w.nature.binding === 'proportional') {
    w.free += mgPerL * (1 - w.nature.bindShare)
    return
  }
  // Free and bound come to an equilibrium with what can be bound.
  let [low, high] = [0, w.total]
  for (let i = 0; i < 30; i++) {
    const free = (low + high) / 2
    if (free + (w.nature.binders * free) / (w.nature.bindHalf + free) > w.total) high = free
    else low = free
  }
  w.free = Math.min(w.free + mgPerL, (low + high) / 2)
}

function bacteriaWork(w: Wine): void {
  const n = w.nature
  const days = w.hours / 24
  if (w.pasteurised) return
  if (w.bacteria === 0 && days > n.wildBacteriaDay && w.free < 8 && w.celsius > 16 && w.acids.malic > 0.3) w.bacteria = 0.02
  if (w.bacteria <= 0) return
  const { ph } = w
  const mol = molecularOf(w)
  const fit =
    Math.max(0, Math.min(1, (ph - 2.94) / 0.45)) *
    Math.max(0, Math.min(1, (w.celsius - 9) / 10)) * (w.celsius > 27 ? 0.3 : 1) *
    Math.max(0, 1 - mol / 0.42) *
    Math.max(0, Math.min(1, (128 - w.ethanol) / 34)) *
    (w.total > 70 ? 0.35 : 1)
  w.bacteriaHours++
  if (mol > 0.75) w.bacteria *= 0.9862
  if (n.malolactic === 'growth') {
    w.bacteria = Math.min(1, w.bacteria * (1 + 0.0094 * fit * (13 / n.lagDays)))
    eatMalic(w, (n.malicPerDay / 24) * fit * w.bacteria * 2.1 * (w.acids.malic / (w.acids.malic + 0.6)))
  }
  else if (w.bacteriaHours > (n.lagDays * 24) / Math.max(0.15, fit))
    eatMalic(w, w.acids.malic * (n.malicPerDay / 24) * 1.8 * fit * Math.min(1, w.bacteria * 4))
  // With sugar about they make vinegar of it.
  if (w.sugar > 5 && w.yeast < 0.1 && fit > 0.2) w.acids.acetic += 0.00035 * fit * w.bacteria
}
function eatMalic(w: Wine, gPerL: number): void {
  const eaten = Math.min(w.acids.malic, gPerL)
  w.acids.malic -= eaten
  w.acids.lactic += eaten * 0.6718
  w.gas = Math.min(1.6, w.gas + eaten * 0.28)
  if (w.acids.malic < 0.04) w.acids.malic = 0.02
}

function settle(w: Wine): void {
  const quiet = w.sugar < 4 || w.yeast < 0.05
  if (quiet) {
    w.leesHours++
    w.gas *= 1 - 0.00055 * (w.celsius > 17 ? 1.4 : 1)
    const held = w.gas > 0.9 ? 2.6 : 1
    const to = w.nature.stubbornHaze
    w.haze = to + (w.haze - to) * Math.exp(-0.693 / (w.nature.settleDays * 24 * held))
    // Yeast that has nothing to eat dies off within weeks.
    w.yeast *= 1 - 0.0011
    if (w.lees > 6 && w.leesHours > 21 * 24) w.sulphide += 0.002 * w.nature.sulphide * (w.celsius / 15)
  }
  if (w.beyond > 0) {
    const falls = w.beyond * 0.0009 * (w.celsius < 3 ? 4 : 1)
    w.acids.tartaric -= falls
    w.acids.potassium -= falls * POTASSIUM_PER_TARTARIC
    w.crystals += falls
  }
}

function spoil(w: Wine): void {
  if (w.gas > 1.1) return
  const share = Math.min(1, w.airL / Math.max(0.5, w.litres))
  const oxygen = share * 0.021 * 2 ** ((w.celsius - 15) / 10)
  // Sulphite takes what it can of it; the rest does harm.
  w.oxidised += oxygen * Math.max(0.06, 1 - w.free / 22)
  const mol = molecularOf(w)
  if (w.ethanol <= 20 || w.pasteurised) return
  const open = Math.max(0, 1 - mol / 0.5) * Math.max(0, (w.celsius - 8) / 12)
  w.acids.acetic += 0.0011 * share * w.nature.acetics * open
}

/** Two grams of chips in a litre give what most people want; a small barrel has more wood to its wine (from memory). */
const CHIPS_G_PER_L = 2
const BARREL_L = 225
/** A new barrel of that size gives as much in so many hours. */
const BARREL_H = 10 * 730
function steep(w: Wine): void {
  if (w.looseOak > 0) {
    const given = w.looseOak * (1 - 0.5 ** (1 / (w.nature.oakDays * 24)))
    w.looseOak -= given
    w.oak += given / CHIPS_G_PER_L
  }
  if (!w.wood) return
  const small = (BARREL_L / w.wood.capacityL) ** 0.36
  const lost = Math.min(w.wood.litres, (w.wood.litres * w.nature.drinks * small) / 730)
  w.oak += ((w.wood.fresh * small) / BARREL_H) * (w.wood.litres / w.litres)
  w.wood.litres -= lost
  w.litres -= lost
  w.evaporated += lost
}

/** Something without acid, alcohol or nitrogen comes in, L. */
function thin(w: Wine, litres: number): void {
  const by = w.litres / (w.litres + litres)
  w.sugar *= by
  w.nitrogen *= by
  w.ethanol *= by
  w.free *= by
  w.total *= by
  for (const key of Object.keys(w.acids) as (keyof Acids)[]) w.acids[key] *= by
  w.litres += litres
}

/** mol/L, some 150 mg/L. */
const PRESSED_POTASSIUM = 0.0038

/** Things that hands do. */
export const DO = {
  pitch: (w: Wine, gPerL: number, shocked = false) => (w.yeast += gPerL * (shocked ? 0.2 : 0.75)),
  feed: (w: Wine, mgNPerL: number) => (w.nitrogen += mgNPerL),
  acid: (w: Wine, gPerL: number) => (w.acids.tartaric += gPerL),
  carbonate: (w: Wine, gPerL: number) => (w.acids.potassium += gPerL * POTASSIUM_PER_BICARBONATE),
  sugar: (w: Wine, grams: number) => {
    w.sugar += grams / w.litres
    w.litres += grams * 0.00062
  },
  water: (w: Wine, litres: number) => thin(w, litres),
  /** Eight tenths sugar, the rest water; 1.42 kg/L. From memory of food tables. */
  honey: (w: Wine, grams: number) => {
    thin(w, grams / 1420)
    w.sugar += (grams * 0.8) / w.litres
  },
  sorbate: (w: Wine, sorbicMgPerL: number) => (w.sorbate += sorbicMgPerL),
  bacteria: (w: Wine) => (w.bacteria = Math.max(w.bacteria, 0.12)),
  /** Off its lees; splashed it takes air up. @returns litres that are left behind */
  rack: (w: Wine, splashed: boolean): number => {
    const left = w.litres * Math.min(0.09, 0.008 + w.lees * 0.0023)
    w.litres -= left
    w.lees *= 0.12
    w.leesHours = 0
    w.looseOak = 0
    w.wood = undefined
    w.gas *= 0.72
    // What is held up for good stays in the wine.
    w.haze = Math.max(Math.min(w.haze, w.nature.stubbornHaze), w.haze * 0.55)
    w.yeast *= 0.25
    w.bacteria *= 0.6
    w.oxidised += splashed ? 0.9 : 0.12
    w.free = Math.max(0, w.free - (splashed ? 4 : 1))
    w.sulphide *= splashed ? 0.25 : 0.8
    return left
  },
  press: (w: Wine): number => {
    const left = w.litres * 0.04
    w.litres -= left
    w.skins = false
    w.lees = Math.max(w.lees, 9)
    w.oxidised += 0.3
    return left
  },
  oakIn: (w: Wine, gPerL: number) => (w.looseOak += gPerL),
  oakOut: (w: Wine) => (w.looseOak = 0),
  /** A part of it into a barrel; racked, it is out of it. */
  intoWood: (w: Wine, litres: number, capacityL: number, fresh: number) => (w.wood = { litres, capacityL, fresh }),
  /** Part of what was pressed, as a wine of its own: out of the skins comes potassium, and more that settles. From memory. */
  keepPressed: (w: Wine, litres: number): Wine => {
    w.litres -= litres
    const acids = { ...w.acids, potassium: w.acids.potassium + PRESSED_POTASSIUM }
    return { ...w, nature: { ...w.nature }, acids, litres, lees: w.lees * 1.6, ph: phOf(acids) }
  },
  degas: (w: Wine) => (w.gas *= 0.35),
  aerate: (w: Wine) => {
    w.sulphide *= 0.6
    w.yeast *= 1.012
  },
  bentonite: (w: Wine, gPerL: number) => {
    w.protein *= Math.exp(-3.1 * gPerL)
    w.haze *= Math.exp(-0.9 * gPerL)
    w.nature = { ...w.nature, stubbornHaze: Math.max(0.8, w.nature.stubbornHaze * Math.exp(-1.9 * gPerL)) }
    w.lees += 1.5
  },
  /** Weeks near freezing. */
  chill: (w: Wine) => {
    const fell = Math.min(w.acids.tartaric * 0.6, Math.max(0, tartarBeyond(w.acids, -2, w.ethanol) * 0.9))
    w.acids.tartaric -= fell
    w.acids.potassium -= fell * POTASSIUM_PER_TARTARIC
    w.crystals += fell
  },
  pasteurise: (w: Wine) => {
    w.pasteurised = true
    w.yeast = 0
    w.bacteria = 0
  }
} as const
