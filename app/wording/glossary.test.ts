import { describe, expect, it } from 'vitest'
import { GLOSSARY, type TermKey, partsOf } from './glossary'

const termsIn = (text: string, most?: number): TermKey[] => partsOf(text, most).flatMap((p) => (typeof p === 'string' ? [] : [p.term]))

describe('words of the trade in a text', () => {
  it.each<[string, TermKey[]]>([
    ['Rack it off its lees.', ['rack', 'lees']],
    ['Free SO₂ is under what its pH asks for.', ['free-so2', 'ph']],
    ['Sulphite the must at once.', ['sulphite', 'must']],
    ['It must be under 10 mg/L, and must not stand warm.', []],
    ['A dry cap turns to vinegar; a crown cap holds gas.', ['cap']],
    ['Malolactic takes the malic acid.', ['malolactic', 'malic']],
    ['A static tank, a tracked parcel, an alphabet.', []],
    ['Lees, lees and lees.', ['lees']]
  ])('%s', (text, terms) => expect(termsIn(text)).toEqual(terms))

  it('marks no more than is asked for, and loses not a letter', () => {
    const text = 'Pitch the yeast into the must when its gravity and pH are known, rack it off the lees, and mind the free SO₂.'
    for (const most of [0, 1, 2, 20]) {
      const parts = partsOf(text, most)
      expect(parts.map((p) => (typeof p === 'string' ? p : p.text)).join('')).toBe(text)
      expect(termsIn(text, most).length).toBe(Math.min(most, 7))
    }
  })

  it.each(Object.entries(GLOSSARY))('%s is told in a breath, without its own name for its meaning', (_, { name, says }) => {
    expect(says.length).toBeLessThan(190)
    expect(says).toMatch(/[.!]$/)
    expect(says.toLowerCase().startsWith(name.toLowerCase())).toBe(false)
  })

  it('the figures in it are those of the arithmetic', async () => {
    const { molecularSo2, freeSo2For } = await import('~~/core/sulphite')
    expect(1 / molecularSo2(1, 3.2)).toBeCloseTo(25, -1)
    expect(1 / molecularSo2(1, 3.8)).toBeCloseTo(100, -1)
    expect(freeSo2For(0.8, 3.5) / freeSo2For(0.8, 3.4)).toBeCloseTo(1.25, 1)
  })
})
