import fc from 'fast-check'
import { expect, it } from 'vitest'
import { plausibleCellar } from '../../tests/cellars/plausible'
import { type CellarState, type Draft, type Entry, type Fact, historyOf, lotAt, propose } from '../ledger'
import { type Move, draftsOfMove, heldAt, problemOfMove } from './move'

// After all that the cellars hold.
const NOW = '2029-12-01T12:00:00.000Z'
const written = (drafts: readonly Draft<Fact>[]): Entry[] =>
  drafts.map((draft, i) =>
    ({ id: `e-${i}`, device: 'd', at: NOW, written: new Date(Date.parse(NOW) + i).toISOString(), ...draft }) as Entry)
/** Of everything in the cellar as it is today, L: wood has drunk since. */
const inAll = ({ lots }: CellarState): number =>
  [...lots.values()].reduce((sum, lot) => [...lotAt(lot, NOW).contents.values()].reduce((s, litres) => s + litres, sum), 0)

const chance = fc.record({
  as: fc.constantFrom<Move['as']>('rack', 'split', 'top-up', 'combine'),
  share: fc.double({ min: 0.05, max: 1, noNaN: true }),
  pick: fc.array(fc.nat(), { minLength: 4, maxLength: 4 }),
  own: fc.boolean(),
  leavesLees: fc.boolean(),
  two: fc.boolean()
})

it('over plausible cellars: what nothing speaks against is taken by the ledger, and no wine appears or goes but as lees', () => {
  let moved = 0
  fc.assert(
    fc.property(plausibleCellar, chance, (entries, { as, share, pick, own, leavesLees, two }) => {
      const history = historyOf(entries)
      const { cellar } = history
      const lots = [...cellar.lots.values()].filter((lot) => lot.contents.size > 0)
      const vessels = [...cellar.vessels.values()].filter((v) => !v.lotId && !v.retiredAt)
      const lot = lots[pick[0]! % Math.max(1, lots.length)]
      if (!lot) return
      const placeIn = ({ id, contents }: typeof lot, n: number) =>
        ({ lotId: id, vesselId: [...contents.keys()][n % contents.size] || undefined })
      const ours = placeIn(lot, pick[1]!)
      const held = heldAt(lotAt(lot, NOW), ours)
      const first = pick[2]! % Math.max(1, vessels.length)
      const into = [...vessels.slice(first), ...vessels.slice(0, first)].slice(0, two ? 2 : 1)
      const others = lots.filter((l) => l.id !== lot.id)
      const other = others[pick[3]! % Math.max(1, others.length)]
      const move: Move = {
        as, ours, leavesLees, air: 'quiet',
        parts: into.map((v) => ({ vesselId: v.id, litres: (held * share) / into.length })),
        own: as === 'split' && own ? { lotId: 'lot-part', name: 'Part' } : undefined,
        other: other && placeIn(other, pick[1]!),
        otherL: as === 'top-up' && other ? heldAt(lotAt(other, NOW), placeIn(other, pick[1]!)) * share * 0.3 : held * share
      }
      const lotOf = (id: string) => {
        const is = cellar.lots.get(id)
        return is && lotAt(is, NOW)
      }
      const drafts = draftsOfMove(move, cellar, lotOf)
      if (problemOfMove(move, cellar, lotOf) || ((as === 'rack' || as === 'split') && move.parts.length === 0)) return
      if (drafts.length === 0) return
      const { history: after, refused } = propose(history, written(drafts))
      // What the ledger alone can know (a vessel that holds another wine, a receiver that is full) it says.
      if (refused.length > 0) return
      moved++
      const lees = drafts.reduce((sum, d) => sum + (d.type === 'transfer' ? d.outL - d.inL : 0), 0)
      const gone = inAll(cellar) - inAll(after.cellar) - lees
      // What nobody can read off a scale counts as nothing left.
      expect(Math.abs(gone)).toBeLessThan(0.1)
      expect(lees).toBeLessThanOrEqual(leavesLees ? held + 1e-9 : 0)
    }),
    { numRuns: 400 }
  )
  expect(moved).toBeGreaterThan(40)
})

it.each<[string, Partial<Move>, object]>([
  ['no vessel said', { parts: [{ vesselId: '' }] }, { code: 'no-vessel', field: 'vessel0' }],
  ['more than the vessel holds', { parts: [{ vesselId: 'small', litres: 5.5 }] }, { code: 'too-small', field: 'litres0', litres: 5 }],
  ['more than is there', { parts: [{ vesselId: 'large', litres: 21 }] }, { code: 'not-there', field: 'litres0', litres: 20 }],
  ['a part without a name', { as: 'split', own: { lotId: 'x', name: ' ' }, parts: [{ vesselId: 'small' }] }, { code: 'no-name' }],
  ['no wine to top up with', { as: 'top-up' }, { code: 'no-topper', field: 'topper' }],
  ['over the brim', { as: 'top-up', other: { lotId: 'b', vesselId: 'jug' }, otherL: 4 }, { code: 'no-room', field: 'topL' }],
  ['more than the topper has', { as: 'top-up', other: { lotId: 'b', vesselId: 'jug' }, otherL: 2.5 }, { code: 'not-there', litres: 2 }],
  ['no lot to go into', { as: 'combine' }, { code: 'no-partner', field: 'partner' }],
  ['a lot that is gone', { ours: { lotId: 'gone' } }, { code: 'no-lot' }]
])('%s: the problem names its field, and nothing is written', (_, more, problem) => {
  const lot = (id: string, vesselId: string, litres: number) =>
    ({ id, contents: new Map([[vesselId, litres]]), volume: { value: litres, origin: 'measured' } }) as never
  const lots = new Map([['a', lot('a', 'mid', 20)], ['b', lot('b', 'jug', 2)]])
  const vessels = new Map([['small', 5], ['mid', 23], ['large', 30], ['jug', 5]].map(([id, capacityL]) => [id, { id, capacityL }]))
  const move: Move = { as: 'rack', ours: { lotId: 'a', vesselId: 'mid' }, parts: [], leavesLees: false, air: 'quiet', ...more }
  const asked = [move, { vessels, cards: new Map() } as never, (id: string) => lots.get(id)] as const
  expect(problemOfMove(...asked)).toMatchObject(problem)
  expect(draftsOfMove(...asked)).toEqual([])
})
