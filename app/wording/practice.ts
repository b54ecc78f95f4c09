import type { StabilityTest } from '~~/core/finishing'
import type { Fault, Mishap, ScenarioCode, Taste } from '~~/practice/season'
import type { Style } from '~~/core/ledger'
import { sayDayOf } from './days'
import { listed } from './listed'

/** What vessels are called in a practice cellar. */
export const PRACTICE_VESSEL: Record<string, string> = { bin: 'Bin', demijohn: 'Glass' }

export interface ScenarioWords {
  name: string
  /** What comes in, what is at stake, how long it takes. */
  told: (volume: (litres: number) => string) => string
  minutes: string
  style: Style
}
export const SCENARIO: Record<ScenarioCode, ScenarioWords> = {
  'first-kit': {
    name: 'A first kit',
    told: (v) => `A red wine kit of ${v(16)}, with its packets, in a room at 16 °C. Little can go wrong, as long as nothing is `
      + 'bottled too soon. A good season to see how everything works.',
    minutes: '15 minutes',
    style: 'red'
  },
  'warm-garage': {
    name: 'Fresh grapes in a warm garage',
    told: (v) => `Red grapes for ${v(30)} arrive in a late heatwave. A hot ferment can kill its yeast, and a warm cellar is hard on `
      + 'sulphite. '
      + 'Watch the thermometer, and look after the wine through the winter.',
    minutes: '30 minutes',
    style: 'red'
  },
  'cold-cellar': {
    name: 'A white in a cold cellar',
    told: (v) => `${v(20)} of fresh white juice, and a cellar at 11 °C. It should ferment slowly, but it must not stop. `
      + 'The cold helps later: crystals drop by themselves.',
    minutes: '25 minutes',
    style: 'white'
  },
  'high-ph': {
    name: 'Ripe grapes, high pH',
    told: () => 'The grapes hung too long: plenty of sugar, little acid, and a pH near 3.9. Without acid the sulphite hardly protects it. '
      + 'Correct it early, and in steps.',
    minutes: '30 minutes',
    style: 'red'
  },
  'rain': {
    name: 'A harvest in the rain',
    told: () => 'It rained for two weeks before picking: thin must, some rot, sharp acid. The rot binds sulphite and brings '
      + 'vinegar bacteria. Decide how much sugar it needs, and keep the air away.',
    minutes: '30 minutes',
    style: 'red'
  },
  'freezer': {
    name: 'Must from the freezer',
    told: (v) => `Frozen red must for ${v(23)}, sulphited before it was frozen. Thaw it, check what is in it, and get the yeast going. `
      + 'The rest is like any other red.',
    minutes: '25 minutes',
    style: 'red'
  },
  'stuck': {
    name: 'A stuck ferment to rescue',
    told: () => 'A neighbour’s red stopped sweet after three hot weeks without nutrient. It is still full of sugar and nearly '
      + 'at the alcohol its yeast tolerates. Get it dry before bacteria turn the sugar to vinegar.',
    minutes: '20 minutes',
    style: 'red'
  },
  'few-vessels': {
    name: 'A winter with too few vessels',
    told: () => 'A red and two whites, and only three glass vessels that fit none of them. Air is the danger from the first racking on. '
      + 'Plan where each litre goes, and what tops up what.',
    minutes: '40 minutes',
    style: 'white'
  }
}

const TASTE: Record<Taste, string> = {
  sweet: 'sweet', sharp: 'sharp', flat: 'flat', vinegar: 'of vinegar', tired: 'tired, of bruised apple', stinging: 'stinging in the nose',
  balanced: 'balanced'
}
export const sayTastes = (tastes: readonly Taste[]): string =>
  `${listed(tastes.map((t) => TASTE[t]))}.`.replace(/^./, (c) => c.toUpperCase())

export const sayMishap = (m: Mishap, lotName: string): string =>
  m.code === 'ran-over'
    ? `${sayDayOf(m.at)}: foam from ${lotName} ran over the rim. About ${Math.max(0.1, m.litres).toFixed(1)} L is on the floor.`
    : `${sayDayOf(m.at)}: bottles of ${lotName} burst. There was sugar left in them, and yeast to ferment it.`

const FAULT_SAID: Record<Fault['code'], (value: number) => string> = {
  'sweet-unheld': (v) => `Sugar left: ${v.toFixed(0)} g/L, and nothing keeps it from fermenting again`,
  'vinegar': (v) => `Vinegar: ${v.toFixed(2)} g/L of acetic acid. From about 0.7 it shows`,
  'oxidised': () => 'Oxidised: it tastes of bruised apple and looks brown',
  'rotten-egg': () => 'It smells of rotten egg',
  'hazy': () => 'Hazy',
  'too-much-so2': (v) => `Too much sulphite: ${v.toFixed(0)} mg/L in total. It stings the nose`,
  'unprotected': (v) => `Hardly protected: ${v.toFixed(2)} mg/L molecular SO₂ at the end`,
  'malic-left': (v) => `Malolactic did not finish: ${v.toFixed(1)} g/L of malic acid left`,
  'flat': (v) => `Flat: pH ${v.toFixed(2)}`,
  'sharp': (v) => `Sharp: TA ${v.toFixed(1)} g/L`,
  'burst': () => 'The bottles burst in their first summer',
  'not-bottled': (v) => `Never bottled: ${v.toFixed(1)} L is still in the cellar`,
  'thin': (v) => `Thin: ${v.toFixed(1)} % vol`
}
export const sayPracticeFault = ({ code, value }: Fault): string => FAULT_SAID[code](value)

export const saySeasonScore = (score: number): string =>
  score >= 90 ? 'A wine to be proud of.'
    : score >= 75 ? 'A good wine, with something to learn from.'
      : score >= 50 ? 'Drinkable. Look below for what cost the most.'
        : 'This one went wrong. Look below for where.'

/** What to read next about a fault, and where. */
export const READ_NEXT: Partial<Record<Fault['code'], { to: string, label: string }>> = {
  'sweet-unheld': { to: '/bench/sweet', label: 'Sweeten a wine' },
  'vinegar': { to: '/bench/sulphite', label: 'Sulphite' },
  'oxidised': { to: '/cellar/racking', label: 'Racking day' },
  'rotten-egg': { to: '/bench/yeast', label: 'Yeast and nutrient' },
  'hazy': { to: '/bench/trial', label: 'Bench trial' },
  'unprotected': { to: '/bench/sulphite', label: 'Sulphite' },
  'malic-left': { to: '/bench/heat', label: 'Cooling and heating' },
  'flat': { to: '/bench/correct', label: 'Correct the must' },
  'sharp': { to: '/bench/correct', label: 'Correct the must' },
  'thin': { to: '/bench/sweeten', label: 'Sugar and water' },
  'burst': { to: '/bench/alcohol', label: 'Alcohol' }
}

/** The glass of a test, where nobody can hold it against a torch. */
export const GLASS_SHOWS: Record<StabilityTest, Record<'clear' | 'fallen', string>> = {
  'heat-test': { clear: 'The glass: as clear as the one beside it.', fallen: 'The glass: a haze that you see at once.' },
  'cold-test': { clear: 'The glass: no crystals.', fallen: 'The glass: a layer of crystals at the bottom.' }
}
