import { expect, openDemo, test } from './fixtures'

test.use({ locale: 'en-US' })
test('an American is offered gallons at once, and reads dates and clocks as there', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('radio', { name: /^US/ })).toBeChecked()
  await expect(page.getByRole('radio', { name: '°F' })).toBeChecked()
  await openDemo(page, '/lots/lot-grenache')
  await expect(page.getByRole('main')).toContainText(/(Mon|Tue|Wed|Thu|Fri|Sat|Sun), (Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec) \d/)
})
