export type NumberProblem = { code: 'empty' } | { code: 'not-a-number', text: string }

/**
 * Reads a number as a hand types it: comma or point as decimal sign, spaces or apostrophes between thousands.
 * With both signs present the last one is the decimal sign; a single comma is always a decimal comma.
 * @param text what was typed, without a unit
 * @returns the number and how many decimals were typed, or what is wrong
 * @example readNumber('12,4') // { ok: true, value: 12.4, decimals: 1 }
 */
export function readNumber(text: string): { ok: true, value: number, decimals: number } | { ok: false, problem: NumberProblem } {
  const tidy = text
    .trim()
    .replace(/[\s'’\u00a0\u202f]/g, '')
    .replace(/^[−–]/, '-')
  if (tidy === '') return { ok: false, problem: { code: 'empty' } }
  const lastSign = Math.max(tidy.lastIndexOf(','), tidy.lastIndexOf('.'))
  const both = tidy.includes(',') && tidy.includes('.')
  const plain = both ? tidy.slice(0, lastSign).replace(/[.,]/g, '') + '.' + tidy.slice(lastSign + 1) : tidy.replace(',', '.')
  if (!/^[-+]?(\d+\.?\d*|\.\d+)$/.test(plain)) return { ok: false, problem: { code: 'not-a-number', text: text.trim() } }
  return { ok: true, value: Number(plain), decimals: lastSign < 0 ? 0 : tidy.length - lastSign - 1 }
}
