import { expect, it } from 'vitest'
import { dryWine, house, onPage, read, vessel } from './fixtures/house'

const { useEntryForm } = await import('./useEntryForm')

it('what a form begins with is there again after it was logged, and nothing that was typed', async () => {
  await house([])
  const entry = onPage(() => useEntryForm({ type: 'vessel-added' }))
  const field = (key: string) => entry.fields.value.find(({ spec }) => spec.key === key)!.field!
  expect(field('count').text).toBe('1')
  field('count').text = '3'
  entry.set('name', 'Jug')
  // Without a capacity it says so at its field.
  expect(await entry.submit()).toBeUndefined()
  expect([field('capacityL').message, field('count').text]).toEqual([expect.stringMatching(/./), '3'])
  field('capacityL').text = '5'
  expect(await entry.submit()).toHaveLength(3)
  expect([field('count').text, field('capacityL').text, entry.values.name]).toEqual(['1', '', ''])
})

it('an entry logged for the wrong lot is corrected into the right one', async () => {
  const cellar = await house([
    ...vessel('green-glass', 23),
    ...vessel('brown-glass', 23),
    ...dryWine('lot-grenache', 20, 'green-glass'),
    ...dryWine('lot-albarino', 20, 'brown-glass'),
    read('lot-grenache', 1, 'malic', 0.4)
  ])
  const malicOf = (id: string) =>
    cellar.facts.filter(({ fact }) => fact.type === 'reading' && fact.quantity === 'malic' && fact.lotId === id)
  const [wrong] = malicOf('lot-grenache')
  const entry = onPage(() => useEntryForm({ type: 'reading', lot: cellar.lotOf('lot-grenache')!, fact: wrong!.fact }))
  expect(entry.lotChoices.value.map((o) => o.value).sort()).toEqual(['lot-albarino', 'lot-grenache'])
  entry.lotId.value = 'lot-albarino'
  expect(await entry.submit()).toBeDefined()
  expect([malicOf('lot-grenache').length, malicOf('lot-albarino').length]).toEqual([0, 1])
  // Where wine moved, its lots are said by the move.
  const start = cellar.facts.find((f) => f.fact.type === 'lot-started')!.fact
  expect(onPage(() => useEntryForm({ type: 'lot-started', fact: start })).lotChoices.value).toEqual([])
})
