import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import type { LotView } from '~~/core/ledger'
import { NOW, daysAgo, dryWine, house, onPage, vessel } from './fixtures/house'

const { useMove } = await import('./useMove')

/** A red of 24 L, a little of the same in a jug, glass of three sizes free, and a white beside it. */
const CELLAR = [
  ...vessel('the-old-glass', 25),
  ...vessel('glass-of-23', 23),
  ...vessel('glass-of-15', 15),
  ...vessel('glass-of-5', 5),
  ...vessel('small-glass', 12),
  ...dryWine('lot-grenache', 24, 'the-old-glass'),
  ...dryWine('lot-albarino', 10, 'small-glass', { style: 'white' })
]
const stands = (lot: LotView) => Object.fromEntries([...lot.contents].map(([id, litres]) => [id, Number(litres.toFixed(2))]))
async function moving(as: 'rack' | 'split' | 'top-up' | 'combine', lotId = 'lot-grenache', more = CELLAR) {
  const cellar = await house(more, { as })
  return { cellar, move: onPage(() => useMove(lotId)) }
}
/** Once the page has taken in what was typed. */
const logged = async (move: ReturnType<typeof useMove>) => {
  await nextTick()
  return move.log()
}
const moves = (cellar: Awaited<ReturnType<typeof house>>) => cellar.facts.filter((f) => f.fact.type === 'transfer').length

describe('racking', () => {
  it('with no vessel free says for how much; one that is added takes it, and taken back again is chosen no more', async () => {
    const alone = [...vessel('the-old-glass', 25), ...dryWine('lot-grenache', 24, 'the-old-glass')]
    const { cellar, move } = await moving('rack', 'lot-grenache', alone)
    expect(move.wantsVesselL.value).toBe(move.expectedL.value)
    const added = (await cellar.log(vessel('glass-of-23', 23)))!
    move.chooseNew('glass-of-23')
    const [row] = move.rows.value
    expect([row!.vesselId, row!.litres.value! > 22, move.wantsVesselL.value]).toEqual(['glass-of-23', true, undefined])
    expect(await cellar.strike(added.map((e) => e.id), 'Undone')).toBe(true)
    expect(cellar.state.vessels.has('glass-of-23')).toBe(false)
    await nextTick()
    expect([row!.vesselId, row!.litres.text, move.wantsVesselL.value]).toEqual(['', '', move.expectedL.value])
  })
  it('offers what fits best first, fills it as far as it goes, and what is left is lees', async () => {
    const { cellar, move } = await moving('rack')
    expect([move.ours.value, move.held.value]).toEqual(['the-old-glass', 24])
    expect(move.placesOf(move.rows.value[0]!)[0]!.value).toBe('glass-of-23')
    move.choose(move.rows.value[0]!, 'glass-of-23')
    // No more than the vessel holds, and no more than comes off the lees.
    expect(move.inAll.value).toBeLessThanOrEqual(23)
    expect(move.inAll.value).toBeCloseTo(Math.min(23, move.expectedL.value), 1)
    expect(move.isLees.value).toBe(true)
    expect(await logged(move)).toBe(true)
    const after = cellar.lotOf('lot-grenache')!
    expect(stands(after)).toEqual({ 'glass-of-23': move.rows.value[0]!.litres.value })
    expect(after.rackedAt).toBe(NOW)
    expect(cellar.state.vessels.get('the-old-glass')!.lotId).toBeUndefined()
  })
  it('is there again after a reload as it was typed, until it is logged or the wine has gone on', async () => {
    const { cellar, move } = await moving('rack')
    move.choose(move.rows.value[0]!, 'glass-of-15')
    move.addRow()
    move.choose(move.rows.value[1]!, 'glass-of-5')
    move.rows.value[1]!.litres.text = '4,5'
    move.isLees.value = false
    await nextTick()
    const again = onPage(() => useMove('lot-grenache'))
    await nextTick()
    expect(again.rows.value.map((r) => [r.vesselId, r.litres.text])).toEqual([['glass-of-15', '15'], ['glass-of-5', '4,5']])
    expect(again.isLees.value).toBe(false)
    expect(onPage(() => useMove('lot-albarino')).rows.value.map((r) => r.vesselId)).toEqual([''])
    // A note changes nothing of it; what was kept of wine that has been moved since is another wine's.
    await cellar.log([{ type: 'observation', lotId: 'lot-grenache', what: 'note', text: 'cork smells' }])
    expect(onPage(() => useMove('lot-grenache')).rows.value).toHaveLength(2)
    const [key, kept] = ['presk.move|lot-grenache', sessionStorage.getItem('presk.move|lot-grenache')!]
    sessionStorage.setItem(key, kept.replace('the-old-glass 24.00', 'the-old-glass 20.00'))
    expect(onPage(() => useMove('lot-grenache')).rows.value.map((r) => r.vesselId)).toEqual(['glass-of-23'])
    expect(await logged(again)).toBe(true)
    expect(onPage(() => useMove('lot-grenache')).rows.value.map((r) => r.vesselId)).toEqual([''])
  })
  it('into two vessels: each is offered once, the second takes the rest, and nothing is lost but the lees', async () => {
    const { cellar, move } = await moving('rack')
    move.choose(move.rows.value[0]!, 'glass-of-15')
    move.addRow()
    expect(move.placesOf(move.rows.value[1]!).map((p) => p.value)).not.toContain('glass-of-15')
    move.choose(move.rows.value[1]!, 'glass-of-23')
    expect(move.inAll.value).toBeCloseTo(move.expectedL.value, 1)
    expect(await logged(move)).toBe(true)
    const after = cellar.lotOf('lot-grenache')!
    expect(after.volume.value).toBeCloseTo(move.inAll.value, 6)
    expect(Object.keys(stands(after)).sort()).toEqual(['glass-of-15', 'glass-of-23'])
  })
  it('much more than lees is wine: it stays where it was until somebody says otherwise', async () => {
    const { cellar, move } = await moving('rack')
    move.choose(move.rows.value[0]!, 'glass-of-15')
    expect([move.leftL.value, move.isLees.value]).toEqual([9, false])
    expect(await logged(move)).toBe(true)
    expect(stands(cellar.lotOf('lot-grenache')!)).toEqual({ 'glass-of-15': 15, 'the-old-glass': 9 })
    const said = await moving('rack')
    said.move.choose(said.move.rows.value[0]!, 'glass-of-15')
    said.move.isLees.value = true
    expect(await logged(said.move)).toBe(true)
    expect(stands(said.cellar.lotOf('lot-grenache')!)).toEqual({ 'glass-of-15': 15 })
  })
  it('what went in at racking is sulphite by the pH of the wine, weighed for what arrives', async () => {
    const { cellar, move } = await moving('rack')
    move.choose(move.rows.value[0]!, 'glass-of-23')
    const [litres, add] = [move.inAll.value, move.dose.value!.addMgPerL]
    expect(add).toBeGreaterThan(0)
    // Potassium metabisulphite is 57.6 % SO₂ by mass (222.3 g for two SO₂ of 64.06): grams = mg/L × L ÷ 1000 ÷ 0.576.
    expect(move.doseG.value).toBeCloseTo((add * litres) / 1000 / 0.576, 2)
    move.sulphite.text = '1.5'
    expect(await logged(move)).toBe(true)
    const [given] = cellar.lotOf('lot-grenache')!.sulphited
    expect(given!.mgPerL).toBeCloseTo((1.5 * 576) / litres, 0)
  })
  it('the cap of a must that is full goes by what was expected: more may come', async () => {
    const expected = CELLAR.map((d) =>
      (d.type === 'lot-started' && d.lotId === 'lot-grenache' ? { ...d, volumeIs: 'expected' as const, volumeL: 19 } : d))
    const { cellar, move } = await moving('rack', 'lot-grenache', expected)
    move.choose(move.rows.value[0]!, 'glass-of-23')
    move.rows.value[0]!.litres.text = '22'
    expect(await logged(move)).toBe(true)
    expect(cellar.lotOf('lot-grenache')!.volume.value).toBeCloseTo(22, 6)
  })
})

describe('what cannot be moved', () => {
  it.each([
    ['no vessel', '', '10', 'vessel0', /Choose a vessel/],
    ['more than the vessel holds', 'glass-of-5', '9', 'litres0', /holds 5(\.0)? L/],
    ['more than there is', 'tank-of-60', '31', 'litres0', /the-old-glass holds 24(\.0)? L/],
    ['nothing typed', 'glass-of-23', '', undefined, /./],
    ['no number', 'glass-of-23', 'all of it', undefined, /./]
  ] as const)('%s: it says so at the field, keeps what was typed, and logs nothing', async (_, to, litres, field, reason) => {
    const { cellar, move } = await moving('rack', 'lot-grenache', [...CELLAR, ...vessel('tank-of-60', 50, 'tank')])
    Object.assign(move.rows.value[0]!, { vesselId: to })
    move.rows.value[0]!.litres.text = litres
    expect(await logged(move)).toBe(false)
    expect(move.wrong.value?.field).toBe(field)
    expect(move.wrong.value?.reason ?? move.rows.value[0]!.litres.message).toMatch(reason)
    expect(move.rows.value[0]!.litres.text).toBe(litres)
    expect(moves(cellar)).toBe(0)
  })
})

describe('splitting', () => {
  it('a part goes on as a lot of its own, of the same fruit and with what is known of it', async () => {
    const { cellar, move } = await moving('split')
    move.choose(move.rows.value[0]!, 'glass-of-5')
    move.ownLot.value = true
    expect(await logged(move)).toBe(false)
    expect(move.wrong.value?.field).toBe('ownName')
    move.ownName.value = 'Grenache with oak'
    expect(await logged(move)).toBe(true)
    const own = cellar.lots.find((l) => l.name === 'Grenache with oak')!
    expect([own.style, own.vintage, own.volume.value, own.ph?.value]).toEqual(['red', 2026, 5, 3.5])
    expect(own.sources).toMatchObject([{ variety: 'Grenache', vintage: 2026, share: 1 }])
    expect(stands(cellar.lotOf('lot-grenache')!)).toEqual({ 'the-old-glass': 19 })
  })
})

describe('topping up', () => {
  const withJug = [
    ...CELLAR,
    ...vessel('jug-of-two', 2),
    { type: 'transfer', at: daysAgo(2), purpose: 'split', from: { lotId: 'lot-grenache', vesselId: 'the-old-glass' },
      to: { lotId: 'lot-grenache', vesselId: 'jug-of-two' }, outL: 1.8, inL: 1.8 } as const
  ]
  it('the vessel with the most air, its own wine first, and what there is room for', async () => {
    const { cellar, move } = await moving('top-up', 'lot-grenache', withJug)
    expect(move.ours.value).toBe('the-old-glass')
    expect(Number(move.topL.text)).toBeCloseTo(2.8, 6)
    expect(move.toppers.value[0]).toMatchObject({ value: 'lot-grenache/jug-of-two' })
    expect(move.toppers.value.find((t) => t.value.startsWith('lot-albarino'))?.label).toContain('another colour')
    expect(await logged(move)).toBe(false)
    expect(move.wrong.value?.field).toBe('topper')
    move.topper.value = 'lot-grenache/jug-of-two'
    move.topL.text = '1.8'
    expect(await logged(move)).toBe(true)
    expect(stands(cellar.lotOf('lot-grenache')!)).toEqual({ 'the-old-glass': 24 })
  })
  it.each([
    ['4', /has room for/],
    ['2.5', /jug-of-two holds 1\.8 L/]
  ] as const)('%s L is too much', async (litres, reason) => {
    const { move } = await moving('top-up', 'lot-grenache', withJug)
    move.topper.value = 'lot-grenache/jug-of-two'
    move.topL.text = litres
    expect(await logged(move)).toBe(false)
    expect(move.wrong.value).toMatchObject({ field: 'topL', reason: expect.stringMatching(reason) as string })
  })
})

describe('combining', () => {
  it('as much as the other vessel has room for; both keep their shares of what they were', async () => {
    const other = [...vessel('tank-of-60', 60, 'tank'), ...dryWine('lot-tempranillo', 36, 'tank-of-60', { ph: 3.7 })]
    const cellar = await house([...CELLAR, ...other], { as: 'combine' })
    const move = onPage(() => useMove('lot-grenache'))
    move.partner.value = 'lot-tempranillo/tank-of-60'
    await nextTick()
    expect(move.combineL.value).toBe(24)
    expect(move.meeting.value.map((p) => [p.lot.id, p.litres])).toEqual([
      ['lot-grenache', 24],
      ['lot-tempranillo', 36]
    ])
    expect(await logged(move)).toBe(true)
    const blend = cellar.lotOf('lot-tempranillo')!
    expect(blend.volume.value).toBeCloseTo(60, 6)
    // Between the two wines, nearer to the larger part.
    expect(blend.ph!.value).toBeGreaterThan(3.55)
    expect(blend.ph!.value).toBeLessThan(3.7)
    expect(cellar.lotOf('lot-grenache')!.volume.value).toBe(0)
  })
})
