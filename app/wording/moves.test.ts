import { describe, expect, it } from 'vitest'
import type { NextMove } from '~~/core/advice'
import type { LotState } from '~~/core/ledger'
import { sayMove } from './moves'

const lot = { id: 'lot-words-1', style: 'red', ph: { value: 3.62 }, sg: { value: 1.0215 } } as LotState

describe('the next move in words, with the way to it', () => {
  it.each([
    [{ code: 'measure-must', urgency: 'now', missing: ['sugar', 'ph', 'ta'] }, 'Measure sugar, pH and titratable acidity', /Every dose/, '/bench/measure?lot=lot-words-1'],
    [{ code: 'measure-must', urgency: 'now', missing: ['ph'] }, 'Measure pH', /Every dose/, '/bench/measure?lot=lot-words-1'],
    [{ code: 'sulphite-must', urgency: 'now' }, 'Sulphite the must', /by the expected juice/, '/crush/lot-words-1'],
    [{ code: 'correct-must', urgency: 'now', phase: 'plan' }, 'Correct the must', /outside its window/, '/crush/lot-words-1'],
    [{ code: 'correct-must', urgency: 'now', phase: 'measure-again' }, 'Measure again', /before the rest/, '/crush/lot-words-1'],
    [{ code: 'crush-step', urgency: 'now', step: 'settle' }, 'Leave it to settle', /24 to 72 hours/, '/crush/lot-words-1'],
    [{ code: 'clock', urgency: 'wait', step: 'settle', hoursLeft: 20.6 }, 'Settling: 21 h to go', /rack the clear juice/, '/crush/lot-words-1'],
    [{ code: 'wait-for-yeast', urgency: 'wait', hoursLeft: 6.2 }, 'Wait 7 h before yeast', /less than 12 hours ago/, undefined],
    [{ code: 'pitch', urgency: 'now', hoursSince: 14 }, 'Ready for yeast', /has had its time/, '/crush/lot-words-1'],
    [{ code: 'pitch', urgency: 'now', hoursSince: 26 }, 'Ready for yeast', /invites spoilage/, '/crush/lot-words-1'],
    [{ code: 'read-ferment', urgency: 'now', daysSince: 2.2 }, 'Read gravity and temperature', /Last gravity 1\.02\d, 2 days ago/, '/bench/measure?lot=lot-words-1'],
    [{ code: 'read-ferment', urgency: 'soon', daysSince: 0.4 }, 'Read gravity and temperature', /within the last day/, '/bench/measure?lot=lot-words-1'],
    [{ code: 'sulphite-low', urgency: 'soon', freeMgPerL: 18.4, targetFreeMgPerL: 33.1 }, 'Bring the sulphite up', /about 18 mg\/L; pH 3\.62 asks for 33/, '/bench/sulphite?lot=lot-words-1'],
    [{ code: 'confirm-dry', urgency: 'soon' }, 'Measure free SO₂', /Not known/, '/bench/measure?lot=lot-words-1'],
    [{ code: 'check-sulphite', urgency: 'soon', weeksSince: 6.4 }, 'Look at free SO₂', /6 weeks ago/, '/bench/measure?lot=lot-words-1'],
    [{ code: 'rest', urgency: 'none' }, 'Nothing to do', /topped up/, undefined]
  ] as [NextMove, string, RegExp, string | undefined][])('%j', (move, title, reason, to) => {
    const words = sayMove(move, lot)
    expect(words.title).toBe(title)
    expect(words.reason).toMatch(reason)
    expect(words.to).toBe(to)
    // A button that leads somewhere has a name, and none leads nowhere.
    expect(words.action !== undefined).toBe(to !== undefined)
  })
})
