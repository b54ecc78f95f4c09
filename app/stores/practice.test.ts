import { describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { type CellarState, foldCellar, lotAt } from '~~/core/ledger'
import { tasksOf } from '~~/core/stages'
import type { Practice } from '~/workers/practice.worker'
import { house, onPage, said } from '~/composables/fixtures/house'

// The worker as it is, without a thread: what it would expose is called here.
const worker = vi.hoisted(() => ({ exposed: undefined as unknown }))
vi.mock('comlink', () => ({ expose: (what: unknown) => void (worker.exposed = what), proxy: (what: unknown) => what }))
vi.mock('~/workers/start', async (original) => ({
  ...await original<object>(),
  practising: { call: async <T>(ask: (p: Practice) => T): Promise<T> => await ask(worker.exposed as Practice) }
}))
await import('~/workers/practice.worker')
const { useCellarStore } = await import('./cellar')
const { usePracticeStore } = await import('./practice')
const { useInstrumentReading } = await import('~/composables/useInstrumentReading')

// What a device keeps; without it a season lasts as long as the tab, and the cellar that is opened first is the own one.
const kept = new Map<string, string>()
vi.stubGlobal('localStorage', {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key)
})

const lotId = 'lot-practice-1'
const HOUR = 3_600_000
async function begun(scenario = 'cold-cellar', seed = 4) {
  await house([])
  const practice = usePracticeStore()
  await practice.begin(scenario, seed)
  const cellar = useCellarStore()
  const clock = () => Date.parse(practice.season!.at)
  return { practice, cellar, clock, lot: () => cellar.lotOf(lotId) }
}

describe('a season of practice', () => {
  it('begins in a cellar of its own, at its own hour, with vessels by what they hold; the own cellar stays empty', async () => {
    const { practice, cellar, lot } = await begun()
    expect([cellar.which, lot()?.stream, practice.season?.scenario]).toEqual(['practice', 'juice', 'cold-cellar'])
    expect(practice.season!.at.slice(5, 10)).toBe('09-20')
    const names = [...cellar.state.vessels.values()].map((v) => v.name)
    expect(new Set(names).size).toBe(names.length)
    for (const name of names) expect(name).toMatch(/\d L/)
    await practice.leave()
    expect([cellar.which, cellar.lots.length]).toEqual(['own', 0])
    await practice.resume()
    expect(lot()).toBeDefined()
  })
  it('“next task” does not pass over what is asked for now; put off, it goes on to the next, by day', async () => {
    const { practice, cellar, clock, lot } = await begun()
    const at = clock()
    await practice.move()
    expect(practice.waiting).toBeGreaterThan(0)
    expect(clock()).toBe(at)
    for (let i = 0; i < 12 && practice.waiting > 0; i++) {
      const until = new Date(clock() + 400 * 24 * HOUR).toISOString()
      for (const { key } of tasksOf(lotAt(lot()!, practice.season!.at), cellar.state as CellarState, practice.season!.at))
        await cellar.log([{ type: 'task-ended', lotId, task: key, outcome: 'moved', until }])
      await practice.move()
    }
    expect(clock()).toBeGreaterThan(at)
    const hour = new Date(clock()).getHours()
    expect(hour >= 7 && hour <= 21).toBe(true)
  })
  it('a day is a day unless something new presses, and what is logged takes its minutes', async () => {
    const { practice, cellar, clock } = await begun()
    const at = clock()
    await practice.move(24)
    expect(clock() - at).toBeLessThanOrEqual(24 * HOUR)
    expect(clock()).toBeGreaterThan(at)
    const before = clock()
    await cellar.log([{ type: 'observation', lotId, what: 'note', text: 'Cold hands' }])
    await nextTick()
    await vi.waitFor(() => expect(clock() - before).toBe(2 * 60_000))
    expect((await cellar.allEntries()).every((e) => e.at <= practice.season!.at)).toBe(true)
  })
})

describe('what is read off an instrument', () => {
  const held = async () => {
    const { practice, cellar, lot } = await begun()
    const sample = await practice.sample(lotId)
    return { cellar, lot, sample: sample!, reads: onPage(() => useInstrumentReading(lot, () => sample)) }
  }
  it('goes into the ledger as the person read it, with what it was read by', async () => {
    const { lot, reads, sample } = await held()
    reads.fields.hydrometer.text = '1.084'
    await reads.logTyped('hydrometer')
    expect(lot()!.sg!.value).toBeCloseTo(1.084, 2)
    expect(reads.fields.hydrometer.text).toBe('')
    reads.fields.meter.text = '3,41'
    await reads.logTyped('meter')
    expect(lot()!.ph!.value).toBe(3.41)
    reads.fields.thermometer.text = '61'
    reads.fields.thermometer.unit = '°F'
    await reads.logTyped('thermometer')
    expect(lot()!.temperature!.value).toBeCloseTo(16.1, 1)
    expect(Math.abs(lot()!.ph!.value - sample.truth.ph)).toBeLessThan(0.5)
  })
  it.each([['nothing', ''], ['no number', 'about three'], ['far beyond what a wine can have', '31']])(
    '%s is not logged, stays typed and says why', async (_, typed) => {
      const { cellar, reads } = await held()
      const count = cellar.factCount
      reads.fields.meter.text = typed
      await reads.logTyped('meter')
      expect([cellar.factCount, reads.fields.meter.text]).toEqual([count, typed])
      expect(reads.fields.meter.message || reads.problem.value).toBeTruthy()
    })
  it.each([
    // 50 mL, 0.02 normal: 1 mL of a normal solution takes 32.03 mg of SO₂.
    ['iodine', 2.5, 'freeSo2', 32],
    // 10 mL, 0.1 normal: 0.75 g/L as tartaric for each mL (its equivalent is 75.04 g).
    ['titration', 10.4, 'ta', 7.8]
  ] as const)('%s: drops become a figure', async (tool, ml, quantity, is) => {
    const { cellar, reads } = await held()
    await reads.logDrops(tool, ml)
    const values = cellar.facts.flatMap(({ fact }) => (fact.type === 'reading' && fact.quantity === quantity ? [fact.value] : []))
    expect(values[0]).toBeCloseTo(is, 1)
  })
  it('senses and paper are observations; the hand reads what the wine is, not what one wishes', async () => {
    const { cellar, lot, reads, sample } = await held()
    await reads.logSenses()
    await reads.logPaper('clear')
    const seen = cellar.facts.flatMap(({ fact }) => (fact.type === 'observation' ? [fact.what] : []))
    expect(seen.toSorted()).toEqual(['chromatogram', 'clarity', 'gas', 'smell', 'taste'])
    await reads.logByHand()
    expect(Math.abs(lot()!.sg!.value - sample.truth.sg)).toBeLessThan(0.004)
    expect(Math.abs(lot()!.ta!.value - 7.5)).toBeLessThan(3)
    expect(said.at(-1)).toMatch(/^The cellar hand took 4 readings$/)
    expect(foldCellar(await cellar.allEntries()).lots.get(lotId)!.sg).toEqual(lot()!.sg)
  })
})
