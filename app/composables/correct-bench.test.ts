import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import type { Draft, Fact, LotView } from '~~/core/ledger'
import { findTargets } from '~~/core/must'
import { daysAgo, house, juice, onPage, read } from './fixtures/house'

const stopped = vi.fn()
/** The worker's work, done here. */
const asked = vi.fn((request: Parameters<typeof findTargets>[0]) => Promise.resolve(findTargets(request)))
vi.mock('~/workers/start', () => ({
  onLedgerDeath() {},
  reckoner: { call: (ask: (r: object) => unknown) => ask({ findTargets: asked }), stop: () => void stopped() }
}))
const { useCorrectBench } = await import('./useCorrectBench')

/** A red must of 40 L as it was measured this morning. */
const must = (brix: number, ph: number, ta: number): Draft<Fact>[] => [
  juice('lot-must', 1, 40),
  read('lot-must', 0.2, 'brix', brix),
  read('lot-must', 0.2, 'ph', ph),
  read('lot-must', 0.2, 'ta', ta)
]
async function correcting(brix: number, ph: number, ta: number) {
  const cellar = await house(must(brix, ph, ta))
  const lot = shallowRef<LotView | undefined>(cellar.lotOf('lot-must'))
  return { cellar, lot, bench: onPage(() => useCorrectBench(lot)) }
}
beforeEach(() => {
  asked.mockClear()
  stopped.mockClear()
})

describe('the correction bench', () => {
  it('begins with what was read, and with nothing tried', async () => {
    const { bench } = await correcting(24, 3.75, 5)
    expect([bench.fields.ph.value, bench.fields.ta.value, bench.fields.volume.value]).toEqual([3.75, 5, 40])
    expect([bench.moved.value, bench.planned.value]).toEqual([false, []])
    expect(bench.prediction.value!.after.ph).toBeCloseTo(3.75, 2)
    expect(bench.prediction.value!.after.taGPerL).toBeCloseTo(5, 1)
  })
  it('shows what it deserves and reckons with every digit that was read', async () => {
    const { bench } = await correcting(24, 3.756, 5.04)
    expect([bench.fields.ph.text, bench.fields.ph.value, bench.fields.ta.text, bench.fields.ta.value]).toEqual(['3.76', 3.756, '5.0', 5.04])
    bench.fields.ta.text = '5.1'
    expect(bench.fields.ta.value).toBe(5.1)
  })
  it('a gram of tartaric acid in a litre is a gram of TA and lowers the pH; water thins sugar and acid', async () => {
    const { bench } = await correcting(24, 3.75, 5)
    bench.changes.tartaric!.text = '1'
    expect(bench.moved.value).toBe(true)
    expect(bench.prediction.value!.after.taGPerL).toBeCloseTo(6, 1)
    // 0.05 to 0.15 for each gram in most musts: common practice.
    expect(3.75 - bench.prediction.value!.after.ph).toBeGreaterThan(0.05)
    expect(3.75 - bench.prediction.value!.after.ph).toBeLessThan(0.2)
    bench.changes.tartaric!.text = ''
    bench.changes.water!.text = '100'
    // 24 °Brix are 240 g in a kilogram of 1.101 kg/L: in a tenth more of water 264 g in 1.201 kg.
    expect(bench.prediction.value!.after.brix!).toBeCloseTo(22, 0)
    expect(bench.prediction.value!.after.taGPerL).toBeCloseTo(5 / 1.1, 1)
    expect(bench.volumes.value!.after).toBeCloseTo(44, 1)
  })
  it('what the finder proposes is put into the fields with the digits that are weighed, three quarters of it first', async () => {
    const { bench } = await correcting(24, 3.85, 4.4)
    await bench.find()
    expect(asked).toHaveBeenCalledTimes(1)
    const [acid] = bench.found.value!.additions.filter((a) => a.material === 'tartaric')
    expect(acid).toBeDefined()
    expect(bench.changes.tartaric!.value).toBe(acid!.perLitre)
    const [planned] = bench.planned.value
    expect(planned).toMatchObject({ material: 'tartaric', unit: 'g', number: 1 })
    expect(planned!.total).toBeCloseTo(acid!.perLitre * 40, 6)
    expect(planned!.stage / planned!.total).toBeCloseTo(0.75, 2)
    bench.takePlan()
    expect(planned!.field.value).toBe(planned!.stage)
    expect(bench.prediction.value!.after.ph).toBeLessThan(3.85)
  })
  it('a must in its windows is left alone', async () => {
    const { bench } = await correcting(24, 3.5, 6.5)
    await bench.find()
    expect(bench.found.value!.additions).toEqual([])
    expect([bench.planned.value, bench.moved.value]).toEqual([[], false])
  })
  it('once the first stage is in, all of the small rest is weighed', async () => {
    const cellar = await house([
      ...must(24, 3.85, 4.4),
      {
        type: 'addition',
        at: daysAgo(0.1),
        lotId: 'lot-must',
        material: 'tartaric',
        unit: 'g',
        actual: 60,
        planned: 60,
        stage: { number: 1, of: 2 }
      }
    ])
    const bench = onPage(() => useCorrectBench(shallowRef(cellar.lotOf('lot-must'))))
    bench.changes.tartaric!.text = '0.5'
    expect(bench.finishing.value).toBe(true)
    expect(bench.planned.value).toMatchObject([{ number: 2, total: 20, stage: 20 }])
  })
  it('the last question counts: what the worker is at is stopped', async () => {
    const { bench } = await correcting(24, 3.85, 4.4)
    const first = bench.find()
    const second = bench.find()
    expect(stopped).toHaveBeenCalledTimes(1)
    await Promise.all([first, second])
    expect(bench.finding.value).toBe(false)
  })
  it.each([
    ['ph', '36', 'no state'],
    ['ta', '1', 'no state'],
    ['malic', '40', 'no state'],
    ['volume', '', 'no proposal'],
    ['sugar', 'sweet', 'no proposal']
  ] as const)('%s “%s” gives %s, and stays as it was typed', async (key, text, gives) => {
    const { bench } = await correcting(24, 3.85, 4.4)
    bench.fields[key].text = text
    if (gives === 'no state') expect(bench.prediction.value).toBeUndefined()
    expect(bench.canFind.value).toBe(false)
    await bench.find()
    expect([asked.mock.calls.length, bench.fields[key].text]).toEqual([0, text])
  })
  it('another lot brings its own figures; what was proposed, tried and weighed for the one before is gone', async () => {
    const { cellar, lot, bench } = await correcting(24, 3.85, 4.4)
    await bench.find()
    bench.takePlan()
    bench.later.cold = 12
    const other = must(23, 3.4, 7).map((draft) => ({ ...draft, lotId: 'lot-other' }) as Draft<Fact>)
    await cellar.log(other)
    lot.value = cellar.lotOf('lot-other')
    await nextTick()
    expect([bench.found.value, bench.moved.value, bench.planned.value]).toEqual([undefined, false, []])
    bench.changes.tartaric!.text = '0.5'
    expect([bench.planned.value[0]!.field.text, bench.fields.ph.value]).toEqual(['', 3.4])
  })
})
