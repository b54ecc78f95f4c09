import { describe, expect, it, vi } from 'vitest'
import { house, juice, onPage, said, went } from './fixtures/house'
import type { Said } from './useFloor'

vi.mock('./useAnswer', () => ({ useAnswer: () => ({ leadsTo: () => undefined, answer: () => Promise.resolve(true) }) }))
const { useEnding } = await import('./useEnding')

const lotId = 'lot-mencia'
const task = (log: object): Said => ({
  finding: { code: 'stir-must', key: 'stir-must', hoursSince: 30, urgency: 'soon', task: true, lotId, evidence: [], logs: [log] } as never,
  words: { title: 'Stir the must', reason: '', action: 'Take readings', did: 'Stirred' },
  to: '/round'
})

describe('done in one tap', () => {
  const ending = async () => ({ cellar: await house([juice(lotId, 2, 20)]), ...onPage(() => useEnding()) })
  it('is logged once, however often wet fingers tap', async () => {
    const { cellar, did } = await ending()
    const stir = task({ type: 'operation', lotId, what: 'stir' })
    await Promise.all([did(stir), did(stir), did(stir)])
    expect(cellar.facts.filter(({ fact }) => fact.type === 'operation')).toHaveLength(1)
    expect([said, went]).toEqual([['Stirred: logged'], []])
  })
  it('where it is refused nothing is logged, and its form is opened', async () => {
    const { cellar, did } = await ending()
    await did(task({ type: 'operation', lotId: 'lot-of-nobody', what: 'stir' }))
    expect([cellar.factCount, said, went]).toEqual([1, [], ['/round']])
  })
  it('the other way is in the menu as well, for a phone that has no room for it', async () => {
    const { menu } = await ending()
    expect(menu(task({}))[0]).toMatchObject({ label: 'Take readings', to: '/round' })
  })
})
