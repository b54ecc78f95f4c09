import { expect, ownCellar, test } from './fixtures'

test('somebody without pH meter and acid kit says so once, and is led on by usual values', async ({ page }) => {
  await ownCellar(page)
  const main = page.getByRole('main')
  const today = () => page.getByRole('link', { name: 'Today', exact: true }).first().click()
  await page.getByRole('radio', { name: /^Fresh juice/ }).check()
  await page.getByRole('radio', { name: /^White/ }).check()
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Albariño')
  await page.getByRole('textbox', { name: 'Volume' }).fill('20')
  await page.getByRole('radio', { name: 'No', exact: true }).check()
  await page.getByRole('button', { name: 'Start the lot' }).click()
  await expect(page).toHaveURL(/\/crush\//)
  await today()
  await main.getByRole('link', { name: 'Work out the dose: Albariño' }).click()
  await main.getByRole('button', { name: / went in$/ }).first().click()
  await today()
  await expect(main.getByRole('heading', { name: /Measure sugar, pH and titratable acidity$/ })).toBeVisible()
  const lacking = [['I have no pH meter', /Measure sugar and titratable acidity$/], ['I have no acid kit', /Measure sugar$/]] as const
  for (const [missing, left] of lacking) {
    await main.getByRole('button', { name: /^Otherwise: Measure/ }).click()
    await page.getByRole('menuitem', { name: missing }).click()
    await expect(main.getByRole('heading', { name: left })).toBeVisible()
  }
  await main.getByRole('link', { name: 'Measure: Albariño' }).click()
  await page.getByRole('textbox', { name: 'Sugar' }).fill('21.4')
  await page.getByRole('button', { name: /^Log/ }).first().click()
  await today()
  await expect(main.getByText(/21.4 °Brix/).first()).toBeVisible()
  await expect(main.getByRole('heading', { name: /^Albariño Measure/ })).toBeHidden()
  // Nothing but the time before the yeast is waited for.
  await expect(main.getByText(/before the yeast/).first()).toBeVisible()
  // It is kept with the household's equipment, where it can be taken back.
  await page.getByRole('link', { name: 'Stores' }).first().click()
  await page.getByRole('link', { name: 'Instruments', exact: true }).click()
  await expect(main.getByRole('switch', { name: 'pH meter', exact: true })).not.toBeChecked()
  await expect(main.getByRole('switch', { name: 'Hydrometer' })).toBeChecked()
})
