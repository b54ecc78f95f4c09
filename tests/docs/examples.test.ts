import { describe, expect, it } from 'vitest'

/**
 * An example in a docstring is a promise: each that ends in a number is worked out with what its own file exports, and holds to the digits
 * that it shows ("about" allows one in the last of them more).
 */
const sources = import.meta.glob<string>(
  ['../../core/**/*.ts', '!**/*.test.ts', '!**/*.fixture.ts'],
  { query: '?raw', import: 'default', eager: true }
)
const modules = import.meta.glob<Record<string, unknown>>(['../../core/**/*.ts', '!**/*.test.ts', '!**/*.fixture.ts'], { eager: true })

interface Example {
  file: string
  code: string
  shown: number
  /** Half of the last digit that is shown. */
  within: number
}

const examples = Object.entries(sources).flatMap(([file, source]): Example[] =>
  [...source.matchAll(/@example\s+(\S.*?)\s*\/\/\s*(?:about )?(-?\d+(?:\.\d+)?)(?=[\s:;,]|$)(.*)$/gm)].flatMap(([whole, code, number,
    rest]) => {
    // A band, a sentence or a list is for reading.
    if (/^\s*(to|L|of|months)/.test(rest!) || !/^[\w.]+\(/.test(code!)) return []
    const digits = number!.split('.')[1]?.length ?? 0
    const within = 0.5 * 10 ** -digits * (whole.includes('about') ? 3 : 1)
    return [{ file, code: code!, shown: Number(number), within: within + 1e-9 }]
  })
)

describe('examples in docstrings', () => {
  it('there are some', () => expect(examples.length).toBeGreaterThan(40))
  it.each(examples)('$file: $code', ({ file, code, shown, within }) => {
    const exported = modules[file]!
    const value: unknown = new Function(...Object.keys(exported), `return ${code}`)(...Object.values(exported))
    // What answers with more than a number is told in words.
    if (typeof value !== 'number') return
    expect(Math.abs(value - shown), `is ${value}`).toBeLessThanOrEqual(within)
  })
})
