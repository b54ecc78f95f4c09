import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { foldCellar, lotAt } from '~~/core/ledger'
import { demoCellar } from '~~/demo'
import { csvOf } from './csv-rows'
import { additionsCsv, bottlesCsv, lotsCsv, movesCsv, vesselsCsv } from './tables'

const demo = demoCellar(new Date('2026-11-23T12:00:00Z'))
const cellar = foldCellar(demo.entries)
const lots = [...cellar.lots.values()].map((lot) => lotAt(lot, '2026-11-23T12:00:00.000Z'))
const names = { lot: (id: string) => cellar.lots.get(id)?.name ?? '', vessel: (id?: string) => id ?? '', material: (key: string) => key }
const count = (...types: string[]) => demo.entries.filter((e) => types.includes(e.type)).length
/** Read by an independent reader, as a spreadsheet would. */
const read = (csv: string) => Papa.parse<Record<string, string>>(csv, { header: true }).data

describe('tables for a spreadsheet', () => {
  it.each([
    ['lots', lotsCsv(lots), lots.length, 'volume (L)'],
    ['additions', additionsCsv(demo.entries, names), count('addition', 'inoculation'), 'unit'],
    ['moves', movesCsv(demo.entries, names), count('transfer'), 'out (L)'],
    ['vessels', vesselsCsv(cellar.vessels.values(), names.lot), cellar.vessels.size, 'capacity (L)']
  ])('%s: a row for each, with its units', async (_name, written, rows, heading) => {
    const csv = await written
    expect(read(csv)).toHaveLength(rows)
    expect(Object.keys(read(csv)[0]!)).toContain(heading)
    expect(csv).not.toMatch(/NaN|undefined|Infinity/)
  })
  it('bottles filled less bottles taken are those that are left', async () => {
    const rows = read(await bottlesCsv(demo.entries, names))
    for (const lot of lots.filter((l) => l.bottles > 0)) {
      const sum = rows.filter((r) => r.lot === lot.name).reduce((n, r) => n + Number(r.bottles), 0)
      expect(sum, lot.name).toBe(lot.bottled.reduce((n, b) => n + b.left, 0))
    }
  })
  it('a name that a spreadsheet would run leaves as text', async () => {
    expect(await lotsCsv([{ ...lots[0]!, name: '=HYPERLINK(1)' }])).toContain('\'=HYPERLINK')
  })
  it('many rows are one table, and others have their turn while it is written', async () => {
    let turns = 0
    const counting = setInterval(() => turns++)
    const slow = (n: number) => {
      const until = performance.now() + 0.1
      while (performance.now() < until);
      return [{ n, text: `row ${n}` }]
    }
    const csv = await csvOf(Array.from({ length: 2300 }, (_, n) => n), slow)
    clearInterval(counting)
    expect(read(csv).map((r) => Number(r.n))).toEqual(Array.from({ length: 2300 }, (_, n) => n))
    expect(turns).toBeGreaterThan(1)
    expect(await csvOf([], () => [])).toBe('')
  })
})
