import { describe, expect, it } from 'vitest'
import type { Entry } from '~~/core/ledger'
import { historyOf } from '~~/core/ledger'
import { TableReader } from './table-reader'

const NOW = '2026-11-25T12:00:00.000Z'
const started = (n: number, name: string): Entry => ({
  id: `e-000${n}`, device: 'd', at: '2026-09-20T08:00:00.000Z', written: '2026-09-20T08:00:00.000Z', type: 'lot-started',
  lotId: `lot-${n}`, name, stream: 'juice', style: 'red', varieties: [], volumeL: 20, volumeIs: 'measured'
})
const history = historyOf([started(1, 'Garnacha'), started(2, 'Twin'), started(3, 'twin ')])
const TABLE = [
  'date,wine,SG,note', '2026-10-01,garnacha,1.020,x', '2026-10-02,Twin,1.010,', '2026-10-03,Nobody,1.000,', 'soon,Garnacha,1,'
].join('\n')

describe('a table that is being imported', () => {
  it('is mapped by what is said of its columns, as often as somebody likes, and shows what is wrong with which row', () => {
    const reader = new TableReader()
    expect(reader.read(TABLE, history, NOW)).toEqual({ ok: true, columns: ['date', 'wine', 'SG', 'note'] })
    const values = [{ column: 'SG', quantity: 'sg' as const }]
    expect(reader.map({ at: 'date', dayFirst: true, lot: 'wine', values }, '', history, NOW)).toEqual({
      rows: 4, readings: 1, known: 0, troubledCount: 3,
      troubled: [
        { line: 3, problems: ['2 lots are called “Twin”: rename one'] },
        { line: 4, problems: ['no lot is called “Nobody”'] },
        { line: 5, problems: ['“soon” is not a date'] }
      ]
    })
    expect(reader.map({ at: 'date', dayFirst: true, values }, '', historyOf([]), NOW)).toMatchObject({ readings: 0, troubledCount: 4 })
    // Without a column of names all rows are of the one lot.
    expect(reader.map({ at: 'date', dayFirst: true, values }, 'lot-1', history, NOW)).toMatchObject({ readings: 3, troubledCount: 1 })
    expect(reader.drafts.map((d) => [d.lotId, d.value])).toEqual([['lot-1', 1.02], ['lot-1', 1.01], ['lot-1', 1]])
  })
  it('of many troubled rows the first are shown and all are counted', () => {
    const reader = new TableReader()
    reader.read(['date,pH', ...Array.from({ length: 300 }, () => 'never,3.4')].join('\n'), history, NOW)
    const told = reader.map({ at: 'date', dayFirst: true, values: [{ column: 'pH', quantity: 'ph' }] }, 'lot-1', history, NOW)
    expect([told.troubledCount, told.troubled.length]).toEqual([300, 20])
  })
})
