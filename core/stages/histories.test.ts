import { describe, expect, it } from 'vitest'
import { saidOf } from './histories.fixture'
import { type HistoryRow, MISTAKES, SPOKEN_WRONGLY } from './histories.rows.fixture'

describe.each([
  ['mistakes that are caught from the ledger in time', MISTAKES],
  ['wines that were once spoken of wrongly', SPOKEN_WRONGLY]
])('%s', (_title, rows) => {
  it.each<HistoryRow>(rows)('%s', (_name, happened, day, says, silent = []) => {
    const said = [...saidOf(happened, day)]
    expect(said).toEqual(expect.arrayContaining([...says]))
    expect(said.filter((code) => silent.includes(code))).toEqual([])
  })
})
