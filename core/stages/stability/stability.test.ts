import { describe, expect, it } from 'vitest'
import { type Draft, type Fact, foldCellar, lotAt } from '../../ledger'
import { HOUR, ledgerBefore } from '../ledger.fixture'
import { stabilityStage } from '.'

const lotId = 'lot-to-test'
const { entry, now, dryWine } = ledgerBefore(Date.UTC(2026, 10, 26, 12), HOUR, lotId)
type More = [ago: number, draft: Draft<Fact>]
const begun = (ago: number, protocol: 'heat-2h' | 'heat-6h' | 'cold-3d' | 'cold-frozen'): More => [
  ago,
  { type: 'operation', lotId, what: protocol.startsWith('heat') ? 'heat-test' : 'cold-test', protocol }
]
const read = (ago: number, what: 'heat-test' | 'cold-test'): More =>
  [ago, { type: 'observation', lotId, what, stable: true, text: 'clear' }]

describe('a sample that stands in its bath or in the cold', () => {
  it.each<[string, More[], string[]]>([
    ['none', [], []],
    ['in the bath', [begun(1, 'heat-2h')], ['wait test-runs bath']],
    ['out of the bath just now', [begun(2.1, 'heat-2h')], ['now test-runs cool']],
    ['it cools', [begun(3, 'heat-2h')], ['wait test-runs cool']],
    ['to be read', [begun(5.1, 'heat-2h')], ['now read-test']],
    ['read', [begun(6, 'heat-2h'), read(0.5, 'heat-test')], []],
    ['a cold test does not read a heat test', [begun(6, 'heat-2h'), read(0.5, 'cold-test')], ['now read-test']],
    ['read, and begun again', [begun(30, 'heat-2h'), read(24, 'heat-test'), begun(1, 'heat-6h')], ['wait test-runs bath']],
    ['both at once', [begun(1, 'heat-6h'), begun(80, 'cold-3d')], ['wait test-runs bath', 'now read-test']],
    ['thawing', [begun(15, 'cold-frozen')], ['wait test-runs thaw']],
    ['forgotten for weeks', [begun(24 * 20, 'cold-3d')], []],
    ['begun without a rule, as a word of work', [[1, { type: 'operation', lotId, what: 'heat-test' }]], []]
  ])('%s', (_name, more, wanted) => {
    const cellar = foldCellar([...dryWine(), ...more.map(([ago, draft]) => entry(ago, draft))])
    const asked = stabilityStage.tasks(lotAt(cellar.lots.get(lotId)!, now), cellar, now)
    expect(asked.map((t) => `${t.urgency} ${t.code}${'step' in t ? ` ${t.step}` : ''}`)).toEqual(wanted)
  })
})
