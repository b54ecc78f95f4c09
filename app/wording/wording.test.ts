import { describe, expect, it } from 'vitest'
import type { Draft, Entry, Fact } from '~~/core/ledger'
import { foldCellar, lotAt } from '~~/core/ledger'
import { findingsOf, tasksOf } from '~~/core/stages'
import { demoCellar } from '~~/demo'
import { sayAcidsFinding, sayMiss } from './acids'
import { type HabitFormat, sayHabit, sayHabitSpan, sayHabitValue } from './habits'
import { CAUTIONS } from './cautions'
import { sayDerivation } from './derivations'
import { sayAsUsual, sayJudgement } from './judgements'
import { addressOf, sayFinding } from './findings'
import { sayFileProblem, sayLedgerProblem, sayLikelihood, sayQuantityProblem, sayStorageProblem } from './problems'
import { materialName } from './materials'
import { sayFact, sayRestated } from './sentences'
import { saySulphiteFinding } from './sulphite'
import { sayNutrientFinding, sayPitchFinding, sayPitchStep, sayYeastReason } from './yeast'
import { StorageError } from '../data/cellar-storage'

const metric = {
  volume: (l: number) => ({ text: String(Number(l.toPrecision(3))), unit: 'L' }),
  mass: (kg: number) => ({ text: String(kg), unit: 'kg' }),
  powder: (g: number) => ({ text: String(Number(g.toPrecision(3))), unit: 'g' }),
  temperature: (c: number) => ({ text: String(c), unit: '°C' }),
  words: (s: { text: string, unit: string }) => `${s.text} ${s.unit}`
}
const names = {
  lot: () => 'Grenache',
  vessel: (id?: string) => id ?? 'no vessel named',
  instrument: () => 'Pocket pH meter',
  material: materialName
}
const say = (draft: Draft<Fact>) => sayFact({ id: 'x', device: 'd', at: '', written: '', ...draft } as Fact, metric, names)
const lotId = 'lot-0001'

describe('what a cellar taught', () => {
  const metric: HabitFormat = { mass: 'kg', volume: (litres) => ({ text: String(litres), unit: 'L' }) }
  const american: HabitFormat = { mass: 'lb', volume: (litres) => ({ text: (litres / 3.785).toFixed(1), unit: 'US gal' }) }
  it.each([
    [sayHabitSpan('malolactic', [43, 80, 124], metric), '43 to 124 days, about 80'],
    [sayHabitSpan('wine-per-kg', [0.545, 0.632, 0.721], metric), '5.5 to 7.2 L, about 6.3'],
    // 0.63 L of a kilogram are 29 L of 100 lb.
    [`${sayHabit('wine-per-kg', 'lb')}: ${sayHabitValue('wine-per-kg', 0.632, american)}`, 'Wine from 100 lb of grapes: 7.7 US gal'],
    [sayHabitValue('dry', 1.2, metric), '1 day']
  ])('%s', (said, expected) => expect(said).toBe(expected))
})

describe('a reading that counts as another value says so and why', () => {
  const reading = (quantity: 'sg' | 'ph' | 'brix', value: number) =>
    ({ id: 'x', device: 'd', at: '', written: '', type: 'reading', lotId, quantity, typed: '', value }) as const
  it.each([
    [reading('ph', 3.5), 3.563, 'Pocket pH meter', ' Counts as 3.563, by the check of Pocket pH meter.'],
    [reading('sg', 1.082), 1.0834, undefined, ' Counts as 1.083, at its calibration temperature.'],
    [reading('brix', 24.5), 24.04, 'Prism', ' Counts as 24 °Brix, by the check of Prism.'],
    [reading('sg', 1.082), 1.0821, undefined, '']
  ])('%j is %d', (fact, is, checked, words) => expect(sayRestated(fact, is, metric, checked)).toBe(words))
})

describe('the ledger speaks in sentences', () => {
  it.each<[Draft<Fact>, string]>([
    [
      {
        type: 'lot-started',
        lotId,
        name: 'T',
        stream: 'fresh',
        style: 'red',
        varieties: [],
        massKg: 118,
        volumeL: 76.7,
        volumeIs: 'expected',
        vesselId: 'Blue bin'
      },
      'Started with 118 kg of fruit, about 76.7 L of juice expected: fresh grapes, in Blue bin.'
    ],
    [
      { type: 'lot-started', lotId, name: 'T', stream: 'frozen', style: 'red', varieties: [], volumeL: 26.5, volumeIs: 'expected' },
      'Started with must, about 26.5 L of juice expected: frozen must or juice.'
    ],
    [
      { type: 'lot-started', lotId, name: 'T', stream: 'kit', style: 'red', varieties: [], volumeL: 23, volumeIs: 'measured' },
      'Started with 23 L: kit or concentrate.'
    ],
    [{ type: 'reading', lotId, quantity: 'sg', typed: '1089', value: 1.089, sampleC: 8 }, 'Gravity 1.089, sample at 8 °C.'],
    [{ type: 'reading', lotId, quantity: 'ph', typed: '3,71', value: 3.71, instrumentId: 'i' }, 'pH 3.71 (Pocket pH meter).'],
    [
      {
        type: 'reading',
        lotId,
        quantity: 'ta',
        typed: '7.3 mL',
        value: 5.478,
        titration: { sampleMl: 10, titrantMl: 7.3, normality: 0.1 }
      },
      'TA 5.5 g/L, 7.3 mL of 0.1 N on 10 mL.'
    ],
    [{ type: 'reading', lotId, quantity: 'volume', typed: '38', value: 38 }, 'Volume 38 L.'],
    [{ type: 'reading', lotId, quantity: 'freeSo2', typed: '21', value: 21 }, 'Free SO₂ 21 mg/L.'],
    [
      { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', planned: 8.03, actual: 8.2, purpose: 'first sulphite' },
      '8.2 g of potassium metabisulphite went in (planned 8.03 g), first sulphite.'
    ],
    [{ type: 'addition', lotId, material: 'my own card', unit: 'mL', planned: 4, actual: 4 }, '4 mL of my own card went in.'],
    [{ type: 'inoculation', lotId, organism: 'yeast', culture: 'Neutral yeast', grams: 19 }, 'Yeast pitched: neutral yeast, 19 g.'],
    [
      { type: 'lot-planned', lotId, malolactic: 'with-yeast', cold: true, oak: false },
      'Planned: malolactic with the yeast; cold winter; without oak.'
    ],
    [
      {
        type: 'lot-planned',
        lotId,
        sulphite: 'minimal',
        yeast: 'wild',
        nutrient: 'none',
        press: 'early',
        finish: 'sweet',
        sparkling: true
      },
      'Planned: to be sweet; sparkling; sulphite as little as possible; yeast wild; nutrient none; pressed early, still sweet.'
    ],
    [{ type: 'inoculation', lotId, organism: 'bacteria', culture: 'B' }, 'Malolactic bacteria pitched: b.'],
    [{ type: 'operation', lotId, what: 'punch-down', note: 'thick cap' }, 'Punched down: thick cap.'],
    [{ type: 'observation', lotId, what: 'smell', text: 'plums' }, 'Smell: plums'],
    [
      { type: 'transfer', purpose: 'blend', from: { lotId: 'Red' }, to: { lotId: 'White', vesselId: 'Glass' }, outL: 3, inL: 3 },
      '3 L of Grenache blended into Grenache, in Glass.'
    ],
    [
      { type: 'transfer', purpose: 'rack', from: { lotId, vesselId: 'Pail' }, to: { lotId, vesselId: 'Glass' }, outL: 23, inL: 22.2 },
      '22.2 L moved from Pail to Glass, 0.8 L left behind.'
    ],
    [
      {
        type: 'bottling',
        lotId,
        bottles: [
          { sizeMl: 750, count: 40 },
          { sizeMl: 375, count: 6 }
        ]
      },
      'Bottled: 40 of 750 mL, 6 of 375 mL.'
    ],
    [
      { type: 'arrival-expected', arrivalId: 'a', name: 'Graciano', stream: 'fresh', style: 'red', massKg: 64, on: '2026-10-03' },
      'Graciano expected on Sat 3 Oct: fresh grapes.'
    ],
    [{ type: 'block-sampled', blockId: 'b', brix: 21.9, ph: 3.57, taste: 'plums' }, 'Sampled: 21.9 °Brix, pH 3.57, plums.'],
    [{ type: 'supply-stocked', supplyId: 's', material: 'tartaric', unit: 'g', amount: 90 }, '90 g of tartaric acid added to the store.'],
    [{ type: 'supply-counted', supplyId: 's', left: 12 }, 'Counted in the store: 12 left.'],
    [{ type: 'task-ended', lotId, task: 'crush:settle', outcome: 'skipped' }, 'Leave it to settle: skipped.'],
    [{ type: 'task-ended', lotId, task: 'crush-step:enzyme', outcome: 'skipped' }, 'Pectic enzyme: put off.'],
    [{ type: 'task-ended', lotId, task: 'test:press', outcome: 'done' }, 'Press by hand: done.'],
    [{ type: 'task-ended', lotId, task: 'packet:0', outcome: 'done', note: 'Bentonite' }, 'Packet 1: done, Bentonite.'],
    [{ type: 'lot-amended', lotId, sulphited: 'no' }, 'Came without sulphite.'],
    [{ type: 'lot-amended', lotId, packets: [{ name: 'Oak', step: 'before-yeast' }] }, 'Packets: Oak.'],
    [{ type: 'plan-kept', planId: 'p', name: 'Soft', stream: 'juice', style: 'red', plan: { oak: true } }, 'Plan “Soft” kept: with oak.'],
    [{ type: 'operation', lotId, what: 'rehydrate', plan: { yeastG: 19, mustC: 20 } }, 'Yeast set to rehydrate.'],
    [{ type: 'vessel-added', vesselId: 'v', name: 'Glass', kind: 'demijohn', capacityL: 23 }, 'Vessel Glass, 23 L.'],
    [{ type: 'vessel-cared', vesselId: 'Glass', what: 'sanitised' }, 'Glass sanitised.'],
    [{ type: 'instrument-added', instrumentId: 'i', name: 'Scale', kind: 'scale' }, 'Instrument Scale.'],
    [
      { type: 'instrument-checked', instrumentId: 'i', offset: 0.02, adjusted: true },
      'Pocket pH meter checked: shows 0.02 too much, adjusted.'
    ],
    [
      { type: 'instrument-checked', instrumentId: 'i', offset: -0.03, adjusted: false },
      'Pocket pH meter checked: shows 0.03 too little.'
    ],
    [
      {
        type: 'instrument-checked',
        instrumentId: 'i',
        offset: 0.1,
        slope: 0.97,
        adjusted: false,
        standards: [
          { known: 4.01, shown: 4.05 },
          { known: 7, shown: 6.94 }
        ]
      },
      'Pocket pH meter checked: shows 4.05 for 4.01, shows 6.94 for 7.'
    ],
    [{ type: 'task-ended', lotId, task: 'read-ferment', outcome: 'skipped' }, 'Reading the ferment: put off.']
  ])('%#', (draft, sentence) => expect(say(draft)).toBe(sentence))
})

describe('what is wrong is said with what to do', () => {
  it.each([
    [sayQuantityProblem({ code: 'not-a-number', text: 'warm' }, 'temperature'), '“warm” is not a number. Write it like 12.4 or 12,4.'],
    [sayQuantityProblem({ code: 'which-gallon', value: 3 }, 'volume'), 'Which gallon? Write “US gal” (3.785 L) or “imp gal” (4.546 L).'],
    [sayQuantityProblem({ code: 'unknown-unit', unit: 'pH', known: [] }, 'plain'), 'Write the number alone, without “pH”.'],
    [
      sayLikelihood('ph', 35, { verdict: 'refuse', min: 2.5, max: 4.5, suggestions: [3.5] }),
      'pH 35 is not possible. It must be between 2.5 and 4.5.'
    ],
    [
      sayLikelihood('ta', 0.62, { verdict: 'ask', min: 0.5, max: 25, suggestions: [6.2] }),
      'TA 0.62 g/L is unusual. If your kit reads in per cent, multiply by ten. Is it correct?'
    ],
    [sayFileProblem({ code: 'newer', version: 9 }), 'This file has format 9, from a newer Presk. Update this one first.'],
    [
      sayFileProblem({ code: 'damaged', place: 'entries › 3', reason: 'must be a text', count: 2 }),
      'This file is damaged: entries › 3 must be a text. 1 more place like it.'
    ],
    [
      sayLedgerProblem({ code: 'overfull', entryId: 'e', vesselId: 'v', litres: 35, capacityL: 30 }),
      'A vessel of 30 L would hold 35.0 L.'
    ],
    [
      sayLedgerProblem({ code: 'contradicts', entryId: 'e', lotId, quantity: 'ph', measured: 3.4, estimated: 3.6, band: 0.1 }),
      'pH read as 3.4, but Presk expected 3.6. The reading counts. Check the instrument, and what went in.'
    ],
    [
      sayMiss({ quantity: 'ph', value: 3.68, window: { min: 3.3, max: 3.6 }, by: 0.08 }),
      'pH ends at 3.68, 0.08 above the usual 3.3 to 3.6.'
    ],
    [
      saySulphiteFinding({ code: 'already-there', freeMgPerL: 60, targetFreeMgPerL: 40 }),
      'Free SO₂ 60 mg/L already meets the 40 mg/L this pH needs.'
    ],
    [sayAcidsFinding({ code: 'bitartrate-falls', gPerL: 2.14 }), 'About 2.1 g/L of cream of tartar would drop out in time.'],
    [
      sayAcidsFinding({ code: 'potassium-implausible', potassiumGPerL: 4.6, minGPerL: 0.2, maxGPerL: 4 }),
      'This pH and TA together would need 4.6 g/L of potassium; wines hold 0.2 to 4. Check the meter in buffer, degas, and titrate again.'
    ],
    // Within what wines hold: the limits would contradict it.
    [
      sayAcidsFinding({ code: 'potassium-implausible', potassiumGPerL: 2.9, minGPerL: 0.2, maxGPerL: 4 }),
      'This pH and TA together would need 2.9 g/L of potassium; hardly any wine has that beside such acids. Check the meter in buffer, '
      + 'degas, and titrate again.'
    ],
    [
      sayYeastReason({ code: 'stops-sweet', potentialAbv: 15.84, toleranceAbv: 14 }),
      'tolerates 14 % vol, the must could make 15.8: it would stop sweet'
    ],
    [sayPitchFinding({ code: 'must-cold', mustC: 8 }), 'A must at 8 °C starts slowly. Let it warm first.'],
    [sayPitchStep({ atMin: 20, what: 'add-must', ml: 1240, celsius: 28 }, '28 °C'), 'Stir in 1.2 L of must, which brings it to 28 °C'],
    [sayNutrientFinding({ code: 'yan-assumed', yanMgPerL: 120 }), 'YAN is not measured; 120 mg N/L is assumed.']
  ])('%#: %s', (said, wanted) => expect(said).toBe(wanted))

  it.each(['full', 'blocked', 'other'] as const)('a storage that is %s never leaves doubt about what is kept', (problem) => {
    expect(sayStorageProblem(new StorageError('write to the ledger', problem, undefined))).toMatch(
      /Nothing stored was lost|is lost when the tab closes/
    )
  })
})

describe('judgements and moves', () => {
  it('what is as it usually is is one sentence, for one figure or for all', () => {
    const sugar = { quantity: 'brix', value: 23.2, window: { min: 22, max: 25 }, verdict: 'within' } as const
    const ph = { quantity: 'ph', value: 3.58, window: { min: 3.3, max: 3.6 }, verdict: 'within' } as const
    expect(sayAsUsual([sugar], 'red')).toEqual({ verdict: 'Sugar is in the usual range', meaning: 'For a red: Sugar 22 to 25.' })
    expect(sayAsUsual([sugar, ph], 'rose')).toEqual({
      verdict: 'Sugar and pH are in the usual range',
      meaning: 'For a rosé: Sugar 22 to 25, pH 3.3 to 3.6.'
    })
  })
  it('say how good a figure is and what that means', () => {
    const high = sayJudgement({ quantity: 'ph', value: 3.71, window: { min: 3.3, max: 3.6 }, verdict: 'high' }, 'red')
    expect(high.verdict).toBe('pH is high')
    expect(high.meaning).toContain('Usual for a red: 3.3 to 3.6.')
    expect(sayJudgement({ quantity: 'brix', value: 24, window: { min: 22, max: 25 }, verdict: 'within' }, 'red').meaning).toBe(
      '22 to 25 for a red.'
    )
  })
  it('each lot of the demo has a move that leads somewhere, or says why there is none', () => {
    const now = '2026-11-23T12:00:00.000Z'
    const cellar = foldCellar(demoCellar(new Date(now)).entries)
    for (const lot of [...cellar.lots.values()].map((l) => lotAt(l, now))) {
      for (const finding of [...tasksOf(lot, cellar, now), ...findingsOf(lot, cellar, now)]) {
        const words = sayFinding(finding, lot, { ...metric, material: materialName })
        expect(words.title.length, lot.name).toBeGreaterThan(5)
        expect(words.reason.length, lot.name).toBeGreaterThan(10)
        if (finding.urgency === 'now' || finding.urgency === 'soon')
          expect(finding.action && addressOf(finding.action), lot.name).toContain(lot.id)
      }
    }
  })
  it('a derivation carries the lot’s own values', () => {
    const entries: Entry[] = demoCellar(new Date('2026-11-23T12:00:00Z')).entries
    const lot = foldCellar(entries).lots.get('lot-grenache')!
    expect(sayDerivation('abv', lot.abv!, lot, '13.9 % vol')).toContain(`${lot.balance!.ethanolGPerL.toFixed(1)} g/L of alcohol`)
    expect(sayDerivation('ta', lot.ta!, lot, '4.1 g/L')).toMatch(/in g\/L: \d\.\d tartaric/)
    expect(sayDerivation('ph', lot.ph!, lot, '3.56')).toContain('is a reading')
    expect(sayDerivation('freeSo2', { ...lot.freeSo2!, origin: 'estimated' }, lot, '20 mg/L')).toContain('33 % is taken to bind')
  })
})

describe('house style of the words', () => {
  it('cautions defer to local rules or say plainly what hurts, in two or three sentences', () => {
    for (const caution of Object.values(CAUTIONS)) {
      const sentences = caution.split(/[.!?](?:\s|$)/).filter((s) => s.trim() !== '')
      expect(sentences.length).toBeGreaterThanOrEqual(1)
      expect(sentences.length).toBeLessThanOrEqual(3)
    }
    expect(CAUTIONS.sulphite).toMatch(/local limits/)
  })
})
