import { correctRefractometer } from '../../core/hydrometry'
import { seeded } from '../../core/units'
import { type Acids, potassiumFor, taOf } from '../../simulator'
import type { Exercise, ExerciseCode, Shown } from './exercise'

type Drawn = Omit<Exercise, 'code' | 'seed'>
type Random = () => number

const between = (random: Random, low: number, high: number): number => low + (high - low) * random()
const rounded = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(6))
const pick = <T>(random: Random, all: readonly T[]): T => all[Math.min(all.length - 1, Math.floor(random() * all.length))]!

/** Acids of some must or wine at a pH. */
function acidsOf(random: Random): Acids {
  const own = { tartaric: between(random, 2, 5), malic: between(random, 0.5, 4), lactic: 0.2, succinic: 0.5, acetic: 0.2 }
  return { ...own, potassium: potassiumFor(own, between(random, 3.05, 3.6)) }
}

const titrate = (random: Random, colour: 'red' | 'white'): Drawn => {
  const acids = acidsOf(random)
  return {
    shown: { what: 'titration', acids, sampleMl: 10, normality: 0.1, colour },
    answer: { kind: 'number', unit: 'g/L', truth: taOf(acids), good: 0.2, poor: 0.5, decimals: 1 },
    working: { sampleMl: 10, normality: 0.1, ml: rounded((taOf(acids) * 10) / 7.504, 0.01) }
  }
}

const DRAW: Record<ExerciseCode, (random: Random) => Drawn> = {
  'hydrometer': (random) => {
    const sg = rounded(between(random, 0.991, 1.108), 0.0002)
    return {
      shown: { what: 'hydrometer', sg, gassy: random() < 0.4 },
      answer: { kind: 'number', unit: 'SG', truth: sg, good: 0.0006, poor: 0.002, decimals: 4 },
      working: {}
    }
  },
  'zero-refractometer': (random) => {
    const [zero, brix] = [pick(random, [-1, 1]) * between(random, 0.4, 1.6), between(random, 17, 27)]
    return {
      shown: { what: 'refractometer', water: zero, must: brix + zero, blur: 0.2 },
      answer: { kind: 'number', unit: '°Brix', truth: brix, good: 0.25, poor: 0.6, decimals: 1 },
      working: { water: zero, must: brix + zero }
    }
  },
  'refractometer-ferment': (random) => {
    const [og, sg] = [rounded(between(random, 20, 25), 0.2), rounded(between(random, 0.998, 1.05), 0.001)]
    // The reading that such a ferment gives, found by halving: the more sugar is left the higher it is.
    let [low, high] = [4, og]
    for (let i = 0; i < 40; i++) {
      const mid = (low + high) / 2
      if (correctRefractometer(og, mid).sg > sg) high = mid
      else low = mid
    }
    const reading = rounded(low, 0.1)
    const truth = correctRefractometer(og, reading).sg
    return {
      shown: { what: 'facts', facts: { original: og, reading } },
      answer: { kind: 'number', unit: 'SG', truth, good: 0.003, poor: 0.008, decimals: 3 },
      working: { original: og, reading }
    }
  },
  'meter': (random) => {
    const ph = rounded(between(random, 3.05, 3.85), 0.01)
    return {
      shown: { what: 'meter', slope: between(random, 0.88, 0.98), zeroMv: pick(random, [-1, 1]) * between(random, 6, 20), ph },
      answer: { kind: 'number', unit: 'pH', truth: ph, good: 0.03, poor: 0.1, decimals: 2 },
      working: { ph }
    }
  },
  'titrate-white': (random) => titrate(random, 'white'),
  'titrate-red': (random) => titrate(random, 'red'),
  'iodine-red': (random) => {
    const [free, slow] = [rounded(between(random, 12, 38), 1), between(random, 4, 9)]
    return {
      shown: { what: 'iodine', freeMgPerL: free, slowMgPerL: slow, sampleMl: 50, normality: 0.02 },
      answer: { kind: 'number', unit: 'mg/L', truth: free, good: 2.5, poor: 6, decimals: 0 },
      working: { free, stays: rounded(free + slow, 1) }
    }
  },
  'paper': (random) => {
    const malic = pick(random, [2.4, 1.1, 0.35, 0.15, 0.03, 0.02])
    return {
      shown: { what: 'paper', malic, lactic: Math.max(0.1, (2.6 - malic) * 0.67) },
      answer: { kind: 'choice', options: ['over', 'not-yet'], right: malic < 0.2 ? 'over' : 'not-yet' },
      working: { malic }
    }
  },
  'bubbles': (random) => {
    const yeast = random() < 0.5
    const facts = yeast
      ? { gravityThen: rounded(between(random, 1.004, 1.012), 0.001), gravityNow: 0, days: 4, size: 'large', malic: 2.1 }
      : { gravityThen: rounded(between(random, 0.993, 0.996), 0.001), gravityNow: 0, days: 4, size: 'fine', malic: 1.2 }
    const gravityNow = rounded(facts.gravityThen - (yeast ? between(random, 0.003, 0.006) : 0), 0.001)
    return {
      shown: { what: 'facts', facts: { ...facts, gravityNow } },
      answer: { kind: 'choice', options: ['yeast', 'malolactic'], right: yeast ? 'yeast' : 'malolactic' },
      working: {}
    }
  },
  'stuck-or-slow': (random) => {
    const kind = pick(random, ['stuck', 'slow', 'finished'] as const)
    const end = kind === 'finished' ? rounded(between(random, 0.992, 0.996), 0.0005) : rounded(between(random, 1.012, 1.03), 0.001)
    const fall = kind === 'slow' ? between(random, 0.0015, 0.0025) : 0
    const celsius = kind === 'slow' ? rounded(between(random, 11, 14), 0.5) : rounded(between(random, 19, 23), 0.5)
    const readings = [0, 2, 4, 6].map((day) => ({
      day,
      sg: rounded(end + fall * (6 - day) + (random() - 0.5) * 0.0008, 0.0005),
      celsius
    }))
    return {
      shown: { what: 'readings', readings },
      answer: { kind: 'choice', options: ['stuck', 'slow', 'finished'], right: kind },
      working: {}
    }
  },
  'racking': (random) => {
    const wineL = pick(random, [21, 24, 27, 33])
    const fits: Record<number, number[][]> = {
      21: [[15, 5, 1], [23]], 24: [[23, 1], [15, 10]], 27: [[15, 10, 2], [23, 5]], 33: [[23, 10], [34]]
    }
    const [best, worse] = fits[wineL]! as [number[], number[]]
    const first = random() < 0.5
    return {
      shown: {
        what: 'plans', wineL, plans: [{ code: 'a', vesselsL: first ? best : worse }, { code: 'b', vesselsL: first ? worse : best }]
      },
      answer: { kind: 'choice', options: ['a', 'b'], right: first ? 'a' : 'b' },
      working: { airBest: best.reduce((s, n) => s + n, 0) - wineL, airWorse: worse.reduce((s, n) => s + n, 0) - wineL }
    }
  },
  'smell': (random) => {
    const smell = pick(random, ['rotten-egg', 'vinegar', 'nail-varnish', 'bruised-apple', 'struck-match', 'geranium'] as const)
    return {
      shown: { what: 'smell', smell },
      answer: { kind: 'choice', options: ['hydrogen-sulphide', 'acetic', 'ethyl-acetate', 'oxidised', 'sulphur-dioxide', 'sorbate'],
        right: CAUSE[smell] },
      working: {}
    }
  },
  'bottle': (random) => {
    const wrong = pick(random, ['none', 'sugar', 'gas', 'free', 'malic', 'haze'] as const)
    const facts = {
      sg: wrong === 'sugar' ? 1.004 : 0.993,
      days: wrong === 'sugar' ? 3 : 40,
      ph: 3.5,
      free: wrong === 'free' ? 8 : 31,
      malic: wrong === 'malic' ? 1.4 : 0.05,
      clarity: wrong === 'haze' ? 'hazy' : 'bright',
      gas: wrong === 'gas' ? 'puff' : 'none'
    }
    return {
      shown: { what: 'facts', facts },
      answer: { kind: 'choice', options: ['none', 'sugar', 'gas', 'free', 'malic', 'haze'], right: wrong },
      working: {}
    }
  }
}
/** What a smell comes from: common practice, no source. */
const CAUSE = {
  'rotten-egg': 'hydrogen-sulphide', 'vinegar': 'acetic', 'nail-varnish': 'ethyl-acetate', 'bruised-apple': 'oxidised',
  'struck-match': 'sulphur-dioxide', 'geranium': 'sorbate'
} as const

/** An exercise as it is drawn from a seed: the same for everybody. */
export function drawExercise(code: ExerciseCode, seed: number): Exercise {
  const random = seeded(seed * 613 + code.length * 31 + code.charCodeAt(0))
  random()
  return { code, seed, ...DRAW[code](random) }
}
export const isShown = <W extends Shown['what']>(shown: Shown, what: W): shown is Extract<Shown, { what: W }> => shown.what === what
