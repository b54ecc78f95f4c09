import type { Page } from '@playwright/test'
import { crowdedCellar } from '../cellars/crowded'
import { expect, goWithin, test } from './fixtures'

async function bringIn(page: Page): Promise<void> {
  await page.goto('/settings')
  await page.getByLabel('Import a cellar file').setInputFiles({
    name: 'crowded.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(crowdedCellar()))
  })
  await page.getByRole('button', { name: 'Import' }).click()
  await expect(page.getByRole('navigation', { name: 'Shelf of vessels' }).getByRole('link')).toHaveCount(40)
}

test('a crowded shelf is pulled down, searched and shown by groups', async ({ page }) => {
  await bringIn(page)
  const shelf = page.getByRole('navigation', { name: 'Shelf of vessels' })
  const search = shelf.getByRole('textbox', { name: 'Find a lot or a vessel' })
  await page.getByRole('button', { name: 'Pull the shelf down' }).click()
  await search.fill('terrace')
  await expect(shelf.getByRole('link')).toHaveCount(1)
  await search.fill('nothing of this name')
  await expect(shelf.getByText('Nothing on the shelf matches.')).toBeVisible()
  await search.fill('')
  await shelf.getByRole('button', { name: /^Empty/ }).click()
  await expect(shelf.getByRole('link').first()).toHaveAccessibleName(/empty/)
  await page.getByRole('button', { name: 'Push the shelf up' }).click()
  await expect(search).toBeHidden()
})

const PAGES = [
  '/',
  '/lots',
  '/cellar',
  '/cellar/bottles',
  '/winter',
  '/season',
  '/crush',
  '/harvest',
  '/stores/instruments',
  '/settings',
  '/stores/supplies',
  '/stores/cards',
  '/lots/new'
]
const OF_A_LOT = (id: string) => [
  `/lots/${id}`,
  `/crush/${id}`,
  `/crush/${id}/yeast`,
  `/lots/${id}/move`,
  `/lots/${id}/ready`,
  `/lots/${id}/labels`,
  ...[
    'measure',
    'sulphite',
    'correct',
    'yeast',
    'alcohol',
    'free-so2',
    'sweet',
    'sparkling',
    'trial',
    'cold',
    'stability',
    'bottles',
    'heat'
  ].map(
    (bench) => `/bench/${bench}?lot=${id}`
  )
]
const SETS: [string, string[]][] = [
  ['the pages of all lots', PAGES],
  ...[0, 1, 2, 3, 4, 5].map((i): [string, string[]] => [`lot ${i}`, OF_A_LOT(`lot-crowd-${i}`)])
]
for (const [of, addresses] of SETS) {
  test(`every page stands with everything odd that a ledger takes: ${of}`, async ({ page }) => {
    await bringIn(page)
    for (const address of addresses) {
      await goWithin(page, address)
      await expect(page.getByRole('heading').first(), address).toBeVisible()
      await expect(page.getByText(/NaN|undefined|Infinity|This part cannot be shown/), address).toHaveCount(0)
    }
  })
}
