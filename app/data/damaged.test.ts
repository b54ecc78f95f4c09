import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parseCellarFile } from './cellar-file'
import { reviewOf } from './review'
import { toCellarFile } from './to-cellar-file'
import { type Entry, extend, historyOf, lotAt } from '~~/core/ledger'
import { tasksOf } from '~~/core/stages'
import { notFinite } from '~~/tests/fuzz/not-finite'
import { wildCellar } from '~~/tests/fuzz/wild-cellar'

const RUNS = Number(process.env.DEEP ?? 1)
const NOW = '2026-11-29T12:00:00.000Z'

/** What a disk, a mail program or a careless editor puts in the place of a value. */
const ODD_VALUES = [
  null, true, '', ' ', 0, -0, -1, 1e-300, 1e300, Number.MAX_SAFE_INTEGER, '1.05', '12,5', 'NaN', 'Infinity', [], {}, [[]], '__proto__',
  'constructor', '\u0000', '\ud800', '2026-02-30T00:00:00.000Z', '2026-11-20T00:00:00+14:00', '0000-00-00', 'x'.repeat(20_000)
] as const
interface Damage { how: number, at: number, long: number, odd: number }
const damage = fc.record({
  how: fc.nat(7), at: fc.nat(1_000_000), long: fc.integer({ min: 1, max: 400 }), odd: fc.nat(ODD_VALUES.length - 1)
})

/** Every place of a document that holds something, with its holder. */
function places(value: unknown, found: [holder: Record<string, unknown>, key: string][] = []): typeof found {
  if (typeof value !== 'object' || value === null) return found
  for (const [key, of] of Object.entries(value)) {
    found.push([value as Record<string, unknown>, key])
    places(of, found)
  }
  return found
}

/** A file after something happened to it: its letters (0 to 3), or what it says (4 to 7). */
function damaged(text: string, { how, at, long, odd }: Damage): string {
  const i = at % text.length
  if (how === 0) return text.slice(0, i)
  if (how === 1) return text.slice(0, i) + text.slice(i + long)
  if (how === 2) return text.slice(0, i) + String.fromCharCode(odd * 7 + 1) + text.slice(i + 1)
  if (how === 3) return `\ufeff${text}${text.slice(i)}`
  const document = JSON.parse(text) as { entries: unknown[] }
  const all = places(document)
  const [holder, key] = all[at % all.length]!
  if (how === 4) holder[key] = ODD_VALUES[odd]
  else if (how === 5) Reflect.deleteProperty(holder, key)
  else if (how === 6) holder[`${key}x`] = holder[key]
  else document.entries.push(structuredClone(document.entries[at % Math.max(1, document.entries.length)]))
  return JSON.stringify(document)
}

const start = (id: string): Entry => ({
  id, device: 'here', at: '2026-09-01T08:00:00.000Z', written: '2026-09-01T08:00:00.000Z', type: 'lot-started', lotId: 'lot-here',
  name: 'Here', stream: 'juice', style: 'white', varieties: [], volumeL: 20, volumeIs: 'measured'
})

describe('a damaged cellar file', () => {
  it('is refused with the place and the reason, or taken whole; what is here stays as it is, and every figure is a number', () => {
    const here = historyOf([start('here-0001')])
    const before = JSON.stringify(here.entries)
    fc.assert(
      fc.property(wildCellar(12), damage, (entries, what) => {
        const text = damaged(JSON.stringify(toCellarFile('Mine', entries, NOW)), what)
        const read = parseCellarFile(text, Date.parse(NOW))
        if (!read.ok) {
          expect(read.problem.code).toMatch(/^(not-json|foreign|newer|damaged)$/)
          if (read.problem.code === 'damaged') expect([read.problem.place, read.problem.reason].every((t) => t.length > 0)).toBe(true)
        }
        else {
          const { fresh } = reviewOf(here, read.file.entries)
          const { cellar } = extend(here, fresh)
          for (const lot of cellar.lots.values()) {
            const view = lotAt(lot, NOW)
            expect(notFinite({ ...view, acids: view.acids?.composition })).toEqual([])
            expect(tasksOf(view, cellar, NOW).filter((t) => t.code === ('part-broken' as never))).toEqual([])
          }
        }
        expect(JSON.stringify(here.entries)).toBe(before)
      }),
      { numRuns: 300 * RUNS }
    )
  })
})
