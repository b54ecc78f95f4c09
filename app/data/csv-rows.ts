import Papa from 'papaparse'

/** A cell that a spreadsheet would run as a formula leaves with an apostrophe in front, as text. */
const CSV = { newline: '\r\n', escapeFormulae: true } as const
/** Then others have their turn, ms. */
const BREATH_MS = 25
/** Rows that are put into text at once. */
const PIECE = 500

/**
 * Rows as CSV with a heading (RFC 4180), written a little at a time: a page with a hundred thousand of them is never held up.
 * @param rowsOf the rows of an item; all have the columns of the first
 */
export async function csvOf<T>(items: readonly T[], rowsOf: (item: T) => readonly object[]): Promise<string> {
  const pieces: string[] = []
  let rows: object[] = []
  let columns: string[] | undefined
  let since = performance.now()
  const write = () => {
    if (rows.length === 0) return
    const header = columns === undefined
    columns ??= Object.keys(rows[0]!)
    pieces.push(Papa.unparse(rows, { ...CSV, header, columns }))
    rows = []
  }
  for (const item of items) {
    rows.push(...rowsOf(item))
    if (rows.length >= PIECE) write()
    if (performance.now() - since < BREATH_MS) continue
    await new Promise((done) => setTimeout(done))
    since = performance.now()
  }
  write()
  return pieces.join(CSV.newline)
}
