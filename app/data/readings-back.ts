import type { Draft, EntryOf } from '~~/core/ledger'
import { QUANTITY_NAMES, likely } from '~~/core/quantities'
import { reading, titration } from '~~/core/drafts'
import { type ImportRow, type LotNamed, KIND_SAID, TITRATION, type Table, readDate } from './csv'

/** The columns by which Presk knows readings that it wrote itself. */
const OWN = ['at', 'lot', 'quantity', 'value', 'typed'] as const
export const isOwnReadings = (table: Table): boolean => OWN.every((column) => table.columns.includes(column))

export interface Known {
  lotOf: LotNamed
  instrumentNamed: (name: string) => string | undefined
  /** Readings that the cellar has. */
  readings: readonly EntryOf<'reading'>[]
  /** ISO: nothing ahead of it is taken. */
  now: string
}
export interface Back {
  rows: ImportRow[]
  /** Rows that say what the cellar knows already. */
  known: number
}

const keyOf = (r: Pick<EntryOf<'reading'>, 'lotId' | 'quantity' | 'typed' | 'value'> & { at?: string | undefined }): string =>
  [r.lotId, r.at, r.quantity, r.typed, r.value].join('|')
const number = (cell: string | undefined): number | undefined =>
  cell === undefined || cell.trim() === '' || Number.isNaN(Number(cell)) ? undefined : Number(cell)

/**
 * Readings from a table that Presk wrote: each to the lot of its name, with what was typed, the instrument and the titration. What is
 * there already is not taken twice; `restated` is a result, and reckoned anew.
 */
export function readingsBack(table: Table, { lotOf, instrumentNamed, readings, now }: Known): Back {
  const there = new Set(readings.map(keyOf))
  let known = 0
  const rows = table.rows.map((row, i): ImportRow => {
    const line = i + 2
    const wrong = (problem: string): ImportRow => ({ line, drafts: [], problems: [problem] })
    const at = readDate(row.at ?? '', true)
    if (!at) return wrong(`“${row.at ?? ''}” is not a date`)
    if (at > now) return wrong(`${row.at} is in the future`)
    const quantity = QUANTITY_NAMES.find((name) => name === row.quantity)
    if (!quantity) return wrong(`“${row.quantity ?? ''}” is not a quantity Presk knows`)
    const value = number(row.value)
    if (value === undefined) return wrong(`“${row.value ?? ''}” is not a number`)
    if (likely(quantity, value).verdict === 'refuse') return wrong(`${row.value} is not possible`)
    const { lotId, problem } = lotOf((row.lot ?? '').trim())
    if (lotId === undefined) return wrong(problem)
    const draft = draftOf(row, { lotId, at, quantity, value }, instrumentNamed)
    if (there.has(keyOf(draft))) {
      known += 1
      return { line, drafts: [], problems: [] }
    }
    there.add(keyOf(draft))
    return { line, drafts: [draft], problems: [] }
  })
  return { rows, known }
}

function draftOf(
  row: Record<string, string>,
  base: Pick<EntryOf<'reading'>, 'lotId' | 'at' | 'quantity' | 'value'>,
  instrumentNamed: Known['instrumentNamed']
): Draft<EntryOf<'reading'>> {
  const parts = (row.titration ?? '').split(' ').map(number)
  if (parts.length >= TITRATION.length - 1 && parts.slice(0, 3).every((p) => p !== undefined && p > 0)) {
    const [sampleMl, titrantMl, normality, stepMl] = parts
    const given = { sampleMl: sampleMl!, titrantMl: titrantMl!, normality: normality!, ...(stepMl !== undefined && { stepMl }) }
    return { ...titration(base.lotId, given, { at: base.at }), value: base.value }
  }
  return reading({
    ...base,
    typed: row.typed?.trim() || String(base.value),
    sampleC: number(row.sample_celsius),
    calibrationC: number(row.calibration_celsius),
    instrumentId: row.instrument ? instrumentNamed(row.instrument) : undefined,
    by: (['hydrometer', 'refractometer'] as const).find((kind) => row.instrument === KIND_SAID + kind)
  })
}
