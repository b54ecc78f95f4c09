import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { daysAgo, house, juice, onPage, said, vessel, went } from './fixtures/house'
import { dayHere } from '~/wording/days'

const { useNewLot } = await import('./useNewLot')

const CELLAR = [...vessel('bin-of-60', 60, 'bin'), ...vessel('glass-of-23', 23), ...vessel('glass-of-54', 54), ...vessel('glass-of-5', 5)]
async function starting(query: Record<string, string> = {}, more = CELLAR) {
  const cellar = await house(more, query)
  return { cellar, lot: onPage(() => useNewLot()) }
}

describe('a new lot', () => {
  it('fresh red fruit: its juice is reckoned, its cap gets room, and the lot goes on to the crush floor', async () => {
    const { cellar, lot } = await starting()
    lot.name.value = 'Tempranillo'
    lot.mass.text = '60'
    expect([lot.byMass.value, lot.reckoned.value, lot.room.value, lot.vesselKind.value]).toEqual([true, true, 'cap', 'bin'])
    // 60 kg of red fruit give 33 to 45 litres of wine (craft.md: 0.55 to 0.75 L/kg), on skins more than that in the vessel.
    expect(lot.expected.value!.wine.low).toBeGreaterThanOrEqual(30)
    expect(lot.expected.value!.wine.high).toBeLessThanOrEqual(48)
    expect(lot.willBe.value!).toBeGreaterThan(lot.expected.value!.wine.high)
    expect(lot.sayFit(23)).toBe('too small')
    await lot.start()
    const [made] = cellar.lots
    expect(made).toMatchObject({ name: 'Tempranillo', stream: 'fresh', style: 'red', massKg: 60 })
    expect(made!.volume).toMatchObject({ origin: 'estimated', value: lot.expected.value!.juice.value })
    expect([said, went]).toEqual([['Tempranillo added'], [`/crush/${made!.id}`]])
  })
  it('red fruit that nobody weighed: its crushed must is measured, its juice is expected and its cap gets room', async () => {
    const { cellar, lot } = await starting()
    lot.name.value = 'Back fence'
    lot.unweighed.value = true
    lot.volume.text = '40'
    expect([lot.byMass.value, lot.reckoned.value, lot.room.value, lot.willBe.value]).toEqual([false, true, 'cap', 40])
    // 40 L of crushed red must are some 50 kg of fruit: 0.55 to 0.75 L of wine from each (craft.md).
    expect(lot.expected.value!.juice.value).toBeGreaterThan(50 * 0.55)
    expect(lot.expected.value!.juice.value).toBeLessThan(50 * 0.75)
    await lot.start()
    expect(cellar.lots[0]).toMatchObject({ stream: 'fresh', style: 'red', volume: { origin: 'estimated' } })
    expect(cellar.lots[0]!.massKg).toBeUndefined()
    // A white is pressed first: its vessel holds the juice alone.
    lot.style.value = 'white'
    expect([lot.reckoned.value, lot.room.value]).toEqual([true, 'foam'])
    expect(lot.willBe.value).toBeCloseTo(lot.expected.value!.juice.value, 9)
    // Weighed after all: what was typed as a volume does not count.
    lot.unweighed.value = false
    expect(lot.expected.value).toBeUndefined()
  })
  it('white juice: measured by its litres, offered the vessel that it fits, with room for foam', async () => {
    const { cellar, lot } = await starting()
    Object.assign(lot.stream, { value: 'juice' })
    lot.style.value = 'white'
    lot.name.value = 'Albariño'
    lot.volume.text = '20'
    expect([lot.reckoned.value, lot.room.value, lot.vesselKind.value]).toEqual([false, 'foam', 'demijohn'])
    expect(lot.emptyVessels.value[0]!.id).toBe('glass-of-23')
    expect(lot.emptyVessels.value.at(-1)!.id).toBe('glass-of-5')
    lot.vesselChoice.value = 'glass-of-23'
    await lot.start()
    expect(cellar.lots[0]!.volume).toMatchObject({ value: 20, origin: 'measured' })
    expect(cellar.state.vessels.get('glass-of-23')).toMatchObject({ lotId: cellar.lots[0]!.id, litres: 20 })
  })
  it('a vessel that it makes comes with it', async () => {
    const { cellar, lot } = await starting({}, [])
    Object.assign(lot.stream, { value: 'juice' })
    lot.name.value = 'Grenache'
    lot.volume.text = '10'
    lot.vesselChoice.value = 'new'
    lot.capacity.text = '15'
    lot.vesselName.value = 'Window glass'
    await lot.start()
    expect([...cellar.state.vessels.values()]).toMatchObject([{ name: 'Window glass', kind: 'demijohn', capacityL: 15, litres: 10 }])
  })
  it('is there again after a reload as it was typed, and begins anew once it was started', async () => {
    const { lot } = await starting()
    lot.stream.value = 'kit'
    lot.name.value = 'Muscat in cans'
    lot.cans.inCans.value = true
    await nextTick()
    lot.cans.fields.cans.text = '2,5'
    lot.kitTarget.text = '1.08'
    lot.packets.value.push({ name: 'Bentonite', step: 'before-yeast' })
    await nextTick()
    lot.packets.value[0]!.name = 'Clay'
    await nextTick()
    const again = onPage(() => useNewLot())
    await nextTick()
    expect([again.stream.value, again.name.value, again.inCans.value]).toEqual(['kit', 'Muscat in cans', true])
    expect([again.cans.fields.cans.text, again.kitTarget.text, again.packets.value[0]!.name]).toEqual(['2,5', '1.08', 'Clay'])
    again.kitTarget.text = '1.080'
    again.cans.fields.canSize.text = '1'
    await nextTick()
    await again.start()
    expect(said).toEqual(['Muscat in cans added'])
    expect(onPage(() => useNewLot()).name.value).toBe('')
  })
  it('concentrate by the can: what it makes, thinned by three quarters of its water at once, and its packets in part', async () => {
    const { cellar, lot } = await starting()
    lot.stream.value = 'kit'
    lot.name.value = 'Muscat in cans'
    lot.cans.inCans.value = true
    await nextTick()
    // As it is typed, digit by digit: the water follows until it is typed over.
    const poured: number[] = []
    for (const [cans, size] of [['1', '1'], ['16', '1'], ['6', '1'], ['6', '1.3'], ['6', '1.36']] as const) {
      lot.cans.fields.cans.text = cans
      lot.cans.fields.canSize.text = size
      await nextTick()
      poured.push(lot.cans.fields.firstWater.value! / lot.cans.makes.value!.firstL)
    }
    for (const share of poured) expect(share).toBeCloseTo(1, 2)
    lot.kitLine.text = '5'
    // ICUMSA SPS-4: 1.337 kg/L at 68 °Brix.
    expect(lot.cans.perWeight.value).toBe('1 kg is 0.75 L')
    await nextTick()
    const makes = lot.cans.makes.value!
    expect(lot.cans.packetShare.value).toBeCloseTo(makes.mustL / 5, 9)
    expect(lot.willBe.value).toBeCloseTo(makes.mustL, 6)
    // Nothing is started without its water.
    lot.cans.fields.firstWater.text = ''
    await lot.start()
    expect(cellar.lots).toEqual([])
    // Nor with more than all of it.
    lot.cans.fields.firstWater.text = '180'
    await lot.start()
    expect([cellar.lots, lot.cans.tooMuch.value]).toEqual([[], expect.stringMatching(/too thin/)])
    lot.cans.fields.firstWater.text = '18'
    await lot.start()
    const [made] = cellar.lots
    expect(made!.kit).toEqual({ targetSg: 1.085, packets: [] })
    expect(made!.volume.value).toBeCloseTo(6 * 1.36 + 18, 6)
    // What comes next is its gravity, and the second part of the water after it.
    expect(made!.staged.has('water')).toBe(true)
    expect(made!.sg).toBeUndefined()
  })
  it('a kit is not what came in its box but what its water makes of it', async () => {
    const { cellar, lot } = await starting()
    lot.stream.value = 'kit'
    lot.name.value = 'Barbera'
    lot.volume.text = '10'
    lot.kitTarget.text = '1.085'
    lot.kitLine.text = '23'
    lot.packets.value = [{ name: ' Bentonite ', step: 'before-yeast' }, { name: '  ', step: 'before-yeast' }]
    expect([lot.grows.value, lot.expected.value!.mustL]).toEqual([true, 23])
    // All of the 23 litres, and their foam.
    expect(lot.sayFit(23)).toBe('no room for the foam')
    lot.vesselChoice.value = 'glass-of-54'
    await lot.start()
    const [made] = cellar.lots
    expect(made!.volume.value).toBe(10)
    expect(made!.kit).toEqual({ targetSg: 1.085, lineL: 23, packets: [{ name: 'Bentonite', step: 'before-yeast' }] })
  })
  it('takes over a kept plan, or that of an earlier lot of its kind; what is usual is not said', async () => {
    const kept = {
      type: 'plan-kept', planId: 'plan-soft-red', name: 'Soft red', stream: 'juice', style: 'red', plan: { oak: true }
    } as const
    const { cellar, lot } = await starting({}, [
      ...CELLAR,
      juice('lot-of-old', 300, 20),
      { type: 'lot-planned', at: daysAgo(299), lotId: 'lot-of-old', sulphite: 'tablets', malolactic: 'after-pressing' },
      juice('lot-white', 300, 20, { style: 'white' }),
      { ...kept, at: daysAgo(9) },
      { ...kept, at: daysAgo(9), planId: 'plan-kit', name: 'Kit', stream: 'kit' }
    ])
    Object.assign(lot.stream, { value: 'juice' })
    expect(lot.plans.value.map((p) => p.label)).toEqual(['The usual plan', 'Soft red', 'As for lot-of-old'])
    const begun = async (planLike: string) => {
      lot.planLike.value = planLike
      lot.name.value = `Like ${planLike}`
      lot.volume.text = '20'
      await lot.start()
      return cellar.lots.find((l) => l.name === `Like ${planLike}`)!
    }
    const asKept = await begun('plan-soft-red')
    expect([asKept.plan.oak, asKept.plan.sulphite, asKept.planned]).toEqual([true, 'by-ph', { oak: true }])
    expect((await begun('lot-of-old')).planned).toEqual({ sulphite: 'tablets' })
    expect(cellar.lots.find((l) => l.name === 'Like lot-of-old')!.plan.oak).toBe(false)
    // Another style has plans of its own.
    lot.style.value = 'white'
    await nextTick()
    expect([lot.planLike.value, lot.plans.value.length]).toEqual(['usual', 1])
  })
  it('what was expected is here: nothing is typed twice, and it is expected no longer', async () => {
    const arrival = {
      type: 'arrival-expected',
      at: daysAgo(9),
      arrivalId: 'arrival-1',
      name: 'Blaufränkisch',
      stream: 'frozen',
      style: 'red',
      volumeL: 22,
      on: dayHere(daysAgo(0))
    } as const
    const { cellar, lot } = await starting({ arrival: 'arrival-1' }, [...CELLAR, arrival as never])
    expect([lot.name.value, lot.stream.value, lot.style.value, lot.volume.text]).toEqual(['Blaufränkisch', 'frozen', 'red', '22'])
    await lot.start()
    expect(cellar.lots.map((l) => l.name)).toEqual(['Blaufränkisch'])
    expect(cellar.state.arrivals.size).toBe(0)
  })
  it('fruit that was expected in kilograms comes as pounds to who weighs in pounds', async () => {
    const fruit = { type: 'arrival-expected', at: daysAgo(9), arrivalId: 'arrival-2', name: 'Grenache', stream: 'fresh',
      style: 'red' } as const
    await house([{ ...fruit, massKg: 60, on: dayHere(daysAgo(0)) } as never], { arrival: 'arrival-2' }, { system: 'US' })
    const lot = onPage(() => useNewLot())
    // A pound is 0.45359237 kg.
    expect([lot.mass.text, lot.mass.unit]).toEqual(['132.3', 'lb'])
    expect(lot.mass.value).toBeCloseTo(60, 1)
  })
  it.each([
    ['no name', { name: ' ' }],
    ['no amount', { volume: '' }],
    ['an amount that is none', { volume: 'two pails' }],
    ['a vintage that is no year', { vintage: '26' }],
    ['a vessel that is too small', { vessel: 'glass-of-5' }]
  ])('%s: nothing is started, and what was typed stays', async (_, odd) => {
    const { cellar, lot } = await starting()
    const typed = { name: 'Grenache', volume: '20', vintage: '2026', vessel: 'none', ...odd }
    Object.assign(lot.stream, { value: 'juice' })
    lot.name.value = typed.name
    lot.volume.text = typed.volume
    lot.vintage.value = typed.vintage
    lot.vesselChoice.value = typed.vessel
    await lot.start()
    expect([cellar.lots, went]).toEqual([[], []])
    expect([lot.name.value, lot.volume.text, lot.vintage.value]).toEqual([typed.name, typed.volume, typed.vintage])
  })
})
