import type { ExerciseCode, Facts, NumberAnswer } from '~~/practice/exercises'

export interface ExerciseWords {
  name: string
  /** What is to be done. */
  ask: string
  label: string
  to: { path: string, label: string }
}
export const EXERCISE: Record<ExerciseCode, ExerciseWords> = {
  'hydrometer': {
    name: 'Read a hydrometer',
    ask: 'Read it at the flat surface of the wine, not at the rim that climbs the stem. If it is gassy, bubbles lift it: spin it first.',
    label: 'It reads', to: { path: '/bench/measure', label: 'Measure' }
  },
  'zero-refractometer': {
    name: 'Zero a refractometer',
    ask: 'First distilled water, then a drop of must. The water should read 0: take off what it reads instead.',
    label: 'Sugar of the must', to: { path: '/stores/instruments', label: 'Instruments' }
  },
  'refractometer-ferment': {
    name: 'A refractometer in a ferment',
    ask: 'Alcohol bends light too, so the reading is too high. What is the gravity? Use the Alcohol bench.',
    label: 'Gravity', to: { path: '/bench/alcohol', label: 'Alcohol' }
  },
  'meter': {
    name: 'Calibrate a pH meter',
    ask: 'Calibrate in the buffer of 7.01, then of 4.01, then read the wine. Rinse in between, and wait until it settles.',
    label: 'pH of the wine', to: { path: '/stores/instruments', label: 'Instruments' }
  },
  'titrate-white': {
    name: 'Titrate a white',
    ask: 'Add sodium hydroxide until a faint pink stays, and stop there. 10 mL of wine, 0.1 N: each mL is 0.75 g/L.',
    label: 'TA', to: { path: '/bench/measure', label: 'Measure' }
  },
  'titrate-red': {
    name: 'Titrate a red',
    ask: 'The red turns dull and then grey-green at the end point. 10 mL of wine, 0.1 N: each mL is 0.75 g/L.',
    label: 'TA', to: { path: '/bench/measure', label: 'Measure' }
  },
  'iodine-red': {
    name: 'Free SO₂ of a red by iodine',
    ask: 'Add iodine until the starch turns dark. In a red the colour fades as tannin takes iodine too: the free SO₂ is the first dark '
      + 'that lasts a few seconds. 50 mL of wine, 0.02 N: each mL is 12.8 mg/L.',
    label: 'Free SO₂', to: { path: '/bench/free-so2', label: 'Free SO₂ by titration' }
  },
  'paper': {
    name: 'Is malolactic over on this paper?',
    ask: 'Compare the wine’s lane with the standards. Malolactic is over when the malic spot is gone.',
    label: 'Malolactic is', to: { path: '/words', label: 'Glossary' }
  },
  'bubbles': {
    name: 'Malolactic or yeast?',
    ask: 'There are bubbles. Which of the two makes them?',
    label: 'The bubbles come from', to: { path: '/words', label: 'Glossary' }
  },
  'stuck-or-slow': {
    name: 'Stuck, slow or finished?',
    ask: 'Four readings over six days. What is this ferment doing?',
    label: 'This ferment is', to: { path: '/lots/curves', label: 'Curves' }
  },
  'racking': {
    name: 'Which racking plan?',
    ask: 'Both plans hold the wine. Which one keeps the air out?',
    label: 'I would use', to: { path: '/cellar/racking', label: 'Racking day' }
  },
  'smell': {
    name: 'What is wrong with this smell?', ask: 'Name the cause.', label: 'It comes from', to: { path: '/words', label: 'Glossary' }
  },
  'bottle': {
    name: 'May this be bottled?',
    ask: 'A red wine, malolactic planned. Is something still in the way?',
    label: 'In the way is', to: { path: '/bench/bottles', label: 'Bottling day' }
  }
}

/** Choices, by their codes. */
export const CHOICE: Record<string, string> = {
  'over': 'Over', 'not-yet': 'Not over yet',
  'yeast': 'Yeast: sugar is fermenting', 'malolactic': 'Malolactic bacteria',
  'stuck': 'Stuck', 'slow': 'Slow, but moving', 'finished': 'Finished',
  'a': 'Plan A', 'b': 'Plan B',
  'hydrogen-sulphide': 'Hydrogen sulphide from hungry yeast', 'acetic': 'Vinegar bacteria and air',
  'ethyl-acetate': 'Ethyl acetate: wild yeast or vinegar bacteria', 'oxidised': 'Oxidation: air', 'sulphur-dioxide': 'Too much sulphite',
  'sorbate': 'Bacteria that ate sorbate',
  'none': 'Nothing: bottle it', 'sugar': 'Gravity: not proven dry', 'gas': 'Gas', 'free': 'Too little free SO₂', 'malic': 'Malic acid left',
  'haze': 'Haze'
}
const NUMBER: Record<string, (n: number) => string> = {
  sg: (n) => `gravity ${n.toFixed(3)}`, days: (n) => `unchanged for ${n} days`, ph: (n) => `pH ${n.toFixed(2)}`,
  free: (n) => `free SO₂ ${n} mg/L`, malic: (n) => `malic acid ${n} g/L`, original: (n) => `The must began at ${n.toFixed(1)} °Brix`,
  reading: (n) => `The refractometer now reads ${n.toFixed(1)} °Brix`, gravityThen: (n) => `Four days ago: ${n.toFixed(3)}`,
  gravityNow: (n) => `Today: ${n.toFixed(3)}`
}
const WORD: Record<string, (w: string) => string> = {
  size: (w) => `The bubbles are ${w}`,
  clarity: (w) => (w === 'bright' ? 'bright against the torch' : 'the torch has a halo'),
  gas: (w) => (w === 'none' ? 'no gas when shaken' : 'a puff of gas when shaken')
}
/** What is known of a wine, a line each. */
export const sayFacts = (facts: Facts, bubbles: boolean): string[] =>
  Object.entries(facts).flatMap(([key, value]) => {
    if (key === 'days' && bubbles) return []
    const said = typeof value === 'number' ? NUMBER[key]?.(value) : WORD[key]?.(value)
    return said ? [said.replace(/^./, (c) => c.toUpperCase())] : []
  })

export const SMELT: Record<string, string> = {
  'rotten-egg': 'Rotten egg, drains. It lessens when the glass is swirled with a clean copper coin.',
  'vinegar': 'Vinegar, sharp in the nose.',
  'nail-varnish': 'Nail varnish and pear drops.',
  'bruised-apple': 'Bruised apple, sherry, flat.',
  'struck-match': 'A struck match. It pricks the nose and passes with air.',
  'geranium': 'Crushed geranium leaves.'
}

/** An amount by which somebody is off. */
export const sayUsually = ({ unit, decimals }: Pick<NumberAnswer, 'unit' | 'decimals'>, by: number): string =>
  unit === 'SG'
    ? `${(by * 1000).toFixed(1)} points (0.001)`
    : `${by.toFixed(Math.max(1, decimals))} ${unit === 'pH' ? '' : unit}`.trim()
export const sayOff = ({ unit, decimals }: NumberAnswer, off: number): string => {
  const by = Math.abs(off)
  if (by < 0.5 * 10 ** -decimals) return 'exactly right'
  return `${sayUsually({ unit, decimals }, by)} too ${off > 0 ? 'high' : 'low'}`
}
export const VERDICT_SAID = {
  good: 'As good as anyone reads it.', fair: 'Close, but a trained eye does better.', poor: 'Too far off to use.'
}

/** Why: the working of each exercise with its figures. */
export function sayWhy(code: ExerciseCode, working: Facts, right: string): string {
  const n = (key: string, digits: number) => Number(working[key]).toFixed(digits)
  switch (code) {
    case 'hydrometer':
      return 'Each short mark is 0.002. The wine climbs the stem by about half a mark: read below it.'
    case 'zero-refractometer':
      return `The water reads ${n('water', 1)}, the must ${n('must', 1)}: ${n('must', 1)} − (${n('water', 1)}).`
    case 'refractometer-ferment':
      return `From ${n('original', 1)} to ${n('reading', 1)} °Brix: the alcohol made so far accounts for the difference.`
    case 'meter':
      return 'Half of the way takes about seven seconds. A button pressed too early teaches the meter the wrong value.'
    case 'titrate-white':
    case 'titrate-red':
      return `The end point, pH 8.2, came at ${n('ml', 2)} mL: ${n('ml', 2)} × 0.1 × 75.04 ÷ 10.`
    case 'iodine-red':
      return `The free SO₂ was used up at ${n('free', 0)} mg/L. If you wait until the colour stays, you read ${n('stays', 0)}: that `
        + 'includes tannin.'
    case 'paper':
      return `There is ${n('malic', 2)} g/L of malic acid. Paper shows it from about 0.1 to 0.2 g/L on.`
    case 'bubbles':
      return right === 'yeast'
        ? 'The gravity fell. Only yeast does that, and there was sugar left.'
        : 'The gravity did not move and there is no sugar left, but there is malic acid: the bubbles are from malolactic.'
    case 'stuck-or-slow':
      return right === 'slow' ? 'It falls by about 0.002 a day, and it is cold. Warm it by a few degrees.'
        : right === 'stuck' ? 'Sweet, warm, and the same for six days.' : 'Below 0.998, and the same for six days.'
    case 'racking':
      return `The better plan leaves ${n('airBest', 0)} L of air over the wine, the other ${n('airWorse', 0)} L.`
    case 'smell':
      return 'Each fault has a smell of its own, and a cure that fits only it.'
    default:
      return right === 'none' ? 'Dry and unchanged, still, clear, protected and with its malolactic finished.'
        : 'Everything else is as it should be; this one comes back in the bottle.'
  }
}
