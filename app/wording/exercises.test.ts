import { describe, expect, it } from 'vitest'
import { EXERCISES, type NumberAnswer, drawExercise, isShown } from '~~/practice/exercises'
import { CHOICE, EXERCISE, SMELT, sayFacts, sayOff, sayWhy } from './exercises'

const SEEDS = Array.from({ length: 60 }, (_, i) => i + 1)
const HALF_SAID = /NaN|undefined|null|Infinity|\[object/

describe.each(EXERCISES)('the words of %s', (code) => {
  it('say everything that is shown and why, with its figures, whichever is drawn', () => {
    expect(EXERCISE[code].name).toMatch(/\w/)
    for (const seed of SEEDS) {
      const { answer, shown, working } = drawExercise(code, seed)
      const right = answer.kind === 'choice' ? answer.right : String(answer.truth)
      expect(sayWhy(code, working, right), `seed ${seed}`).not.toMatch(HALF_SAID)
      if (answer.kind === 'choice') for (const option of answer.options) expect(CHOICE[option], `${option}, seed ${seed}`).toMatch(/\w/)
      if (isShown(shown, 'smell')) expect(SMELT[shown.smell]).toMatch(/\w/)
      if (isShown(shown, 'facts')) {
        const lines = sayFacts(shown.facts, code === 'bubbles')
        expect(lines.length).toBeGreaterThan(1)
        for (const line of lines) {
          expect(line).toMatch(/^[A-Z0-9]/)
          expect(line).not.toMatch(HALF_SAID)
        }
      }
    }
  })
})

describe('how far off somebody was', () => {
  const of = (unit: NumberAnswer['unit'], decimals: number): NumberAnswer =>
    ({ kind: 'number', unit, decimals, truth: 0, good: 1, poor: 2 })
  it.each<[NumberAnswer['unit'], number, number, string]>([
    ['SG', 3, 0.0004, 'exactly right'],
    ['SG', 3, 0.004, '4.0 points (0.001) too high'],
    ['SG', 3, -0.0021, '2.1 points (0.001) too low'],
    ['pH', 2, 0.08, '0.08 too high'],
    ['g/L', 1, -0.6, '0.6 g/L too low'],
    ['mg/L', 0, 14, '14.0 mg/L too high'],
    ['mg/L', 0, 0.4, 'exactly right']
  ])('%s: %s', (unit, decimals, off, says) => expect(sayOff(of(unit, decimals), off)).toBe(says))
})
