import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { type EntryOf, foldCellar, inOrder, restatedValue } from '~~/core/ledger'
import { demoCellar } from '~~/demo'
import { ledgerCsv, ledgerLines, mapRows, readDate, readTable, readingsCsv } from './csv'
import { isOwnReadings, readingsBack } from './readings-back'
import { entriesOfLot } from './entries-of-lot'

const demo = demoCellar(new Date('2026-11-23T12:00:00Z'))
const now = '2026-11-23T12:00:00.000Z'

describe('tables out', () => {
  it('readings come back from the file as they went in, by an independent reader', async () => {
    const back = Papa.parse<Record<string, string>>(
      await readingsCsv(demo.entries, { lot: () => 'A "quoted", name', instrument: () => '' }, () => undefined),
      { header: true }
    ).data
    const readings = demo.entries.filter((e) => e.type === 'reading')
    expect(back).toHaveLength(readings.length)
    expect(back.map((r) => Number(r.value)).sort()).toEqual(readings.map((r) => r.value).sort())
    expect(back[0]!.lot).toBe('A "quoted", name')
  })
  it.each(['=1+1', '+49 170', '-3 °C at night', '@home', 'plain'])(
    'a note that a spreadsheet would run leaves as text and comes back the same: %s',
    async (text) => {
      const note = { ...demo.entries.find((e) => e.type === 'observation')!, text } as (typeof demo.entries)[number]
      const written = await ledgerCsv(
        [note],
        (f) => (f.type === 'observation' ? f.text : ''),
        () => 'Grenache'
      )
      expect(written.split('\r\n')[1]).not.toMatch(/,"?[=+@-]/)
      const read = readTable(written)
      expect(read.ok && read.table.rows[0]!.text).toBe(text)
    }
  )
  it('the ledger has a row for each fact', async () => {
    expect(
      Papa.parse(
        await ledgerCsv(
          demo.entries,
          (f) => f.type,
          () => ''
        ),
        { header: true }
      ).data
    ).toHaveLength(demo.entries.length)
  })
})

describe('tables in', () => {
  const table = readTable(
    'Date;Gravity;Temp;pH\n21/10/2026;1,082;22;3,44\n22/10/2026 '
      + '18:30;1066;wet;\n33/10/2026;1.050;20;\n23/10/2027;1.040;20;\n24/10/2026;1.89;20;35\n'
  )
  it('finds the columns whatever the separator, and refuses what is no table', () => {
    expect(table).toMatchObject({ ok: true, table: { columns: ['Date', 'Gravity', 'Temp', 'pH'] } })
    expect(readTable('hello').ok).toBe(false)
    expect(readTable('').ok).toBe(false)
  })
  it('each row brings its readings or says what is wrong with it', () => {
    if (!table.ok) throw new Error('no table')
    const rows = mapRows(
      table.table,
      {
        at: 'Date',
        dayFirst: true,
        values: [
          { column: 'Gravity', quantity: 'sg' },
          { column: 'Temp', quantity: 'temperature' },
          { column: 'pH', quantity: 'ph' }
        ]
      },
      () => ({ lotId: 'lot-demo-1' }),
      now
    )
    expect(rows.map((r) => [r.line, r.drafts.length, r.problems.length])).toEqual([
      [2, 3, 0],
      [3, 1, 1],
      [4, 0, 1],
      [5, 0, 1],
      [6, 1, 2]
    ])
    expect(rows[0]!.drafts.map((d) => d.value)).toEqual([1.082, 22, 3.44])
    expect(rows[1]!.drafts[0]).toMatchObject({ value: 1.066, typed: '1066' })
  })
  it.each([
    ['2026-10-03', true, 9, 3],
    ['3/10/2026', true, 9, 3],
    ['3/10/2026', false, 2, 10],
    ['3.10.26', true, 9, 3]
  ])('%s, day first %s', (text, dayFirst, month, day) => {
    const d = new Date(readDate(text, dayFirst)!)
    expect([d.getMonth(), d.getDate()]).toEqual([month, day])
  })
  it.each(['', 'soon', '31/02/2026', '2026-13-01'])('“%s” is no date', (text) => expect(readDate(text, true)).toBeUndefined())
})

it('one lot’s file tells its whole story alone', () => {
  const alone = foldCellar(entriesOfLot(demo.entries, 'lot-grenache'))
  const all = foldCellar(demo.entries)
  expect([...alone.lots.keys()]).toEqual(['lot-grenache'])
  expect(alone.lots.get('lot-grenache')).toEqual(all.lots.get('lot-grenache'))
  expect(alone.problems).toEqual([])
})

describe('readings that Presk wrote, Presk reads back', async () => {
  const cellar = foldCellar(demo.entries)
  // One by refractometer, of which only the kind was said.
  const spoken = {
    ...demo.entries.findLast((e) => e.type === 'reading' && e.quantity === 'sg')!,
    id: 'spoken-reading-1',
    quantity: 'brix',
    typed: '9.4',
    value: 9.4,
    by: 'refractometer',
    instrumentId: undefined
  } as EntryOf<'reading'>
  const entries = [...demo.entries, spoken].sort(inOrder)
  const readings = entries.filter((e) => e.type === 'reading')
  const instruments = new Map([...cellar.instruments.values()].map((i) => [i.name, i.id]))
  const lots = new Map([...cellar.lots.values()].map((l) => [l.name, l.id]))
  const lotOf = (name: string) => (lots.has(name) ? { lotId: lots.get(name)! } : { problem: `No lot is called “${name}”` })
  const written = await readingsCsv(
    entries,
    { lot: (id) => cellar.lots.get(id)!.name, instrument: (id) => cellar.instruments.get(id)!.name },
    (r) => restatedValue(cellar.lots.get(r.lotId)!, r)
  )
  const table = readTable(written)
  if (!table.ok) throw new Error(table.reason)
  const back = (known: typeof readings, text = table.table) =>
    readingsBack(text, { lotOf, instrumentNamed: (name) => instruments.get(name), readings: known, now })

  it('with lot, instrument, sample and titration as they were', () => {
    expect(isOwnReadings(table.table)).toBe(true)
    const drafts = back([]).rows.flatMap((r) => r.drafts)
    const parts = ({ lotId, at, quantity, value, typed, instrumentId, by, sampleC, calibrationC, titration }: (typeof drafts)[number]) => ({
      ...{ lotId, at, quantity, value, typed, instrumentId, by, sampleC, titration },
      // It needs no other where no sample's temperature was read.
      calibrationC: sampleC === undefined ? undefined : calibrationC
    })
    expect(drafts.map(parts)).toEqual(readings.map(parts))
  })
  it('what a check changed is exported beside what was typed', () => {
    const changed = table.table.rows.filter((r) => r.restated !== '')
    expect(changed.length).toBeGreaterThan(0)
    for (const row of changed) expect(Math.abs(Number(row.restated) - Number(row.value))).toBeLessThan(0.5)
  })
  it('taken in twice it is there once; a name that no lot has is said with its row', () => {
    expect(back(readings)).toMatchObject({ known: readings.length })
    expect(back(readings).rows.flatMap((r) => r.drafts)).toEqual([])
    const renamed = { ...table.table, rows: table.table.rows.map((r, i) => (i === 3 ? { ...r, lot: 'Unheard of' } : r)) }
    expect(back([], renamed).rows[3]).toEqual({ line: 5, drafts: [], problems: ['No lot is called “Unheard of”'] })
  })
})

it('JSON Lines: an entry a line, whatever is in its note, and read back the same', () => {
  const entries = fc.sample(
    fc.record({ id: fc.uuid(), type: fc.constant('observation'), text: fc.string({ unit: 'grapheme' }) }),
    50
  ) as unknown as Parameters<typeof ledgerLines>[0]
  const lines = ledgerLines(entries).split('\n')
  expect(lines.pop()).toBe('')
  expect(lines.map((line) => JSON.parse(line) as unknown)).toEqual(entries)
})
