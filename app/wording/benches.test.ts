import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { BENCH_GROUPS } from './benches'

describe('the list of calculations', () => {
  const all = BENCH_GROUPS.flatMap((g) => g.benches)
  it('has each page of the bench once', () => {
    const pages = readdirSync(new URL('../pages/bench/', import.meta.url))
      .flatMap((file) => (file === 'index.vue' ? [] : [`/bench/${file.replace('.vue', '')}`]))
    expect(all.map((b) => b.to).sort()).toEqual(pages.sort())
  })
  it.each([
    ['must', '/bench/yeast', true], ['must', '/bench/bottles', false], ['must', '/bench/free-so2', false],
    ['fermenting', '/bench/heat', true], ['fermenting', '/bench/sulphite', false], ['fermenting', '/bench/sweet', false],
    ['wine', '/bench/sulphite', true], ['wine', '/bench/yeast', false], ['wine', '/bench/trial', true],
    ['bottled', '/bench/sulphite', false], ['empty', '/bench/measure', false]
  ] as const)('%s: %s %s', (standing, to, fits) => {
    expect(all.find((b) => b.to === to)!.fits.includes(standing)).toBe(fits)
  })
})
