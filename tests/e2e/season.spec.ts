import { dayHereAfter } from '../../app/wording/days'
import { readFileSync } from 'node:fs'
import { expect, openDemo, test } from './fixtures'

test('the season shows every lot with its next step, keeps its span, and opens all steps of one', async ({ page }) => {
  await openDemo(page, '/season')
  await expect(page.getByRole('heading', { name: 'The season' })).toBeVisible()
  await page.getByRole('button', { name: '3 months' }).click()
  await expect(page).toHaveURL(/span=months3/)
  await page.reload()
  await expect(page.getByRole('button', { name: '3 months' })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'All steps of Godello' }).click()
  const steps = page.getByRole('list').filter({ hasText: 'Off the gross lees' }).last()
  await expect(steps).toContainText('Bottle')
  await expect(steps).toContainText('likely')
})

test('going away: what has to be done before, and days the wrong way round', async ({ page }) => {
  await openDemo(page, '/season')
  const day = (days: number) => dayHereAfter(Date.now(), days)
  await page.getByLabel('Away from').fill(day(10))
  await page.getByLabel('Back on').fill(day(4))
  await expect(page.getByText('You come back before you leave.')).toBeVisible()
  await page.getByLabel('Back on').fill(day(24))
  await expect(page.getByRole('heading', { name: 'Do before you leave' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Can wait' })).toBeVisible()
})

test('a cellar’s advice comes over HTTP as Today shows it, and a foreign file is refused', async ({ page, request }) => {
  await openDemo(page, '/stores')
  const out = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export the cellar' }).first().click()
  const path = await (await out).path()
  const cellar = JSON.parse(readFileSync(path, 'utf8'))
  const answer = await request.post('/api/advice', { data: { cellar, now: new Date().toISOString() } })
  expect(answer.status()).toBe(200)
  const { lots, sittings } = await answer.json()
  expect(lots.map((l: { name: string }) => l.name)).toContain('Grenache')
  expect(sittings.length).toBeGreaterThan(2)
  const bad = await request.post('/api/advice', { data: { cellar: { wines: [] }, now: new Date().toISOString() } })
  expect([bad.status(), (await bad.json()).field]).toEqual([400, 'cellar.format'])
})
