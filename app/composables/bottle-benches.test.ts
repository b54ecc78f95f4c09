import { describe, expect, it } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import type { Draft, Fact } from '~~/core/ledger'
import { type House, daysAgo, dryWine, house, onPage, read, vessel, went } from './fixtures/house'

const { useBench } = await import('./useBench')
const { bottlesForm } = await import('~/benches/bottling')
const { sparklingForm } = await import('~/benches/sparkling')
const { sweeteningForm } = await import('~/benches/sweetening')
const { trialForm } = await import('~/benches/trial')

/** Two wines ready for their bottles, and a hundred bottles of one size in store. */
const seen = (lotId: string): Draft<Fact>[] => [
  { type: 'observation', at: daysAgo(2), lotId, what: 'clarity', clarity: 'bright', text: 'bright' },
  { type: 'observation', at: daysAgo(2), lotId, what: 'gas', gas: 'none', text: 'no gas' },
  { type: 'observation', at: daysAgo(2), lotId, what: 'smell', smells: ['clean'], text: 'clean' } as Draft<Fact>,
  { type: 'observation', at: daysAgo(2), lotId, what: 'heat-test', stable: true, text: 'clear' },
  { type: 'observation', at: daysAgo(2), lotId, what: 'cold-test', stable: true, text: 'no crystals' },
  read(lotId, 1, 'sugar', 1),
  read(lotId, 1, 'sg', 0.993)
]
const CELLAR: Draft<Fact>[] = [
  ...vessel('glass-of-25', 25),
  ...vessel('glass-of-12', 12),
  ...dryWine('lot-albarino', 24, 'glass-of-25', { style: 'white', ph: 3.2, freeSo2: 30 }),
  ...dryWine('lot-grenache', 12, 'glass-of-12', { freeSo2: 30 }),
  ...seen('lot-albarino'),
  ...seen('lot-grenache'),
  { type: 'supply-stocked', at: daysAgo(90), supplyId: 'supply-bottles', material: 'bottle-750', amount: 20, unit: 'pieces' }
]
const lotOf = (cellar: House, id = 'lot-albarino') => shallowRef(cellar.lotOf(id))

describe('bottling day', () => {
  it('begins with the wine there is and the bottles in store; what does not fit in those goes into the next size', async () => {
    const cellar = await house(CELLAR)
    const day = onPage(() => useBench(bottlesForm, lotOf(cellar)))
    expect([day.values.value.volume, day.field('stock:bottle-750').value]).toEqual([24, 20])
    day.field('stock:bottle-375').text = '30'
    const filled = new Map(day.answer.value.mix!.bottles.map((b) => [b.ml, b.count]))
    // 24 L less 0.3 of hoses: 20 large hold 15 L, and 8.7 L are 23 halves.
    expect([filled.get(750), filled.get(375)]).toEqual([20, 23])
  })
  it('the real numbers come off the wine and the store', async () => {
    const cellar = await house(CELLAR)
    const day = onPage(() => useBench(bottlesForm, lotOf(cellar)))
    day.gate!.knows.value = true
    day.field('filled:bottle-750').text = '18'
    day.choices.closure = 'crown'
    day.choices.place = 'shelf by the door'
    expect(await day.log()).toBe(true)
    const wine = cellar.lotOf('lot-albarino')!
    expect(wine.bottled).toMatchObject([{ sizeMl: 750, left: 18, closure: 'crown', place: 'shelf by the door', material: 'bottle-750' }])
    expect(wine.volume.value).toBeCloseTo(24 - 13.5, 6)
    expect(cellar.state.stock.get('bottle-750')!.packages[0]!.left).toBe(2)
  })
  it.each([
    // 24 L: what is asked of the rest, what is usual for so much, and what is held afterwards.
    ['half of it: the rest is bottled another day', '16', '', 'later', 12, '/lots/lot-albarino'],
    ['all but a cup: the rest is lees', '31', '375', 'lees', 0, '/lots/lot-albarino'],
    ['all but a bottle, kept in a jug: nobody calls it lees', '31', 'jug', 'jug', 0.75, '/lots/lot-albarino/move?as=rack'],
    ['all but a bottle, drunk', '31', 'used', 'used', 0, '/lots/lot-albarino'],
    ['to the last drop: nothing is asked', '32', '', undefined, 0, '/lots/lot-albarino']
  ] as const)('%s', async (_, typed, more, becomes, held, leads) => {
    const cellar = await house(CELLAR)
    const day = onPage(() => useBench(bottlesForm, lotOf(cellar)))
    day.gate!.knows.value = true
    day.field('filled:bottle-750').text = typed
    if (more === '375') day.field('filled:bottle-375').text = '1'
    else if (more) day.set('rest', more)
    expect(day.answer.value.rest?.becomes).toBe(becomes)
    expect(await day.log()).toBe(true)
    expect(cellar.lotOf('lot-albarino')!.volume.value).toBeCloseTo(held, 6)
    expect(went.at(-1)).toBe(leads)
    const vessel = cellar.state.vessels.get('glass-of-25')!
    expect(vessel.lotId).toBe(held > 0 ? 'lot-albarino' : undefined)
  })
  it.each([
    ['none', '', /how many bottles/],
    ['half a bottle', '3.5', /whole number/],
    ['a word', 'some', /not a number/]
  ])('%s is refused, and stays as it was typed', async (_, typed, words) => {
    const cellar = await house(CELLAR)
    const day = onPage(() => useBench(bottlesForm, lotOf(cellar)))
    day.gate!.knows.value = true
    day.field('filled:bottle-750').text = typed
    expect(await day.log()).toBe(false)
    expect(day.problem.value ?? day.field('filled:bottle-750').message).toMatch(words)
    expect(day.field('filled:bottle-750').text).toBe(typed)
    expect(cellar.lotOf('lot-albarino')!.bottles).toBe(0)
  })
  it('more bottles than there is wine are refused by the ledger', async () => {
    const cellar = await house(CELLAR)
    const day = onPage(() => useBench(bottlesForm, lotOf(cellar)))
    day.gate!.knows.value = true
    day.field('filled:bottle-750').text = '60'
    expect(await day.log()).toBe(false)
    expect(cellar.refused.map((p) => p.code)).toEqual(['more-out-than-in'])
  })
  it('what was typed for one wine is not there for the next; a wine that is to sparkle is offered no still bottle', async () => {
    const cellar = await house([...CELLAR, { type: 'lot-planned', at: daysAgo(1), lotId: 'lot-grenache', sparkling: true } as Draft<Fact>])
    const lot = lotOf(cellar)
    const day = onPage(() => useBench(bottlesForm, lot))
    day.field('filled:bottle-750').text = '18'
    day.gate!.knows.value = true
    lot.value = cellar.lotOf('lot-grenache')
    await nextTick()
    expect([day.field('filled:sparkling-bottle-750').text, day.gate!.knows.value, day.answer.value.sparkling]).toEqual(['', false, true])
    expect(day.answer.value.used.every((card) => card.bottle!.ratedBar > 0)).toBe(true)
    expect(day.answer.value.used.length).toBeGreaterThan(0)
  })
  it('gone on with against what is open, it is logged beside the bottles', async () => {
    const cellar = await house([...vessel('glass-of-25', 25), ...dryWine('lot-albarino', 24, 'glass-of-25', { style: 'white' })])
    const day = onPage(() => useBench(bottlesForm, lotOf(cellar)))
    day.field('filled:bottle-750').text = '10'
    expect(day.gate!.mayGoOn.value).toBe(false)
    expect(await day.log()).toBe(false)
    expect(cellar.lotOf('lot-albarino')!.bottles).toBe(0)
    day.gate!.knows.value = true
    expect(await day.log()).toBe(true)
    expect([...cellar.lotOf('lot-albarino')!.endedTasks.values()]).toMatchObject([{ outcome: 'seen' }])
    expect(cellar.lotOf('lot-albarino')!.bottles).toBe(10)
  })
})

describe('sparkling on purpose', () => {
  it('no sugar for a bottle made for still wine; in one that holds it, about 4 g for each bar and litre', async () => {
    const cellar = await house(CELLAR)
    const bench = onPage(() => useBench(sparklingForm, lotOf(cellar)))
    expect([bench.field('volume').value, bench.field('residual').value, bench.choices.tested]).toEqual([24, 1, true])
    bench.choices.bottle = 'bottle-750'
    expect(bench.answer.value.sugar!.allowed).toBe(false)
    bench.choices.bottle = 'sparkling-bottle-750'
    bench.field('warmest').text = '20'
    expect(bench.answer.value.sugar!.allowed).toBe(true)
    // 4 g of sugar in a litre make a bar at 10 °C: common practice. Five bar, less what sugar and gas are there.
    const each = bench.answer.value.sugar!.grams / 24
    expect(each).toBeGreaterThan(14)
    expect(each).toBeLessThan(24)
  })
  it('its sugar goes into the wine that is planned to sparkle from then on', async () => {
    const cellar = await house(CELLAR)
    const bench = onPage(() => useBench(sparklingForm, lotOf(cellar)))
    bench.choices.bottle = 'sparkling-bottle-750'
    bench.field('warmest').text = '20'
    bench.gate!.knows.value = true
    expect(await bench.log()).toBe(false)
    bench.field('actual').text = '430'
    expect(await bench.log()).toBe(true)
    const wine = cellar.lotOf('lot-albarino')!
    expect([wine.plan.sparkling, wine.added.get('sugar')!.actual]).toEqual([true, 430])
  })
  it('without a sugar test its gravity tells the sugar, and says that it was not tested', async () => {
    const cellar = await house([...vessel('glass-of-25', 25), ...dryWine('lot-albarino', 24, 'glass-of-25', { style: 'white' })])
    const bench = onPage(() => useBench(sparklingForm, lotOf(cellar)))
    expect(bench.choices.tested).toBe(false)
    expect(bench.field('residual').value).toBeLessThan(6)
  })
})

describe('a sweet wine that stays so', () => {
  it('its sugar is for the litres there are, and brings its own room; sorbate by strength and pH goes in with it', async () => {
    const cellar = await house(CELLAR)
    const bench = onPage(() => useBench(sweeteningForm, lotOf(cellar)))
    bench.field('chosen').text = '20'
    // 20 g in a litre of the sweetened wine: 24 L take 480 g and a little for the room that it takes.
    expect(bench.answer.value.sweetened!.grams).toBeGreaterThan(479)
    expect(bench.answer.value.sweetened!.grams).toBeLessThan(495)
    bench.choices.ferments = false
    expect(bench.answer.value.sorbate!.allowed).toBe(true)
    bench.field('sugarIn').text = '485'
    bench.field('sorbateIn').text = '6'
    bench.gate!.knows.value = true
    expect(await bench.log()).toBe(true)
    const wine = cellar.lotOf('lot-albarino')!
    expect([wine.added.get('sugar')!.actual, wine.added.get('potassium-sorbate')!.actual]).toEqual([485, 6])
    expect(wine.others.sugar!.value).toBeCloseTo(1 + 485 / 24, 0)
  })
  it('never sorbate in a wine that bacteria have worked in: it would smell of geraniums', async () => {
    const bacteria: Draft<Fact> = { type: 'inoculation', at: daysAgo(20), lotId: 'lot-albarino', organism: 'bacteria', culture: 'B' }
    const cellar = await house([...CELLAR, bacteria])
    const bench = onPage(() => useBench(sweeteningForm, lotOf(cellar)))
    expect(bench.choices.hadBacteria).toBe(true)
    bench.field('chosen').text = '20'
    expect(bench.answer.value.sorbate!.allowed).toBe(false)
    bench.field('sorbateIn').text = '6'
    bench.gate!.knows.value = true
    expect(await bench.log()).toBe(false)
    expect(cellar.lotOf('lot-albarino')!.added.has('potassium-sorbate')).toBe(false)
  })
  it('exactly as planned: sugar with its sorbate, or nothing; and nothing typed is said', async () => {
    const cellar = await house(CELLAR)
    const bench = onPage(() => useBench(sweeteningForm, lotOf(cellar)))
    bench.gate!.knows.value = true
    expect([await bench.log(), bench.problem.value]).toEqual([false, 'Enter how much went in.'])
    bench.field('chosen').text = '20'
    bench.choices.ferments = true
    expect(bench.answer.value.plan).toBeUndefined()
    bench.choices.ferments = false
    bench.take(bench.answer.value.plan!)
    expect(bench.field('sugarIn').value).toBeCloseTo(bench.answer.value.sweetened!.grams, -1)
    expect(bench.field('sorbateIn').value! / bench.answer.value.sorbate!.grams!).toBeCloseTo(1, 1)
    expect(await bench.log()).toBe(true)
    expect([...cellar.lotOf('lot-albarino')!.added.keys()].sort()).toEqual(['potassium-sorbate', 'sugar'])
  })
  it('another wine is asked about anew', async () => {
    const cellar = await house(CELLAR)
    const lot = lotOf(cellar)
    const bench = onPage(() => useBench(sweeteningForm, lot))
    bench.field('chosen').text = '20'
    bench.field('sugarIn').text = '485'
    lot.value = cellar.lotOf('lot-grenache')
    await nextTick()
    expect([bench.field('chosen').text, bench.field('sugarIn').text, bench.field('volume').value]).toEqual(['', '', 12])
  })
})

describe('a bench trial', () => {
  const opened = async (of: string, more: Draft<Fact>[] = []) => {
    const cellar = await house([...CELLAR, ...more])
    return { cellar, bench: onPage(() => useBench(trialForm, lotOf(cellar), () => of)) }
  }
  it('pours each rate from the stock, and the choice is scaled to the lot', async () => {
    const { bench } = await opened('bentonite')
    const [stock, glass] = [bench.field('stock').value!, bench.field('glassMl').value!]
    // mL of stock × its strength = the rate × the glass.
    for (const g of bench.answer.value.glasses) expect((g.stockMl * stock) / glass).toBeCloseTo(g.rate, 2)
    expect(bench.answer.value.glasses).toHaveLength(4)
    bench.set('chosen', '1')
    expect(bench.answer.value.grams).toBe(24)
    // A rate that nobody tasted is none.
    bench.set('chosen', '0.63')
    bench.set('count', 3)
    expect([bench.answer.value.rates, bench.answer.value.grams]).toEqual([[0, 0.25, 1], undefined])
  })
  it('tasted blind the glasses come in another order, the same each time, and none is lost', async () => {
    const { bench } = await opened('bentonite')
    const rates = () => bench.answer.value.glasses.map((g) => g.rate)
    const open = rates()
    bench.set('blind', true)
    const blind = rates()
    expect([...blind].sort((a, b) => a - b)).toEqual(open)
    bench.set('blind', false)
    bench.set('blind', true)
    expect(rates()).toEqual(blind)
  })
  it('acid in glasses: each with the pH and TA that it would have, falling and rising from glass to glass', async () => {
    const { bench } = await opened('tartaric')
    const told = bench.answer.value.glasses.map((g) => g.figures!)
    expect(told.every((t) => t.molecular !== undefined)).toBe(true)
    for (const [i, t] of told.entries())
      if (i > 0) {
        expect(t.ph).toBeLessThan(told[i - 1]!.ph)
        expect(t.taGPerL).toBeGreaterThan(told[i - 1]!.taGPerL)
      }
  })
  it('oak is weighed into jars, without a stock', async () => {
    const { bench } = await opened('oak')
    expect(bench.fields.value.map(({ spec }) => spec.key)).not.toContain('stock')
    for (const g of bench.answer.value.glasses) expect(g.grams).toBeCloseTo(g.rate / 10, 9)
    expect(bench.answer.value.glasses).toHaveLength(4)
  })
  it('the trial and the amount added are both logged; without an amount only the trial', async () => {
    const { cellar, bench } = await opened('tartaric')
    bench.set('notes', 'the second is rounder')
    expect(await bench.log()).toBe(true)
    expect(cellar.facts[0]!.fact).toMatchObject({ type: 'observation', what: 'taste', text: expect.stringContaining('rounder') as string })
    bench.set('chosen', String(bench.answer.value.glasses[1]!.rate))
    bench.field('goesIn').text = '12'
    expect(await bench.log()).toBe(true)
    expect(cellar.lotOf('lot-albarino')!.added.get('tartaric')!.actual).toBe(12)
  })
  it('what was tasted and typed of one material is not logged of another', async () => {
    const { bench } = await opened('bentonite')
    bench.set('notes', 'clear at once')
    bench.set('chosen', '0.5')
    bench.field('goesIn').text = '12'
    bench.field('glassMl').text = '80'
    bench.set('agent', 'tartaric')
    expect([bench.choices.notes, bench.choices.chosen, bench.field('goesIn').text, bench.field('glassMl').text]).toEqual(['', '', '', '80'])
  })
  it('a fining whose gate is shut is tried, and goes in only knowingly; acid has no gate', async () => {
    // Bacteria at work: fining would take them out.
    const { cellar, bench } = await opened('bentonite', [
      { type: 'inoculation', at: daysAgo(2), lotId: 'lot-albarino', organism: 'bacteria', culture: 'of a packet' } as Draft<Fact>
    ])
    expect(bench.gate!.mayGoOn.value).toBe(false)
    bench.field('goesIn').text = '12'
    expect(await bench.log()).toBe(false)
    expect(await bench.log('tried')).toBe(true)
    expect(cellar.lotOf('lot-albarino')!.added.has('bentonite')).toBe(false)
    bench.gate!.knows.value = true
    bench.field('goesIn').text = '12'
    expect(await bench.log()).toBe(true)
    expect(cellar.lotOf('lot-albarino')!.added.get('bentonite')!.actual).toBe(12)
    bench.set('agent', 'tartaric')
    expect(bench.gate!.mayGoOn.value).toBe(true)
  })
})
