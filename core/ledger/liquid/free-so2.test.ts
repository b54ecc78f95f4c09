import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foldCellar, lotAt } from '..'
import { DAY, ledgerBefore } from '../../stages/ledger.fixture'

const NOW = Date.UTC(2026, 10, 26, 12)
const [INTO, FROM] = ['lot-taking', 'lot-giving']
const [into, from] = [ledgerBefore(NOW, DAY, INTO), ledgerBefore(NOW, DAY, FROM)]
/** Two dry wines with readings of free SO₂, oldest first, a month apart, the last some days ago; before and after one is blended in. */
function poured(taking: readonly number[], giving: number, litres: number, daysAgo: number, acids: 'ph' | 'ph-and-ta') {
  const known = (of: typeof into) => [of.read(150, 'ph', 3.4), ...(acids === 'ph-and-ta' ? [of.read(150, 'ta', 6)] : [])]
  const read = taking.map((value, i) => into.read(daysAgo + (taking.length - 1 - i) * 30 + 1, 'freeSo2', value))
  const wines = [...into.dryWine(), ...from.dryWine(), ...known(into), ...known(from)]
  const entries = [...wines, ...read, from.read(daysAgo + 1, 'freeSo2', giving)]
  const move = into.entry(0, {
    type: 'transfer',
    purpose: 'blend',
    from: { lotId: FROM },
    to: { lotId: INTO },
    outL: litres,
    inL: litres
  })
  const free = (lots: ReturnType<typeof foldCellar>['lots'], id: string) => lotAt(lots.get(id)!, into.now).freeSo2!
  const [before, after] = [foldCellar(entries).lots, foldCellar([...entries, move]).lots]
  return { before: [free(before, INTO), free(before, FROM)] as const, after: free(after, INTO), lot: lotAt(after.get(INTO)!, into.now) }
}
/** What a titration at home is good for, mg/L: where no pH is left, a level is as it was read. */
const READ_TO = 3
const mgPerL = fc.double({ min: 5, max: 60, noNaN: true })

describe('free SO₂ of wines that come together', () => {
  it('is between what is left in both, however long ago they were read and however fast they lose it', () => {
    fc.assert(
      fc.property(
        fc.array(mgPerL, { minLength: 1, maxLength: 3 }).map((values) => values.sort((a, b) => b - a)),
        mgPerL,
        fc.double({ min: 0.1, max: 18, noNaN: true }),
        fc.integer({ min: 0, max: 60 }),
        fc.constantFrom('ph', 'ph-and-ta'),
        (taking, giving, litres, daysAgo, acids) => {
          const { before, after } = poured(taking, giving, litres, daysAgo, acids)
          const [low, high] = [Math.min(...before.map((f) => f.value)), Math.max(...before.map((f) => f.value))]
          expect(after.value).toBeGreaterThan(low - READ_TO)
          expect(after.value).toBeLessThan(high + READ_TO)
        }
      ),
      { numRuns: 150 }
    )
  })
  it('2 L at 21 mg/L into 20 L at 46, both read twelve days ago, are less than 46 was then', () => {
    const { before, after } = poured([46], 21, 2, 11, 'ph-and-ta')
    // Half a per cent a day: 46 × e^(−0.06) = 43.3 and 21 × e^(−0.06) = 19.8; by volume (20 × 43.3 + 2 × 19.8) ÷ 22 = 41.2.
    expect(Math.abs(before[0].value - 43.3)).toBeLessThan(0.7)
    expect(Math.abs(after.value - 41.2)).toBeLessThan(0.7)
  })
  it('a topping up leaves a reading of yesterday what it is; a blend makes an estimate of it', () => {
    expect(poured([30], 28, 0.3, 0, 'ph').after).toMatchObject({ origin: 'measured' })
    expect(poured([30], 28, 8, 0, 'ph').after).toMatchObject({ origin: 'estimated' })
  })
  it('a little wine of which nobody measured the acids widens the pH; more of it is not guessed at', () => {
    const [little, much] = [poured([30], 28, 1, 0, 'ph').lot, poured([30], 28, 8, 0, 'ph').lot]
    expect([little.ph?.value, much.ph]).toEqual([3.4, undefined])
    expect(little.ph!.uncertainty).toBeGreaterThan(0.05)
  })
})
