import { describe, expect, it } from 'vitest'
import { computed } from 'vue'
import type { Draft, Fact } from '~~/core/ledger'
import { daysAgo, dryWine, house, juice, onPage, vessel } from './fixtures/house'

const { useMeasureBench } = await import('./useMeasureBench')
const { useCellarStore } = await import('~/stores/cellar')

const must = juice('lot-must', 1, 40)
const tools: Draft<Fact>[] = [
  { type: 'instrument-added', at: daysAgo(99), instrumentId: 'the-float', name: 'Hydrometer', kind: 'hydrometer', calibrationC: 15.56 },
  { type: 'instrument-added', at: daysAgo(98), instrumentId: 'the-prism', name: 'Refractometer', kind: 'refractometer' }
]
async function measuring(lotId: string | undefined, more: readonly Draft<Fact>[] = []) {
  const cellar = await house([must, ...vessel('glass-of-25', 25), ...dryWine('lot-wine', 24, 'glass-of-25'), ...more])
  const lot = computed(() => (lotId === undefined ? undefined : cellar.lotOf(lotId)))
  return { cellar, bench: onPage(() => useMeasureBench(lot)) }
}

describe('the measuring bench', () => {
  it('a wine is asked for what it is measured by, and first for what the page was opened for; a sugar test is logged as one', async () => {
    const { bench } = await measuring('lot-wine')
    expect(bench.first.value).not.toContain('ta')
    expect([...bench.first.value, ...bench.others.value].sort()).toEqual(['freeSo2', 'malic', 'ph', 'sg', 'sugar', 'ta', 'temperature'])
    const cellar = useCellarStore()
    const opened = onPage(() => useMeasureBench(computed(() => cellar.lotOf('lot-wine')), () => 'sugar'))
    expect(opened.first.value[0]).toBe('sugar')
    opened.fields.sugarLeft.text = '3,2'
    expect(opened.drafts('lot-wine')).toMatchObject([{ type: 'reading', quantity: 'sugar', value: 3.2, typed: '3,2' }])
    // What is typed is never hidden, nor is a must asked for what only a wine has.
    bench.fields.ta.text = '6.1'
    expect(bench.typedOther.value).toBe(true)
    const must = onPage(() => useMeasureBench(computed(() => cellar.lotOf('lot-must')), () => 'malic'))
    expect([...must.first.value, ...must.others.value]).toEqual(['sg', 'ph', 'ta', 'temperature'])
  })
  it('a titration: 10 mL of 0.1 N in a sample of 10 mL are 7.5 g/L as tartaric acid (75.05 g for each mole of base)', async () => {
    const { bench } = await measuring('lot-must')
    bench.byTitration.value = true
    Object.assign(bench.fields.sampleMl, { text: '10' })
    bench.fields.normality.text = '0,1'
    bench.fields.titrantMl.text = '10'
    expect(bench.taGPerL.value).toBeCloseTo(7.504, 2)
    bench.fields.titrantMl.text = 'ten'
    expect(bench.taGPerL.value).toBeUndefined()
  })
  it('a titrant is standardised: 0.204 g of phthalate (204.2 g/mol) take 10 mL of 0.1 N', async () => {
    const { bench } = await measuring('lot-must')
    bench.fields.phthalate.text = '0.2042'
    bench.fields.phthalateMl.text = '10'
    expect(bench.trueNormality.value).toBeCloseTo(0.1, 4)
  })
  it('a hydrometer of its own says where it reads true, and a warm sample is corrected upwards', async () => {
    const { bench } = await measuring('lot-must', tools)
    expect([bench.sugarWith.value, bench.calibrationC.value]).toEqual(['the-float', 15.56])
    bench.fields.sugar.text = '1.090 SG'
    const read = bench.scales.value!.sg
    bench.fields.sampleC.text = '30'
    // Water expands by 3.5 in a thousand from 15.6 to 30 °C (CRC Handbook: 0.99903 and 0.99565 kg/L); glass a little less.
    expect(bench.scales.value!.sg - read).toBeGreaterThan(0.0028)
    expect(bench.scales.value!.sg - read).toBeLessThan(0.0048)
    expect(bench.corrected.value).toBeGreaterThan(0.0028)
    // A refractometer does not mind the sample's temperature.
    bench.sugarWith.value = 'the-prism'
    expect(bench.corrected.value).toBeUndefined()
    expect(bench.scales.value!.sg).toBeCloseTo(read, 3)
  })
  it('a pH and a TA that no must has together are one misreading', async () => {
    const { bench } = await measuring('lot-must')
    bench.fields.ph.text = '3.4'
    bench.fields.ta.text = '6.5'
    expect(bench.impossible.value).toBeUndefined()
    bench.fields.ta.text = '19'
    bench.fields.ph.text = '4.2'
    // Each is asked about by itself; both are taken.
    bench.fields.ta.confirm()
    bench.fields.ph.confirm()
    expect(bench.impossible.value).toBeDefined()
  })
  it('a must is judged by its style, a kit by its sugar alone, a wine by neither', async () => {
    const { bench } = await measuring('lot-must')
    bench.fields.sugar.text = '24'
    bench.fields.sugar.unit = '°Brix'
    bench.fields.ph.text = '3.5'
    bench.fields.ta.text = '6.5'
    expect(bench.judgements.value).toHaveLength(3)
    // About 0.57 % vol for each degree: common practice.
    expect(bench.potential.value! / 24).toBeGreaterThan(0.54)
    expect(bench.potential.value! / 24).toBeLessThan(0.62)
    const wine = await measuring('lot-wine')
    wine.bench.fields.ph.text = '3.5'
    expect([wine.bench.must.value, wine.bench.judgements.value]).toEqual([false, []])
  })
  it('logs what was read as it was typed, and nothing of what was left empty', async () => {
    const { cellar, bench } = await measuring('lot-wine')
    expect(bench.nothing.value).toBe(true)
    bench.fields.ph.text = '3,62'
    bench.fields.freeSo2.text = '24'
    bench.degassed.value = true
    expect([bench.nothing.value, bench.ok.value]).toEqual([false, true])
    await cellar.log(bench.drafts('lot-wine'))
    const wine = cellar.lotOf('lot-wine')!
    expect([wine.ph!.value, wine.ph!.origin]).toEqual([3.62, 'measured'])
    expect(cellar.facts[0]!.fact).toMatchObject({ type: 'reading' })
    expect(cellar.facts.slice(0, 2).map((f) => (f.fact.type === 'reading' ? f.fact.typed : '')).sort()).toEqual(['24', '3,62'])
  })
  it('the titration’s set-up is there the next time', async () => {
    const { cellar, bench } = await measuring('lot-must')
    bench.byTitration.value = true
    for (const [key, text] of [['sampleMl', '5'], ['normality', '0.2'], ['titrantMl', '2.4'], ['stepMl', '0.05']] as const)
      bench.fields[key].text = text
    await cellar.log(bench.drafts('lot-must'))
    // 2.4 × 0.2 × 75.05 ÷ 5
    expect(cellar.lotOf('lot-must')!.ta!.value).toBeCloseTo(7.2, 1)
    const again = onPage(() => useMeasureBench(computed(() => undefined)))
    expect([again.fields.sampleMl.text, again.fields.normality.text, again.fields.titrantMl.text]).toEqual(['5', '0.2', ''])
  })
})
