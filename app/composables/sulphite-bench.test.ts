import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import { type Draft, type Entry, type Fact, type LotView, foldCellar, lotAt } from '~~/core/ledger'
import { NOW, daysAgo, onPage, tab } from './fixtures/house'

const { useBench } = await import('./useBench')
const { sulphiteForm } = await import('~/benches/sulphite')
const { sulphiteWorking } = await import('~/wording/workings')
const { doseFor } = await import('~~/core/stages')

beforeEach(() => {
  setActivePinia(createPinia())
  vi.stubGlobal('sessionStorage', tab())
})

let n = 0
const entry = (days: number, draft: Draft<Fact>) =>
  ({ id: `e${++n}`, device: 't', at: daysAgo(days), written: daysAgo(days), ...draft }) as Entry
const lotId = 'lot-made-up'
/** A dry white or red of 21 L at pH 3.3 with 18 mg/L free, as somebody read it yesterday. */
function wine(style: 'red' | 'white', ...more: Entry[]): LotView {
  const read = (days: number, quantity: 'sg' | 'ph' | 'freeSo2', value: number) =>
    entry(days, { type: 'reading', lotId, quantity, typed: String(value), value })
  const cellar = foldCellar([
    entry(90, { type: 'lot-started', lotId, name: 'Made up', stream: 'juice', style, varieties: [], volumeL: 21, volumeIs: 'measured' }),
    read(90, 'sg', 1.088),
    entry(89, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
    read(60, 'sg', 0.993),
    read(50, 'sg', 0.993),
    read(1, 'ph', 3.3),
    read(1, 'freeSo2', 18),
    ...more
  ])
  return lotAt(cellar.lots.get(lotId)!, NOW)
}
const bench = (lot?: LotView, aim?: string) => onPage(() => useBench(sulphiteForm, shallowRef(lot), () => aim))
const dose = (of: ReturnType<typeof bench>) => of.answer.value.dose!

describe('the sulphite bench', () => {
  it('begins with what is known of the lot: its pH, volume, free SO₂ as it is now, and what is usual of its style', () => {
    const { values, choices } = bench(wine('white'))
    expect([values.value.ph, values.value.volume, choices.targetMolecular]).toEqual([3.3, 21, 0.8])
    expect(values.value.free).toBeGreaterThan(15)
    expect(values.value.free).toBeLessThanOrEqual(18)
    expect(bench(wine('red')).choices.targetMolecular).toBe(0.5)
  })
  it('what was weighed for one wine is not there for the next', async () => {
    const lot = shallowRef<LotView | undefined>(wine('white'))
    const { field } = onPage(() => useBench(sulphiteForm, lot))
    field('actual').text = '1.2'
    lot.value = { ...wine('red'), id: 'lot-another' }
    await nextTick()
    expect(field('actual').text).toBe('')
  })
  it('what is said knowingly is asked again each time: it is not kept', async () => {
    const open = bench(wine('white'))
    open.choices.knowing = true
    open.choices.targetMolecular = 0.5
    await nextTick()
    const again = bench(wine('white'))
    expect([again.choices.knowing, again.choices.targetMolecular]).toEqual([false, 0.5])
  })
  it('aims low for what is to sparkle', () => {
    const plan = entry(0.5, { type: 'lot-planned', lotId, sparkling: true } as Draft<Fact>)
    expect(bench(wine('white', plan)).choices.targetMolecular).toBe(0.35)
  })
  it('weighs by hand: 21 L at pH 3.3 from 18 to 25.5 mg/L, a third bound, is 0.41 g, and less than a scale of 0.1 g tells', () => {
    const open = bench(wine('white'), 'level')
    open.field('free').text = '18'
    open.field('bound').text = '33,3'
    // 0.8 × (1 + 10^(3.3 − 1.81)) = 25.52; (25.52 − 18) ÷ 0.667 = 11.28 mg/L; × 21 ÷ 1000 ÷ 0.576 = 0.411 g.
    expect(dose(open).grams).toBeCloseTo(0.411, 3)
    expect(open.answer.value.usesStock).toBe(true)
    expect(open.answer.value.stockMl).toBeCloseTo(4.11, 2)
    expect(sulphiteWorking(open.values.value, open.answer.value).map((step) => step.result)).toEqual(['25.5 mg/L', '11.3 mg/L', '0.41 g'])
  })
  it.each([
    ['ph', '36,2', /pH/],
    ['ph', '', /needed/],
    ['free', '900', /between 0 and 300/],
    ['bound', 'most', /not a number/],
    ['volume', '-4', /./]
  ] as const)('%s “%s” gives no dose, a message at its field, and stays as it was typed', async (key, text, message) => {
    const { field, answer, log } = bench(wine('white'))
    field(key).text = text
    expect(await log()).toBe(false)
    expect(answer.value.dose).toBeUndefined()
    expect(field(key).message).toMatch(message)
    expect(field(key).text).toBe(text)
  })
  it.each(['level', 'next-round', 'bottle', 'lock'] as const)('one question, one answer: %s is what every other page gives', (aim) => {
    for (const style of ['white', 'red'] as const) {
      const lot = wine(style, entry(0.5, { type: 'lot-planned', lotId, malolactic: 'none' } as Draft<Fact>))
      const open = bench(lot, aim)
      const elsewhere = doseFor(lot, aim)
      expect(dose(open).grams).toBeCloseTo(elsewhere.grams, 9)
      expect(dose(open).targetFreeMgPerL).toBeCloseTo(elsewhere.aimMgPerL, 9)
      expect(open.answer.value.aims.find((a) => a.aim === aim)!.dose!.grams).toBe(dose(open).grams)
    }
  })
  it('a must gets its first sulphite as on crush day, less what is in it, and no target for a wine', () => {
    const must = (...more: Entry[]) => {
      const start = { type: 'lot-started', lotId, name: 'M', stream: 'fresh', style: 'red', varieties: [], volumeL: 76.7, massKg: 118,
        volumeIs: 'expected' } as Draft<Fact>
      const ph = entry(0.9, { type: 'reading', lotId, quantity: 'ph', typed: '3.71', value: 3.71 })
      return lotAt(foldCellar([entry(1, start), ph, ...more]).lots.get(lotId)!, NOW)
    }
    const open = bench(must())
    // 30 mg/L for sound fruit and 10 more at such a pH; × 76.7 L ÷ 1000 ÷ 0.576 = 5.3 g.
    expect(dose(open).grams).toBeCloseTo(5.32, 2)
    open.choices.health = 'poor'
    // Malolactic is to come: no more than its bacteria live with.
    expect(dose(open).addMgPerL).toBe(40)
    const given = entry(0.5, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: 5.3, so2Share: 0.5763 })
    expect(dose(bench(must(given))).grams).toBe(0)
  })
  it('is planned in the unit it is measured out in', () => {
    const open = bench(wine('white'), 'level')
    open.field('free').text = '18'
    expect(open.answer.value.planned).toBe(open.answer.value.stockMl)
    open.field('volume').text = '210'
    expect(open.answer.value.planned).toBeCloseTo(4.1, 0)
  })
  it('another lot brings its own figures', async () => {
    const lot = shallowRef<LotView>(wine('white'))
    const { field, choices } = onPage(() => useBench(sulphiteForm, lot))
    field('ph').text = '3.9'
    lot.value = { ...wine('red'), id: 'another' } as LotView
    await nextTick()
    expect([field('ph').value, choices.targetMolecular]).toEqual([3.3, 0.5])
  })
})
