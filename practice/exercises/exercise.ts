import type { Acids } from '../../simulator'

/** Exercises of five minutes, each drawn from a seed. Their words are in `app/wording/exercises.ts`. */
export const EXERCISES = [
  'hydrometer', 'zero-refractometer', 'refractometer-ferment', 'meter', 'titrate-white', 'titrate-red', 'iodine-red', 'paper', 'bubbles',
  'stuck-or-slow', 'racking', 'smell', 'bottle'
] as const
export type ExerciseCode = (typeof EXERCISES)[number]

/** A number that is read or worked out. */
export interface NumberAnswer {
  kind: 'number'
  unit: 'SG' | '°Brix' | 'pH' | 'g/L' | 'mg/L'
  truth: number
  /** Off by so much is as good as anybody reads, and by so much is of no use. */
  good: number
  poor: number
  decimals: number
}
export interface ChoiceAnswer {
  kind: 'choice'
  options: readonly string[]
  right: string
}
export type Facts = Readonly<Record<string, number | string>>

/** What is shown: an instrument that is drawn or worked with, or what is known of a wine. */
export type Shown =
  | { what: 'hydrometer', sg: number, gassy: boolean }
  | { what: 'refractometer', water: number, must: number, blur: number }
  | { what: 'meter', slope: number, zeroMv: number, ph: number }
  | { what: 'titration', acids: Acids, sampleMl: number, normality: number, colour: 'red' | 'white' }
  | { what: 'iodine', freeMgPerL: number, slowMgPerL: number, sampleMl: number, normality: number }
  | { what: 'paper', malic: number, lactic: number }
  | { what: 'facts', facts: Facts }
  | { what: 'readings', readings: readonly { day: number, sg: number, celsius: number }[] }
  | { what: 'plans', wineL: number, plans: readonly { code: 'a' | 'b', vesselsL: readonly number[] }[] }
  | { what: 'smell', smell: string }

export interface Exercise {
  code: ExerciseCode
  seed: number
  shown: Shown
  answer: NumberAnswer | ChoiceAnswer
  /** What the working says, as figures. */
  working: Facts
}

/** How good an answer is: off by so much, in so many steps of what anybody can read. */
export function judgeNumber({ truth, good, poor }: NumberAnswer, given: number): { off: number, verdict: 'good' | 'fair' | 'poor' } {
  const off = given - truth
  return { off, verdict: Math.abs(off) <= good + 1e-9 ? 'good' : Math.abs(off) <= poor ? 'fair' : 'poor' }
}
