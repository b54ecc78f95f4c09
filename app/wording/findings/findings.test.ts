import { describe, expect, it } from 'vitest'
import { WAYS_OUT, type Action } from '~~/core/findings'
import type { Act, LotView } from '~~/core/ledger'
import type { StageFinding } from '~~/core/stages'
import { sayAct } from '../acts'
import { WAY_OUT } from '../ways-out'
import { addressOf, sayFinding } from '.'

const lot = { id: 'lot-words-1', style: 'red', ph: { value: 3.62 }, sg: { value: 1.0215 } } as LotView
const format = {
  temperature: (c: number) => ({ text: String(c), unit: '°C' }),
  volume: (l: number) => ({ text: String(l), unit: 'L' }),
  powder: (g: number) => ({ text: g.toFixed(0), unit: 'g' }),
  words: (s: { text: string, unit: string }) => `${s.text} ${s.unit}`,
  material: (key: string) => key
}
const below = { low: '2026-12-01T12:00:00.000Z', high: '2026-12-20T12:00:00.000Z' }

describe('findings in words', () => {
  // What has to be said: the figures that it rests on, and the caution where it can hurt somebody.
  it.each([
    [{ code: 'measure-must', missing: ['sugar', 'ph', 'ta'] }, ['sugar, pH and titratable acidity']],
    [{ code: 'clock', urgency: 'wait', step: 'settle', hoursLeft: 20.6 }, ['21 h']],
    [{ code: 'wait-for-yeast', urgency: 'wait', hoursLeft: 6.2 }, ['7 h', '12 hours']],
    [{ code: 'pitch', urgency: 'now', hoursSince: 26 }, ['spoilage']],
    [{ code: 'read-ferment', urgency: 'now', daysSince: 2.2, expectedSg: 1.018 }, ['1.022', '2 days', '1.018']],
    [{ code: 'feed', urgency: 'now', part: 1, hoursLeft: 0, gifts: [{ nutrient: 'x', grams: 7.7 }] }, ['7.7 g of x', 'erupt']],
    [{ code: 'work-cap', urgency: 'now', hoursSince: 30 }, ['30 h', 'carbon dioxide']],
    [{ code: 'tell-if-dry', sg: 0.997, hours: 60, sugarLow: 0, sugarHigh: 12.4 }, ['0.997', '2 days', '12 g/L', 'sugar test']],
    [{ code: 'stuck', sg: 1.012, hours: 72, sugarLow: 28, sugarHigh: 38 }, ['1.012', '3 days', '28 to 38 g/L']],
    [{ code: 'not-begun', hours: 64 }, ['64 h']],
    [{ code: 'not-begun', hours: 100 }, ['4 days']],
    [{ code: 'too-hot', celsius: 36, max: 30, deadly: true }, ['36 °C', '30 °C', 'dies']],
    [{ code: 'smells', smell: 'rotten-egg', phase: 'late' }, ['toxic', 'never by guesswork']],
    [{ code: 'temperature-falls', from: 24, to: 17, roomC: 12 }, ['24 °C', '17 °C', '12 °C']],
    [{ code: 'sugar-step', material: 'honey', grams: 795, part: 1, of: 2, atSg: 1.02, ready: true }, ['795 g of honey']],
    [{ code: 'sugar-step', material: 'honey', grams: 795, part: 2, of: 2, atSg: 1.02, ready: false }, ['1.020']],
    [{ code: 'float-odd', wrong: [{ code: 'gap', hours: 14, from: 'x' }] }, ['14 h']],
    [{ code: 'sulphite-low', freeMgPerL: 18.4, targetFreeMgPerL: 33.1, assumed: [] }, ['18 mg/L', 'pH 3.62', '33']],
    [{ code: 'sulphite-low', freeMgPerL: 0, targetFreeMgPerL: 31, assumed: ['ph', 'free'] }, ['usually', '31', 'counts none']],
    [{ code: 'check-sulphite', urgency: 'soon', weeksSince: 6.4, belowAt: { ...below, mayBe: false } }, ['6 weeks', '1 Dec', '20 Dec']],
    [{ code: 'start-malolactic', score: 0.2, limiting: 'celsius' }, ['poor', 'temperature', 'No sulphite']],
    [{ code: 'follow-malolactic', urgency: 'wait', weeksSince: 0.3, nearly: false, endInDays: { low: 5, high: 12 } },
      ['5 to 12 days', '0.1 g/L']],
    [{ code: 'sulphite-after-malolactic', daysSince: 4.2, ph: 3.61, phMeasured: false }, ['4 days', '3.61', 'Measure']],
    [{ code: 'sugar-before-bacteria', sugarHigh: 12.3 }, ['12 g/L', 'vinegar']],
    [{ code: 'sugar-before-bacteria', sugarHigh: 12.3, tested: 11.2 }, ['11 g/L', 'left']],
    [{ code: 'sugar-before-bacteria', sugarHigh: 7.3, tested: 6.1, goesOn: true }, ['6 g/L', 'another week', 'test again']],
    [{ code: 'sugar-before-bacteria', sugarHigh: 12.3, tested: 11.2, inVain: true }, ['took none', 'leave it sweet']],
    [{ code: 'bottle', gate: 'bottling-still', open: 0, monthsIn: 7, beyondHelp: { code: 'sulphite-for-bottle', state: 'not-met',
      because: 'limit', value: 32, wanted: 37, evidence: [] } }, ['limit', '32 mg/L', 'confirm']],
    [{ code: 'malolactic-stands', because: 'stalled', weeksIn: 9, malicGPerL: 1.5 }, ['9 weeks', '1.5 g/L']],
    [{ code: 'malolactic-blocked', free: false, racked: true, cold: false, filtered: false, wantedMgPerL: 40 },
      ['40 mg/L', '0.8', '0.45 µm']],
    [{ code: 'rack-gross-lees', hoursSince: 50, pressed: true }, ['Pressed 2 days']],
    [{ code: 'top-up', vessel: 'Glass', airL: 2, days: 30, risk: 'high' }, ['2 L', 'Glass', '30 days', 'smell and taste']],
    [{ code: 'degas', gas: 'puff' }, ['erupts']],
    [{ code: 'geraniums' }, ['nothing removes']],
    [{ code: 'sorbate-unprotected', freeMgPerL: 8.2, neededMgPerL: 21.6 }, ['8 mg/L', '22']],
    [{ code: 'sweet-bottles', left: 1, sugarHigh: 12 }, ['12 g/L', 'gloves', 'eye protection']],
    [{ code: 'over-pressure', left: 6, bar: 11.4, ratedBar: 10, celsius: 25 }, ['11.4 bar', '10 bar', '25 °C', 'gloves']],
    [{ code: 'open-one', weeksIn: 4 }, ['closed box', 'gloves']],
    [{ code: 'limit', limit: { code: 'material', material: 'ammonium phosphate', value: 1.05, limit: 1, unit: 'g/L', over: true } },
      ['1.05 g/L', 'limit of 1']],
    [{ code: 'ledger', problem: { code: 'sulphite-in-malolactic', entryId: 'e', lotId: 'l' } }, ['lees']]
  ] as unknown as [StageFinding, string[]][])('%j', (finding, fragments) => {
    const { title, reason } = sayFinding(finding, lot, format)
    const words = `${title}. ${reason}`
    for (const fragment of fragments) expect(words).toContain(fragment)
    expect(reason).toMatch(/[.?]$/)
  })

  it.each<[Act, string[]]>([
    [{ code: 'yeast-on-sulphite', hours: 4, mgPerL: 28 }, ['4 hours', '28 mg/L']],
    [{ code: 'twice', material: 'x', amount: 5.3, unit: 'g', minutes: 2 }, ['5.3 g of x', '2 min']],
    [{ code: 'far-from-plan', material: 'x', actual: 1.2, planned: 6.4, unit: 'mL' }, ['1.2 mL', '6.4 mL']],
    [{ code: 'beyond-tolerance', potentialAbv: 16.2, toleranceAbv: 14 }, ['16.2 %', '14 %']],
    [{ code: 'alcohol-beyond-sugar', abv: 15.5, most: 13.9 }, ['15.5 %', '13.9 %']],
    [{ code: 'pitched-hot', celsius: 38, limit: 35 }, ['38 °C', '35 °C']]
  ])('an act: %j', (act, fragments) => {
    const { title, reason } = sayAct(act, format)
    for (const fragment of fragments) expect(`${title}. ${reason}`).toContain(fragment)
  })

  it('every way out has a label of its own', () => {
    const labels = WAYS_OUT.map((code) => WAY_OUT[code].label)
    expect(new Set(labels).size).toBe(WAYS_OUT.length)
  })

  it.each<[Action, string]>([
    [{ to: 'measure', lotId: 'a' }, '/bench/measure?lot=a'],
    [{ to: 'measure', lotId: 'a', what: 'sugar' }, '/bench/measure?lot=a&what=sugar'],
    [{ to: 'sulphite', lotId: 'a', aim: 'bottle' }, '/bench/sulphite?lot=a&aim=bottle'],
    [{ to: 'crush', lotId: 'a' }, '/crush/a'],
    [{ to: 'correct', lotId: 'a' }, '/bench/correct?lot=a'],
    [{ to: 'correct', lotId: 'a', crush: true }, '/bench/correct?lot=a&back=crush&find=1'],
    [{ to: 'yeast', lotId: 'a' }, '/crush/a/yeast'],
    [{ to: 'yeast', lotId: 'a', again: true }, '/crush/a/yeast?again=1'],
    [{ to: 'lot', lotId: 'a', log: 'yeast' }, '/lots/a?log=yeast'],
    [{ to: 'lot', lotId: 'a', log: 'addition', what: 'dap', amount: 4.2 }, '/lots/a?log=addition&what=dap&amount=4.2'],
    [{ to: 'lot', lotId: 'a' }, '/lots/a'],
    [{ to: 'move', lotId: 'a', as: 'top-up' }, '/lots/a/move?as=top-up'],
    [{ to: 'supplies' }, '/stores/supplies'],
    [{ to: 'cellar' }, '/cellar']
  ])('%j leads to %s', (action, address) => expect(addressOf(action)).toBe(address))
})
