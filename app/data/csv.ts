import Papa from 'papaparse'
import { likely } from '~~/core/quantities'
import { type Draft, type Entry, type EntryOf, type Fact, type ReadingQuantity, standingFacts } from '~~/core/ledger'
import { readNumber, toCelsius } from '~~/core/units'
import { csvOf } from './csv-rows'

/** Entries as rows of a table: what happened, when, to which lot, in the words of the ledger. */
export function ledgerCsv(entries: readonly Entry[], say: (fact: Fact) => string, lotName: (id: string) => string): Promise<string> {
  return csvOf(standingFacts(entries), ({ fact, struck }) => [{
    at: fact.at,
    lot: 'lotId' in fact ? lotName(fact.lotId) : fact.type === 'transfer' ? lotName(fact.to.lotId) : '',
    type: fact.type,
    text: say(fact),
    struck: struck ? 'yes' : '',
    id: fact.id
  }])
}

/** Entries as JSON Lines, one a line, in order of writing, corrections with them: nothing is put into words. */
export const ledgerLines = (entries: readonly Entry[]): string => entries.map((e) => `${JSON.stringify(e)}\n`).join('')

/**
 * Readings as rows: quantity, value in the ledger's unit, what was typed, with which instrument, and what the reading is now that its
 * sample's temperature and the checks of its instrument have been applied. `readingsBack` reads them again.
 */
export function readingsCsv(
  entries: readonly Entry[],
  names: { lot: (id: string) => string, instrument: (id: string) => string },
  restated: (reading: EntryOf<'reading'>) => number | undefined
): Promise<string> {
  const rows = standingFacts(entries)
    .filter((f) => !f.struck)
    .map((f) => f.fact)
    .filter((f): f is EntryOf<'reading'> => f.type === 'reading')
  return csvOf(rows, (r) => [{
    at: r.at,
    lot: names.lot(r.lotId),
    quantity: r.quantity,
    value: r.value,
    typed: r.typed,
    restated: restated(r) ?? '',
    instrument: r.instrumentId ? names.instrument(r.instrumentId) : r.by ? KIND_SAID + r.by : '',
    sample_celsius: r.sampleC ?? '',
    calibration_celsius: r.calibrationC ?? '',
    titration: r.titration ? TITRATION.map((key) => r.titration![key] ?? '').join(' ') : '',
    id: r.id
  }])
}

/** The name given to an instrument of which only the kind is known. */
export const KIND_SAID = 'a '

/** The parts of a titration, in the order of its cell. */
export const TITRATION = ['sampleMl', 'titrantMl', 'normality', 'stepMl'] as const

/** What left with an apostrophe comes back without it. */
const asText = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell)

export interface Table {
  columns: string[]
  rows: Record<string, string>[]
}

/** Reads any CSV with a heading row; the separator is found by itself. */
export function readTable(text: string): { ok: true, table: Table } | { ok: false, reason: string } {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transform: asText
  })
  const columns = parsed.meta.fields?.filter((c) => c.trim() !== '') ?? []
  if (columns.length < 2 || parsed.data.length === 0)
    return { ok: false, reason: 'This is not a table with a heading row and at least two columns.' }
  return { ok: true, table: { columns, rows: parsed.data } }
}

export interface Mapping {
  /** Column with the date, and how it is written when that is not clear by itself. */
  at: string
  dayFirst: boolean
  /** Column with the wine's name; without one all rows are of one lot. */
  lot?: string
  values: { column: string, quantity: ReadingQuantity, fahrenheit?: boolean }[]
}

/** Which lot a name in a table means. */
export type LotNamed = (name: string) => { lotId: string, problem?: undefined } | { lotId?: undefined, problem: string }

export interface ImportRow {
  line: number
  drafts: Draft<EntryOf<'reading'>>[]
  problems: string[]
}

/**
 * Turns the rows of a table into readings, row by row; a row with a problem says which and brings what is sound.
 * @param lotOf the lot of a name, or what is wrong with the name; asked with nothing where the table names none
 * @param now the present instant, ISO: nothing ahead of it is taken
 */
export function mapRows(table: Table, mapping: Mapping, lotOf: LotNamed, now: string): ImportRow[] {
  return table.rows.map((row, i) => {
    const result: ImportRow = { line: i + 2, drafts: [], problems: [] }
    const at = readDate(row[mapping.at] ?? '', mapping.dayFirst)
    if (!at) {
      result.problems.push(`“${row[mapping.at] ?? ''}” is not a date`)
      return result
    }
    if (at > now) {
      result.problems.push(`${row[mapping.at]} is in the future`)
      return result
    }
    const { lotId, problem } = lotOf(mapping.lot === undefined ? '' : (row[mapping.lot] ?? '').trim())
    if (lotId === undefined) {
      result.problems.push(problem)
      return result
    }
    for (const { column, quantity, fahrenheit } of mapping.values) {
      const typed = (row[column] ?? '').trim()
      if (typed === '') continue
      const read = readNumber(typed)
      if (!read.ok) {
        result.problems.push(`“${typed}” in ${column} is not a number`)
        continue
      }
      const value = fahrenheit ? toCelsius(read.value, '°F') : quantity === 'sg' && read.value > 900 ? read.value / 1000 : read.value
      if (likely(quantity, value).verdict === 'refuse') result.problems.push(`${typed} in ${column} is not possible`)
      else result.drafts.push({ type: 'reading', lotId, quantity, typed: typed.slice(0, 40), value, at })
    }
    return result
  })
}

/** ISO dates, and day or month first with points, slashes or dashes; with or without a time. */
export function readDate(text: string, dayFirst: boolean): string | undefined {
  const tidy = text.trim()
  const time = /[T ](\d{1,2}):(\d{2})/.exec(tidy)
  const [hour, minute] = time ? [Number(time[1]), Number(time[2])] : [12, 0]
  if (/Z$|[+-]\d{2}:\d{2}$/.test(tidy)) {
    const exact = new Date(tidy)
    return Number.isNaN(exact.getTime()) ? undefined : exact.toISOString()
  }
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})/.exec(tidy)
  const local = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2,4})/.exec(tidy)
  const [year, month, day] = iso
    ? [Number(iso[1]), Number(iso[2]), Number(iso[3])]
    : local
      ? [Number(local[3]!.length === 2 ? `20${local[3]}` : local[3]), Number(local[dayFirst ? 2 : 1]), Number(local[dayFirst ? 1 : 2])]
      : [0, 0, 0]
  const date = new Date(year, month - 1, day, hour, minute)
  return year > 1900 && date.getMonth() === month - 1 && date.getDate() === day ? date.toISOString() : undefined
}
