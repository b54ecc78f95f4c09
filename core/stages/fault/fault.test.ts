import { describe, expect, it } from 'vitest'
import { tasksOf } from '..'
import { foldCellar, lotAt } from '../../ledger'
import { type Happened, entriesOf, ferment, lot, lotId, on, plan, rack, read, saw } from '../histories.fixture'

/** A white that was dry on day 14 and racked on day 20. */
const asked = (day: number, ...more: Happened[]) => {
  const cellar = foldCellar(entriesOf([lot(), ...ferment(1.085, 0.992), rack(20, 20, 19), ...more]))
  return tasksOf(lotAt(cellar.lots.get(lotId)!, on(day)), cellar, on(day)).find((t) => t.code === 'smell-kept')?.urgency
}
const without = plan(1, { malolactic: 'none', sulphite: 'none' })

describe('a wine kept without sulphite', () => {
  it.each<[string, number, Happened[], string | undefined]>([
    ['is smelt once a month', 50, [without], 'soon'],
    ['not sooner after its racking', 30, [without], 'wait'],
    ['nor after it was smelt', 50, [without, saw(45, 'smell', { smells: ['clean'] })], 'wait'],
    ['one with sulphite is not asked about', 50, [plan(1, { malolactic: 'none' })], undefined],
    ['nor one whose malolactic is still to come', 50, [plan(1, { malolactic: 'after-pressing', sulphite: 'none' })], undefined]
  ])('%s', (_name, day, more, urgency) => expect(asked(day, ...more)).toBe(urgency))
  it('is never asked for a dose, nor for a reading before one', () => {
    const cellar = foldCellar(entriesOf([lot(), read(0.1, 'ph', 3.3), ...ferment(1.085, 0.992), rack(20, 20, 19), without]))
    for (const day of [60, 140, 200]) {
      const said = tasksOf(lotAt(cellar.lots.get(lotId)!, on(day)), cellar, on(day))
      expect(said.filter((t) => t.code === 'free-before-bottle' || t.action?.to === 'sulphite')).toEqual([])
    }
  })
})
