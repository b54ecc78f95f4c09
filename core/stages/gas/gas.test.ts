import { describe, expect, it } from 'vitest'
import { type Draft, type Fact, foldCellar, lotAt } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { gasStage } from '.'

const lotId = 'lot-with-gas'
const { entry, now, read, start } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
const seen = (stream: 'kit' | 'juice', ...more: [number, Draft<Fact>][]) => {
  const cellar = foldCellar([
    start(100, { stream }),
    read(99, 'sg', 1.085),
    entry(98, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 5 }),
    read(70, 'sg', 0.993),
    read(66, 'sg', 0.993),
    entry(60, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 20, inL: 19 }),
    ...more.map(([ago, draft]) => entry(ago, draft))
  ])
  const lot = lotAt(cellar.lots.get(lotId)!, now)
  return gasStage.appliesTo(lot)
    ? gasStage.tasks(lot, cellar, now).map((t) => ('because' in t ? `${t.code} ${t.because}` : t.code))
    : ['none of it']
}
const gas = (is: 'none' | 'sigh' | 'puff'): Draft<Fact> => ({ type: 'observation', lotId, what: 'gas', text: 'x', gas: is })
const haze = (clarity: 'hazy' | 'clear'): Draft<Fact> => ({ type: 'observation', lotId, what: 'clarity', text: 'x', clarity })
const degassed: Draft<Fact> = { type: 'operation', lotId, what: 'degas' }

describe('gas in a wine', () => {
  it.each<[string, 'kit' | 'juice', [number, Draft<Fact>][], string[]]>([
    ['a kit that nobody shook', 'kit', [], ['shake-for-gas kit']],
    ['a kit without gas', 'kit', [[2, gas('none')]], []],
    ['a kit that puffs', 'kit', [[2, gas('puff')]], ['degas']],
    ['stirred, and not looked at since', 'kit', [[2, gas('puff')], [1, degassed]], ['shake-for-gas stirred']],
    ['stirred, and quiet since', 'kit', [[3, gas('puff')], [2, degassed], [1, gas('none')]], []],
    ['stirred, and it still sighs', 'kit', [[3, gas('puff')], [2, degassed], [1, gas('sigh')]], ['degas']],
    ['a wine that clears by itself is left alone', 'juice', [[2, haze('clear')]], []],
    ['a wine that stays hazy', 'juice', [[2, haze('hazy')]], ['shake-for-gas haze']],
    ['hazy in its first weeks, as all are', 'juice', [[50, haze('hazy')]], []]
  ])('%s', (_name, stream, more, wanted) =>
    expect(seen(stream, ...more)).toEqual(wanted))
})
