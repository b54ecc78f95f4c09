import { dayHereAfter } from '../../app/wording/days'
import { readFileSync } from 'node:fs'
import ICAL from 'ical.js'
import { expect, expectAccessible, openDemo, test } from './fixtures'

test('the season shows every lot with its next step, keeps its span, and opens all steps of one', async ({ page }) => {
  await openDemo(page, '/season')
  await expect(page.getByRole('heading', { name: 'The season' })).toBeVisible()
  await page.getByRole('button', { name: '3 months' }).click()
  await expect(page).toHaveURL(/span=months3/)
  await page.reload()
  await expect(page.getByRole('button', { name: '3 months' })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'All steps of Godello' }).click()
  const steps = page.getByRole('list').filter({ hasText: 'Yeast in' }).last()
  await expect(steps).toContainText('Bottle')
  await expect(steps).toContainText('likely')
})

test('a step is put on a day and back, a day that cannot be is refused, and the calendar file follows', async ({ page }) => {
  await openDemo(page, '/season')
  const bottling = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Move: Bottle, Godello' }) }).last()
  await page.getByRole('button', { name: 'All steps of Godello' }).click()
  await page.getByRole('button', { name: 'Move: Bottle, Godello' }).click()
  const day = page.getByLabel('Bottle on')
  const plan = page.getByRole('button', { name: 'Plan it for this day' })
  await day.fill(dayHereAfter(Date.now(), 1))
  await plan.click()
  await expect(bottling).toContainText('Too early')
  await expect(day).toHaveValue(dayHereAfter(Date.now(), 1))
  await day.fill(dayHereAfter(Date.now(), 200))
  await plan.click()
  await expect(bottling).toContainText('planned for')
  const icsOf = async () => {
    const file = page.waitForEvent('download')
    await page.getByRole('button', { name: /as a calendar file/ }).click()
    const events = new ICAL.Component(ICAL.parse(readFileSync(await (await file).path(), 'utf8'))).getAllSubcomponents('vevent')
    return new Map(events.map((e) => [String(e.getFirstPropertyValue('uid')), new ICAL.Event(e)]))
  }
  const id = 'way-lot-godello-bottled@presk'
  const first = (await icsOf()).get(id)!
  expect([first.startDate.toString(), first.sequence]).toEqual([dayHereAfter(Date.now(), 200), 0])
  // Kept over a reload, and back again.
  await page.reload()
  await page.getByRole('button', { name: 'All steps of Godello' }).click()
  await expect(bottling).toContainText('planned for')
  await page.getByRole('button', { name: 'Move: Bottle, Godello' }).click()
  await page.getByRole('button', { name: 'Back to the forecast' }).click()
  await expect(bottling).toContainText('likely')
  const second = (await icsOf()).get(id)!
  expect(second.startDate.toString()).not.toBe(first.startDate.toString())
  expect(second.sequence).toBe(1)
  await expectAccessible(page, 'the season')
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
  await openDemo(page, '/settings')
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

test('the weeks say what falls on a day off, and what the store has too little of', async ({ page }) => {
  await openDemo(page, '/season')
  const weeks = page.getByRole('region', { name: 'Hours ahead' })
  await expect(weeks.getByText(/Too little in store: /).first()).toBeVisible()
  await page.getByRole('button', { name: 'Days off' }).click()
  const keep = page.getByRole('button', { name: 'Keep it free' })
  await keep.click()
  await expect(page.getByText('Enter a day.')).toBeVisible()
  await page.getByLabel('Day', { exact: true }).fill(dayHereAfter(Date.now(), -3))
  await keep.click()
  await expect(page.getByText('That day has passed.')).toBeVisible()
  await page.getByLabel('What for (optional)').fill('Inês turns ten')
  // The demo has work on some day of the next ones, whatever day it is opened on.
  for (const days of [1, 2, 3, 4, 5, 6, 7]) {
    await page.getByLabel('Day', { exact: true }).fill(dayHereAfter(Date.now(), days))
    await keep.click()
  }
  await expect(page.getByRole('button', { name: 'Days off: 7' })).toBeVisible()
  await expect(weeks.getByText(/is your day off/).first()).toBeVisible()
  await page.reload()
  await expect(weeks.getByText(/is your day off/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Days off: 7' }).click()
  await page.getByRole('button', { name: /^Delete the day off/ }).first().click()
  await expect(page.getByRole('button', { name: 'Days off: 6' })).toBeVisible()
})
