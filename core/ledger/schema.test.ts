import { describe, expect, it } from 'vitest'
import { entrySchema } from './schema'

const at = '2026-10-01T08:00:00.000Z'
const common = { id: 'entry-schema-1', device: 'd', at, written: at }
const lotId = 'lot-schema-1'
const KINDS = {
  'lot-started': { lotId, name: 'G', stream: 'kit', style: 'red', varieties: [], volumeL: 16, volumeIs: 'measured', kit: { targetSg: 1.085, lineL: 23, packets: [{ name: 'Bentonite', step: 'before-yeast' }] } },
  'reading': { lotId, quantity: 'ph', typed: '3.5', value: 3.5 }, 'addition': { lotId, material: 'tartaric', unit: 'g', actual: 5, stage: { number: 1, of: 2 } }, 'inoculation': { lotId, organism: 'yeast', culture: 'Y', grams: 19 },
  'operation': { lotId, what: 'rehydrate', plan: { yeastG: 19, mustC: 20 } }, 'observation': { lotId, what: 'note', text: 'x' }, 'vessel-added': { vesselId: 'vessel-01', name: 'V', kind: 'bin', capacityL: 150 },
  'vessel-cared': { vesselId: 'vessel-01', what: 'cleaned' }, 'transfer': { purpose: 'rack', from: { lotId }, to: { lotId }, outL: 5, inL: 4.8 }, 'bottling': { lotId, bottles: [{ sizeMl: 750, count: 30 }] },
  'instrument-added': { instrumentId: 'instr-01', name: 'I', kind: 'ph-meter' }, 'instrument-checked': { instrumentId: 'instr-01', offset: 0.17, slope: 0.967, adjusted: false, standards: [{ known: 4.01, shown: 4.05 }, { known: 7, shown: 6.94 }] },
  'task-ended': { lotId, task: 'crush:settle', outcome: 'skipped' }, 'arrival-expected': { arrivalId: 'arrival-1', name: 'A', stream: 'fresh', style: 'red', massKg: 60, on: '2026-10-05' },
  'block-added': { blockId: 'block-01', name: 'B', style: 'white', expectKg: 40 }, 'block-sampled': { blockId: 'block-01', berries: 50, brix: 21.3, ph: 3.4, ta: 8 }, 'block-noted': { blockId: 'block-01', about: 'pests', leans: 'pick', text: 'Wasps' },
  'supply-stocked': { supplyId: 'supply-1', material: 'tartaric', unit: 'g', amount: 100, opened: '2026-09-01', expires: '2027-09-01' }, 'supply-counted': { supplyId: 'supply-1', left: 0 }
} as const
type Kind = keyof typeof KINDS
const entry = (type: Kind, change: Record<string, unknown> = {}) => ({ ...common, type, ...KINDS[type], ...change })
const placeOf = (value: unknown) => {
  const parsed = entrySchema.safeParse(value)
  return parsed.success ? 'taken' : parsed.error.issues[0]!.path.join('.')
}

describe('what may stand in a ledger', () => {
  it.each(Object.keys(KINDS) as Kind[])('an entry of the kind %s is taken, a stranger’s field in it is not', (type) => {
    expect(placeOf(entry(type))).toBe('taken')
    expect(entrySchema.safeParse(entry(type, { colour: 'red' })).success).toBe(false)
    expect(entrySchema.safeParse({ type: 'correction', ...common, targetId: 'entry-schema-2', reason: 'misread', replacement: entry(type) }).success).toBe(true)
  })
  it.each([
    ['reading', { at: 'yesterday' }, 'at'], ['reading', { value: Number.NaN }, 'value'], ['reading', { quantity: 'colour' }, 'quantity'], ['reading', { id: 'x' }, 'id'], ['lot-started', { name: '   ' }, 'name'],
    ['lot-started', { kit: { targetSg: 1.3, packets: [] } }, 'kit.targetSg'], ['lot-started', { varieties: [{ name: 'T', share: 0 }] }, 'varieties.0.share'], ['addition', { actual: -1 }, 'actual'], ['addition', { stage: { number: 0, of: 2 } }, 'stage.number'],
    ['operation', { plan: { yeastG: 0, mustC: 20 } }, 'plan.yeastG'], ['operation', { plan: { yeastG: 19, mustC: 60 } }, 'plan.mustC'], ['observation', { photo: 'https://elsewhere/x.jpg' }, 'photo'], ['transfer', { outL: 0 }, 'outL'], ['bottling', { bottles: [] }, 'bottles'],
    ['instrument-checked', { slope: 0.2 }, 'slope'], ['instrument-checked', { standards: [{ known: 4 }] }, 'standards.0.shown'], ['arrival-expected', { on: '5 October' }, 'on'], ['arrival-expected', { massKg: 0 }, 'massKg'],
    ['block-sampled', { brix: 90 }, 'brix'], ['block-sampled', { berries: 4.5 }, 'berries'], ['block-noted', { leans: 'maybe' }, 'leans'], ['block-noted', { text: '' }, 'text'], ['supply-stocked', { amount: 0 }, 'amount'],
    ['supply-stocked', { unit: 'cups' }, 'unit'], ['supply-stocked', { expires: '2027-13-01' }, 'expires'], ['supply-counted', { left: -2 }, 'left']
  ] as [Kind, Record<string, unknown>, string][])('%s with %j is refused at %s', (type, change, place) => {
    expect(placeOf(entry(type, change))).toBe(place)
  })
  it('a correction of a correction is none', () => {
    expect(placeOf({ ...common, type: 'correction', targetId: 'entry-schema-2', reason: 'x', replacement: { ...common, type: 'correction', targetId: 'entry-schema-3', reason: 'y', replacement: null } })).toMatch(/^replacement/)
  })
})
