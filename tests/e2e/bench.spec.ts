import type { Page } from '@playwright/test'
import { choose, expect, goWithin, openDemo, test } from './fixtures'

test('a flat must is corrected: tried, found, staged, logged, and measured again', async ({ page }) => {
  await openDemo(page, '/bench/correct?lot=lot-tempranillo')
  await expect(page.getByRole('textbox', { name: 'pH' })).toHaveValue('3.71')
  await page.getByRole('textbox', { name: 'Tartaric acid' }).fill('1')
  await expect(page.getByRole('row', { name: /^TA/ })).toContainText('6.5')
  await page.getByRole('button', { name: 'Find the smallest additions' }).click()
  await expect(page.getByRole('heading', { name: 'Proposed' })).toBeVisible()
  await expect(page.getByText(/The pH is 3\.71 and would end at 3\.9\d after malolactic and cold, over 3\.6/).first()).toBeVisible()
  await expect(page.getByText(/expect about pH 3\.60/)).toBeVisible()
  await page.getByText('Show the working').click()
  await expect(page.getByText('what balances the charges at the wine’s pH, counted as potassium')).toBeVisible()
  await page.getByRole('button', { name: 'Exactly as planned' }).click()
  await page.getByRole('button', { name: 'Log it' }).click()
  await expect(page.getByRole('heading', { name: 'Measure' })).toBeVisible()
  await page.goto('/lots/lot-tempranillo')
  await expect(page.getByText(/g of tartaric acid went in, to correct the must/)).toBeVisible()
})

test('a red whose acid will fall by itself is left alone, and the map and the finder say so alike', async ({ page }) => {
  await openDemo(page, '/bench/correct')
  for (const [name, value] of [
    ['pH', '3.50'],
    ['TA', '8.0'],
    ['Sugar', '23'],
    ['Volume', '55']
  ] as const)
    await page.getByRole('textbox', { name, exact: true }).first().fill(value)
  await expect(page.getByText(/^No correction needed\./)).toBeVisible()
  await page.getByRole('button', { name: 'Find the smallest additions' }).click()
  await expect(page.getByRole('heading', { name: 'Nothing to add' })).toBeVisible()
  await expect(page.getByText(/After the ferment the finished wine should read pH 3\.\d to/)).toBeVisible()
  // The same must that is not to have malolactic is another matter, but never one for carbonate that takes the pH out.
  await page.getByRole('checkbox', { name: 'malolactic', exact: true }).uncheck()
  await expect(page.getByText(/^No correction needed\./)).toBeVisible()
})

test('a finished wine says its alcohol, and a little acid is proposed', async ({ page }) => {
  await openDemo(page, '/bench/correct')
  for (const [name, value] of [
    ['pH', '3.75'],
    ['TA', '5.2'],
    ['Alcohol', '13'],
    ['Malic acid', '0.1'],
    ['Volume', '20']
  ] as const)
    await page.getByRole('textbox', { name, exact: true }).first().fill(value)
  await page.getByRole('checkbox', { name: 'malolactic', exact: true }).uncheck()
  await page.getByRole('button', { name: 'Find the smallest additions' }).click()
  await expect(page.getByText(/Tartaric acid 1[5-9]\.?\d? g/)).toBeVisible()
})

test('a pair that cannot be is said, with what to measure again', async ({ page }) => {
  await openDemo(page, '/bench/correct')
  await page.getByRole('textbox', { name: 'pH' }).fill('3.95')
  await page.getByRole('textbox', { name: 'TA', exact: true }).fill('13')
  await expect(page.getByText(/would need .* of potassium; (wines hold|hardly any wine)/)).toBeVisible()
})

test('water to a gravity is staged from the sweet side, with its warning', async ({ page }) => {
  await openDemo(page, '/bench/sweeten')
  await page.getByRole('textbox', { name: 'Reading now' }).fill('32')
  await page.getByRole('textbox', { name: 'Reading wanted' }).fill('1.082 sg')
  await page.getByRole('textbox', { name: 'Volume' }).fill('14')
  await expect(page.getByText('You cannot take water out again.', { exact: false })).toBeVisible()
  await expect(page.getByRole('listitem').filter({ hasText: 'stir through, measure' })).toHaveCount(2)
})

test('a yeast that would stop sweet is ruled out, and the steps to the must are timed', async ({ page }) => {
  await openDemo(page, '/bench/yeast?lot=lot-tempranillo')
  await expect(page.getByRole('radio', { name: /Rustic fast yeast.*it would stop sweet/ })).toBeVisible()
  await expect(page.getByText('Pitch, at 25 °C')).toBeVisible()
  await page.getByRole('button', { name: 'Not enough yeast?' }).click()
  await page.getByRole('textbox', { name: 'Yeast you have' }).fill('5')
  await expect(page.getByText(/As a starter in boiled and cooled juice/)).toBeVisible()
})

test('alcohol by every method, a refractometer with its doubt, and a blend by its acids', async ({ page }) => {
  await openDemo(page, '/bench/alcohol')
  await page.getByRole('textbox', { name: 'Before the ferment' }).fill('1.090')
  await page.getByRole('textbox', { name: 'Now' }).fill('0.996')
  await expect(page.getByRole('row', { name: /131\.25/ })).toContainText('12.3')
  await page.getByRole('radio', { name: 'a refractometer' }).check()
  await page.getByRole('textbox', { name: 'Before the ferment' }).fill('24')
  // Nothing that ferments reads as low: said, not passed over.
  await page.getByRole('textbox', { name: 'Now' }).fill('3')
  await expect(page.getByText('A ferment of this must cannot read 3 °Brix', { exact: false })).toBeVisible()
  await page.getByRole('textbox', { name: 'Now' }).fill('8.4')
  await expect(page.getByText('A refractometer cannot separate sugar from alcohol', { exact: false })).toBeVisible()
  await page.goto('/bench/blend')
  const parts = page.getByRole('group')
  await choose(parts.nth(0), 'From', 'Grenache')
  await choose(parts.nth(1), 'From', 'Tempranillo')
  await expect(page.getByText('115', { exact: true })).toBeVisible()
})

test('free SO₂ by iodine in a red says its bias, and is logged', async ({ page }) => {
  await openDemo(page, '/bench/free-so2?lot=lot-grenache')
  await page.getByRole('radio', { name: /Iodine/ }).check()
  await page.getByRole('textbox', { name: 'Titrant used' }).fill('1')
  await expect(page.getByText('this probably reads 5 to 15 mg/L too high', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Log for Grenache' }).click()
  await expect(page.getByText('Free SO₂ 32 mg/L.')).toBeVisible()
})

/** What stands in every field of a page, by its label, once it stands still. */
async function fieldsOf(page: Page): Promise<Record<string, string>> {
  const read = () =>
    page.getByRole('main').evaluate((main) =>
      Object.fromEntries(
        [...main.querySelectorAll<HTMLInputElement>('input[type="text"], input:not([type]), textarea, [role="combobox"]')].map((field,
          i) => [
          `${i} ${field.labels?.[0]?.textContent?.trim() ?? field.getAttribute('aria-label') ?? ''}`,
          field.value || field.textContent!.trim()
        ])
      )
    )
  let known = await read()
  await expect(async () => {
    const next = await read()
    const same = JSON.stringify(next) === JSON.stringify(known)
    known = next
    expect(same).toBe(true)
  }).toPass({ intervals: [150] })
  return known
}

test('another lot on a bench leaves nothing of the one before it', async ({ page }) => {
  await openDemo(page, '/words')
  for (const [bench, one, other] of [
    ['measure', 'tempranillo', 'albarino'],
    ['correct', 'tempranillo', 'albarino'],
    ['sweeten', 'tempranillo', 'bobal'],
    ['yeast', 'albarino', 'tempranillo'],
    ['sulphite', 'tempranillo', 'godello'],
    ['alcohol', 'grenache', 'albarino'],
    ['heat', 'blaufrankisch', 'mencia'],
    ['trial', 'godello', 'grenache'],
    ['cold', 'godello', 'loureiro'],
    ['sweet', 'godello', 'carignan'],
    ['sparkling', 'godello', 'bobal'],
    ['bottles', 'godello', 'macabeo'],
    ['free-so2', 'grenache', 'godello']
  ] as const) {
    await goWithin(page, `/bench/${bench}?lot=lot-${other}`)
    const fresh = await fieldsOf(page)
    await goWithin(page, '/words')
    await goWithin(page, `/bench/${bench}?lot=lot-${one}`)
    expect(await fieldsOf(page), bench).not.toEqual(fresh)
    await goWithin(page, `/bench/${bench}?lot=lot-${other}`)
    expect(await fieldsOf(page), bench).toEqual(fresh)
    await goWithin(page, '/words')
  }
})
