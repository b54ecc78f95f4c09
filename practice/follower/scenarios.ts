import { normalFrom, seeded } from '../../core/units'
import { type Colour, type MustTruth, potassiumFor, taOf } from '../../simulator'

/** The lots of a household in its ledger; a season of one lot has the first. */
export const lotIdOf = (n: number): string => (n === 0 ? 'lot-of-loop' : `lot-of-loop-${n}`)
export const lotId = lotIdOf(0)

/** A household and what it makes: what the follower starts from. */
export interface Scenario {
  name: string
  stream: 'fresh' | 'frozen' | 'juice' | 'kit'
  colour: Colour
  litres: number
  /** Came as syrup in cans: its share of what is in the pail with the first water. */
  syrup?: number
  brix?: number
  ph?: number
  ta?: number
  nitrogen?: number
  sulphited?: number
  rot?: number
  /** The room: mean of the year and how far it swings, °C; one that is heated keeps 18 at least. */
  room?: { mean: number, swing: number, heated?: boolean }
  plan?: {
    malolactic?: 'with-yeast' | 'on-skins' | 'after-pressing' | 'none' | 'blocked'
    finish?: 'sweet'
    hold?: 'sorbate' | 'heat'
    sparkling?: boolean
    cold?: boolean
    sulphite?: 'none'
  }
  /** So much of it comes from the press and is kept apart. */
  pressShare?: number
  /** A new barrel of so many litres stands ready for a wine at rest. */
  barrelL?: number
  /** Chips that go in once it is at rest, g/L. */
  chipsGPerL?: number
  lacks?: readonly ('scale' | 'ph-meter' | 'acid-kit' | 'so2-kit' | 'topping' | 'vessels' | 'malic-strips' | 'sugar-test')[]
  /** One reading in so many is typed wrong: two digits swapped, a point forgotten, gas left in a sample. */
  slipsIn?: number
  /** Honey that goes into the juice at once, g. */
  honeyG?: number
  /** Measured by a refractometer that shows so much too much, °Brix, until it is checked on the day the yeast is in. */
  refractometerOff?: number
  /** Nobody comes on these days. */
  away?: { from: number, to: number }
}

/** Wine for topping up, L. */
export const toppingOf = (scenario: Scenario): number => (scenario.lacks?.includes('topping') ? 0 : 15)

const base = { stream: 'fresh', colour: 'red', litres: 45 } as const
/** What home winemakers do, and what goes wrong for them. */
export const SCENARIOS: readonly Scenario[] = [
  { name: 'red, usual', ...base, plan: { malolactic: 'after-pressing' } },
  { name: 'red, ripe', ...base, brix: 26.5, ph: 3.75, ta: 5.2, plan: { malolactic: 'after-pressing' } },
  { name: 'red, hungry', ...base, nitrogen: 75, plan: { malolactic: 'after-pressing' } },
  { name: 'red, cold cellar', ...base, room: { mean: 11, swing: 6 }, plan: { malolactic: 'after-pressing' } },
  { name: 'red, hot cellar', ...base, room: { mean: 21, swing: 6 }, plan: { malolactic: 'after-pressing' } },
  { name: 'red, without malolactic', ...base, plan: { malolactic: 'none' } },
  { name: 'red, bacteria on the skins', ...base, plan: { malolactic: 'on-skins' } },
  { name: 'red, bacteria with the yeast', ...base, plan: { malolactic: 'with-yeast' } },
  { name: 'red, some rot', ...base, rot: 0.2, plan: { malolactic: 'after-pressing' } },
  { name: 'red, very acid', ...base, brix: 20, ph: 3.1, ta: 10, plan: { malolactic: 'after-pressing' } },
  { name: 'red, no pH meter', ...base, lacks: ['ph-meter', 'acid-kit'], plan: { malolactic: 'after-pressing' } },
  { name: 'red, no free SO₂ kit', ...base, lacks: ['so2-kit'], plan: { malolactic: 'after-pressing' } },
  { name: 'red, no topping wine', ...base, lacks: ['topping'], plan: { malolactic: 'after-pressing' } },
  { name: 'red, nothing to test with', ...base, lacks: ['ph-meter', 'acid-kit', 'so2-kit', 'malic-strips', 'sugar-test'],
    plan: { malolactic: 'after-pressing' } },
  { name: 'red, away for three weeks in the ferment', ...base, away: { from: 7, to: 28 }, plan: { malolactic: 'after-pressing' } },
  { name: 'red, away for six weeks in winter', ...base, away: { from: 70, to: 112 }, plan: { malolactic: 'after-pressing' } },
  { name: 'red, small', ...base, litres: 12, plan: { malolactic: 'after-pressing' } },
  { name: 'red, large', ...base, litres: 180, plan: { malolactic: 'after-pressing' } },
  { name: 'red, kept without sulphite', ...base, plan: { malolactic: 'after-pressing', sulphite: 'none' } },
  { name: 'white, kept without sulphite', ...base, colour: 'white', plan: { malolactic: 'none', sulphite: 'none' } },
  { name: 'red, one reading in fifteen typed wrong', ...base, slipsIn: 15, plan: { malolactic: 'after-pressing' } },
  { name: 'white, one reading in fifteen typed wrong', ...base, colour: 'white', slipsIn: 15, plan: { malolactic: 'none' } },
  { name: 'white, usual', ...base, colour: 'white', plan: { malolactic: 'none' } },
  { name: 'white, crystals accepted', ...base, colour: 'white', plan: { malolactic: 'none', cold: false } },
  { name: 'white, malolactic', ...base, colour: 'white', plan: { malolactic: 'after-pressing' } },
  { name: 'white, acid', ...base, colour: 'white', brix: 18, ph: 3, ta: 10.5, plan: { malolactic: 'none' } },
  { name: 'white, flat and ripe', ...base, colour: 'white', brix: 24, ph: 3.65, ta: 5, plan: { malolactic: 'none' } },
  { name: 'white, hungry', ...base, colour: 'white', nitrogen: 80, plan: { malolactic: 'none' } },
  { name: 'white, sweet with sorbate', ...base, colour: 'white', plan: { malolactic: 'none', finish: 'sweet', hold: 'sorbate' } },
  { name: 'white, sweet, pasteurised', ...base, colour: 'white', plan: { malolactic: 'none', finish: 'sweet', hold: 'heat' } },
  { name: 'white, sparkling', ...base, colour: 'white', brix: 18.5, ph: 3.1, ta: 8.5, plan: { malolactic: 'none', sparkling: true } },
  { name: 'white, no pH meter', ...base, colour: 'white', lacks: ['ph-meter', 'acid-kit'], plan: { malolactic: 'none' } },
  { name: 'white, cold room', ...base, colour: 'white', room: { mean: 10, swing: 6 }, plan: { malolactic: 'none' } },
  { name: 'rosé, usual', ...base, colour: 'rose', plan: { malolactic: 'none' } },
  { name: 'rosé, ripe', ...base, colour: 'rose', brix: 25, ph: 3.6, ta: 5.5, plan: { malolactic: 'none' } },
  { name: 'kit, red', stream: 'kit', colour: 'red', litres: 16 },
  { name: 'kit, white', stream: 'kit', colour: 'white', litres: 16 },
  { name: 'kit, no kits of one’s own', stream: 'kit', colour: 'red', litres: 16,
    lacks: ['ph-meter', 'acid-kit', 'so2-kit', 'malic-strips', 'sugar-test'] },
  { name: 'concentrate in cans, white', stream: 'kit', colour: 'white', litres: 20, syrup: 0.3, nitrogen: 95 },
  { name: 'concentrate in cans, red, no kits', stream: 'kit', colour: 'red', litres: 20, syrup: 0.3, nitrogen: 95,
    lacks: ['ph-meter', 'acid-kit', 'so2-kit', 'malic-strips', 'sugar-test'] },
  { name: 'kit, warm', stream: 'kit', colour: 'red', litres: 16, room: { mean: 23, swing: 3 } },
  { name: 'frozen must, red', stream: 'frozen', colour: 'red', litres: 40, sulphited: 35, plan: { malolactic: 'after-pressing' } },
  { name: 'frozen juice, white', stream: 'frozen', colour: 'white', litres: 23, sulphited: 45, plan: { malolactic: 'none' } },
  { name: 'juice, white', stream: 'juice', colour: 'white', litres: 23, sulphited: 60, plan: { malolactic: 'none' } },
  { name: 'juice, white, unsulphited', stream: 'juice', colour: 'white', litres: 23, plan: { malolactic: 'none' } },
  { name: 'red, into a small new barrel', ...base, barrelL: 30, plan: { malolactic: 'after-pressing' } },
  { name: 'red, press wine kept apart', ...base, litres: 60, pressShare: 0.2, plan: { malolactic: 'after-pressing' } },
  { name: 'red, with chips', ...base, chipsGPerL: 2.5, plan: { malolactic: 'after-pressing' } },
  { name: 'red, spoons and no scale', ...base, lacks: ['scale'], plan: { malolactic: 'after-pressing' } },
  { name: 'white, spoons and no scale', ...base, colour: 'white', lacks: ['scale'], plan: { malolactic: 'none' } },
  { name: 'juice with honey, white', stream: 'juice', colour: 'white', litres: 20, brix: 17, nitrogen: 120, honeyG: 1800,
    plan: { malolactic: 'none' } },
  { name: 'red, refractometer found off', ...base, refractometerOff: 1.6, plan: { malolactic: 'after-pressing' } },
  { name: 'white, refractometer found off', ...base, colour: 'white', refractometerOff: -1.4, plan: { malolactic: 'none' } },
  { name: 'juice, red', stream: 'juice', colour: 'red', litres: 23, sulphited: 50, plan: { malolactic: 'none' } }
]

/** Several lots that share odd glass, one ledger and one pair of hands. */
export interface SharedCellar {
  name: string
  lots: readonly Scenario[]
  /** What there is of glass, L each; each lot has bins of its own. */
  glass: readonly number[]
}

const sharing = (name: string, more: Omit<Scenario, 'name'>): Scenario => ({ name, ...more })
export const SHARED: readonly SharedCellar[] = [
  {
    name: 'two lots in odd glass',
    lots: [
      sharing('shared red', { ...base, litres: 30, plan: { malolactic: 'after-pressing' } }),
      sharing('shared white', { stream: 'juice', colour: 'white', litres: 23, sulphited: 40, plan: { malolactic: 'none' } })
    ],
    glass: [23, 20, 15, 10, 5, 5, 3, 2, 1, 1]
  },
  {
    name: 'five lots in odd glass',
    lots: [
      sharing('five: red', { ...base, litres: 40, plan: { malolactic: 'after-pressing' } }),
      sharing('five: second red', { ...base, litres: 22, brix: 24.5, plan: { malolactic: 'on-skins' } }),
      sharing('five: white', { ...base, colour: 'white', litres: 25, plan: { malolactic: 'none' } }),
      sharing('five: rosé', { ...base, colour: 'rose', litres: 18, plan: { malolactic: 'none' } }),
      sharing('five: kit', { stream: 'kit', colour: 'red', litres: 16 })
    ],
    glass: [34, 25, 23, 23, 20, 20, 15, 15, 15, 10, 10, 5, 5, 5, 3, 3, 2, 2, 1, 1, 1]
  }
]

const USUAL: Record<Colour, { brix: number, ph: number, ta: number }> = {
  red: { brix: 23.5, ph: 3.5, ta: 6.8 },
  rose: { brix: 21.5, ph: 3.3, ta: 7.2 },
  white: { brix: 21, ph: 3.25, ta: 7.8 }
}

/** A must of a scenario's kind, drawn from a seed: no two are alike. */
export function mustOf(s: Scenario, seed: number): MustTruth {
  const normal = normalFrom(seeded(seed * 991 + 5))
  const usual = USUAL[s.colour]
  const brix = (s.brix ?? usual.brix) + 0.7 * normal()
  const ph = (s.ph ?? usual.ph) + 0.06 * normal()
  const ta = (s.ta ?? usual.ta) + 0.5 * normal()
  // Kits are concentrate: thick, and thinned later.
  const scale = s.stream === 'kit' ? 1.33 : 1
  const malic = Math.max(0.8, Math.min(6, 0.48 * ta + 0.5 * normal())) * (s.stream === 'kit' ? 0.12 : 1)
  let tartaric = 5
  // As much tartaric acid as brings the whole to its TA at its pH.
  for (let i = 0; i < 12; i++) {
    const own = { tartaric, malic, lactic: 0, succinic: 0.1, acetic: 0.05 }
    tartaric = Math.max(1.2, tartaric + (ta - taOf({ ...own, potassium: potassiumFor(own, ph) })) * 0.85)
  }
  return {
    colour: s.colour,
    litres: s.litres,
    skins: s.colour === 'red' && (s.stream === 'fresh' || s.stream === 'frozen'),
    sugar: Math.max(120, brix * 10.95 - 26) * scale,
    nitrogen: Math.max(45, (s.nitrogen ?? 165) + 28 * normal()),
    ph,
    tartaric: tartaric * scale,
    malic: malic * scale,
    sulphited: s.sulphited ?? (s.stream === 'kit' ? 25 : 0),
    rot: s.rot ?? 0.03,
    celsius: 17 + normal()
  }
}
