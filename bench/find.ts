import { type FindDocument, Finder } from '../app/find/finder'
import { seeded } from '../core/units'
import { perCall } from './time'

const WORDS = ('racked topped stirred oak plum cherry smoke leather pail cellar cold warm slow fast clear cloudy sulphite nutrient gravity '
  + 'reading temperature volume moved bottled tasted washed glass barrel demijohn spring autumn').split(' ')
const QUESTIONS = ['racked plum', 'when did I rack the cherry', 'sulphite', 'nutrint barel', 'last year nutrient']

/** Finding in 30,000 entries (goal under 50 ms a question), and bringing so many into the index once. */
export function benchFind() {
  const random = seeded(7)
  const word = () => WORDS[Math.floor(random() * WORDS.length)]!
  const documents = Array.from({ length: 30_000 }, (_, i): FindDocument => ({
    id: `entry:${i}`, kind: 'entry', title: `${Array.from({ length: 7 }, word).join(' ')} ${(random() * 30).toFixed(1)} L`,
    text: `Lot ${i % 60} Red ${word()}`, to: '/', at: new Date(1.6e12 + i * 5e6).toISOString()
  }))
  const finder = new Finder()
  const started = performance.now()
  finder.put(documents)
  const indexMs = performance.now() - started
  const now = new Date(1.75e12)
  const each = QUESTIONS.map((question) => [question, Number(perCall(() => finder.find(question, now), 10).toFixed(1))])
  return { entries: documents.length, indexMs: Math.round(indexMs), goalMs: 50, ms: Object.fromEntries(each) as Record<string, number> }
}
