import { describe, expect, it } from 'vitest'
import { COMMON as common, EXAMPLES as KINDS } from './entries/examples.fixture'
import { entrySchema } from './schema'

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
    expect(
      entrySchema.safeParse({ type: 'correction', ...common, targetId: 'entry-schema-2', reason: 'misread', replacement: entry(type) })
        .success
    ).toBe(true)
  })
  it.each([
    ['reading', { at: 'yesterday' }, 'at'],
    ['reading', { value: Number.NaN }, 'value'],
    ['reading', { quantity: 'colour' }, 'quantity'],
    ['reading', { value: 1_000_000 }, 'value'],
    ['reading', { quantity: 'sg', value: -50 }, 'value'],
    ['reading', { quantity: 'volume', value: 0.05 }, 'value'],
    ['vessel-added', { capacityL: 0.05 }, 'capacityL'],
    ['vessel-added', { capacityL: 1e6 }, 'capacityL'],
    ['lot-started', { volumeL: 1e6 }, 'volumeL'],
    ['reading', { id: 'x' }, 'id'],
    ['lot-started', { name: '   ' }, 'name'],
    ['lot-started', { kit: { targetSg: 1.3, packets: [] } }, 'kit.targetSg'],
    ['lot-started', { varieties: [{ name: 'T', share: 0 }] }, 'varieties.0.share'],
    ['addition', { actual: -1 }, 'actual'],
    ['addition', { stage: { number: 0, of: 2 } }, 'stage.number'],
    ['operation', { plan: { yeastG: 0, mustC: 20 } }, 'plan.yeastG'],
    ['operation', { plan: { yeastG: 19, mustC: 60 } }, 'plan.mustC'],
    ['observation', { photo: 'https://elsewhere/x.jpg' }, 'photo'],
    ['transfer', { outL: 0 }, 'outL'],
    ['bottling', { bottles: [] }, 'bottles'],
    ['instrument-checked', { slope: 0.2 }, 'slope'],
    ['instrument-checked', { standards: [{ known: 4 }] }, 'standards.0.shown'],
    ['arrival-expected', { on: '5 October' }, 'on'],
    ['arrival-expected', { massKg: 0 }, 'massKg'],
    ['block-sampled', { brix: 90 }, 'brix'],
    ['block-sampled', { berries: 4.5 }, 'berries'],
    ['block-noted', { leans: 'maybe' }, 'leans'],
    ['block-noted', { text: '' }, 'text'],
    ['supply-stocked', { amount: 0 }, 'amount'],
    ['supply-stocked', { unit: 'cups' }, 'unit'],
    ['supply-stocked', { expires: '2027-13-01' }, 'expires'],
    ['supply-counted', { left: -2 }, 'left'],
    ['lot-planned', { malolactic: 'maybe' }, 'malolactic'],
    ['lot-planned', { cold: 'yes' }, 'cold']
  ] as [Kind, Record<string, unknown>, string][])('%s with %j is refused at %s', (type, change, place) => {
    expect(placeOf(entry(type, change))).toBe(place)
  })
  it('a correction of a correction is none', () => {
    expect(
      placeOf({
        ...common,
        type: 'correction',
        targetId: 'entry-schema-2',
        reason: 'x',
        replacement: { ...common, type: 'correction', targetId: 'entry-schema-3', reason: 'y', replacement: null }
      })
    ).toMatch(/^replacement/)
  })
})
