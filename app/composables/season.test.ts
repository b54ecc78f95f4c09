import { describe, expect, it } from 'vitest'
import type { WayStepCode } from '~~/core/ledger'
import { NOW, daysAgo, dryWine, house, juice, onPage, read, said, vessel } from './fixtures/house'

const { useSeason } = await import('./useSeason')
const CELLAR = [...vessel('glass-of-23', 23), ...vessel('glass-of-54', 54)]
const plus = (days: number) => daysAgo(-days).slice(0, 10)

async function season(more: Parameters<typeof house>[0] = []) {
  const cellar = await house([...CELLAR, ...dryWine('lot-bobal', 22.8, 'glass-of-23'), ...more])
  const shown = onPage(() => useSeason(() => 'year'))
  const rowOf = (name: string) => shown.rows.value.find((r) => r.lot.name === name)!
  const step = (code: WayStepCode) => rowOf('lot-bobal').steps.find((s) => s.code === code)!
  const move = (code: WayStepCode, day: string | null) => shown.moveStep(rowOf('lot-bobal').lot, step(code), day)
  return { cellar, shown, rowOf, step, move }
}

describe('the season', () => {
  it('a step is put on a day and back: it is kept in the plan, and what follows it moves along', async () => {
    const { cellar, step, move } = await season()
    const before = step('bottled')
    const tasted = step('tasted').earliest
    const day = before.latest.slice(0, 10)
    expect(await move('bottled', day)).toBeUndefined()
    expect(step('bottled').moved).toMatchObject({ day, earliest: before.earliest, latest: before.latest })
    expect(step('tasted').earliest >= tasted).toBe(true)
    expect(said.at(-1)).toMatch(/planned for/)
    expect(await move('bottled', null)).toBeUndefined()
    expect([step('bottled').moved, step('bottled').likely]).toEqual([undefined, before.likely])
    expect(said.at(-1)).toMatch(/back to the forecast$/)
    // The plan has it, and nothing else was written.
    expect(cellar.facts.filter(({ fact }) => fact.type === 'lot-planned' && fact.step)).toHaveLength(2)
  })
  it.each([
    ['no day', 'tomorrow', /Enter a day/],
    ['yesterday', plus(-1), /has passed/],
    ['in four years', plus(1500), /three years away/],
    // Three months after it fell dry, and never cleared or measured stable.
    ['before its wine is ready', plus(0), /earliest|too early|before/i]
  ])('%s is refused at the step, and nothing is written', async (_, day, says) => {
    const { cellar, step, move } = await season()
    const [facts, likely] = [cellar.facts.length, step('bottled').likely]
    expect(await move('bottled', day)).toMatch(says)
    expect([cellar.facts.length, step('bottled').likely]).toEqual([facts, likely])
  })
  it('lots in the order in which they come next; bottles long gone and test ferments are not on it', async () => {
    const { shown, rowOf } = await season([
      juice('lot-godello', 1, 20, { style: 'white', vesselId: 'glass-of-54' }),
      juice('lot-trial', 1, 5, { stream: 'test' })
    ])
    expect(shown.rows.value.map((r) => r.lot.name).toSorted()).toEqual(['lot-bobal', 'lot-godello'])
    const likely = shown.rows.value.map((r) => r.next!.likely)
    expect(likely).toEqual(likely.toSorted())
    expect(rowOf('lot-godello').next!.code).toBe('pitched')
    expect(shown.placeOf(NOW)).toBeGreaterThan(0)
    expect(shown.placeOf(shown.range.value.to)).toBe(100)
    expect(shown.months.value.every((m) => m.at > 0 && m.at < 100)).toBe(true)
  })
  it('an earlier year of the same wine is laid under it as many days after its start', async () => {
    const years = 366
    const { rowOf } = await season([
      { ...juice('lot-before', 60 + years, 20, { name: 'Bobal before', vintage: 2025, varieties: [{ name: 'Grenache', share: 1 }] }) },
      { type: 'inoculation', at: daysAgo(59 + years), lotId: 'lot-before', organism: 'yeast', culture: 'Y' },
      read('lot-before', 60 + years, 'sg', 1.09),
      read('lot-before', 45 + years, 'sg', 0.993),
      read('lot-before', 41 + years, 'sg', 0.993)
    ])
    const { before } = rowOf('lot-bobal')
    expect(before?.name).toBe('Bobal before')
    expect(before!.done.find((d) => d.code === 'pitched')!.at.slice(0, 10)).toBe(daysAgo(59).slice(0, 10))
  })
})
