import highs from 'highs'
import { describe, expect, it, vi } from 'vitest'
import { type RackingAsked, type Solver, rackingPlan } from '~~/core/racking'
import { dryWine, house, onPage, said, vessel } from './fixtures/house'

const { solve } = await highs()
/** The worker's work, done here; nothing further is bought. */
const worker = {
  plan: (asked: RackingAsked) => Promise.resolve(rackingPlan(asked, solve as unknown as Solver, () => performance.now() / 1000)),
  oneMore: () => Promise.resolve(undefined)
}
vi.mock('~/workers/start', () => ({ onLedgerDeath() {}, racking: { call: (ask: (r: object) => unknown) => ask(worker) } }))
const { useRackingDay } = await import('./useRackingDay')

/** Two wines of one kind and a white, glass to come into, and a bin that is only used when somebody says so. */
const CELLAR = [
  ...vessel('vessel-a25', 25),
  ...vessel('vessel-b15', 15),
  ...vessel('vessel-c12', 12),
  ...vessel('vessel-free23', 23),
  ...vessel('vessel-free14', 14),
  ...vessel('bin-of-60', 60, 'bin'),
  ...dryWine('lot-grenache', 24, 'vessel-a25'),
  ...dryWine('lot-tempranillo', 14.5, 'vessel-b15'),
  ...dryWine('lot-albarino', 11, 'vessel-c12', { style: 'white' })
]
async function day(lots: string, query: Record<string, string | undefined> = {}) {
  const cellar = await house(CELLAR, { lots, since: '2026-11-25T00:00:00.000Z', ...query })
  const racking = onPage(() => useRackingDay())
  await racking.work()
  return { cellar, racking }
}

describe('racking day', () => {
  it('what was chosen is kept in the address, and the puzzle is the ledger’s', async () => {
    const { racking } = await day('lot-grenache')
    expect(racking.wines.value.map((l) => l.id).sort()).toEqual(['lot-albarino', 'lot-grenache', 'lot-tempranillo'])
    expect(racking.chosen.value.map((l) => l.id)).toEqual(['lot-grenache'])
    // Another wine's vessel is none of this day's; a bin is asked for first.
    expect(racking.vessels.value.map((v) => v.id).sort()).toEqual(['bin-of-60', 'vessel-a25', 'vessel-free14', 'vessel-free23'])
    expect([racking.mayUse('vessel-free23'), racking.mayUse('bin-of-60')]).toEqual([true, false])
    racking.toggle('bin-of-60')
    racking.toggle('vessel-free23')
    expect([racking.mayUse('vessel-free23'), racking.mayUse('bin-of-60')]).toEqual([false, true])
  })
  it('24 L with a first racking’s lees go into the 23; moved as planned, the day is over', async () => {
    const { cellar, racking } = await day('lot-grenache')
    const [line] = racking.lines.value
    expect(racking.lines.value).toMatchObject([{ from: 'vessel-a25', to: 'vessel-free23', empties: true }])
    expect(line!.litres).toBeCloseTo(24 * (1 - racking.leesOf(line!.lot)), 3)
    await racking.done(line!, line!.litres)
    expect(said).toEqual(['lot-grenache: moved to vessel-free23'])
    const after = cellar.lotOf('lot-grenache')!
    expect([...after.contents.keys()]).toEqual(['vessel-free23'])
    expect(after.volume.value).toBeCloseTo(line!.litres, 6)
    expect(cellar.state.vessels.get('vessel-a25')!.lotId).toBeUndefined()
    expect([racking.lines.value, racking.stale.value]).toEqual([[], false])
  })
  it('come to by a task’s link, without its hour: the day begins then, and keeps its moves over a reload', async () => {
    const { cellar, racking } = await day('lot-grenache', { since: undefined })
    const { since } = useRoute().query
    expect(since).toEqual(expect.any(String))
    await racking.done(racking.lines.value[0]!, racking.lines.value[0]!.litres)
    const moved = cellar.facts.findLast(({ fact }) => fact.type === 'transfer')!
    expect(moved.fact.at >= since!, `${moved.fact.at} after ${since}`).toBe(true)
    const again = onPage(() => useRackingDay())
    await again.work()
    expect([again.begun.value, again.lines.value]).toEqual([true, []])
  })
  it('more or less than planned makes another plan of the rest', async () => {
    const { cellar, racking } = await day('lot-grenache,lot-tempranillo')
    const before = racking.plan.value!
    expect(before.moves.length).toBeGreaterThan(1)
    const line = racking.lines.value[0]!
    await racking.done(line, line.litres * 0.8)
    expect(racking.stale.value).toBe(false)
    // Each plan is made from the ledger: all of it moved, whatever came before.
    for (let i = 0; racking.lines.value.length > 0 && i < 9; i++) {
      const next = racking.lines.value[0]!
      await racking.done(next, next.litres)
    }
    expect(racking.lines.value).toEqual([])
    for (const lot of ['lot-grenache', 'lot-tempranillo'])
      expect(cellar.lotOf(lot)!.rackedAt, lot).toBeDefined()
    for (const v of cellar.state.vessels.values()) expect(v.litres, v.name).toBeLessThanOrEqual(v.capacityL * 1.001)
  })
  it('something else that is logged makes the plan stale, until it is worked out again', async () => {
    const { cellar, racking } = await day('lot-grenache')
    await cellar.log([{ type: 'reading', lotId: 'lot-grenache', quantity: 'volume', typed: '20', value: 20 }])
    expect(racking.stale.value).toBe(true)
    await racking.work()
    expect(racking.stale.value).toBe(false)
    expect(racking.plan.value!.airL).toBeLessThan(25)
  })
  it('lees are said by lot in hundredths; wines that are alike may be mixed, a white is not asked', async () => {
    const { racking } = await day('lot-grenache,lot-tempranillo,lot-albarino')
    const [grenache] = racking.chosen.value.filter((l) => l.id === 'lot-grenache')
    racking.setLees('lot-grenache', 0.1)
    expect(racking.leesOf(grenache!)).toBe(0.1)
    racking.setLees('lot-grenache', 0.9)
    expect(racking.leesOf(grenache!)).toBeLessThan(0.1)
    expect(racking.pairs.value.map((p) => p.key)).toEqual(['lot-grenache~lot-tempranillo'])
    racking.setMixed(['lot-grenache~lot-tempranillo'])
    expect(racking.mixed.value).toHaveLength(1)
  })
  it('a vessel that was washed is clean from then on', async () => {
    const { cellar, racking } = await day('lot-grenache')
    await racking.done(racking.lines.value[0]!, racking.lines.value[0]!.litres)
    await racking.washed('vessel-a25')
    expect(cellar.state.vessels.get('vessel-a25')).toMatchObject({ cleanedAt: expect.any(String) as string,
      sanitisedAt: expect.any(String) as string })
  })
})
