import type { Page } from '@playwright/test'
import { choose, expect, goWithin, ownCellar, pressIfThere, test } from './fixtures'

const BEGUN = new Date('2026-10-05T09:00:00')
const later = (days: number, hours = 0) => new Date(BEGUN.getTime() + (days * 24 + hours) * 3_600_000)
/** Gravity and warmth of each morning after the yeast. */
const LOOKS = [
  ['1.092', '22'],
  ['1.081', '25'],
  ['1.064', '27'],
  ['1.045', '27'],
  ['1.028', '26'],
  ['1.014', '25'],
  ['1.004', '24'],
  ['0.996', '23'],
  ['0.993', '22']
] as const

const box = (page: Page, name: string | RegExp) => page.getByRole('textbox', { name })
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name })

test('a red goes from its yeast to a pressed and dry wine, each day by what Presk asks for', async ({ page }) => {
  await page.clock.install({ time: BEGUN })
  await ownCellar(page)
  await box(page, 'Name').fill('Graciano')
  await box(page, 'Fruit').fill('60')
  await page.getByRole('radio', { name: 'A new vessel' }).check()
  await box(page, 'Capacity').fill('100')
  await button(page, 'Start the lot').click()
  await expect(page.getByRole('heading', { name: 'Graciano' })).toBeVisible()
  const id = page.url().match(/(?:lots|crush)\/([a-z0-9-]+)/)![1]!
  await goWithin(page, `/bench/measure?lot=${id}`)
  await box(page, 'Sugar').fill('23.2')
  await box(page, 'pH').fill('3.52')
  await button(page, 'Log for Graciano').click()
  await expect(page.getByText('2 readings logged for Graciano').first()).toBeVisible()
  await goWithin(page, `/crush/${id}/yeast`)
  await button(page, /^Sprinkled dry instead/).click()
  await expect(page.getByText('The yeast is in', { exact: false }).first()).toBeVisible()

  for (const [i, [gravity, celsius]] of LOOKS.entries()) {
    await page.clock.setSystemTime(later(i + 1))
    await page.goto('/')
    await expect(page.getByText(/^(Read gravity and temperature|Push the cap down|Give the nutrient)/).first()).toBeVisible()
    await goWithin(page, '/round')
    await box(page, 'Gravity').fill(gravity)
    await box(page, 'Temperature of the must').fill(celsius)
    await page.getByText('Punched down', { exact: true }).click()
    // A reading that is off the forecast of the day before is asked about once: a person says that it is right.
    await expect(async () => {
      await pressIfThere(button(page, 'It is correct'))
      await pressIfThere(button(page, /^Log/))
      expect(await page.getByRole('heading', { name: /^(The round is done|Nothing is fermenting)$/ }).isVisible()).toBe(true)
    }).toPass({ intervals: [2000] })
  }

  // Dry by one reading: the press is asked for, and the proof.
  await goWithin(page, `/lots/${id}`)
  await expect(page.getByRole('heading', { name: 'Dry by one reading' })).toBeVisible()
  await goWithin(page, `/lots/${id}/press`)
  await expect(page.getByRole('heading', { name: 'Time to press' })).toBeVisible()
  await expect(page.getByText(/Press gently, in steps/)).toBeVisible()
  await box(page, 'Free run').fill('30')
  await box(page, 'Press wine').fill('8')
  await button(page, 'Log pressing').click()
  // It is written once the page has gone on to the lot: what stood in the fields says nothing of it.
  await expect(page).toHaveURL((url) => url.pathname === `/lots/${id}`)
  await expect(page.getByText('30 L', { exact: false }).first()).toBeVisible()

  // Three days on it reads the same: dry, and proven.
  await page.clock.setSystemTime(later(LOOKS.length + 3))
  await page.goto(`/lots/${id}?log=reading`)
  await choose(page, 'What', 'Gravity')
  await box(page, 'Reading').fill('0.993')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Dry', exact: true })).toBeVisible()
  await expect(page.getByText(/^Then: Rack/)).toBeVisible()
  await goWithin(page, '/')
  await expect(page.getByText('Add the malolactic bacteria').first()).toBeVisible()
})
