import { describe, expect, it, vi } from 'vitest'
import { type ShallowRef, computed, nextTick, shallowRef } from 'vue'
import { AS_USUAL } from '~~/core/benches'
import { type Draft, type Fact, type LotView, isHeld } from '~~/core/ledger'
import { type House, NOW, daysAgo, dryWine, house, onPage, read, said, vessel } from './fixtures/house'

const { useBench } = await import('./useBench')
const { heatForm } = await import('~/benches/heat')
const { useMalolactic } = await import('./useMalolactic')
const { pressForm } = await import('~/benches/press')
const { restartForm } = await import('~/benches/restart')
const { useRoundStop } = await import('./useRoundStop')
const { useSulphiteRound } = await import('./useSulphiteRound')

/** A red of 40 L on its skins, four days into its ferment. */
const FERMENT: Draft<Fact>[] = [
  ...vessel('bin-of-60', 60, 'bin'),
  ...vessel('glass-of-25', 25),
  ...vessel('glass-of-15', 15),
  ...vessel('glass-of-34', 34),
  {
    type: 'lot-started',
    at: daysAgo(5),
    lotId: 'lot-in-ferment',
    name: 'Tempranillo',
    stream: 'fresh',
    style: 'red',
    varieties: [],
    volumeL: 40,
    volumeIs: 'measured',
    massKg: 62,
    vesselId: 'bin-of-60'
  },
  read('lot-in-ferment', 5, 'sg', 1.095),
  { type: 'inoculation', at: daysAgo(4), lotId: 'lot-in-ferment', organism: 'yeast', culture: 'Y' },
  read('lot-in-ferment', 1, 'sg', 1.04)
]
const prism: Draft<Fact> = { type: 'instrument-added', at: daysAgo(9), instrumentId: 'the-prism', name: 'Prism', kind: 'refractometer' }
const stopAt = (cellar: House, kept?: Parameters<typeof useRoundStop>[1]) =>
  onPage(() => useRoundStop(cellar.lotOf('lot-in-ferment')!, kept))

describe('a stop on the round', () => {
  it('a gravity, a temperature, a smell and the cap worked are five lines of one look', async () => {
    const cellar = await house(FERMENT)
    const stop = stopAt(cellar)
    expect([stop.nothing.value, stop.day.value]).toEqual([true, 5])
    stop.gravity.text = '1,032'
    stop.celsius.text = '26'
    stop.smells.value = ['clean']
    stop.work.value = ['punch-down', 'stir']
    expect(stop.ok()).toBe(true)
    expect(await stop.log()).toBe(true)
    const red = cellar.lotOf('lot-in-ferment')!
    expect([red.temperature!.value, red.smelt!.smells, [...red.worked.keys()]]).toEqual([26, ['clean'], ['punch-down', 'stir']])
    // Read at the must's 26 °C by a hydrometer that reads true at 20: a little more than a point is added.
    expect(red.sg!.value - 1.032).toBeGreaterThan(0.0008)
    expect(red.sg!.value - 1.032).toBeLessThan(0.0025)
  })
  it('a refractometer in a ferment sees alcohol too: what it counts as is far below what it shows', async () => {
    const cellar = await house([...FERMENT, prism])
    const stop = stopAt(cellar)
    stop.readWith.value = 'the-prism'
    stop.gravity.text = '12 brix'
    // 12 °Brix would be 1.048; from 22.6 °Brix it is a must that has made alcohol, well under 1.035.
    expect(stop.counts.value!).toBeLessThan(1.035)
    expect(stop.counts.value!).toBeGreaterThan(1.01)
    expect(stop.corrected.value).toBe(true)
    await stop.log()
    expect(cellar.lotOf('lot-in-ferment')!.sg!.value).toBeCloseTo(stop.counts.value!, 6)
  })
  it('a gravity that rises is asked about once, and taken when it is confirmed', async () => {
    const stop = stopAt(await house(FERMENT))
    stop.gravity.text = '1.084'
    expect(stop.ok()).toBe(false)
    expect(stop.odd.value).toMatch(/higher than the last reading of 1\.040/)
    stop.confirm()
    expect(stop.ok()).toBe(true)
    stop.gravity.text = '1.085'
    expect(stop.ok()).toBe(false)
  })
  it('half typed and come back to, it is as it was', async () => {
    const cellar = await house(FERMENT)
    const stop = stopAt(cellar)
    stop.gravity.text = '1.03'
    stop.note.value = 'cap is dry'
    const again = stopAt(cellar, JSON.parse(JSON.stringify(stop.typed.value)) as typeof stop.typed.value)
    expect([again.gravity.text, again.note.value, again.nothing.value]).toEqual(['1.03', 'cap is dry', false])
  })
  it.each(['much', '10.32 SG', '-4'])('“%s” is no gravity: nothing is logged', async (typed) => {
    const stop = stopAt(await house(FERMENT))
    stop.gravity.text = typed
    expect(stop.ok()).toBe(false)
    expect([stop.gravity.text, stop.gravity.message !== undefined || stop.gravity.question !== undefined]).toEqual([typed, true])
  })
})

describe('press day', () => {
  const pressing = async () => {
    const cellar = await house([...FERMENT, read('lot-in-ferment', 0.1, 'sg', 0.995)])
    return { cellar, press: onPage(() => useBench(pressForm, shallowRef(cellar.lotOf('lot-in-ferment')))) }
  }
  const held = (cellar: House) =>
    Object.fromEntries(cellar.lots.filter(isHeld).flatMap((l) => [...l.contents].map(([id, litres]) => [`${l.name} in ${id}`, litres])))
  it('free run and press wine apart: two lots, and as much wine as was measured', async () => {
    const { cellar, press } = await pressing()
    press.field('free').text = '30'
    press.field('pressed').text = '6'
    press.choices.freeVessel = 'glass-of-34'
    press.choices.pressVessel = 'glass-of-15'
    press.choices.keep = 'apart'
    expect(press.answer.value.pressPlaces.map((p) => p.vesselId)).not.toContain('glass-of-34')
    expect(await press.log()).toBe(true)
    expect(held(cellar)).toEqual({ 'Tempranillo in glass-of-34': 30, 'Tempranillo, press wine in glass-of-15': 6 })
    expect(cellar.state.vessels.get('bin-of-60')!.lotId).toBeUndefined()
    expect(cellar.lotOf('lot-in-ferment')!.pressedAt).toBeDefined()
  })
  it('together in one vessel, or one lot in two', async () => {
    const one = await pressing()
    one.press.field('free').text = '28'
    one.press.field('pressed').text = '5'
    one.press.choices.freeVessel = 'glass-of-34'
    one.press.choices.keep = 'together'
    expect(await one.press.log()).toBe(true)
    expect(held(one.cellar)).toEqual({ 'Tempranillo in glass-of-34': 33 })
    const two = await pressing()
    two.press.field('free').text = '25'
    two.press.field('pressed').text = '8'
    two.press.choices.keep = 'together'
    two.press.choices.freeVessel = 'glass-of-25'
    two.press.choices.pressVessel = 'glass-of-15'
    expect(await two.press.log()).toBe(true)
    expect(held(two.cellar)).toEqual({ 'Tempranillo in glass-of-25': 25, 'Tempranillo in glass-of-15': 8 })
  })
  it('with no vessel chosen it goes where it fits, and the press wine beside it unless one holds both', async () => {
    const { cellar, press } = await pressing()
    const vessels = () => [press.answer.value.freeVessel, press.answer.value.pressVessel]
    press.choices.keep = 'together'
    press.field('free').text = '24.5'
    expect(vessels()).toEqual(['glass-of-25', ''])
    press.field('pressed').text = '8.8'
    expect(vessels()).toEqual(['glass-of-34', ''])
    // A glass of 15 L with 9 L in it is half air: it is not chosen for anybody.
    press.choices.keep = 'apart'
    expect([...vessels(), press.answer.value.wantsVesselL]).toEqual(['glass-of-25', '', 8.8])
    press.field('pressed').text = '14.8'
    expect([...vessels(), press.answer.value.wantsVesselL]).toEqual(['glass-of-25', 'glass-of-15', undefined])
    // One that was taken away again is chosen no more; none at all is a choice.
    press.choices.freeVessel = 'glass-of-9'
    expect(vessels()).toEqual(['glass-of-25', 'glass-of-15'])
    press.choices.freeVessel = ''
    expect([...vessels(), press.answer.value.wantsVesselL]).toEqual(['', 'glass-of-15', undefined])
    press.choices.freeVessel = AS_USUAL
    expect(await press.log()).toBe(true)
    expect(held(cellar)).toEqual({ 'Tempranillo in glass-of-25': 24.5, 'Tempranillo, press wine in glass-of-15': 14.8 })
  })
  it('more than the vessel holds is refused, and all stays on its skins', async () => {
    const { cellar, press } = await pressing()
    press.field('free').text = '30'
    press.choices.freeVessel = 'glass-of-15'
    expect(await press.log()).toBe(false)
    expect(cellar.refused.map((p) => p.code)).toContain('overfull')
    expect(held(cellar)).toEqual({ 'Tempranillo in bin-of-60': 40 })
  })
})

describe('monthly round of sulphite', () => {
  const KEPT = [
    ...vessel('glass-of-25', 25),
    ...vessel('glass-of-12', 12),
    ...dryWine('lot-albarino', 24, 'glass-of-25', { style: 'white', ph: 3.3, freeSo2: 12 }),
    ...dryWine('lot-grenache', 12, 'glass-of-12', { freeSo2: 60 })
  ]
  it('what is low gets what brings it through the month, what is high is left alone, and one solution is for all', async () => {
    await house(KEPT)
    const round = onPage(() => useSulphiteRound())
    expect(round.lines.value.map((l) => [l.lot.id, l.grams > 0])).toEqual([
      ['lot-albarino', true],
      ['lot-grenache', false]
    ])
    const [line] = round.toDose.value
    // mg/L × L = mg of SO₂; 57.6 % of the salt is SO₂; the solution holds so much salt in a litre.
    expect(line!.grams).toBeCloseTo((line!.addMgPerL * 24) / 576, 2)
    expect(round.totalG.value).toBeCloseTo(line!.grams, 6)
    expect((round.stockMl.value * round.stockGPerL) / 1000).toBeCloseTo(round.totalG.value, 6)
  })
  it('what was read and what went in move the list on', async () => {
    const cellar = await house(KEPT)
    const round = onPage(() => useSulphiteRound())
    await round.read(cellar.lotOf('lot-albarino')!, '33', 33)
    expect(round.lines.value.find((l) => l.lot.id === 'lot-albarino')!.freeMgPerL).toBe(33)
    await round.read(cellar.lotOf('lot-grenache')!, '5', 5)
    const line = round.toDose.value.find((l) => l.lot.id === 'lot-grenache')!
    await round.wentIn(line, line.grams, false)
    expect(said.at(-1)).toBe('lot-grenache: logged')
    expect(round.toDose.value.map((l) => l.lot.id)).not.toContain('lot-grenache')
  })
  it('a wine of which nothing was read is named, and gets its whole level: what was never given counts as none', async () => {
    const cellar = await house([...KEPT.filter((d) => !(d.type === 'reading' && d.lotId === 'lot-grenache' && d.quantity === 'freeSo2'))])
    const round = onPage(() => useSulphiteRound())
    expect(round.unread.value.map((l) => l.id)).toEqual(['lot-grenache'])
    expect(round.lines.value.find((l) => l.lot.id === 'lot-grenache')).toMatchObject({ freeMgPerL: 0, assumed: ['free'] })
    expect(cellar.lots).toHaveLength(2)
  })
})

describe('malolactic of a lot', () => {
  const turning = async (more: Draft<Fact>[] = []) => {
    const cellar = await house([
      ...vessel('glass-of-25', 25),
      ...dryWine('lot-grenache', 24, 'glass-of-25', { freeSo2: 5 }),
      { type: 'lot-planned', at: daysAgo(20), lotId: 'lot-grenache', malolactic: 'after-pressing' },
      read('lot-grenache', 20, 'malic', 2.2),
      ...more
    ])
    return { cellar, malolactic: onPage(() => useMalolactic(() => cellar.lotOf('lot-grenache')!)) }
  }
  const bacteria: Draft<Fact> = { type: 'inoculation', at: daysAgo(18), lotId: 'lot-grenache', organism: 'bacteria', culture: 'B' }
  it('bacteria go in by the litres there are, and it is under way', async () => {
    const { cellar, malolactic } = await turning()
    expect(malolactic.grams.value).toBeGreaterThan(0)
    await malolactic.pitched(0.3)
    expect(said).toEqual(['Bacteria added to lot-grenache'])
    expect([cellar.lotOf('lot-grenache')!.malolactic, cellar.lotOf('lot-grenache')!.bacteria!.name !== '']).toEqual(['under-way', true])
  })
  it('a test below 0.1 g/L ends it; the pH that malic acid leaves behind is higher', async () => {
    const { cellar, malolactic } = await turning([bacteria])
    const before = cellar.lotOf('lot-grenache')!.ph!.value
    malolactic.malic.text = '0,05'
    expect(malolactic.malicVerdict.value).toBeDefined()
    expect(await malolactic.logMalic()).toBe(true)
    const after = cellar.lotOf('lot-grenache')!
    expect([after.malolactic, malolactic.malic.text]).toEqual(['done', ''])
    expect(after.ph!.value).toBeGreaterThanOrEqual(before)
  })
  it('half of it is not the end, and no number is no reading', async () => {
    const { cellar, malolactic } = await turning([bacteria])
    malolactic.malic.text = 'half'
    expect(await malolactic.logMalic()).toBe(false)
    malolactic.malic.text = '1.1'
    await malolactic.logMalic()
    expect(cellar.lotOf('lot-grenache')!.malolactic).not.toBe('done')
  })
  it('without a test it is waited for a month after the last sign, and no sooner', async () => {
    const { cellar, malolactic } = await turning([bacteria])
    expect(malolactic.waited.value).toMatchObject({ enough: false, wants: 30 })
    await malolactic.bubbles('a few')
    expect(malolactic.waited.value!.days).toBeLessThan(1)
    await malolactic.over()
    expect(cellar.lotOf('lot-grenache')!.malolactic).toBe('done')
  })
})

describe('ice and warmth', () => {
  const TWO = [
    ...FERMENT,
    ...vessel('glass-of-54', 54),
    read('lot-in-ferment', 0.1, 'temperature', 28),
    ...dryWine('lot-grenache', 50, 'glass-of-54'),
    read('lot-grenache', 0.1, 'temperature', 15)
  ]
  const heatBench = (lot: ShallowRef<LotView | undefined>) => onPage(() => useBench(heatForm, lot))
  const figures = ({ values }: ReturnType<typeof heatBench>) => [values.value.volume, values.value.must, values.value.room]
  it('begins with what is known of the lot, and another lot brings its own', async () => {
    const cellar = await house(TWO)
    const lot = shallowRef(cellar.lotOf('lot-in-ferment'))
    const bench = heatBench(lot)
    expect(figures(bench)).toEqual([40, 28, 16])
    lot.value = cellar.lotOf('lot-grenache')
    await nextTick()
    expect(figures(bench)).toEqual([50, 15, 16])
  })
  it('what was typed stays, whatever is read of it meanwhile, and also when it was emptied', async () => {
    const cellar = await house(TWO)
    const lot = shallowRef(cellar.lotOf('lot-in-ferment'))
    const bench = heatBench(lot)
    bench.field('room').text = '11'
    bench.field('volume').text = ''
    await cellar.log([{ type: 'reading', lotId: 'lot-in-ferment', quantity: 'temperature', typed: '30', value: 30 }])
    lot.value = cellar.lotOf('lot-in-ferment')
    await nextTick()
    expect(figures(bench)).toEqual([undefined, 30, 11])
    // Of another lot nobody typed anything; the room is the same.
    lot.value = cellar.lotOf('lot-grenache')
    await nextTick()
    expect(figures(bench)).toEqual([50, 15, 11])
  })
  it('a unit that was changed is left as it is, and what is filled in for the next lot is in one’s own again', async () => {
    const cellar = await house(TWO)
    const lot = shallowRef(cellar.lotOf('lot-in-ferment'))
    const bench = heatBench(lot)
    bench.field('must').unit = '°F'
    await cellar.log([read('lot-in-ferment', 0, 'temperature', 30)])
    lot.value = cellar.lotOf('lot-in-ferment')
    await nextTick()
    expect([bench.field('must').text, bench.field('must').unit]).toEqual(['28', '°F'])
    lot.value = cellar.lotOf('lot-grenache')
    await nextTick()
    expect([bench.field('must').text, bench.field('must').unit, bench.field('must').value]).toEqual(['15', '°C', 15])
  })
  it('by hand: 50 g/L a day in 40 L make 12.7 W, and what the walls lose is taken off', async () => {
    const cellar = await house(TWO)
    const bench = heatBench(shallowRef(cellar.lotOf('lot-in-ferment')))
    bench.field('pace').text = '50'
    // 0.55 kJ for each gram of sugar: 50 × 40 × 0.55 kJ in 86,400 s.
    expect(bench.answer.value.balance!.madeW).toBeCloseTo(12.7, 1)
    bench.field('room').text = '30'
    bench.field('target').text = '24'
    const warm = bench.answer.value.balance!.iceLPerDay
    bench.field('room').text = '10'
    expect(bench.answer.value.balance!.iceLPerDay).toBeLessThan(warm)
  })
})

describe('a stuck ferment', () => {
  const stuck = async (...more: Draft<Fact>[]) => {
    const warmth = [read('lot-in-ferment', 3, 'temperature', 31), read('lot-in-ferment', 0.5, 'temperature', 17)]
    const cellar = await house([...FERMENT, ...warmth, ...more])
    return { cellar, restart: onPage(() => useBench(restartForm, computed(() => cellar.lotOf('lot-in-ferment')))) }
  }
  it('a temperature that cannot have been is reckoned with nowhere', async () => {
    const { restart } = await stuck()
    expect(restart.answer.value.plan).toBeDefined()
    const slip = await stuck(read('lot-in-ferment', 2, 'temperature', 97))
    expect(slip.restart.answer.value.plan).toEqual(restart.answer.value.plan)
  })
  it('begun by a line of the ledger its clock runs from there, and is over when the new yeast is in', async () => {
    const { cellar, restart } = await stuck()
    expect(restart.answer.value.begun).toBeUndefined()
    await restart.log('begin')
    expect(restart.answer.value.begun).toBe(Date.parse(NOW))
    const { steps, on } = restart.answer.value
    expect(steps.map((s) => s.at - s.atHours * 3_600_000)).toEqual(steps.map(() => Date.parse(NOW)))
    expect(on).toBe(steps.find((s) => s.atHours >= 0))
    vi.setSystemTime(Date.parse(NOW) + 3_600_000)
    await restart.log('pitch')
    expect([restart.answer.value.begun, cellar.lotOf('lot-in-ferment')!.repitchedAt]).toEqual([undefined, '2026-11-25T13:00:00.000Z'])
  })
})
