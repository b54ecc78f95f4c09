import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { forecastFerment } from '../../core/fermentation'
import { type Entry, type LotView, cellarAt, extend, historyOf, lotAt } from '../../core/ledger'
import {
  GATES,
  askForecast,
  askRacking,
  coldCompared,
  conditionsOf,
  crushSteps,
  drinkWindowOf,
  endingOf,
  findingsOf,
  leesShareOf,
  malolacticCourseOf,
  meetings,
  nextFeed,
  placesFor,
  pressAsk,
  readinessOf,
  roundDose,
  tasksOf,
  toppingWines,
  vesselTasksOf,
  winterOf
} from '../../core/stages'
import { notFinite } from './not-finite'
import { wildCellar } from './wild-cellar'

/** So many histories; `npm run test:deep` asks for far more. */
const RUNS = Number(process.env.DEEP ?? 1)
/** A usual day, and clocks that were set wrong. */
const CLOCKS = ['2026-11-29T12:00:00.000Z', '1970-01-02T00:00:00.000Z', '2014-06-01T00:00:00.000Z', '2041-01-01T00:00:00.000Z'] as const

describe('whatever the schemas accept', () => {
  it('the ledger opens, every figure is finite, and every stage has its word, whatever the clock says', () => {
    fc.assert(
      fc.property(wildCellar(60), fc.constantFrom(...CLOCKS), (entries, now) => {
        const told = historyOf(entries).cellar
        const cellar = cellarAt(told, now)
        const lots = [...cellar.lots.values()].map((lot) => lotAt(lot, now))
        winterOf(lots, cellar, now)
        vesselTasksOf(cellar.vessels.values(), now)
        askRacking({ lots, vessels: cellar.vessels, moved: new Map(), barred: new Set(), lees: leesShareOf })
        meetings(lots.map((lot) => ({ lot, litres: 1 })), now)
        for (const lot of lots) {
          expect(notFinite({ ...lot, acids: lot.acids?.composition })).toEqual([])
          const said = [...tasksOf(lot, cellar, now), ...findingsOf(lot, cellar, now)]
          expect(said.filter((f) => f.code === 'part-broken')).toEqual([])
          expect(notFinite(said)).toEqual([])
          everythingOf(lot, lots, cellar, now)
        }
      }),
      { numRuns: 250 * RUNS }
    )
  })
  it('a ferment is forecast from any readings that a ledger may hold', () => {
    fc.assert(
      fc.property(wildCellar(40), (entries) => {
        const { cellar } = historyOf(entries)
        for (const lot of cellar.lots.values()) {
          const asked = askForecast(lotAt(lot, CLOCKS[0]), cellar.cards, CLOCKS[0])
          if (asked) expect(notFinite(forecastFerment({ ...asked.asked, roughly: true }))).toEqual([])
        }
      }),
      { numRuns: 60 * RUNS }
    )
  })
  it('in whatever pieces and order entries come in, the cellar is the same at once', () => {
    fc.assert(
      fc.property(wildCellar(40), fc.array(fc.nat(), { minLength: 60, maxLength: 60 }), fc.integer({ min: 1, max: 9 }), (...given) => {
        const [entries, keys, piece] = given
        const keyed = entries.map((e, i): [number, Entry] => [keys[i % keys.length]! + i, e])
        const shuffled = keyed.sort((a, b) => a[0] - b[0]).map(([, e]) => e)
        let history = historyOf([])
        for (let i = 0; i < shuffled.length; i += piece) history = extend(history, shuffled.slice(i, i + piece))
        const whole = historyOf(entries).cellar
        expect(plain(history.cellar)).toEqual(plain(whole))
      }),
      { numRuns: 120 * RUNS }
    )
  })
})

const plain = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (_key, of: unknown) => (of instanceof Map || of instanceof Set ? [...of] : of)))

/** All that a page may ask of a lot. */
function everythingOf(lot: LotView, lots: readonly LotView[], cellar: ReturnType<typeof historyOf>['cellar'], now: string): void {
  for (const gate of GATES) expect(notFinite(readinessOf(lot, gate, now))).toEqual([])
  const asked = [
    crushSteps(lot, now),
    roundDose(lot),
    endingOf(lot),
    conditionsOf(lot, cellar.cards),
    malolacticCourseOf(lot, cellar.cards),
    pressAsk(lot, now),
    nextFeed(lot, cellar.cards, now),
    drinkWindowOf(lot, now),
    toppingWines(lot, lots, cellar.vessels, now),
    placesFor(lot.volume.value, cellar.vessels.values(), now),
    coldCompared(lot, cellar.cards)
  ]
  expect(notFinite(asked)).toEqual([])
}
