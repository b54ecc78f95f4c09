import { expect, openDemo, test } from './fixtures'

test('a kit’s packets: one goes in on its day, those that stabilise wait for two dry readings', async ({ page }) => {
  await openDemo(page, '/lots/lot-barbera-kit')
  await expect(page.getByText('Then: Add packet: Oak')).toBeVisible()
  await page.goto('/crush/lot-barbera-kit?step=packets')
  const packets = page.getByRole('listitem').filter({ hasText: /Oak|Sulphite and sorbate/ })
  await page.getByRole('button', { name: 'Oak: it is in' }).click()
  await expect(packets.filter({ hasText: 'Oak' }).getByText('in', { exact: true })).toBeVisible()
  await expect(packets.filter({ hasText: 'Sulphite and sorbate' })).toContainText('after two dry readings')
  await page.goto('/lots/lot-barbera-kit')
  await expect(page.getByText('Then: Add packet: Oak')).toBeHidden()
})

test('readings go out as a table and come back once; a name that no wine has is said with its row', async ({ page }) => {
  await openDemo(page, '/settings')
  const out = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Tables' }).click()
  await page.getByRole('menuitem', { name: 'Readings as CSV' }).click()
  const path = await (await out).path()
  const table = page.getByLabel('Import readings from a table')
  await table.setInputFiles(path)
  await expect(page.getByText('Presk made this table', { exact: false })).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'already here' })).toContainText(/^0 readings from \d+ rows, \d+ already here/)
  await expect(page.getByRole('button', { name: 'Import readings' })).toBeDisabled()

  const text = 'date,wine,sg\n2026-01-02,Barbera kit,1.030\n2026-01-03,Nobody’s,1.020\n'
  await table.setInputFiles({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await expect(page.getByText('Row 3: no lot is called “Nobody’s”.')).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'from 2 rows' })).toContainText('1 reading')
})

test('frozen must on its skins and frozen juice are expected to give what they give', async ({ page }) => {
  await openDemo(page, '/lots/new')
  await page.getByRole('radio', { name: /^Frozen must/ }).check()
  await page.getByRole('radio', { name: 'Red', exact: true }).check()
  await page.getByRole('textbox', { name: 'Volume' }).fill('40')
  await expect(page.getByText(/Expect about 28 L of juice, used for dosing/)).toBeVisible()
  await page.getByRole('radio', { name: /juice/i }).last().check()
  await expect(page.getByText('Expect 36 to 38 L of finished wine', { exact: false })).toBeVisible()
})

test('the pKa of this wine is used when asked for, and says what it changes', async ({ page }) => {
  await openDemo(page, '/bench/sulphite?lot=lot-grenache')
  const wanted = page.getByText('Free SO₂ wanted').locator('..')
  await page.getByText('Up to its level').click()
  await expect(wanted).toContainText('29')
  await page.getByRole('button', { name: /Tablets, other methods/ }).click()
  await expect(page.getByText('With the other pKa the same target protects less', { exact: false })).toBeVisible()
  await page.getByRole('checkbox', { name: 'Use this wine’s alcohol and temperature' }).check()
  await expect(wanted).toContainText('14')
})

test('the cellar goes out as a zip with its tables, and comes back from it in an empty browser', async ({ page, browser }) => {
  await openDemo(page, '/settings')
  const out = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export as a zip' }).click()
  const download = await out
  expect(download.suggestedFilename()).toMatch(/\.presk\.zip$/)
  const other = await browser.newContext()
  const elsewhere = await other.newPage()
  await elsewhere.goto('/settings')
  const file = elsewhere.getByLabel('Import a cellar file')
  await file.setInputFiles({ name: 'holiday.zip', mimeType: 'application/zip', buffer: Buffer.from('PK\u0003\u0004 no cellar') })
  await expect(elsewhere.getByRole('alert').filter({ hasText: 'holiday.zip: this zip has no Presk cellar in it' })).toBeVisible()
  await file.setInputFiles(await download.path())
  await expect(elsewhere.getByRole('status').filter({ hasText: 'holds 14 lots' })).toBeVisible()
  await other.close()
})
