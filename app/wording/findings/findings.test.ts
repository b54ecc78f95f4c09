import { describe, expect, it } from 'vitest'
import type { Action } from '~~/core/findings'
import type { LotView } from '~~/core/ledger'
import type { StageFinding } from '~~/core/stages'
import { addressOf, sayFinding } from '.'

const lot = { id: 'lot-words-1', style: 'red', ph: { value: 3.62 }, sg: { value: 1.0215 } } as LotView
const format = {
  temperature: (c: number) => ({ text: String(c), unit: '°C' }),
  volume: (l: number) => ({ text: String(l), unit: 'L' }),
  powder: (g: number) => ({ text: g.toFixed(0), unit: 'g' }),
  words: (s: { text: string, unit: string }) => `${s.text} ${s.unit}`,
  material: (key: string) => key
}

describe('findings in words, and the way to act on them', () => {
  it.each([
    [{ code: 'measure-must', urgency: 'now', missing: ['sugar', 'ph', 'ta'] }, 'Measure sugar, pH and titratable acidity', /Every dose/],
    [{ code: 'measure-must', urgency: 'now', missing: ['ph'] }, 'Measure pH', /Every dose/],
    [{ code: 'sulphite-must', urgency: 'now' }, 'Sulphite the must', /by the expected juice/],
    [{ code: 'correct-must', urgency: 'now', phase: 'plan' }, 'Correct the must', /not where such a wine usually begins/],
    [{ code: 'correct-must', urgency: 'now', phase: 'measure-again' }, 'Measure again', /before the rest/],
    [{ code: 'crush-step', urgency: 'now', step: 'settle' }, 'Leave it to settle', /24 to 72 hours/],
    [{ code: 'clock', urgency: 'wait', step: 'settle', hoursLeft: 20.6 }, 'Settling: 21 h to go', /rack the clear juice/],
    [{ code: 'wait-for-yeast', urgency: 'wait', hoursLeft: 6.2 }, 'Wait 7 h before yeast', /less than 12 hours ago/],
    [{ code: 'pitch', urgency: 'now', hoursSince: 14 }, 'Ready for yeast', /has had its time/],
    [{ code: 'pitch', urgency: 'now', hoursSince: 26 }, 'Ready for yeast', /invites spoilage/],
    [{ code: 'read-ferment', urgency: 'now', daysSince: 2.2 }, 'Read gravity and temperature', /Last gravity 1\.02\d, 2 days ago/],
    [{ code: 'read-ferment', urgency: 'wait', daysSince: 0.4 }, 'Fermenting, read today', /asks again tomorrow/],
    [
      { code: 'sulphite-low', urgency: 'soon', freeMgPerL: 18.4, targetFreeMgPerL: 33.1 },
      'Bring the sulphite up',
      /about 18 mg\/L; pH 3\.62 asks for 33/
    ],
    [{ code: 'measure-free', urgency: 'soon' }, 'Measure free SO₂', /Not known/],
    [{ code: 'check-sulphite', urgency: 'soon', weeksSince: 6.4 }, 'Look at free SO₂', /6 weeks ago/],
    [{ code: 'confirm-dryness', urgency: 'wait', hoursLeft: 20 }, 'Leave it, then read the gravity again', /no proof/],
    [{ code: 'confirm-dryness', urgency: 'soon', hoursLeft: 0 }, 'Read the gravity once more', /two that agree/],
    [{ code: 'start-malolactic', urgency: 'soon' }, 'Malolactic is planned: put the bacteria in', /No sulphite before it/],
    [{ code: 'follow-malolactic', urgency: 'soon', weeksSince: 2.3, nearly: false }, 'Look at the malic acid', /2 weeks since/],
    [{ code: 'follow-malolactic', urgency: 'wait', weeksSince: 0.3, nearly: true }, 'Malolactic is nearly through', /within the week/],
    [
      { code: 'start-malolactic', urgency: 'soon', score: 0.2, limiting: 'celsius' },
      'Malolactic is planned: put the bacteria in',
      /bad; worst is the cold/
    ],
    [
      { code: 'follow-malolactic', urgency: 'wait', weeksSince: 0.3, nearly: false, endInDays: { low: 5, high: 12 } },
      'Malolactic is at work',
      /Likely over in 5 to 12 days/
    ],
    [
      { code: 'sulphite-after-malolactic', daysSince: 4.2, ph: 3.61, phMeasured: false },
      'Malolactic is over: measure pH, then sulphite',
      /^4 days ago it was found.*about 3\.61 now/
    ],
    [
      { code: 'sulphite-after-malolactic', daysSince: 0.2, ph: 3.61, phMeasured: true },
      'Malolactic is over: sulphite now',
      /^It was found.*pH is 3\.61/
    ],
    [
      { code: 'malolactic-course', wrong: { code: 'stalled', days: 30, malicGPerL: 1.5 } },
      'Malolactic stands still',
      /Still 1\.5 g\/L after 4 weeks/
    ],
    [
      { code: 'malolactic-course', wrong: { code: 'rises', fromGPerL: 0.8, toGPerL: 1.6, atDays: 3 } },
      'Malic acid does not come back',
      /as 0\.8 and later as 1\.6/
    ],
    [{ code: 'malolactic-course', wrong: { code: 'overdue', days: 70 } }, 'Nobody has looked at its malic acid', /^10 weeks/],
    [
      { code: 'malolactic-held-up', by: { code: 'too-cold', celsius: 12, to: 18 }, score: 0.1 },
      '12 °C is cold for bacteria',
      /to 18 °C or more/
    ],
    [
      { code: 'malolactic-held-up', by: { code: 'total-sulphite', mgPerL: 70, most: 40 }, score: 0.1 },
      'Total SO₂ of 70 mg/L holds bacteria up',
      /Over about 40/
    ],
    [
      { code: 'malolactic-blocked', free: true, racked: true, cold: false, filtered: false },
      'Blocked malolactic: not safe yet',
      /kept cold and filtered before the bottle/
    ],
    [
      { code: 'malolactic-blocked', free: true, racked: true, cold: true, filtered: true },
      'Blocked malolactic: all is done that can be',
      /^What malic acid/
    ],
    [
      { code: 'check-sulphite', urgency: 'wait', weeksSince: 2.2, belowAt: { low: '2026-12-01T', high: '2026-12-29T', mayBe: false } },
      'It keeps: free SO₂ is looked at next',
      /between Tue 1 Dec and Tue 29 Dec/
    ],
    [
      { code: 'check-sulphite', urgency: 'soon', weeksSince: 2.2, belowAt: { low: '2026-12-01T', high: '2026-12-29T', mayBe: true } },
      'Look at free SO₂',
      /may be below its level by now, and is by Tue 29 Dec/
    ],
    [
      { code: 'sulphite-odd', wrong: { code: 'rises', atDays: 3, fromMgPerL: 20, toMgPerL: 41 } },
      'Free SO₂ rose with nothing given',
      /From 20 to 41/
    ],
    [{ code: 'sulphite-odd', wrong: { code: 'falls-fast', decayPerDay: 0.012 } }, 'It loses its sulphite fast', /36 % in a month/],
    [{ code: 'free-above-total', freeMgPerL: 60, totalMgPerL: 40 }, 'Free SO₂ above the total', /Free 60, total 40/],
    [{ code: 'top-up', vessel: 'Glass', airL: 2, days: 30, risk: 'high' }, 'Top it up: 2 L of air in Glass', /taken harm/],
    [{ code: 'rack-again', urgency: 'soon', weeksSince: 7.4, clarity: 'hazy' }, 'Rack it again', /^Racked 7 weeks ago, hazy/],
    [{ code: 'look-at-clarity', urgency: 'soon', weeksSince: 5.4 }, 'Look through it with a torch', /^Racked 5 weeks ago/],
    [{ code: 'top-barrel', urgency: 'soon', vessel: 'Oak', daysSince: 16, airL: 1.83 }, 'Top up Oak', /about 2 L of air by now/],
    [{ code: 'top-barrel', urgency: 'wait', vessel: 'Oak', daysSince: 0.2, airL: 0.1 }, 'Oak was filled today', /./],
    [
      { code: 'taste-wood', urgency: 'soon', vessel: 'Oak', weeksIn: 5.2, outInWeeks: 6.1 },
      'Taste it for wood: Oak',
      /5 weeks in it.*out in about 6 weeks/
    ],
    [{ code: 'shake-for-gas', because: 'kit' }, 'Shake a sample for gas', /clearing packets/],
    [{ code: 'degas', gas: 'puff' }, 'Degas it: it puffs', /without drawing air in/],
    [
      { code: 'taste-bottle', urgency: 'soon', left: 12, monthsIn: 5.1, lastRating: 7 },
      'Open a bottle and taste it',
      /7 of 10.*12 bottles left/
    ],
    [{ code: 'drink-up', urgency: 'soon', left: 1, monthsIn: 30, untilMonths: 24 }, 'Drink it up', /The last one is kept/],
    [{ code: 'out-of-wood', vessel: 'Oak', weeksIn: 15, weeks: 14.1 }, 'Take it out of Oak', /15 weeks in it.*after 14 weeks/],
    [{ code: 'stuck', sg: 1.021, hours: 60 }, 'It has stopped with sugar left', /1\.021 and no lower for 2 days/],
    [
      { code: 'sugar-step', material: 'honey', grams: 795, part: 1, of: 2, atSg: 1.02, ready: true },
      'Feed it: part 1 of 2',
      /^795 g of honey, dissolved/
    ],
    [
      { code: 'sugar-step', material: 'honey', grams: 795, part: 2, of: 2, atSg: 1.02, ready: false },
      'Part 2 of 2 waits',
      /when it is down to 1\.020/
    ],
    [{ code: 'stir-must', hoursSince: 70 }, 'Stir it', /for 3 days/],
    [{ code: 'rack-gross-lees', hoursSince: 50, pressed: true }, 'Rack it off its gross lees', /^Pressed 2 days ago/],
    [{ code: 'stir-lees', weeksOn: 3 }, 'Stir the fine lees', /3 weeks on them/],
    [{ code: 'temperature-falls', from: 24, to: 17, roomC: 12 }, 'It cools fast: is the heater off?', /the room beside it has 12 °C/],
    [{ code: 'temperature-rises', from: 15, to: 20, roomC: 24 }, 'It warms up: is the cooler off?', /has 24 °C/],
    [{ code: 'float-odd', wrong: [{ code: 'gap', hours: 14, from: 'x' }] }, 'The float is odd', /silent for 14 h/],
    [{ code: 'left-alone', days: 200 }, 'Read the gravity: is it over?', /200 days ago/],
    [{ code: 'ferments-by-itself', fell: 0.0065 }, 'Has it begun to ferment?', /0\.00[67]/],
    [
      { code: 'limit', limit: { code: 'material', material: 'ammonium phosphate', value: 1.05, limit: 1, unit: 'g/L', over: true } },
      'Over its limit',
      /Ammonium phosphate comes to 1\.05 g\/L, over the limit of 1/
    ],
    [{ code: 'geraniums' }, 'Sorbate and malolactic bacteria have met', /nothing takes it out/],
    [
      { code: 'sorbate-unprotected', freeMgPerL: 8.2, neededMgPerL: 21.6 },
      'Sorbate without enough sulphite',
      /about 8 mg\/L.* 22 at least/
    ],
    [{ code: 'sweet-bottles', left: 1 }, 'A sweet bottle with nothing to keep yeast out', /gloves and eyes covered/],
    [
      { code: 'ledger', problem: { code: 'sulphite-in-malolactic', entryId: 'e', lotId: 'l' } },
      'The ledger contradicts itself',
      /stir up the lees/
    ]
  ] as [StageFinding, string, RegExp][])('%j', (finding, title, reason) => {
    const words = sayFinding(finding, lot, format)
    expect(words.title).toBe(title)
    expect(words.reason).toMatch(reason)
  })
  it.each<[Action, string]>([
    [{ to: 'measure', lotId: 'a' }, '/bench/measure?lot=a'],
    [{ to: 'sulphite', lotId: 'a' }, '/bench/sulphite?lot=a'],
    [{ to: 'crush', lotId: 'a' }, '/crush/a'],
    [{ to: 'yeast', lotId: 'a' }, '/crush/a/yeast'],
    [{ to: 'lot', lotId: 'a', log: 'yeast' }, '/lots/a?log=yeast'],
    [{ to: 'lot', lotId: 'a' }, '/lots/a'],
    [{ to: 'move', lotId: 'a', as: 'top-up' }, '/lots/a/move?as=top-up'],
    [{ to: 'supplies' }, '/stores/supplies'],
    [{ to: 'cellar' }, '/cellar']
  ])('%j leads to %s', (action, address) => expect(addressOf(action)).toBe(address))
})
