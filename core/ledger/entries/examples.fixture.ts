import type { Fact } from '../entry'

export const lotId = 'lot-schema-1'
const AT = '2026-10-01T08:00:00.000Z'
/** What every entry has. */
export const COMMON = { id: 'entry-schema-1', device: 'd', at: AT, written: AT }

/** One entry of every kind, made up; a kind without one does not compile. */
export const EXAMPLES = {
  'lot-started': {
    lotId,
    name: 'G',
    stream: 'kit',
    style: 'red',
    varieties: [],
    volumeL: 16,
    volumeIs: 'measured',
    kit: { targetSg: 1.085, lineL: 23, packets: [{ name: 'Bentonite', step: 'before-yeast' }] }
  },
  reading: { lotId, quantity: 'ph', typed: '3.5', value: 3.5 },
  addition: { lotId, material: 'tartaric', unit: 'g', actual: 5, stage: { number: 1, of: 2 } },
  inoculation: { lotId, organism: 'yeast', culture: 'Y', grams: 19 },
  operation: { lotId, what: 'rehydrate', plan: { yeastG: 19, mustC: 20 } },
  observation: { lotId, what: 'note', text: 'x' },
  'vessel-added': { vesselId: 'vessel-01', name: 'V', kind: 'bin', capacityL: 150 },
  'vessel-cared': { vesselId: 'vessel-01', what: 'cleaned' },
  'vessel-amended': { vesselId: 'vessel-01', retired: true },
  'air-read': { vesselId: 'vessel-01', celsius: 13.5 },
  transfer: { purpose: 'rack', from: { lotId }, to: { lotId }, outL: 5, inL: 4.8 },
  bottling: { lotId, bottles: [{ sizeMl: 750, count: 30, material: 'bottle-750' }], closure: 'cork', closureMaterial: 'card-0002' },
  'bottle-taken': { lotId, sizeMl: 750, count: 1, what: 'given', note: 'to the neighbours' },
  cost: { lotId, what: 'fruit', amount: 84.5, note: '52 kg' },
  tasting: { lotId, sight: 'bright', nose: 'cherry', palate: 'round', verdict: 'keep some', rating: 7, faults: ['oxidised', 'thin'] },
  'instrument-added': { instrumentId: 'instr-01', name: 'I', kind: 'ph-meter' },
  'instrument-checked': {
    instrumentId: 'instr-01',
    offset: 0.1741137126,
    slope: 0.9665551839,
    adjusted: false,
    standards: [
      { known: 4.01, shown: 4.05 },
      { known: 7, shown: 6.94 }
    ]
  },
  'equipment-said': { has: { 'ph-meter': false, 'scale': true }, reads: { sg: 0.0008 } },
  'task-ended': { lotId, task: 'crush:settle', outcome: 'skipped' },
  'plan-kept': { planId: 'plan-0001', name: 'Soft red', stream: 'fresh', style: 'red', plan: { oak: true, press: 'early' }, fromLotId: lotId },
  'arrival-expected': { arrivalId: 'arrival-1', name: 'A', stream: 'fresh', style: 'red', massKg: 60, on: '2026-10-05' },
  'block-added': { blockId: 'block-01', name: 'B', style: 'white', expectKg: 40 },
  'block-sampled': { blockId: 'block-01', berries: 50, brix: 21.3, ph: 3.4, ta: 8 },
  'block-noted': { blockId: 'block-01', about: 'pests', leans: 'pick', text: 'Wasps' },
  'supply-stocked': { supplyId: 'supply-1', material: 'tartaric', unit: 'g', amount: 100, opened: '2026-09-01', expires: '2027-09-01' },
  'supply-counted': { supplyId: 'supply-1', left: 0 },
  'lot-planned': {
    lotId,
    malolactic: 'blocked',
    cold: false,
    finish: 'sweet',
    sparkling: false,
    oak: true,
    oakReady: 'boiled',
    heated: false,
    lees: 'fine',
    sugarSteps: { material: 'honey', totalG: 1500, parts: 2 },
    step: { code: 'bottled', day: '2027-05-01' },
    sulphite: 'minimal',
    yeast: 'wild',
    nutrient: 'at-pitch',
    press: 'early'
  },
  'lot-amended': { lotId, name: 'H', alcoholic: 'dry' },
  'card-made': { cardId: 'card-0001', kind: 'nutrient', name: 'C', doseMin: 0.2, doseMax: 0.4, nitrogenMgPerG: 100 }
} as const satisfies Record<Fact['type'], object>
