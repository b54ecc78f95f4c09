import highs from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { type RackingAsked, type RackingPlan, type Solver, rackingPlan } from '.'
import { bruteForce } from './brute.fixture'
import { seeded } from '../units'

let solve: Solver
beforeAll(async () => {
  const { solve: s } = await highs()
  solve = s as unknown as Solver
})
// Its clock stands still: on a busy machine the plan would else be cut short, and a test bounded by time.
const plan = (asked: RackingAsked) => rackingPlan({ maxSeconds: 120, ...asked }, solve, () => 0)

/** Plays the moves by themselves, with no more than the rules of the floor; answers what is wrong. */
function replay(asked: RackingAsked, p: RackingPlan): string[] {
  const wrong: string[] = []
  const pairs = new Set((asked.mayMix ?? []).flatMap(([a, b]) => [`${a}|${b}`, `${b}|${a}`]))
  const floor = new Map(asked.vessels.map((v) => [v.id, new Map<string, number>()]))
  const outside = new Map<string, number>()
  const washed = new Set<string>()
  for (const w of asked.wines) {
    const held = asked.vessels.filter((v) => v.wineId === w.id)
    const all = held.reduce((sum, v) => sum + v.litres!, 0)
    if (all === 0) outside.set(w.id, w.litres)
    for (const v of held) floor.get(v.id)!.set(w.id, (v.litres! * w.litres) / all)
  }
  const leaves = new Map(p.without.map((w) => [w.wineId, w.litres]))
  const capacity = new Map(asked.vessels.map((v) => [v.id, v.capacityL]))
  for (const m of p.moves) {
    const from = m.fromVesselId === null ? outside : floor.get(m.fromVesselId)!
    const to = floor.get(m.toVesselId)!
    const before = asked.vessels.find((v) => v.id === m.toVesselId)!.wineId
    const lees = before !== undefined && (before !== m.wineId || asked.wines.find((w) => w.id === before)!.offLees === true)
    const empty = [...to.values()].every((litres) => litres <= 1e-3)
    if (lees && empty && !m.wash && !washed.has(m.toVesselId)) wrong.push(`${m.toVesselId} is not washed`)
    if (m.wash) washed.add(m.toVesselId)
    if ((from.get(m.wineId) ?? 0) < m.litres - 1e-3) wrong.push(`${m.fromVesselId} has not ${m.litres} of ${m.wineId}`)
    from.set(m.wineId, (from.get(m.wineId) ?? 0) - m.litres)
    // What has no place is poured away, or into a jug, when its vessel is wanted; nothing stands in what is washed.
    for (const [wine, litres] of to) {
      if (litres > 1e-3 && wine !== m.wineId && (m.wash || !pairs.has(`${wine}|${m.wineId}`))) {
        const away = Math.min(litres, leaves.get(wine) ?? 0)
        leaves.set(wine, (leaves.get(wine) ?? 0) - away)
        to.set(wine, litres - away)
        if (litres - away > 1e-3) wrong.push(`${wine} is still in ${m.toVesselId} when ${m.wineId} comes`)
      }
    }
    to.set(m.wineId, (to.get(m.wineId) ?? 0) + m.litres)
    const over = [...to.values()].reduce((a, b) => a + b, 0) - capacity.get(m.toVesselId)!
    if (over > 1e-3 && (leaves.get(m.wineId) ?? 0) >= over - 1e-3) {
      leaves.set(m.wineId, leaves.get(m.wineId)! - over)
      to.set(m.wineId, to.get(m.wineId)! - over)
    }
    if ([...to.values()].reduce((a, b) => a + b, 0) > capacity.get(m.toVesselId)! + 1e-3) wrong.push(`${m.toVesselId} runs over`)
    if (asked.vessels.find((v) => v.id === m.toVesselId)!.usable === false) wrong.push(`${m.toVesselId} must not be used`)
  }
  for (const s of p.after) {
    const is = floor.get(s.vesselId)!.get(s.wineId) ?? 0
    const spare = leaves.get(s.wineId) ?? 0
    if (Math.abs(is - s.litres) > 1e-3 + spare) wrong.push(`${s.wineId} in ${s.vesselId}: ${is}, said ${s.litres}`)
  }
  return wrong
}

describe('racking day by hand', () => {
  it.each([
    [
      'a wine that stands full stays',
      {
        wines: [{ id: 'a', litres: 20 }],
        vessels: [
          { id: 'v', capacityL: 20, wineId: 'a', litres: 20 },
          { id: 's', capacityL: 20 }
        ]
      },
      { airL: 0, moveCount: 0, withoutVesselL: 0 }
    ],
    [
      'eighteen litres in twenty go into ten, five and three',
      {
        wines: [{ id: 'a', litres: 18 }],
        vessels: [{ id: 'v', capacityL: 20, wineId: 'a', litres: 18 }, ...[10, 5, 3].map((c) => ({ id: `s${c}`, capacityL: c }))]
      },
      { airL: 0, moveCount: 3, withoutVesselL: 0 }
    ],
    [
      'two that would change places, with a spare: three moves',
      {
        wines: [
          { id: 'a', litres: 10 },
          { id: 'b', litres: 8 }
        ],
        vessels: [
          { id: 'v8', capacityL: 10, wineId: 'b', litres: 8 },
          { id: 'v10', capacityL: 12, wineId: 'a', litres: 10 },
          { id: 'x', capacityL: 8, usable: false },
          { id: 'spare', capacityL: 13 }
        ]
      },
      { withoutVesselL: 0, airL: 4, moveCount: 0 }
    ],
    [
      'off its lees and back into the washed vessel, by way of a spare',
      {
        wines: [{ id: 'a', litres: 20, offLees: true }],
        vessels: [
          { id: 'v', capacityL: 20, wineId: 'a', litres: 21 - 1 },
          { id: 's', capacityL: 25 }
        ]
      },
      { airL: 0, moveCount: 2, withoutVesselL: 0 }
    ],
    [
      'a vessel that must not be used is left',
      {
        wines: [{ id: 'a', litres: 5 }],
        vessels: [
          { id: 'v', capacityL: 5, wineId: 'a', litres: 5, usable: false },
          { id: 's', capacityL: 6 }
        ]
      },
      { airL: 1, moveCount: 1, withoutVesselL: 0 }
    ],
    [
      'what fits nowhere is said',
      {
        wines: [
          { id: 'a', litres: 12 },
          { id: 'b', litres: 5 }
        ],
        vessels: [
          { id: 'v', capacityL: 10 },
          { id: 's', capacityL: 5 }
        ]
      },
      { airL: 0, withoutVesselL: 2, moveCount: 2 }
    ],
    [
      'two that may mix share a vessel',
      {
        wines: [
          { id: 'a', litres: 6 },
          { id: 'b', litres: 4 }
        ],
        vessels: [{ id: 'v', capacityL: 10 }],
        mayMix: [['a', 'b']] as [string, string][]
      },
      { airL: 0, withoutVesselL: 0, moveCount: 2 }
    ]
  ])('%s', (_name, asked, wanted) => {
    const found = plan(asked)
    expect(found).toMatchObject({ ...wanted, proven: true, gap: 0 })
    expect(replay(asked, found)).toEqual([])
  })
  it('more than a vessel holds, a vessel twice and a wine that is not there are refused', () => {
    const wines = [{ id: 'a', litres: 5 }]
    for (const vessels of [
      [{ id: 'v', capacityL: 5, wineId: 'a', litres: 9 }],
      [
        { id: 'v', capacityL: 5 },
        { id: 'v', capacityL: 6 }
      ],
      [{ id: 'v', capacityL: 5, wineId: 'z', litres: 1 }]
    ])
      expect(() => plan({ wines, vessels })).toThrow()
  })
})

/** A small cellar in whole litres: two or three wines, three or four vessels, some standing, some to come. */
function small(seed: number): RackingAsked {
  const uniform = seeded(seed * 7919)
  const whole = (from: number, to: number) => from + Math.floor(uniform() * (to - from + 1))
  const ids = ['a', 'b', 'c'].slice(0, whole(1, 3))
  const vessels = Array.from({ length: whole(2, 4) }, (_, i) => ({ id: `v${i}`, capacityL: whole(1, 4) }))
  const placed = vessels.map((v) => {
    const wine = uniform() < 0.65 ? ids[whole(0, ids.length - 1)] : undefined
    const usable = uniform() > 0.1
    return wine === undefined ? { ...v, usable } : { ...v, usable, wineId: wine, litres: whole(1, v.capacityL) }
  })
  const wines = ids.map((id) => {
    const stands = placed.reduce((sum, v) => sum + ('wineId' in v && v.wineId === id ? v.litres : 0), 0)
    return { id, litres: stands || whole(0, 3), ...(uniform() < 0.2 && { offLees: true }) }
  })
  return { wines, vessels: placed, ...(ids.length > 1 && uniform() < 0.25 && { mayMix: [[ids[0]!, ids[1]!]] as [string, string][] }) }
}

describe('racking day against every way that there is', () => {
  it('200 small cellars: the same wine without a vessel, the same air, as few moves, in an order that can be done', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const asked = small(seed)
      const found = plan(asked)
      expect(replay(asked, found), `seed ${seed}`).toEqual([])
      const best = bruteForce(asked)
      expect(
        { without: found.withoutVesselL, air: found.airL, moves: found.moveCount, proven: found.proven },
        `seed ${seed} ${JSON.stringify(asked)}`
      ).toEqual({
        ...best,
        proven: true
      })
    }
  })
})

describe('racking day without a solver', () => {
  /** It finds nothing in its time. */
  const none: Solver = () => ({ Status: 'Time limit reached', ObjectiveValue: 0, Columns: {} }) as unknown as ReturnType<Solver>
  it('2000 cellars of any size: what one would do without reckoning can be done, loses no wine and claims nothing', () => {
    for (let seed = 1; seed <= 2000; seed++) {
      const asked = seed % 2 ? small(seed) : large(seed)
      const found = rackingPlan({ ...asked, maxSeconds: 0.5 }, none, () => 0)
      expect(replay(asked, found), `seed ${seed} ${JSON.stringify(asked)}`).toEqual([])
      const there = asked.wines.reduce((sum, w) => sum + w.litres, 0)
      const placed = found.after.reduce((sum, s) => sum + s.litres, 0)
      expect(placed + found.withoutVesselL, `seed ${seed}`).toBeCloseTo(there, 6)
      if (found.moveCount > 0) expect(found.proven, `seed ${seed}`).toBe(false)
    }
  })
})

/** A cellar of glass as it is bought: up to eight wines, some in two vessels, and as many vessels free. */
function large(seed: number): RackingAsked {
  const uniform = seeded(seed * 104_729)
  const SIZES = [5, 10, 15, 20, 23, 25, 34, 54]
  const size = () => SIZES[Math.floor(uniform() * SIZES.length)]!
  const wines = Array.from({ length: 1 + Math.floor(uniform() * 8) }, (_, i) => ({ id: `w${i}`, litres: 0, offLees: uniform() < 0.8 }))
  const standing = wines.flatMap((wine) =>
    Array.from({ length: uniform() < 0.3 ? 2 : 1 }, () => {
      const capacityL = size()
      const litres = Math.round(capacityL * (0.8 + uniform() * 0.2) * 10) / 10
      wine.litres += litres
      return { capacityL, wineId: wine.id, litres }
    })
  )
  const free = Array.from({ length: Math.floor(uniform() * 9) }, () => ({ capacityL: size() }))
  return { wines, vessels: [...standing, ...free].map((v, i) => ({ id: `v${i}`, ...v })) }
}
