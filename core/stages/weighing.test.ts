import { describe, expect, it } from 'vitest'
import type { LotView } from '../ledger'
import type { StageFinding } from './index'
import { weighingOf } from './weighing'

const lot = (id: string, ...litres: number[]) =>
  ({ id, contents: new Map(litres.map((l, i) => [`${id}-${i}`, l])) }) as unknown as LotView
const task = (code: string, urgency: string, ...amounts: [string, number, string][]) =>
  ({
    code, key: code, urgency, amounts: amounts.map(([material, amount, unit]) => ({ material, amount, unit }))
  }) as unknown as StageFinding

describe('the weighing list', () => {
  const red = lot('red', 30, 10)
  const white = lot('white', 20)
  const { lines, sums, open } = weighingOf([
    { lot: red, tasks: [task('correct-must', 'now', ['tartaric-acid', 30, 'g'], ['water', 1.5, 'L']), task('pitch', 'soon')] },
    { lot: white, tasks: [task('feed', 'soon', ['yeast-hulls', 6.5, 'g']), task('sulphite-low', 'wait', ['tartaric-acid', 99, 'g'])] },
    { lot: lot('rose'), tasks: [task('correct-must', 'stop', ['tartaric-acid', 12, 'g']), task('pitch', 'wait')] }
  ])
  it('has what today’s tasks want, in their order, and nothing that waits', () => {
    expect(lines.map((l) => [l.lot.id, l.task.code, l.material, l.amount, l.unit])).toEqual([
      ['red', 'correct-must', 'tartaric-acid', 30, 'g'],
      ['red', 'correct-must', 'water', 1.5, 'L'],
      ['white', 'feed', 'yeast-hulls', 6.5, 'g'],
      ['rose', 'correct-must', 'tartaric-acid', 12, 'g']
    ])
  })
  it('divides an amount among the vessels of a lot by what is in them', () => {
    expect(lines.map((l) => l.shares)).toEqual([
      [{ vesselId: 'red-0', amount: 22.5 }, { vesselId: 'red-1', amount: 7.5 }],
      [{ vesselId: 'red-0', amount: 1.125 }, { vesselId: 'red-1', amount: 0.375 }],
      [],
      []
    ])
  })
  it('adds up what several want, and names what is to be worked out first', () => {
    expect(sums.map((s) => [s.material, s.amount, s.unit])).toEqual([['tartaric-acid', 42, 'g']])
    expect(open.map((o) => [o.lot.id, o.task.code])).toEqual([['red', 'pitch']])
  })
})
