import { CELLAR_FORMAT, CELLAR_VERSION } from '../../core/ledger'
import { choose, expect, openDemo, ownCellar, test, withoutWorkers } from './fixtures'

test('every field of a reading complains at its place, keeps what was typed and changes nothing by itself', async ({ page }) => {
  await openDemo(page, '/bench/measure?lot=lot-tempranillo')
  const sugar = page.getByRole('textbox', { name: 'Sugar' })
  const ph = page.getByRole('textbox', { name: 'pH' })
  const ta = page.getByRole('textbox', { name: 'Titratable acidity (TA)' })
  await choose(page, 'Unit of Sugar', 'SG')
  await sugar.fill('1,0')
  await ph.fill('35')
  await ta.fill('0.62')
  await page.getByRole('textbox', { name: 'Sample temperature' }).fill('warm')
  await page.getByRole('button', { name: 'Log for Tempranillo' }).click()
  await expect(page.getByText('“1,0” is too coarse for a gravity.', { exact: false })).toBeVisible()
  await expect(page.getByText('pH 35 is not possible. It must be between 2.5 and 4.5.', { exact: false })).toBeVisible()
  await expect(page.getByText('If your kit reads in per cent, multiply by ten.', { exact: false })).toBeVisible()
  await expect(page.getByText('“warm” is not a number.', { exact: false })).toBeVisible()
  await expect(sugar).toBeFocused()
  for (const [field, value] of [
    [sugar, '1,0'],
    [ph, '35'],
    [ta, '0.62']
  ] as const)
    await expect(field).toHaveValue(value)

  await sugar.fill('1890')
  await ph.focus()
  await expect(page.getByText('A gravity of 1.890 is not possible', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Make it 1.089' }).click()
  await expect(sugar).toHaveValue('1.089')
  await page.getByRole('button', { name: 'Make it 6.2' }).click()
  await expect(ta).toHaveValue('6.2')
})

test('an unusual value is taken when the person says so', async ({ page }) => {
  await openDemo(page, '/bench/measure?lot=lot-tempranillo')
  await page.getByRole('textbox', { name: 'pH' }).fill('4.2')
  await page.getByRole('button', { name: 'Log for Tempranillo' }).click()
  await expect(page.getByText('pH 4.2 is unusual. Is it correct?')).toBeVisible()
  await page.getByRole('button', { name: 'Yes, it is correct' }).click()
  await page.getByRole('button', { name: 'Log for Tempranillo' }).click()
  await expect(page.getByRole('list').getByText('pH 4.2 (Pocket pH meter).', { exact: true })).toBeVisible()
})

test('a lot without a volume or a name does not start, and a red does not go into a vessel without room for its skins', async ({
  page
}) => {
  await ownCellar(page)
  await page.getByRole('button', { name: 'Start the lot' }).click()
  await expect(page.getByText('Enter a name.')).toBeVisible()
  await expect(page.getByText('This is needed.')).toBeVisible()
  await page.getByRole('textbox', { name: 'Name' }).fill('Red')
  await page.getByRole('textbox', { name: 'Fruit' }).fill('100 L')
  await page.getByRole('button', { name: 'Start the lot' }).click()
  await expect(page.getByText('“L” is not a unit for this.', { exact: false })).toBeVisible()
  await page.getByRole('textbox', { name: 'Fruit' }).fill('100')
  await page.getByRole('radio', { name: 'A new vessel' }).check()
  await page.getByRole('textbox', { name: 'Capacity' }).fill('15 gal')
  await page.getByRole('button', { name: 'Start the lot' }).click()
  await expect(page.getByText('Which gallon?', { exact: false })).toBeVisible()
  await page.getByRole('textbox', { name: 'Capacity' }).fill('15 US gal')
  await expect(page.getByText('Choose a larger vessel', { exact: false })).toBeVisible()
})

test('the sulphite bench refuses what cannot be, and speaks up at a high pH and a small dose', async ({ page }) => {
  await openDemo(page, '/bench/sulphite')
  await page.getByRole('textbox', { name: 'pH' }).fill('4.05')
  await page.getByRole('textbox', { name: 'Volume' }).fill('23')
  await page.getByRole('textbox', { name: 'pH' }).press('Tab')
  await expect(page.getByText('Lower the pH first.', { exact: false })).toBeVisible()
  await page.getByRole('textbox', { name: 'pH' }).fill('3.3')
  await page.getByRole('textbox', { name: 'Volume' }).fill('4')
  await expect(page.getByText('Measure out of the stock solution')).toBeVisible()
  await page.getByRole('textbox', { name: 'Volume' }).fill('')
  await page.getByRole('textbox', { name: 'Volume' }).press('Tab')
  await expect(page.getByText('This is needed.')).toBeVisible()
  await expect(page.getByText('Enter pH and volume to get the weight.')).toBeVisible()
})

test('a damaged, a foreign and a newer file change nothing and say why', async ({ page }) => {
  await openDemo(page, '/settings')
  const give = (body: string) =>
    page
      .getByLabel('Import a cellar file')
      .setInputFiles({ name: 'cellar.json', mimeType: 'application/json', buffer: Buffer.from(body) })
  const before = await page.getByText(/\d+ entries, 14 lots/).textContent()
  for (const [body, words] of [
    ['{"format":"presk-cel', 'not a whole cellar file'],
    ['{"a":1}', 'not written by Presk'],
    [JSON.stringify({ format: CELLAR_FORMAT, version: CELLAR_VERSION + 1 }), 'from a newer Presk'],
    ['{"format":"presk-cellar","version":1,"exportedAt":"x","name":"","entries":[]}', 'damaged: exportedAt']
  ] as const) {
    await give(body)
    await expect(page.getByText(words, { exact: false })).toBeVisible()
  }
  await expect(page.getByText(before!)).toBeVisible()
})

test('where a browser stores nothing one can still reckon, log and export, and is told that it forgets', async ({ page }) => {
  await withoutWorkers(page)
  await page.addInitScript(() => Object.defineProperty(window, 'indexedDB', { value: undefined }))
  await page.goto('/?cellar=demo')
  await expect(page.getByText('This browser does not let Presk store anything here', { exact: false })).toBeVisible()
  await page.getByRole('link', { name: /^Grenache, 33\.4 L/ }).click()
  await page.getByRole('textbox', { name: 'Note' }).fill('Kept as long as this tab')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByText('Note: Kept as long as this tab')).toBeVisible()
  await expect(page.getByText('This browser does not let Presk store anything here', { exact: false })).toBeVisible()
  await page.getByRole('link', { name: 'Settings', exact: true }).click()
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export the cellar' }).click()
  const { readFileSync } = await import('node:fs')
  expect(readFileSync(await (await waiting).path(), 'utf8')).toContain('Kept as long as this tab')
})
