import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { choose, expect, ownCellar, test } from './fixtures'

// With all that moves, as it comes out of the box.
test.use({ contextOptions: { reducedMotion: 'no-preference' } })

/** From the steps of a new lot to its measuring, whatever stands before it. */
async function toMeasuring(page: Page): Promise<void> {
  await page.getByRole('link', { name: /^Measure: / }).click()
  await page.getByRole('link', { name: 'Measure', exact: true }).click()
}

/** A must from arrival to logged sulphite, as somebody would do it. */
async function tempranillo(page: Page): Promise<void> {
  await page.getByRole('textbox', { name: 'Name' }).fill('Tempranillo')
  await page.getByRole('textbox', { name: 'Fruit' }).fill('118')
  await expect(page.getByText('76.7 L').first()).toBeVisible()
  await page.getByRole('button', { name: 'Start the lot' }).click()
  await toMeasuring(page)
  await expect(page.getByRole('heading', { name: 'Measure' })).toBeVisible()
  await page.getByRole('textbox', { name: 'Sugar' }).fill('24,6')
  await page.getByRole('textbox', { name: 'Sample temperature' }).fill('17')
  await page.getByRole('textbox', { name: 'pH' }).fill('3.71')
  await page.getByRole('button', { name: /millilitres from a titration/ }).click()
  await page.getByRole('textbox', { name: 'Titrant used' }).fill('7.3')
  await expect(page.getByText('pH is high.')).toBeVisible()
  await expect(page.getByText('TA is low.')).toBeVisible()
  await page.getByRole('button', { name: 'Log for Tempranillo' }).click()
  await page.getByRole('link', { name: 'the lot’s page' }).click()
  await page.getByRole('link', { name: 'Sulphite', exact: true }).click()
  await expect(page.getByText('5.3', { exact: true })).toBeVisible()
  await page.getByText('Show the working').click()
  await expect(page.getByText(/^30 mg\/L for sound fruit, 10 more at pH 3\.71/)).toBeVisible()
  await expect(page.getByText(/Sulphite powder and its gas/)).toBeVisible()
  await page.getByRole('textbox', { name: 'Amount added, g' }).fill('5,5')
  await page.getByRole('button', { name: 'Log it' }).click()
  await expect(page.getByText(/5\.5 g of potassium metabisulphite went in \(planned 5\.32 g\)/)).toBeVisible()
}

for (const size of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 }
]) {
  test(`a must comes in, is measured, sulphited and remembered at ${size.width} × ${size.height}`, async ({ page }) => {
    await page.setViewportSize(size)
    await ownCellar(page)
    await tempranillo(page)
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth), 'nothing runs off the side').toBeLessThanOrEqual(0)
    await page.reload()
    await expect(page.getByText(/5\.5 g of potassium metabisulphite/)).toBeVisible()
    await expect(page.getByText('TA 5.5 g/L, 7.3 mL of 0.1 N on 10 mL.')).toBeVisible()
    // Straight to the proposal, not by way of crush day.
    await page.getByRole('link', { name: 'See what helps' }).click()
    await expect(page.getByRole('heading', { name: 'Proposed' })).toBeVisible()
    await page.goto(page.url().replace(/\/bench\/correct\?lot=([^&]+).*$/, '/crush/$1'))
    await expect(page.getByRole('link', { name: /^Yeast: in 12 h/ })).toBeVisible()
  })
}

test('a second and third lot stand beside it, and the whole cellar moves to an empty browser', async ({ page, browser }) => {
  await ownCellar(page)
  await tempranillo(page)
  await page.goto('/lots/new')
  await page.getByRole('radio', { name: /Frozen must or juice/ }).check()
  await page.getByRole('radio', { name: 'White' }).check()
  await page.getByRole('textbox', { name: 'Name' }).fill('Albariño')
  await page.getByRole('textbox', { name: 'Volume' }).fill('40')
  await page.getByRole('radio', { name: 'A new vessel' }).check()
  await choose(page, 'Kind', 'Steel tank')
  await page.getByRole('textbox', { name: 'Capacity' }).fill('50')
  await page.getByRole('button', { name: 'Start the lot' }).click()
  await toMeasuring(page)
  await choose(page, 'Unit of Sugar', 'SG')
  await page.getByRole('textbox', { name: 'Sugar' }).fill('1089')
  await page.getByRole('textbox', { name: 'Sample temperature' }).fill('8')
  await page.getByRole('textbox', { name: 'pH' }).fill('3,18')
  await page.getByRole('textbox', { name: 'Titratable acidity (TA)' }).fill('8.4')
  await expect(page.getByText('20.8')).toBeVisible()
  await page.getByRole('button', { name: 'Log for Albariño' }).click()
  await page.getByRole('link', { name: 'the lot’s page' }).click()
  await expect(page.getByText('Gravity 1.089, sample at 8 °C.')).toBeVisible()

  await page.goto('/lots/new')
  await page.getByRole('radio', { name: /Kit or concentrate/ }).check()
  await page.getByRole('textbox', { name: 'Name' }).fill('Barbera kit')
  await page.getByRole('textbox', { name: 'Volume' }).fill('6.08 US gal')
  await page.getByRole('button', { name: 'Start the lot' }).click()
  await page.getByRole('link', { name: 'Measure more' }).click()
  await page.getByRole('textbox', { name: 'Sugar' }).fill('1.082 sg')
  await page.getByRole('textbox', { name: 'pH' }).fill('3.44')
  await page.getByRole('button', { name: 'Log for Barbera kit' }).click()
  await expect(page.getByRole('heading', { name: /^Barbera kit/ })).toBeVisible()

  await page.goto('/settings')
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export the cellar' }).click()
  const path = await (await waiting).path()
  const exported = JSON.parse(readFileSync(path, 'utf8'))

  const other = await browser.newContext()
  const elsewhere = await other.newPage()
  await elsewhere.goto('/settings')
  await elsewhere.getByLabel('Import a cellar file').setInputFiles(path)
  await expect(elsewhere.getByRole('status').filter({ hasText: 'holds 3 lots' })).toBeVisible()
  await elsewhere.getByRole('button', { name: 'Import' }).click()
  for (const name of ['Tempranillo', 'Albariño', 'Barbera kit'])
    await expect(elsewhere.getByRole('link', { name: new RegExp(`^${name},`) })).toBeVisible()
  const again = elsewhere.waitForEvent('download')
  await elsewhere.getByRole('button', { name: 'Export the cellar' }).click()
  const back = JSON.parse(readFileSync(await (await again).path(), 'utf8'))
  expect(back.entries).toEqual(exported.entries)
  await other.close()
})

test('the whole job with the keyboard alone', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Start my first lot' })).toBeVisible()
  const tabTo = async (name: string | RegExp, role: 'button' | 'textbox' | 'link' | 'combobox' = 'textbox') => {
    const target = page.getByRole(role, { name }).first()
    for (let i = 0; i < 60; i++) {
      if (await target.evaluate((el) => el === document.activeElement)) return
      await page.keyboard.press('Tab')
    }
    throw new Error(`Tab does not reach ${name}`)
  }
  await tabTo('Start my first lot', 'button')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Start a lot' })).toBeVisible()
  await tabTo('Name')
  await page.keyboard.type('Grenache')
  await tabTo('Fruit')
  await page.keyboard.type('60')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'First sulphite' })).toBeVisible()
  await page.keyboard.press('/')
  await expect(page.getByRole('textbox', { name: 'A reading or a move' })).toBeFocused()
  await page.keyboard.type('grenache ph 3.62 ta 6.1 23.4 brix 18c')
  await expect(page.getByText('Sugar 23.4 °Brix, sample at 18 °C.')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.keyboard.press('/')
  await expect(page.getByRole('textbox', { name: 'A reading or a move' })).toBeFocused()
  await page.keyboard.type('sulphite grenache')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Sulphite', exact: true })).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'pH' })).toHaveValue('3.62')
  await tabTo('Amount added, g')
  await page.keyboard.type('3.3')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/3\.3 g of potassium metabisulphite went in/)).toBeVisible()
})
