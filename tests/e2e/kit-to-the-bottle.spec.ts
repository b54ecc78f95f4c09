import type { Page } from '@playwright/test'
import { entriesOf, expect, expectAccessible, goWithin, openDemo, test } from './fixtures'

/** What Today asks first, done as the page offers it. By the words of the task; a task with other words fails here. */
const MOVES: [RegExp, (page: Page) => Promise<void>][] = [
  [/^Dilute/, async (page) => {
    await follow(page)
    await main(page).getByRole('button', { name: /L went in$/ }).click()
  }],
  [/^Packets before|^Add packet/, async (page) => {
    await follow(page)
    await main(page).getByRole('button', { name: 'It is in' }).first().click()
  }],
  [/yeast/i, async (page) => {
    await follow(page)
    await main(page).getByRole('button', { name: /was sprinkled on/ }).click()
  }],
  [/^Racking does not clear it/, async (page) => main(page).getByRole('button', { name: /^Accept the haze/ }).click()],
  [/^Shake|^Check how clear|^Smell/, async (page) => {
    await instruments(page)
    await page.getByRole('button', { name: 'Smell, look and taste' }).click()
    await page.getByRole('button', { name: 'Log all four' }).click()
  }],
  [/^Degas/, async (page) => {
    await follow(page)
    // The form that opens is about what was asked.
    const log = page.getByRole('region', { name: 'Log something' })
    await expect(log.getByRole('combobox').first()).toContainText('Degassed')
    await log.getByRole('button', { name: 'Log', exact: true }).click()
  }],
  [/^Add sulphite/, async (page) => {
    await follow(page)
    await main(page).getByRole('button', { name: 'Exactly as planned' }).click()
    await main(page).getByRole('button', { name: 'Log it' }).click()
  }],
  [/^Rack it/, async (page) => {
    await follow(page)
    await main(page).getByRole('combobox').first().click()
    await page.getByRole('option').first().click()
    await main(page).getByRole('button', { name: 'Log it' }).click()
  }],
  [/^Top up/, async (page) => {
    await first(page).getByRole('button', { name: /^Otherwise/ }).click()
    await page.getByRole('menuitem', { name: 'Marbles are in' }).click()
  }],
  [/^Bottle it/, async (page) => {
    await follow(page)
    const field = page.getByRole('textbox', { name: 'Bottles of 750 mL' }).or(page.getByRole('spinbutton', { name: 'Bottles of 750 mL' }))
    await field.fill('28')
    await main(page).getByRole('button', { name: 'Log it' }).click()
  }],
  [/^Read |^Measure/, async (page) => {
    await instruments(page)
    await page.getByRole('button', { name: 'Let the cellar hand read everything' }).click()
  }]
]
const main = (page: Page) => page.getByRole('main')
const bar = (page: Page) => page.getByRole('region', { name: 'Practice' })
const instruments = (page: Page) => bar(page).getByRole('link', { name: 'Instruments' }).click()
const notToday = (page: Page) => main(page).getByRole('button', { name: /^Not today: / }).first()
const first = (page: Page) => main(page).getByRole('listitem')
  .filter({ has: page.getByRole('button', { name: /^Not today: / }) }).first()
const follow = (page: Page) => first(page).getByRole('link').last().click()

test('a kit goes from its box to the bottle by nothing but what Today asks first', async ({ page }) => {
  await openDemo(page, '/practice?scenario=first-kit&seed=3')
  await page.getByRole('button', { name: 'Play it' }).click()
  await expect(bar(page)).toContainText('A first kit')
  const asked: string[] = []
  // Far more than it takes: it ends with the bottle, or fails with what was asked.
  for (let turn = 0; turn < 150 && !asked.includes('Bottle it'); turn++) {
    await goWithin(page, '/')
    await expect(main(page).getByRole('heading', { level: 1 })).toContainText(/today/)
    if ((await notToday(page).count()) === 0) {
      const clock = (await bar(page).textContent())!
      await bar(page).getByRole('button', { name: 'Next task' }).click()
      await expect(bar(page)).not.toHaveText(clock)
      continue
    }
    const label = (await notToday(page).getAttribute('aria-label'))!
    const title = label.replace(/^Not today: /, '').replace(/, Kit red$/, '')
    const move = MOVES.find(([words]) => words.test(title))
    expect(move, `Today asks “${title}” after ${asked.slice(-5).join('; ')}`).toBeDefined()
    const before = await entriesOf(page, 'practice')
    await move![1](page)
    await expect.poll(() => entriesOf(page, 'practice'), title).toBeGreaterThan(before)
    asked.push(title)
  }
  expect(asked, asked.join('; ')).toContain('Bottle it')
  // Nothing is asked for ever.
  const times = new Map<string, number>()
  for (const title of asked) times.set(title, (times.get(title) ?? 0) + 1)
  expect(Math.max(...times.values()), JSON.stringify([...times])).toBeLessThanOrEqual(20)
  await bar(page).getByRole('link', { name: 'Finish' }).click()
  await expect(page.getByRole('heading', { name: 'How it ended' })).toBeVisible()
  await expect(main(page)).not.toContainText('Never bottled')
  await expectAccessible(page, 'the end of a kit')
  expect(await entriesOf(page, 'own')).toBe(0)
})

test('a must that nobody looks after is spoilt, and the end says by what', async ({ page }) => {
  await openDemo(page, '/practice?scenario=first-kit&seed=5')
  await page.getByRole('button', { name: 'Play it' }).click()
  for (let week = 0; week < 12; week++) {
    const clock = (await bar(page).textContent())!
    await bar(page).getByRole('button', { name: '1 week' }).click()
    await expect(bar(page)).not.toHaveText(clock)
  }
  await bar(page).getByRole('link', { name: 'Finish' }).click()
  for (const said of ['0 of 100', 'Sugar left', 'Hardly protected', 'Never bottled']) await expect(main(page)).toContainText(said)
})
