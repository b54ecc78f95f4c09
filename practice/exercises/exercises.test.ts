import { describe, expect, it } from 'vitest'
import { type Exercise, EXERCISES, drawExercise, isShown, judgeNumber, ownError } from '.'
import { fieldOf, iodineLook, mgPerMl, readField, readStem, stemOf, taFrom, lookAt } from '../instruments'

const SEEDS = Array.from({ length: 40 }, (_, i) => i + 1)
/** What somebody reads who looks as closely as the drawing lets them. */
function carefully({ shown, answer, seed }: Exercise): number | undefined {
  if (answer.kind === 'choice') return undefined
  if (isShown(shown, 'hydrometer')) return readStem(stemOf(shown.sg, seed, shown.gassy))
  if (isShown(shown, 'refractometer')) return readField(fieldOf(shown.must, shown.blur)) - readField(fieldOf(shown.water, shown.blur))
  if (isShown(shown, 'titration')) {
    let ml = 0
    while (['start', 'darker', 'near'].includes(lookAt(shown, ml))) ml += 0.05
    return taFrom(shown, ml)
  }
  if (isShown(shown, 'iodine')) {
    let ml = 0
    while (!['fades', 'stays'].includes(iodineLook(shown, ml))) ml += 0.05
    return ml * mgPerMl(shown)
  }
  return isShown(shown, 'meter') ? shown.ph : undefined
}

describe.each(EXERCISES)('%s', (code) => {
  it('is the same for the same seed, and another for others', () => {
    expect(drawExercise(code, 5)).toEqual(drawExercise(code, 5))
    expect(new Set(SEEDS.map((seed) => JSON.stringify(drawExercise(code, seed).shown))).size).toBeGreaterThan(3)
  })
  it('whoever reads carefully is judged good, and who is far off is not', () => {
    for (const seed of SEEDS) {
      const exercise = drawExercise(code, seed)
      const { answer } = exercise
      if (answer.kind === 'choice') {
        expect(answer.options).toContain(answer.right)
        continue
      }
      const read = carefully(exercise)
      if (read !== undefined) expect(judgeNumber(answer, read).verdict, `seed ${seed}`).toBe('good')
      expect(judgeNumber(answer, answer.truth + answer.poor * 1.5).verdict).toBe('poor')
      expect(judgeNumber(answer, answer.truth - (answer.good + answer.poor) / 2).verdict).toBe('fair')
    }
  })
  it('every answer comes up', () => {
    const answers = SEEDS.map((seed) => drawExercise(code, seed).answer)
    const first = answers[0]!
    if (first.kind === 'choice') expect(new Set(answers.map((a) => (a.kind === 'choice' ? a.right : ''))).size).toBe(first.options.length)
    else expect(Math.max(...answers.map((a) => (a.kind === 'number' ? a.truth : 0)))).toBeLessThan(120)
  })
})
describe('a refractometer in a ferment', () => {
  it('reads a gravity that its sugar and alcohol have', () => {
    for (const seed of SEEDS) {
      const { answer, shown } = drawExercise('refractometer-ferment', seed)
      if (answer.kind !== 'number' || !isShown(shown, 'facts')) throw new Error('a number of facts')
      expect(answer.truth).toBeGreaterThan(0.99)
      expect(answer.truth).toBeLessThan(1.06)
      // Alcohol lifts the reading: read as sugar, it would be far too high.
      expect(1 + Number(shown.facts.reading) * 0.004).toBeGreaterThan(answer.truth)
    }
  })
})

describe('one’s own reading error', () => {
  it.each([
    // 0.001 either way: 1.28 standard deviations, and half of the usual 0.001 for the instrument; by hand.
    ['hydrometer', [0.001, -0.001, 0.001, -0.001, 0.001], { quantity: 'sg', halfWidth: 0.0014 }],
    ['iodine-red', [0, 0, 0, 0, 0], { quantity: 'freeSo2', halfWidth: 2.5 }],
    ['hydrometer', [0.001, 0.001], undefined],
    ['hydrometer', [0.03, -0.02, 0.03, 0.01, 0.02], undefined],
    ['stuck-or-slow', [1, 1, 1, 1, 1], undefined]
  ] as const)('of %s over %j', (code, off, expected) => expect(ownError(code, off)).toEqual(expected))
})
